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
    private final Consumer<String> say;
    private final PauseTransition shown = new PauseTransition(SHOWN);
    private Ticket ticket = Ticket.NONE;
    private Optional<Offer> offer = Optional.empty();

    /** A likely level, of a photo as it was then. */
    private record Offer(Photo photo, FoundLevel level) {}

    FindLevel(ShootSession session, PhotoStage stage, StageHand hand, Consumer<String> say) {
        this.session = session;
        this.stage = stage;
        this.hand = hand;
        this.say = say;
        shown.setOnFinished(event -> hide());
    }

    /** Finds it, or takes what is offered. */
    void find() {
        hand.letGoOfAll();
        hand.tools().putDown();
        Optional<Photo> photo = session.photo().filter(session::isReady);
        Optional<Offer> standing =
                offer.filter(made -> photo.filter(made.photo()::equals).isPresent());
        forget();
        if (standing.isPresent()) {
            take(standing.get().photo(), standing.get().level());
        } else {
            photo.ifPresent(this::look);
        }
    }

    private void look(Photo photo) {
        say.accept(Words.get("find.looking"));
        ticket = session.levels().find(photo, Urgency.NOW, new LevelFinding.Listener() {
            @Override
            public void found(FoundLevel level) {
                hear(photo, level);
            }

            @Override
            public void failed(PhotoProblem problem) {
                say.accept(Words.say(problem));
            }
        });
    }

    private void hear(Photo asked, FoundLevel level) {
        // Whatever was done meanwhile, it was done to another photo or to this one by hand.
        if (!session.photo().equals(Optional.of(asked)) || hand.gestures().isBusy()) {
            say.accept("");
        } else if (level.certainty() == Certainty.SURE) {
            take(asked, level);
        } else if (level.certainty() == Certainty.LIKELY) {
            offer = Optional.of(new Offer(asked, level));
            stage.overlay()
                    .onPhoto()
                    .propose(level.lines().stream().map(LevelLine::segment).toList());
            say.accept(FoundWords.offer(level));
        } else {
            say.accept(Words.get("find.not", FoundWords.whyNot(level)));
        }
    }

    private void take(Photo photo, FoundLevel level) {
        boolean isLevel = Math.abs(photo.angle().degrees() - level.angle().degrees()) < ALREADY;
        if (!isLevel) {
            session.edit(Edit.Kind.LEVEL, shoot -> shoot.with(photo.file(), before -> before.withAngle(level.angle())));
        }
        hand.tools().tracing().keep(level.lines());
        say.accept(FoundWords.taken(level, isLevel));
        shown.playFromStart();
    }

    /** The lines stay at hand in their bar; on the picture they have been seen. */
    private void hide() {
        stage.overlay().onPhoto().show(List.of());
        say.accept("");
    }

    /** What was being looked for is not wanted any more, and what was offered does not stand. */
    void forget() {
        ticket.cancel();
        if (offer.isPresent()) {
            stage.overlay().onPhoto().show(List.of());
        }
        if (offer.isPresent() || shown.getStatus() == PauseTransition.Status.RUNNING) {
            say.accept("");
        }
        shown.stop();
        offer = Optional.empty();
    }
}
