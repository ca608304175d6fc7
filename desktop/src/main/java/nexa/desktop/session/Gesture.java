package nexa.desktop.session;

import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.animation.PauseTransition;
import javafx.util.Duration;
import nexa.core.geometry.Crop;
import nexa.core.series.Adjust;
import nexa.core.series.PhotoCrop;
import nexa.core.series.Trimming;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Preparation;
import nexa.core.shoot.Shoot;

/**
 * What the hand is doing to one crop. While it goes on it is a draft that only the view shows; when it ends it becomes one
 * edit. Turns of the wheel and presses of a key that follow each other closely are one gesture.
 */
public final class Gesture {
    private static final Duration PAUSE = Duration.millis(450);

    private final ShootSession session;
    private final Runnable ended;
    private final PauseTransition pause = new PauseTransition(PAUSE);
    private final DraftClock clock;
    private Optional<PhotoCrop> start = Optional.empty();
    private Edit.Kind kind = Edit.Kind.SLIDE;
    private Crop crop;
    private Preparation preparation = Preparation.NONE;
    private boolean isHeld;
    /** Whether what it came to is being worked out. */
    private boolean isEnding;

    /**
     * None is in progress yet.
     *
     * @param ended hears that one has ended
     */
    public Gesture(ShootSession session, Runnable ended) {
        this.session = session;
        this.ended = ended;
        this.clock = new DraftClock(session, this::change);
        pause.setOnFinished(event -> letGo());
    }

    /** Whether one is in progress. */
    public boolean isBusy() {
        return start.isPresent();
    }

    /** Whether one of a kind is in progress. */
    public boolean is(Edit.Kind asked) {
        return isBusy() && kind == asked;
    }

    /** Whether it goes on until the hand lets go. */
    public boolean isHeld() {
        return isHeld;
    }

    /** Whether the hand has let go of it, and what it comes to is being worked out. */
    public boolean isEnding() {
        return isEnding;
    }

    /** Begins with a crop, unless the same is in progress already; another gesture is ended first. */
    public void begin(PhotoCrop from, Edit.Kind newKind) {
        if (isEnding || isBusy() && !isSame(from, newKind)) {
            end();
        }
        if (start.isEmpty()) {
            start = Optional.of(from);
            kind = newKind;
            crop = from.crop();
            preparation = from.photo().preparation();
            clock.goOn();
        }
    }

    private boolean isSame(PhotoCrop from, Edit.Kind asked) {
        PhotoCrop begun = start();
        return kind == asked
                && begun.photo().file().equals(from.photo().file())
                && begun.format().id().equals(from.format().id());
    }

    /** The crop it began with. */
    public PhotoCrop start() {
        return start.orElseThrow();
    }

    /** The crop as it would be. */
    public Crop crop() {
        return crop;
    }

    /** What is done to the photo as it would be. */
    public Preparation preparation() {
        return preparation;
    }

    /** Goes on to something else done to the photo; false, and as it was, where that would leave nothing of it. */
    public boolean setPreparation(Preparation newPreparation) {
        boolean leaves = start().photo().withPreparation(newPreparation).isCroppable();
        preparation = leaves ? newPreparation : preparation;
        return leaves;
    }

    public void setCrop(Crop newCrop) {
        crop = newCrop;
    }

    /** The crop it began with, as it would be now. */
    public PhotoCrop shown() {
        return start().withCrop(crop);
    }

    /** The shoot as it would be if it ended now; empty if that changes nothing. */
    public Optional<Shoot> drafted() {
        return change().map(what -> what.apply(session.shoot()));
    }

    /** It goes on until the hand lets go. */
    public void hold() {
        isHeld = true;
        pause.stop();
    }

    /** It ends by itself unless it goes on soon. */
    public void rest() {
        isHeld = false;
        pause.playFromStart();
    }

    /** Makes it an edit, if one is in progress. */
    public void end() {
        letGo();
        if (isEnding) {
            session.settle();
        }
    }

    /** The hand lets go: as {@link #end}, but it may go on a moment, until what goes along with it is worked out. */
    public void letGo() {
        pause.stop();
        clock.stop();
        isHeld = false;
        if (start.isPresent() && !isEnding) {
            isEnding = true;
            String format = start().format().id();
            change().ifPresentOrElse(what -> session.editSoon(kind, format, what, this::hasEnded), () -> {
                session.edits().dropDraft();
                hasEnded();
            });
        }
    }

    private void hasEnded() {
        isEnding = false;
        start = Optional.empty();
        ended.run();
    }

    /** What it would do if it ended now; empty if that is nothing. */
    private Optional<UnaryOperator<Shoot>> change() {
        if (start.isEmpty()) {
            return Optional.empty();
        }
        PhotoCrop from = start();
        String file = from.photo().file();
        if (!preparation.equals(from.photo().preparation())) {
            Preparation to = preparation;
            return Optional.of(shoot -> Trimming.of(shoot.with(file, photo -> prepared(photo, to)), file, to.trim()));
        }
        if (from.crop().equals(crop)) {
            return Optional.empty();
        }
        Crop to = crop;
        boolean isSlide = kind == Edit.Kind.SLIDE;
        return Optional.of(shoot -> {
            Adjust adjust = new Adjust(shoot, file, from.format().id());
            return isSlide ? adjust.slidTo(to) : adjust.to(to);
        });
    }

    /** With its shape and tone; its trim is told apart, for what it does to leads. */
    private static Photo prepared(Photo photo, Preparation to) {
        return photo.withPreparation(photo.preparation().withShape(to.shape()).withTone(to.tone()));
    }
}
