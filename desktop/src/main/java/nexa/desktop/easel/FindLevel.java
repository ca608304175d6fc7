package nexa.desktop.easel;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.animation.PauseTransition;
import javafx.util.Duration;
import nexa.core.find.Certainty;
import nexa.core.find.FoundLevel;
import nexa.core.level.LevelLine;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.desktop.parts.FoundWords;
import nexa.desktop.parts.Words;
import nexa.desktop.session.LevelFinding;
import nexa.desktop.session.ShootSession;
import nexa.desktop.stage.PhotoStage;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.work.Ticket;
import nexa.imaging.work.Urgency;

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
    private final StageHint hint;
    private final Consumer<String> say;
    private final PauseTransition shown = new PauseTransition(SHOWN);
    private Ticket ticket = Ticket.NONE;
    private String said = "";
    private Optional<Offer> offer = Optional.empty();

    /** A likely level, of a photo as it was then. */
    private record Offer(Photo photo, FoundLevel level) {}

    FindLevel(ShootSession session, PhotoStage stage, StageHand hand, StageHint hint, Consumer<String> say) {
        this.session = session;
        this.stage = stage;
        this.hand = hand;
        this.hint = hint;
        this.say = say;
        shown.setOnFinished(event -> hide());
    }

    /** Finds it, or takes what is offered. */
    void find() {
        hand.letGoOfAll();
        hand.tools().putDown();
        Optional<Photo> photo = session.photo().filter(session::isReady);
        Optional<Offer> standing = offer.filter(made -> isAsItWas(made.photo()));
        forget();
        if (standing.isPresent()) {
            take(standing.get().photo(), standing.get().level());
        } else {
            photo.ifPresent(this::look);
        }
    }

    private void look(Photo photo) {
        say(Words.get("find.looking"));
        ticket = session.levels().find(photo, Urgency.NOW, new LevelFinding.Listener() {
            @Override
            public void found(FoundLevel level) {
                hear(photo, level);
            }

            @Override
            public void failed(PhotoProblem problem) {
                say(Words.say(problem));
            }
        });
    }

    private void hear(Photo asked, FoundLevel level) {
        if (!isAsItWas(asked) || hand.gestures().isBusy()) {
            unsay();
        } else if (level.certainty() == Certainty.SURE) {
            take(asked, level);
        } else if (level.certainty() == Certainty.LIKELY) {
            offer = Optional.of(new Offer(asked, level));
            stage.overlay()
                    .onPhoto()
                    .propose(level.lines().stream().map(LevelLine::segment).toList());
            say(FoundWords.offer(level));
        } else {
            say(Words.get("find.not", FoundWords.whyNot(level)));
        }
    }

    /** Whether the same photo is worked on and was neither turned nor mirrored meanwhile. */
    private boolean isAsItWas(Photo asked) {
        return session.photo()
                .filter(now -> now.hasSamePictureAs(asked) && now.angle().equals(asked.angle()))
                .isPresent();
    }

    private void say(String words) {
        said = words;
        say.accept(words);
    }

    private void take(Photo photo, FoundLevel level) {
        boolean isLevel = Math.abs(photo.angle().degrees() - level.angle().degrees()) < ALREADY;
        if (!isLevel) {
            session.edit(Edit.Kind.LEVEL, shoot -> shoot.with(photo.file(), before -> before.withAngle(level.angle())));
        }
        if (session.isReadOnly() && !isLevel) {
            // Nothing can be changed here: what was found is all there is to say.
            say(FoundWords.offer(level));
            return;
        }
        hand.tools().tracing().keep(level.lines());
        say(FoundWords.taken(level, isLevel));
        shown.playFromStart();
    }

    /** The lines stay at hand in their bar; on the picture they have been seen. */
    private void hide() {
        stage.overlay().onPhoto().show(List.of());
        unsay();
    }

    /** Says no more what was said, unless something else has been said since. */
    private void unsay() {
        if (hint.says(said)) {
            say("");
        }
    }

    /** What was being looked for is not wanted any more, and what was offered does not stand. */
    void forget() {
        ticket.cancel();
        if (offer.isPresent()) {
            stage.overlay().onPhoto().show(List.of());
        }
        unsay();
        shown.stop();
        offer = Optional.empty();
    }
}
