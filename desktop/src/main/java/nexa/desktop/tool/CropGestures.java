package nexa.desktop.tool;

import java.util.Optional;
import java.util.function.Consumer;
import nexa.core.crop.CatchEdge;
import nexa.core.crop.Handle;
import nexa.core.crop.Resize;
import nexa.core.crop.Slide;
import nexa.core.crop.Tighten;
import nexa.core.crop.TurnCrop;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.series.Adjust;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Edit;
import nexa.desktop.session.Gesture;
import nexa.desktop.session.ShootSession;
import nexa.desktop.stage.PhotoStage;

/**
 * What can be done to the crop and the photo on the easel by hand, however the hand does it: by mouse ({@link StageMouse}), by
 * keys or on the desk. Each is a {@link Gesture} that the stage shows.
 */
public final class CropGestures {
    private static final double NOTCH_FACTOR = 0.96;
    /** A side this near to the photo's edge, in pixels of the stage, catches on it where it could go on. */
    private static final double CATCHES = 6;

    private final ShootSession session;
    private final PhotoStage stage;
    private final Consumer<PhotoCrop> draftChanged;
    private final Gesture gesture;
    private final PhotoGestures photo;
    /** Where a crop that is slid would be if it had not caught on the photo's edge. */
    private Crop free;

    /**
     * Nothing is being done yet.
     *
     * @param draftChanged hears every change of a gesture in progress
     * @param ended hears that a gesture has ended
     * @param say hears what there is to say by the pointer; "" for nothing
     */
    CropGestures(
            ShootSession session,
            PhotoStage stage,
            Consumer<PhotoCrop> draftChanged,
            Runnable ended,
            Consumer<String> say) {
        this.session = session;
        this.stage = stage;
        this.draftChanged = draftChanged;
        this.gesture = new Gesture(session, ended);
        this.photo = new PhotoGestures(session, stage, gesture, this::begin, draftChanged, say);
    }

    /** Whether a gesture is in progress. */
    public boolean isBusy() {
        return gesture.isBusy();
    }

    /** Whether a gesture goes on until the hand lets go. */
    public boolean isHeld() {
        return gesture.isHeld();
    }

    /** What can be done to the photo, whatever its crop. */
    public PhotoGestures photo() {
        return photo;
    }

    /** Makes the gesture in progress, if there is one, an edit. */
    public void finish() {
        gesture.end();
    }

    /** The hand lets go of what it is at, which becomes an edit as soon as what goes along with it is worked out. */
    public void letGo() {
        gesture.letGo();
    }

    private boolean begin(Edit.Kind kind) {
        if (gesture.isHeld() || gesture.isEnding()) {
            gesture.end();
        }
        if (stage.projection().isPresent()) {
            session.crop().ifPresent(crop -> gesture.begin(crop, kind));
        }
        return gesture.is(kind);
    }

    /** Begins what goes on until the hand lets go; false if there is no crop. */
    boolean hold(Edit.Kind kind) {
        boolean hasBegun = begin(kind);
        if (hasBegun) {
            gesture.hold();
            free = gesture.crop();
        }
        return hasBegun;
    }

    private Outline outline() {
        return gesture.start().outline();
    }

    /** Where a handle of the crop lies on the stage while a gesture is in progress. */
    Point placeOf(Handle handle) {
        return stage.projection()
                .orElseThrow()
                .toScreen(handle.on(gesture.crop(), outline().angle()));
    }

    /** Slides on by a way of the pointer, in screen pixels. */
    void slideWith(Point way) {
        // The photo goes with the pointer, so the crop goes the other way over it; or the crop goes with the pointer.
        double scale = stage.projection().orElseThrow().scale();
        free = Slide.by(outline(), free, way.times((stage.holdsPhoto() ? 1 : -1) / scale));
        slideTo(outline().isReaching() ? new CatchEdge(outline(), CATCHES / scale).slid(free) : free);
    }

    private void slideTo(Crop crop) {
        gesture.setCrop(crop);
        stage.slide(crop);
        tell();
    }

    /** Slides by pixels of the result. */
    public void slide(Point pixels) {
        if (!gesture.isHeld() && begin(Edit.Kind.SLIDE)) {
            slideTo(Slide.by(outline(), gesture.crop(), pixels.times(resultPixel())));
            gesture.rest();
        }
    }

    /** Brings a handle to a place of the photo. */
    void resize(Handle handle, Point to, Resize.Anchor anchor, boolean keepsRatio) {
        boolean keeps = !session.format().ratio().isFree() || keepsRatio;
        double within = CATCHES / stage.projection().orElseThrow().scale();
        resizeTo(new Resize(outline(), gesture.start().crop(), handle, anchor, keeps)
                .catching(within)
                .turningTo(to));
    }

    /** Moves the side or corner of a handle by pixels of the result. */
    public void moveSide(Handle handle, Point pixels) {
        if (!gesture.isHeld() && begin(Edit.Kind.RESIZE)) {
            Crop crop = gesture.crop();
            Angle angle = outline().angle();
            Point to = handle.on(crop, angle).plus(angle.toPhoto(pixels.times(resultPixel())));
            boolean keeps = !session.format().ratio().isFree();
            resizeTo(new Resize(outline(), crop, handle, Resize.Anchor.OPPOSITE, keeps).to(to));
            gesture.rest();
        }
    }

    private void resizeTo(Crop resized) {
        gesture.setCrop(resized);
        stage.resize(resized);
        tell();
    }

    /** How many of the photo's pixels make one of the result's. */
    private double resultPixel() {
        Crop crop = gesture.crop();
        return crop.size().width() / session.format().size().pixels(crop.size()).width();
    }

    /** Tightens by notches of the wheel, or loosens by a negative number, about a place of the stage. */
    void tighten(double notches, Point place) {
        if (begin(Edit.Kind.TIGHTEN)) {
            boolean isOnCrop = stage.frame()
                    .map(frame -> frame.contains(place.x(), place.y()))
                    .orElse(false);
            Point about = isOnCrop
                    ? stage.projection().orElseThrow().toPlane(place)
                    : gesture.crop().centre();
            tightenAbout(about, notches);
        }
    }

    /** Tightens by a step, or loosens by a negative one. */
    public void tighten(int steps) {
        if (!gesture.isHeld() && begin(Edit.Kind.TIGHTEN)) {
            tightenAbout(gesture.crop().centre(), steps);
        }
    }

    private void tightenAbout(Point about, double notches) {
        gesture.setCrop(Tighten.about(outline(), gesture.crop(), about, Math.pow(NOTCH_FACTOR, notches)));
        stage.fit(gesture.crop());
        tell();
        gesture.rest();
    }

    /** Shows a crop being found by a tool, as part of one gesture. */
    public void draft(Edit.Kind what, Crop found) {
        if (begin(what)) {
            resizeTo(found);
        }
    }

    private void tell() {
        draftChanged.accept(gesture.shown());
    }

    /** Turns the crop wide or tall. */
    public void turnCrop() {
        finish();
        session.crop().ifPresent(crop -> commit(Edit.Kind.TURN_CROP, TurnCrop.turn(crop.outline(), crop.crop())));
    }

    /** Turns the crop so that it lies a given way, if it does not yet. */
    public void turnCrop(Orientation lying) {
        session.crop().filter(crop -> crop.crop().size().orientation() != lying).ifPresent(crop -> turnCrop());
    }

    /** Makes the crop the largest of its shape, centred. */
    public void largest() {
        finish();
        session.crop()
                .ifPresent(crop -> commit(
                        Edit.Kind.LARGEST,
                        crop.outline().untouched(crop.crop().size().ratio())));
    }

    /** Makes a crop the one of the photo worked on, as one edit. */
    public void commit(Edit.Kind what, Crop to) {
        finish();
        Optional<PhotoCrop> from = session.crop();
        from.ifPresent(crop -> session.edit(
                what,
                shoot -> new Adjust(shoot, crop.photo().file(), crop.format().id()).to(to)));
    }
}
