package nexa.desktop.session;

import java.util.Optional;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.util.Duration;
import nexa.core.shoot.Shoot;

/**
 * Records a gesture that goes on again and again: at the latest after a second, what is shown outlives a crash, however long
 * the hand is at it.
 */
final class DraftClock {
    private static final Duration BETWEEN = Duration.millis(700);

    private final Timeline timeline;

    /** @param draft what the gesture would do to the shoot if it ended now; empty if there is none */
    DraftClock(ShootSession session, Supplier<Optional<UnaryOperator<Shoot>>> draft) {
        timeline = new Timeline(new KeyFrame(BETWEEN, event -> draft.get().ifPresent(session.edits()::recordDraft)));
        timeline.setCycleCount(Animation.INDEFINITE);
    }

    /** A gesture goes on. */
    void goOn() {
        timeline.play();
    }

    /** It has ended. */
    void stop() {
        timeline.stop();
    }
}
