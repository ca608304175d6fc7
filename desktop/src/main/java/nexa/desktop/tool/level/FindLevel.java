package nexa.desktop.tool.level;

import java.util.List;
import java.util.Map;
import java.util.Optional;
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
import nexa.desktop.tool.Easel;
import nexa.desktop.tool.Offer;
import nexa.desktop.tool.perspective.PerspectiveTool;

/**
 * Finds the level of the photo worked on: takes it where it is sure, offers it where it is likely, and says why not where it is
 * neither.
 */
final class FindLevel {
    private static final Duration SHOWN = Duration.seconds(3);
    /** A photo turned so nearly as found is level already, in degrees. */
    private static final double ALREADY = 0.005;

    private final Easel easel;
    private final PerspectiveTool perspective;
    private final Offer<FoundLevel> offer;
    private final Offer<FoundPerspective> parallel;
    private final PauseTransition shown = new PauseTransition(SHOWN);

    FindLevel(Easel easel, PerspectiveTool perspective) {
        this.easel = easel;
        this.perspective = perspective;
        this.offer = new Offer<>(FoundLevel.class, easel);
        this.parallel = new Offer<>(FoundPerspective.class, easel);
        shown.setOnFinished(event -> hide());
    }

    /** Finds it, or takes what is offered. */
    void find() {
        easel.letGo();
        easel.putDown();
        Optional<Photo> photo = easel.photo();
        Optional<FoundLevel> standing = offer.standing();
        Optional<FoundPerspective> uprights = parallel.standing();
        easel.withdraw();
        if (photo.isPresent() && uprights.isPresent()) {
            takeParallel(photo.get(), uprights.get());
        } else if (photo.isPresent() && standing.isPresent()) {
            take(photo.get(), standing.get());
        } else {
            photo.ifPresent(asked -> offer.look(asked, Words.get("find.looking"), level -> hear(asked, level)));
        }
    }

    private void hear(Photo asked, FoundLevel level) {
        if (easel.gestures().isBusy()) {
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
        FoundPerspective uprights = FoundPerspective.of(level, photo, perspective.knownFocalLength(photo));
        if (uprights.isSomething()) {
            parallel.make(photo, uprights, uprights.lines().inPhoto(photo.size()), FoundWords.offer(uprights));
        }
        return uprights.isSomething();
    }

    private void takeParallel(Photo photo, FoundPerspective uprights) {
        easel.session()
                .edit(Edit.Kind.PERSPECTIVE, shoot -> TakeFound.of(shoot, Map.of(photo.file(), List.of(uprights))));
        perspective.lines().showOwn();
    }

    private void take(Photo photo, FoundLevel level) {
        Angle angle = level.angle(photo);
        boolean isLevel = isLevel(photo, angle);
        if (!isLevel) {
            easel.session().edit(Edit.Kind.LEVEL, shoot -> shoot.with(photo.file(), before -> before.withAngle(angle)));
        }
        if (easel.session().isReadOnly() && !isLevel) {
            // Nothing can be changed here: what was found is all there is to say.
            offer.say(FoundWords.offer(level));
            return;
        }
        easel.tracing().keep(level.lines());
        offer.say(FoundWords.taken(level, isLevel));
        shown.playFromStart();
    }

    /** The lines stay at hand in their bar; on the picture they have been seen. */
    private void hide() {
        easel.stage().overlay().onPhoto().show(List.of());
        offer.unsay();
    }

    /** What was being looked for is not wanted any more, and what was offered does not stand. */
    void forget() {
        shown.stop();
        offer.forget();
        parallel.forget();
    }
}
