package nexa.desktop.stage;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.animation.AnimationTimer;
import javafx.beans.value.ObservableValue;
import javafx.scene.control.Label;
import javafx.scene.image.ImageView;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.Rectangle;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Photo;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.desktop.picture.DevicePixels;
import nexa.desktop.picture.Images;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.pictures.Picture;
import nexa.imaging.pictures.PictureLevel;
import nexa.imaging.pictures.PictureLibrary;
import nexa.imaging.work.Ticket;
import nexa.imaging.work.Urgency;

/**
 * The part of the easel where the photo lies. Usually the crop holds still in the middle and the photo moves under it;
 * only while a handle is dragged does the photo stay, and afterwards it settles so that the crop fills the stage again. The
 * photo can be made to hold still instead, all of it in sight, with the crop moving over it. Zoomed in past that, nothing
 * settles, and the view can be moved.
 */
public final class PhotoStage extends Region {
    private static final double MARGIN = 26;
    /** Keeps the words below the crop clear of its corner's handle. */
    private static final double BESIDE_HANDLE = 12;

    /** Screen pixels a photo pixel, at the most. */
    private static final double LARGEST_SCALE = 8;

    private static final double SETTLE_NANOS = 150e6;
    private static final double POINTER = 9;
    /** While every frame is another drawing, none is larger or finer than need be. */
    private static final StagePicture.Detail MOVING = new StagePicture.Detail(0, 1);

    private final PictureLibrary library;
    private final StagePicture renderer = new StagePicture();
    private final DrawnAhead ahead = new DrawnAhead(renderer);
    private final ImageView picture = new ImageView();
    private final CropOverlay overlay;
    private final Path pointer =
            new Path(new MoveTo(-POINTER, 0), new LineTo(POINTER, 0), new MoveTo(0, -POINTER), new LineTo(0, POINTER));
    private final Label kept = Parts.label("", "stage-tag");
    private final Label waiting = Parts.label("", "quiet", "stage-waiting");
    private Optional<PhotoCrop> base = Optional.empty();
    private Optional<StagePicture.Drawing> drawing = Optional.empty();
    private Sources sources = Sources.NONE;
    private Optional<Projection> shown = Optional.empty();
    private Crop shownCrop;
    private boolean isUncropped;
    private boolean holdsPhoto;
    private boolean isZoomed;
    /** While every frame is another drawing, none is drawn larger than the stage. */
    private boolean isTurning;

    private Projection wanted;
    private Crop wantedCrop;
    private boolean hasAskedForFull;
    /** What is still to be read of the photo shown, and of its neighbours by file. */
    private final List<Ticket> reading = new ArrayList<>();

    private final Map<String, Ticket> readingAhead = new HashMap<>();
    private final ObservableValue<Double> density = DevicePixels.at(this);
    private AnimationTimer settling;

    public PhotoStage(PictureLibrary library, Consumer<StackPane> prepareHandle) {
        this.library = library;
        this.overlay = new CropOverlay(prepareHandle);
        getStyleClass().add("stage");
        picture.setManaged(false);
        picture.setMouseTransparent(true);
        kept.setMouseTransparent(true);
        overlay.setVisible(false);
        kept.setVisible(false);
        pointer.getStyleClass().add("key-pointer");
        pointer.setManaged(false);
        pointer.setMouseTransparent(true);
        pointer.setVisible(false);
        getChildren().addAll(picture, overlay, kept, waiting, pointer);
        Rectangle clip = new Rectangle();
        clip.widthProperty().bind(widthProperty());
        clip.heightProperty().bind(heightProperty());
        setClip(clip);
        density.addListener((observed, before, now) -> drawForScreen());
    }

    /** The window has come to a screen of another density. */
    private void drawForScreen() {
        if (shown.isPresent()) {
            draw(shown.get(), shownCrop);
        }
    }

    public CropOverlay overlay() {
        return overlay;
    }

    /** How the photo lies at this moment, if there is one. */
    public Optional<Projection> projection() {
        return shown;
    }

    /** Shows a photo with its crop. The same photo glides there; another one is there at once, when it has been read. */
    public void show(PhotoCrop crop) {
        boolean isSame = base.map(before -> before.photo().hasSamePictureAs(crop.photo()))
                .orElse(false);
        base = Optional.of(crop);
        isTurning = false;
        if (!isSame) {
            isZoomed = false;
            stopReading();
            sources = library.finestReady(crop.photo()).map(Sources.NONE::with).orElse(Sources.NONE);
            forgetDrawing();
            takeDrawnAhead(crop);
            askFor(crop.photo(), PictureLevel.PREVIEW);
        }
        if (!sources.isEmpty() && hasSize()) {
            Projection home = home(crop.crop());
            if (isSame && shown.isPresent() && shown.get().angle().equals(home.angle())) {
                glide(home, crop.crop());
            } else {
                aim(home, crop.crop());
            }
        }
    }

    /** Makes a photo that is likely to be shown next ready to be there at once. */
    public void prepare(PhotoCrop next) {
        Optional<Picture> preview = library.ifReady(next.photo(), PictureLevel.PREVIEW);
        if (preview.isEmpty()) {
            readingAhead.computeIfAbsent(
                    next.photo().file(),
                    file -> library.readAhead(next.photo(), PictureLevel.PREVIEW, () -> prepareIfStillNext(next)));
        } else if (hasSize()) {
            ahead.draw(next.photo(), preview.get(), atRest(next), density.getValue());
        }
    }

    /** The photo may have been left behind, or its crop changed, while it was read. */
    private void prepareIfStillNext(PhotoCrop next) {
        boolean isStillNext = readingAhead.remove(next.photo().file()) != null;
        if (base.isPresent() && isStillNext) {
            prepare(next);
        }
    }

    /** What nobody waits for any more would keep others waiting, and take the memory of what is wanted next. */
    private void stopReading() {
        reading.forEach(Ticket::cancel);
        reading.clear();
        readingAhead.values().forEach(Ticket::cancel);
        readingAhead.clear();
    }

    private void takeDrawnAhead(PhotoCrop crop) {
        if (hasSize()) {
            ahead.find(crop.photo(), atRest(crop), density.getValue()).ifPresent(drawn -> {
                sources = sources.with(drawn.source());
                show(drawn.drawing());
            });
        }
    }

    /** Where the photo goes when nothing moves it. */
    private Projection home(Crop crop) {
        if (isZoomed && shown.isPresent()) {
            Projection now = shown.get();
            return new Projection(stage(), now.middle(), now.scale(), angle());
        }
        return holdsPhoto ? Projection.whole(stage(), MARGIN, base.orElseThrow().outline()) : fitting(crop);
    }

    /** Where a photo lies that nobody has moved or zoomed. */
    private Projection atRest(PhotoCrop crop) {
        return holdsPhoto
                ? Projection.whole(stage(), MARGIN, crop.outline())
                : Projection.fitting(stage(), MARGIN, crop.crop(), crop.photo().angle());
    }

    /** Shows that there is no photo to work on, and why. */
    public void showNothing(String why) {
        base = Optional.empty();
        sources = Sources.NONE;
        stopReading();
        forgetDrawing();
        waiting.setText(why);
    }

    private void forgetDrawing() {
        stopGliding();
        renderer.forget();
        hasAskedForFull = false;
        drawing = Optional.empty();
        shown = Optional.empty();
        picture.setImage(null);
        overlay.setVisible(false);
        kept.setVisible(false);
        waiting.setText(Words.get("easel.reading"));
        waiting.setVisible(true);
    }

    /** The photo slides under the crop, which stays where it is; or the crop over the photo, if that holds still. */
    public void slide(Crop draft) {
        stopGliding();
        shown.ifPresent(now -> {
            Point way = holdsPhoto ? Point.ORIGIN : draft.centre().minus(shownCrop.centre());
            aim(new Projection(now.stage(), now.middle().plus(way), now.scale(), now.angle()), draft);
        });
    }

    /** The crop changes over the photo, which stays where it is. */
    public void resize(Crop draft) {
        stopGliding();
        shown.ifPresent(now -> aim(now, draft));
    }

    /** The photo changes under the crop, which stays as large as it is. */
    public void fit(Crop draft) {
        stopGliding();
        if (hasSize()) {
            aim(home(draft), draft);
        }
    }

    /** The photo turns. */
    public void turn(PhotoCrop draft) {
        stopGliding();
        base = Optional.of(draft);
        isTurning = true;
        if (!hasSize() || shown.isEmpty()) {
            return;
        }
        Projection now = shown.get();
        Projection turned = isZoomed
                ? Projection.with(stage(), shownCrop.centre(), now.toScreen(shownCrop.centre()), now.scale(), angle())
                : home(draft.crop());
        aim(turned, draft.crop());
    }

    /** Whether the crop moves over a photo that holds still, rather than the photo under the crop. */
    public void setHoldsPhoto(boolean photo) {
        holdsPhoto = photo;
        isZoomed = false;
        base.filter(crop -> shown.isPresent()).ifPresent(crop -> glide(home(crop.crop()), crop.crop()));
    }

    public boolean holdsPhoto() {
        return holdsPhoto;
    }

    boolean isZoomed() {
        return isZoomed;
    }

    /** All in sight again, or the photo's pixels as they are with the point under the pointer held. */
    public void toggleZoom(Point pointer) {
        if (isZoomed) {
            isZoomed = false;
            base.filter(crop -> shown.isPresent()).ifPresent(crop -> glide(home(crop.crop()), crop.crop()));
        } else {
            shown.ifPresent(now -> zoomTo(1 / getScene().getWindow().getRenderScaleX(), pointer));
        }
    }

    /** Zooms the view about a point of the stage. Back at the size that fits, it fits again. */
    public void zoomBy(double factor, Point pointer) {
        shown.ifPresent(now -> zoomTo(now.scale() * factor, pointer));
    }

    private void zoomTo(double scale, Point pointer) {
        stopGliding();
        Projection now = shown.orElseThrow();
        isZoomed = false;
        Projection home = home(shownCrop);
        double next = Math.min(LARGEST_SCALE, scale);
        if (next <= home.scale()) {
            aim(home, shownCrop);
        } else {
            isZoomed = true;
            aim(Projection.with(now.stage(), now.toPhoto(pointer), pointer, next, now.angle()), shownCrop);
        }
    }

    /** Moves the view by screen pixels, the crop staying where it is on the photo. */
    public void pan(Point way) {
        stopGliding();
        shown.ifPresent(now -> {
            isZoomed = true;
            Point middle = now.middle().minus(now.angle().toPhoto(way.times(1 / now.scale())));
            aim(new Projection(now.stage(), middle, now.scale(), now.angle()), shownCrop);
        });
    }

    private Size stage() {
        return new Size(getWidth(), getHeight());
    }

    private Angle angle() {
        return base.orElseThrow().photo().angle();
    }

    /** Shows where the keys have moved the pointer to; empty while the mouse does it. */
    public void showPointer(Optional<Point> at) {
        pointer.setVisible(at.isPresent());
        at.ifPresent(point -> pointer.relocate(point.x() - POINTER, point.y() - POINTER));
    }

    /** Nothing but the crop, on the surround; or everything again. */
    public void setBare(boolean bare) {
        if (shown.isPresent()) {
            Rectangle frame = frame();
            picture.setClip(bare ? frameOnPicture(frame) : null);
            kept.setVisible(!bare);
        }
    }

    private Rectangle frameOnPicture(Rectangle frame) {
        return new Rectangle(
                Math.round(frame.getX() - picture.getLayoutX()),
                Math.round(frame.getY() - picture.getLayoutY()),
                Math.round(frame.getWidth()),
                Math.round(frame.getHeight()));
    }

    /** The whole photo without its crop while held, or the crop again. */
    public void setUncropped(boolean uncropped) {
        isUncropped = uncropped;
        overlay.setVisible(!uncropped && shown.isPresent());
        kept.setVisible(overlay.isVisible());
        base.ifPresent(crop -> {
            aim(uncropped ? Projection.whole(stage(), MARGIN, crop.outline()) : home(crop.crop()), crop.crop());
        });
    }

    private Projection fitting(Crop crop) {
        return Projection.fitting(stage(), MARGIN, crop, angle());
    }

    private boolean hasSize() {
        return getWidth() > 1 && getHeight() > 1;
    }

    private void glide(Projection target, Crop crop) {
        stopGliding();
        Projection from = shown.orElseThrow();
        if (from.equals(target)) {
            aim(target, crop);
            return;
        }
        settling = new AnimationTimer() {
            private long began;

            @Override
            public void handle(long now) {
                began = began == 0 ? now : began;
                double share = Math.min(1, (now - began) / SETTLE_NANOS);
                double eased = share * share * (3 - 2 * share);
                if (share == 1) {
                    stopGliding();
                }
                aim(share == 1 ? target : from.towards(target, eased), crop);
            }
        };
        settling.start();
    }

    private void stopGliding() {
        if (settling != null) {
            settling.stop();
            settling = null;
        }
    }

    /** Brings the photo to a projection: by shifting what is drawn where that will do, else by drawing it anew. */
    private void aim(Projection target, Crop crop) {
        wanted = target;
        wantedCrop = crop;
        if (drawing.isPresent() && target.isShiftOf(drawing.get().projection()) && reaches(target)) {
            present(target, crop);
            if (isFarFrom(target)) {
                draw(target, crop);
            }
        } else {
            draw(target, crop);
        }
    }

    private Point shiftFor(Projection target) {
        return target.toScreen(drawing.orElseThrow().projection().middle())
                .minus(new Point(target.stage().width() / 2, target.stage().height() / 2));
    }

    private boolean reaches(Projection target) {
        Point shift = shiftFor(target);
        double beyond = drawing.orElseThrow().beyond();
        return Math.abs(shift.x()) <= beyond * target.stage().width()
                && Math.abs(shift.y()) <= beyond * target.stage().height();
    }

    private boolean isFarFrom(Projection target) {
        Point shift = shiftFor(target);
        boolean isBare = drawing.orElseThrow().beyond() == 0 && !isTurning;
        return isBare
                || Math.abs(shift.x()) > StagePicture.BEYOND / 2 * target.stage().width()
                || Math.abs(shift.y()) > StagePicture.BEYOND / 2 * target.stage().height();
    }

    private void draw(Projection target, Crop crop) {
        if (sources.isEmpty()) {
            return;
        }
        boolean isMoving = isTurning || settling != null;
        StagePicture.Detail detail = isMoving ? MOVING : new StagePicture.Detail(StagePicture.BEYOND, density.getValue());
        Photo photo = base.orElseThrow().photo();
        Picture source = sources.forWidth(
                        target.scale() * detail.density() * photo.size().width())
                .orElseThrow();
        renderer.draw(source, photo, target, detail, done -> {
            show(done);
            // What is wanted may have moved on meanwhile; where a shift brings it there, no step back is seen.
            boolean isThere = wanted.isShiftOf(target) && reaches(wanted);
            present(isThere ? wanted : target, isThere ? wantedCrop : crop);
        });
        readFinerIfNeeded(target);
    }

    private void show(StagePicture.Drawing done) {
        drawing = Optional.of(done);
        picture.setImage(Images.of(done.picture()));
        picture.setFitWidth(done.picture().width() / done.density());
        picture.setFitHeight(done.picture().height() / done.density());
    }

    /** Puts what is drawn, and the overlay, in their places. */
    private void present(Projection target, Crop crop) {
        shown = Optional.of(target);
        shownCrop = crop;
        Point shift = shiftFor(target);
        double beyond = drawing.orElseThrow().beyond();
        picture.setLayoutX(onPixel(shift.x() - beyond * target.stage().width()));
        picture.setLayoutY(onPixel(shift.y() - beyond * target.stage().height()));
        waiting.setVisible(false);
        overlay.setVisible(!isUncropped);
        kept.setVisible(!isUncropped);
        layOverlay();
    }

    /** The nearest place that is a whole pixel of the screen. */
    private double onPixel(double place) {
        return Math.round(place * density.getValue()) / density.getValue();
    }

    private void layOverlay() {
        shown.ifPresent(now -> {
            Rectangle frame = frame();
            overlay.lay(frame, now, base.orElseThrow().outline());
            double share =
                    shownCrop.size().area() / base.orElseThrow().outline().area();
            kept.setText(Words.get("easel.kept", Words.number(100 * share, 0)));
            kept.autosize();
            double below = Math.min(frame.getY() + frame.getHeight(), getHeight() - kept.getHeight() - 2);
            kept.relocate(Math.round(frame.getX() + BESIDE_HANDLE), Math.round(below));
        });
    }

    /** Where the crop lies in the stage. */
    public Rectangle frame() {
        Projection now = shown.orElseThrow();
        Point middle = now.toScreen(shownCrop.centre());
        double width = shownCrop.size().width() * now.scale();
        double height = shownCrop.size().height() * now.scale();
        return new Rectangle(middle.x() - width / 2, middle.y() - height / 2, width, height);
    }

    private void readFinerIfNeeded(Projection target) {
        Photo photo = base.orElseThrow().photo();
        Picture finest = sources.finest().orElseThrow();
        boolean isWhole = finest.width() >= photo.size().width();
        boolean isPreview = Math.max(finest.width(), finest.height()) > PictureLevel.PRINT.longSide();
        double width = target.scale() * density.getValue() * photo.size().width();
        if (sources.isTooCoarseFor(width) && isPreview && !isWhole && !hasAskedForFull) {
            hasAskedForFull = true;
            askFor(photo, PictureLevel.FULL);
        }
    }

    private void askFor(Photo photo, PictureLevel level) {
        reading.add(library.photo(photo, level, Urgency.NOW, new PictureLibrary.Listener() {
            @Override
            public void ready(Picture read) {
                take(photo, read);
            }

            @Override
            public void failed(PhotoProblem problem) {
                if (isShowing(photo)) {
                    showNothing(Words.say(problem));
                }
            }
        }));
    }

    private boolean isShowing(Photo photo) {
        return base.map(crop -> crop.photo().hasSamePictureAs(photo)).orElse(false);
    }

    private void take(Photo photo, Picture read) {
        boolean isFiner =
                sources.finest().map(now -> now.width() < read.width()).orElse(true);
        if (!isShowing(photo) || !isFiner || !hasSize()) {
            return;
        }
        sources = sources.with(read);
        if (shown.isPresent()) {
            draw(shown.get(), shownCrop);
        } else {
            aim(home(base.orElseThrow().crop()), base.orElseThrow().crop());
        }
    }

    @Override
    protected void layoutChildren() {
        overlay.resizeRelocate(0, 0, getWidth(), getHeight());
        waiting.autosize();
        waiting.relocate(
                Math.round((getWidth() - waiting.getWidth()) / 2), Math.round((getHeight() - waiting.getHeight()) / 2));
        Size now = hasSize() ? stage() : null;
        boolean isNewSize =
                shown.map(projection -> !projection.stage().equals(now)).orElse(true);
        if (now != null && base.isPresent() && !sources.isEmpty() && isNewSize) {
            stopGliding();
            isZoomed = false;
            aim(home(base.get().crop()), base.get().crop());
        }
    }

    public void dispose() {
        stopGliding();
        stopReading();
        renderer.dispose();
    }
}
