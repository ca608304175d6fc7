package nexa.desktop.session;

import java.util.Map;
import java.util.stream.Collectors;
import javafx.util.Duration;
import nexa.core.find.FoundLevel;
import nexa.core.find.FoundLevels;
import nexa.core.series.SureLevels;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;

/** How photos lie level, looked for in the background once a format asks for that. */
final class AskedLevels {
    /** What needs a look is told anew then, and that is worked with. */
    private static final Duration OFTEN = Duration.seconds(2);

    private final LookedFor<FoundLevel> looked;
    private final Runnable changed;
    private SureLevels now = SureLevels.NOT_LOOKED;

    /** @param changed hears that more is known */
    AskedLevels(ShootSession session, Runnable changed) {
        this.looked = new LookedFor<>(session, FoundLevel.class, photo -> photo.mark() != Mark.OUT, this::learn, OFTEN);
        this.changed = changed;
    }

    private void learn() {
        Map<Photo, FoundLevel> found = looked.known().values().stream()
                .collect(Collectors.toMap(LookedFor.Looked::photo, LookedFor.Looked::found));
        now = new FoundLevels(found);
        changed.run();
    }

    /** What is known by now. */
    SureLevels now() {
        return now;
    }

    /** Looks at the photos of a shoot that were not looked at as they are, if a format asks for it. */
    void look(Shoot shoot) {
        if (shoot.formats().stream().anyMatch(format -> format.asks().level().isPresent())) {
            looked.look(shoot.photos());
        }
    }

    void stop() {
        looked.stop();
    }
}
