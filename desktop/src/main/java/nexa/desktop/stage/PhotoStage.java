package nexa.desktop.stage;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.value.ObservableValue;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.Rectangle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.series.PhotoCrop;
import nexa.desktop.parts.Words;
import nexa.desktop.picture.DevicePixels;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.pictures.PictureLibrary;

/**
 * Where the photo lies on the easel. Usually the crop holds still in the middle and the photo moves under it; only while a handle
 * is dragged does the photo stay, and afterwards it settles so that the crop fills the stage again. The photo can be made to hold
 * still instead, all of it in sight, with the crop moving over it. Zoomed in past that, nothing settles; the view can be moved.
 */
public final class PhotoStage extends Region {
    private final ObservableValue<Double> density = DevicePixels.at(this);
    private final Placing placing = new Placing(this);
    private final StageReading reading;
    private final StageDrawing drawing;
    private final StageNotes notes = new StageNotes(this);
    private final StageTools tools = new StageTools(notes);
    private final Gliding gliding = new Gliding(this::aim);
    private Optional<PhotoCrop> base = Optional.empty();
    private Optional<Pose> shown = Optional.empty();
    private boolean isTurning;

    public PhotoStage(PictureLibrary library) {
        this.reading = new StageReading(library, new Reading());
        this.drawing = new StageDrawing(reading, new StageAround(library, this::drawAnew), density, this::present);
        getStyleClass().add("stage");
        getChildren().add(drawing.node());
        getChildren().addAll(tools.nodes());
        getChildren().addAll(notes.nodes());
        Rectangle clip = new Rectangle();
        clip.widthProperty().bind(widthProperty());
        clip.heightProperty().bind(heightProperty());
        setClip(clip);
        density.addListener((observed, before, now) -> drawAnew());
    }

    private final class Reading implements StageReading.Listener {
        @Override
        public void finer() {
            if (shown.isPresent()) {
                drawAnew();
            } else if (placing.hasSize()) {
                aim(home());
            }
        }

        @Override
        public void failed(PhotoProblem problem) {
            showNothing(Words.say(problem));
        }
    }

    private void drawAnew() {
        shown.ifPresent(now -> drawing.drawAgain(base.orElseThrow(), isMoving()));
    }

    public CropOverlay overlay() {
        return tools.crop();
    }

    /** What is to be seen while a photo is trimmed. */
    public TrimOverlay trim() {
        return tools.trim();
    }

    /** Hears of every handle of a line that is made; each has its {@link LineEnds.End} as user data. */
    public void onLineEndMade(Consumer<StackPane> listener) {
        tools.lineEnds().onMade(listener);
    }

    /** Shows the lines that stay with the photo, in its pixels, with a handle at each end, and all of it; none for no lines. */
    public void showLines(List<Segment> lines) {
        tools.showLines(lines);
        if (placing.hasLines() == lines.isEmpty()) {
            placing.setHasLines(!lines.isEmpty());
            fitAgain();
        }
    }

    /** How the photo lies at this moment, if there is one. */
    public Optional<Projection> projection() {
        return shown.map(Pose::projection);
    }

    /** Where the crop lies on the stage, if there is one. */
    public Optional<Rectangle> frame() {
        return shown.map(Pose::frame);
    }

    /** Shows a photo with its crop. The same photo glides there; another one is there at once, when it has been read. */
    public void show(PhotoCrop crop) {
        boolean isSame = base.filter(before -> before.photo().hasSamePictureAs(crop.photo()))
                .isPresent();
        boolean isInSamePlane = isSame && base.orElseThrow().photo().hasSamePlaneAs(crop.photo());
        base = Optional.of(crop);
        isTurning = false;
        if (!isSame) {
            placing.fitAgain();
            reading.turnTo(crop.photo());
            forgetDrawing();
            if (placing.hasSize()) {
                drawing.takeDrawnAhead(crop.photo(), placing.atRest(crop));
            }
            reading.readPreview();
        }
        if (!reading.sources().isEmpty() && placing.hasSize()) {
            Pose home = home();
            gliding.go(projection().filter(from -> isInSamePlane && home.isTurnedAs(from)), home);
        }
    }

    /** Makes a photo that is likely to be shown next ready to be there at once. */
    public void prepare(PhotoCrop next) {
        reading.readAhead(next.photo(), preview -> {
            if (placing.hasSize()) {
                drawing.drawAhead(next.photo(), preview, placing.atRest(next));
            }
        });
    }

    /** Shows that there is no photo to work on, and why. */
    public void showNothing(String why) {
        base = Optional.empty();
        reading.stop();
        forgetDrawing();
        notes.say(why);
    }

    private void forgetDrawing() {
        gliding.stop();
        drawing.forget();
        shown = Optional.empty();
        tools.hide();
        notes.say(Words.get("easel.reading"));
    }

    /** The photo slides under the crop, which stays where it is; or the crop over the photo, if that holds still. */
    public void slide(Crop draft) {
        gliding.stop();
        shown.ifPresent(now -> aim(placing.slid(now, draft)));
    }

    /** The crop changes over the photo, which stays where it is. */
    public void resize(Crop draft) {
        gliding.stop();
        shown.ifPresent(now -> aim(now.with(draft)));
    }

    /** The photo changes under the crop, which stays as large as it is. */
    public void fit(Crop draft) {
        gliding.stop();
        if (placing.hasSize()) {
            aim(new Pose(placing.home(base.orElseThrow(), draft, shown), draft));
        }
    }

    /** The photo turns. */
    public void turn(PhotoCrop draft) {
        gliding.stop();
        base = Optional.of(draft);
        isTurning = true;
        if (placing.hasSize()) {
            shown.ifPresent(now -> aim(new Pose(placing.turned(draft, now), draft.crop())));
        }
    }

    /** Whether the crop moves over a photo that holds still, rather than the photo under the crop. */
    public void setHoldsPhoto(boolean photo) {
        placing.setHoldsPhoto(photo);
        fitAgain();
    }

    public boolean holdsPhoto() {
        return placing.holdsPhoto();
    }

    /** All in sight again, or the photo's pixels as they are with the point under the pointer held. */
    public void toggleZoom(Point pointer) {
        if (placing.isZoomed()) {
            fitAgain();
        } else {
            shown.ifPresent(now -> zoomTo(1 / getScene().getWindow().getRenderScaleX(), pointer));
        }
    }

    private void fitAgain() {
        placing.fitAgain();
        if (shown.isPresent()) {
            gliding.glide(shown.get().projection(), home());
        }
    }

    /** Zooms the view about a point of the stage. Back at the size that fits, it fits again. */
    public void zoomBy(double factor, Point pointer) {
        shown.ifPresent(now -> zoomTo(now.projection().scale() * factor, pointer));
    }

    private void zoomTo(double scale, Point pointer) {
        gliding.stop();
        aim(placing.zoomed(base.orElseThrow(), shown.orElseThrow(), scale, pointer));
    }

    /** Moves the view by screen pixels, the crop staying where it is on the photo. */
    public void pan(Point way) {
        gliding.stop();
        shown.ifPresent(now -> aim(placing.panned(now, way)));
    }

    /** Shows where the keys have moved the pointer to; empty while the mouse does it. */
    public void showPointer(Optional<Point> at) {
        notes.showPointer(at);
    }

    /** Nothing but the crop, on the surround; or everything again. */
    public void setBare(boolean bare) {
        shown.ifPresent(now -> {
            drawing.clip(bare ? Optional.of(now.frame()) : Optional.empty());
            notes.setKeptShown(!bare);
        });
    }

    /** The whole photo without its crop while held, or the crop again. */
    public void setUncropped(boolean uncropped) {
        tools.setUncropped(uncropped);
        drawing.setWhole(tools.showWhole());
        base.ifPresent(crop -> aim(home()));
    }

    /** The whole photo with the sides of its trim, or the crop again. */
    public void setTrimming(boolean on) {
        tools.setTrimming(on);
        drawing.setWhole(tools.showWhole());
        base.ifPresent(crop -> aim(home()));
    }

    /** The sides of the trim lie elsewhere. */
    public void trim(PhotoCrop draft) {
        gliding.stop();
        base = Optional.of(draft);
        shown.ifPresent(now -> aim(new Pose(now.projection(), draft.crop())));
    }

    /** While every frame is another drawing, none is drawn larger than the stage. */
    private boolean isMoving() {
        return isTurning || gliding.isOn();
    }

    /** Where the photo goes when nothing moves it. */
    private Pose home() {
        PhotoCrop now = base.orElseThrow();
        if (tools.showWhole()) {
            return new Pose(placing.whole(now), now.crop());
        }
        return new Pose(placing.home(now, now.crop(), shown), now.crop());
    }

    private void aim(Pose target) {
        drawing.aim(base.orElseThrow(), target, isMoving());
    }

    private void present(Pose now) {
        shown = Optional.of(now);
        tools.lay(now, base.orElseThrow());
    }

    @Override
    protected void layoutChildren() {
        tools.fill(this);
        notes.layOut();
        boolean isNewSize = placing.hasSize()
                && projection().map(now -> !now.stage().equals(placing.size())).orElse(true);
        if (isNewSize && base.isPresent() && !reading.sources().isEmpty()) {
            gliding.stop();
            placing.fitAgain();
            aim(home());
        }
    }

    public void dispose() {
        gliding.stop();
        reading.stop();
        drawing.dispose();
    }
}
