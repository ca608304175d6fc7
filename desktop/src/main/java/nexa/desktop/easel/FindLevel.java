package nexa.desktop.easel;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.animation.PauseTransition;
import javafx.util.Duration;
import nexa.core.find.Certainty;
import nexa.core.find.FoundLevel;
import nexa.core.find.FoundPerspective;
import nexa.core.find.TakeFound;
import nexa.core.geometry.Angle;
import nexa.core.level.LevelLine;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.desktop.parts.FoundWords;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;
import nexa.desktop.stage.PhotoStage;

/**
 * Finds the level of the photo worked on: takes it where it is sure, offers it where it is likely, and says why not where it is
 * neither.
 */
final class FindLevel {
    private static final Duration SHOWN = Duration.seconds(3);
    /** A photo turned so nearly as found is level already, in degrees. */
    private static final double ALREADY = 0.005;

    private final ShootSession session;
    private final PhotoStage stage;
    private final StageHand hand;
    private final Reshaping reshaping;
    private final Runnable showLines;
    private final Offer<FoundLevel> offer;
    private final Offer<FoundPerspective> parallel;
    private final PauseTransition shown = new PauseTransition(SHOWN);

    /**
     * Nothing is looked for yet.
     *
     * @param showLines takes the lines to hand by which the perspective was put right
     */
    FindLevel(
            ShootSession session,
            PhotoStage stage,
            StageHand hand,
            StageHint hint,
            Reshaping reshaping,
            Runnable showLines,
            Consumer<String> say) {
        this.session = session;
        this.stage = stage;
        this.hand = hand;
        this.reshaping = reshaping;
        this.showLines = showLines;
        this.offer = new Offer<>(FoundLevel.class, session, stage, hint, say);
        this.parallel = new Offer<>(FoundPerspective.class, session, stage, hint, say);
        shown.setOnFinished(event -> hide());
    }

    /** Finds it, or takes what is offered. */
    void find() {
        hand.letGoOfAll();
        hand.tools().putDown();
        Optional<Photo> photo = session.photo().filter(session::isReady);
        Optional<FoundLevel> standing = offer.standing();
        Optional<FoundPerspective> uprights = parallel.standing();
        forget();
        if (photo.isPresent() && uprights.isPresent()) {
            takeParallel(photo.get(), uprights.get());
        } else if (photo.isPresent() && standing.isPresent()) {
            take(photo.get(), standing.get());
        } else {
            photo.ifPresent(asked -> offer.look(asked, Words.get("find.looking"), level -> hear(asked, level)));
        }
    }

    private void hear(Photo asked, FoundLevel level) {
        if (hand.gestures().isBusy()) {
            offer.unsay();
        } else if (level.isSomething() && isLevel(asked, level.angle(asked)) && offersParallel(asked, level)) {
            shown.stop();
        } else if (level.certainty() == Certainty.SURE) {
            take(asked, level);
        } else if (level.isSomething()) {
            offer.make(
                    asked, level, level.lines().stream().map(LevelLine::segment).toList(), FoundWords.offer(level));
        } else {
            offer.say(Words.get("find.not", FoundWords.whyNot(level)));
        }
    }

    private static boolean isLevel(Photo photo, Angle angle) {
        return Math.abs(photo.angle().degrees() - angle.degrees()) < ALREADY;
    }

    /** Uprights that run together in a photo that is level already can be made parallel. */
    private boolean offersParallel(Photo photo, FoundLevel level) {
        if (photo.preparation().perspective().isPresent()) {
            return false;
        }
        FoundPerspective uprights = FoundPerspective.of(level, photo, reshaping.knownFocalLength(photo));
        if (uprights.isSomething()) {
            parallel.make(photo, uprights, uprights.lines().inPhoto(photo.size()), FoundWords.offer(uprights));
        }
        return uprights.isSomething();
    }

    private void takeParallel(Photo photo, FoundPerspective uprights) {
        session.edit(Edit.Kind.PERSPECTIVE, shoot -> TakeFound.of(shoot, Map.of(photo.file(), List.of(uprights))));
        showLines.run();
    }

    private void take(Photo photo, FoundLevel level) {
        Angle angle = level.angle(photo);
        boolean isLevel = isLevel(photo, angle);
        if (!isLevel) {
            session.edit(Edit.Kind.LEVEL, shoot -> shoot.with(photo.file(), before -> before.withAngle(angle)));
        }
        if (session.isReadOnly() && !isLevel) {
            // Nothing can be changed here: what was found is all there is to say.
            offer.say(FoundWords.offer(level));
            return;
        }
        hand.tools().tracing().keep(level.lines());
        offer.say(FoundWords.taken(level, isLevel));
        shown.playFromStart();
    }

    /** The lines stay at hand in their bar; on the picture they have been seen. */
    private void hide() {
        stage.overlay().onPhoto().show(List.of());
        offer.unsay();
    }

    /** What was being looked for is not wanted any more, and what was offered does not stand. */
    void forget() {
        shown.stop();
        offer.forget();
        parallel.forget();
    }
}
