package nexa.desktop.tool;

import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Predicate;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Point;
import nexa.core.series.Crops;
import nexa.core.series.PhotoCrop;
import nexa.core.shape.Perspective;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Preparation;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Trim;
import nexa.desktop.desk.Vernier;
import nexa.desktop.parts.Words;
import nexa.desktop.session.Gesture;
import nexa.desktop.session.ShootSession;
import nexa.desktop.stage.PhotoStage;

/** What can be done by hand to the photo on the easel before it is cropped: it is turned, trimmed, its perspective put right. */
public final class PhotoGestures {
    private final ShootSession session;
    private final PhotoStage stage;
    private final Gesture gesture;
    private final Predicate<Edit.Kind> begin;
    private final Consumer<PhotoCrop> draftChanged;
    private final Consumer<String> say;
    /** Whether the hand has gone where nothing of the photo would be left. */
    private boolean isRefused;

    /**
     * Nothing is being done yet.
     *
     * @param begin begins a kind of gesture, or goes on with it; false if there is no crop
     * @param draftChanged hears every change of a gesture in progress
     * @param say hears what there is to say by the pointer; "" for nothing
     */
    PhotoGestures(
            ShootSession session,
            PhotoStage stage,
            Gesture gesture,
            Predicate<Edit.Kind> begin,
            Consumer<PhotoCrop> draftChanged,
            Consumer<String> say) {
        this.session = session;
        this.stage = stage;
        this.gesture = gesture;
        this.begin = begin;
        this.draftChanged = draftChanged;
        this.say = say;
    }

    /** Whether the photo is being turned. */
    public boolean isTurning() {
        return gesture.is(Edit.Kind.LEVEL);
    }

    /** Whether its perspective is being put right. */
    public boolean isReshaping() {
        return gesture.is(Edit.Kind.PERSPECTIVE);
    }

    /** What is done to the photo as it is, or would be. */
    public Preparation preparation() {
        return gesture.isBusy()
                ? gesture.preparation()
                : session.photo().map(photo -> photo.preparation()).orElse(Preparation.NONE);
    }

    /** Turns the photo to an angle. While it is held this goes on, else it ends by itself soon. */
    public void turnTo(double degrees, boolean isHeld) {
        if (goesOn(Edit.Kind.LEVEL, isHeld)) {
            turnTo(degrees);
            rest(isHeld);
        }
    }

    /** Turns the photo further by some degrees. */
    public void turnBy(double degrees) {
        if (!gesture.isHeld() && begin.test(Edit.Kind.LEVEL)) {
            double now = gesture.preparation().angle().degrees();
            turnTo(Math.rint((now + degrees) / Vernier.STEP) * Vernier.STEP, false);
        }
    }

    /** Turns the photo about the middle of its crop as the pointer goes from one place of the stage to another. */
    void turnWith(Point from, Point to) {
        Point centre = stage.projection().orElseThrow().toScreen(gesture.crop().centre());
        double before = Math.atan2(from.y() - centre.y(), from.x() - centre.x());
        double after = Math.atan2(to.y() - centre.y(), to.x() - centre.x());
        double way = Math.toDegrees(Math.IEEEremainder(after - before, 2 * Math.PI));
        turnTo(gesture.preparation().angle().degrees() + way);
    }

    private void turnTo(double degrees) {
        setPreparation(gesture.preparation().withAngle(Angle.nearest(degrees)));
        PhotoCrop turned = drafted();
        gesture.setCrop(turned.crop());
        stage.turn(turned);
        draftChanged.accept(turned);
    }

    /** Trims the photo. While it is held this goes on, else it ends by itself soon. */
    public void trimTo(Trim trim, boolean isHeld) {
        if (goesOn(Edit.Kind.TRIM, isHeld)) {
            setPreparation(gesture.preparation().withTrim(trim));
            PhotoCrop trimmed = drafted();
            gesture.setCrop(trimmed.crop());
            stage.trim(trimmed);
            draftChanged.accept(trimmed);
            rest(isHeld);
        }
    }

    /** Puts the perspective right, and levels the photo with it. While it is held this goes on, else it ends by itself soon. */
    public void reshape(Optional<Perspective> perspective, Angle angle, boolean isHeld) {
        prepare(
                Edit.Kind.PERSPECTIVE,
                preparation().withPerspective(perspective).withAngle(angle),
                isHeld);
    }

    /** Does something else to the photo. While it is held this goes on, else it ends by itself soon. */
    public void prepare(Edit.Kind kind, Preparation to, boolean isHeld) {
        if (goesOn(kind, isHeld)) {
            setPreparation(to);
            PhotoCrop prepared = drafted();
            gesture.setCrop(prepared.crop());
            stage.turn(prepared);
            draftChanged.accept(prepared);
            rest(isHeld);
        }
    }

    /** Stays with what was done last where nothing of the photo would be left, and says so as long as that is the case. */
    private void setPreparation(Preparation to) {
        boolean leaves = gesture.setPreparation(to);
        if (leaves == isRefused) {
            isRefused = !leaves;
            say.accept(leaves ? "" : Words.get("easel.nothingLeft"));
        }
    }

    private boolean goesOn(Edit.Kind kind, boolean isHeld) {
        return isHeld && gesture.isHeld() && gesture.is(kind) || begin.test(kind);
    }

    private void rest(boolean isHeld) {
        if (isHeld) {
            gesture.hold();
        } else {
            gesture.rest();
        }
    }

    /** The photo as the gesture makes it, with the crop it has then. */
    private PhotoCrop drafted() {
        PhotoCrop from = gesture.start();
        Shoot shoot = gesture.drafted().orElseGet(session::shoot);
        return new Crops(shoot).of(shoot.photo(from.photo().file()), from.format());
    }
}
