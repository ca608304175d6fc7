package nexa.desktop.stage;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.value.ObservableValue;
import javafx.scene.image.ImageView;
import javafx.scene.shape.Rectangle;
import nexa.core.geometry.Point;
import nexa.core.series.FillPlan;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Photo;
import nexa.desktop.picture.Images;
import nexa.imaging.pictures.OutsidePicture;
import nexa.imaging.pictures.Picture;

/** What is drawn of the photo on the stage: shifted where that will do, else drawn anew. */
final class StageDrawing {
    /** While every frame is another drawing, none is larger or finer than need be. */
    private static final StagePicture.Detail MOVING = new StagePicture.Detail(0, 1);

    private static final int MOST_AHEAD = 3;

    /** A photo as it was drawn before it is shown. */
    private record DrawnAhead(Photo photo, Picture source, StagePicture.Drawing drawing) {
        private boolean isOf(Photo other, Pose lying, double density) {
            return drawing.shows(other, lying, Optional.empty())
                    && drawing.projection().equals(lying.projection())
                    && drawing.density() == density;
        }
    }

    private final StagePicture renderer = new StagePicture();
    /** The neighbours of the photo on the stage, drawn before they are shown; only the last few. */
    private final Map<String, DrawnAhead> ahead = new LinkedHashMap<>();

    private final ImageView node = new ImageView();
    private final StageReading reading;
    private final StageAround around;
    private final ObservableValue<Double> density;
    private final Consumer<Pose> presented;
    private Optional<StagePicture.Drawing> drawing = Optional.empty();
    /** How the photo is to lie, which may not be drawn yet. */
    private Pose wanted;

    private boolean isWhole;

    /**
     * Nothing drawn yet.
     *
     * @param density pixels of the screen along one of the stage's
     * @param presented hears how the photo lies whenever that has changed
     */
    StageDrawing(StageReading reading, StageAround around, ObservableValue<Double> density, Consumer<Pose> presented) {
        this.reading = reading;
        this.around = around;
        this.density = density;
        this.presented = presented;
        node.setManaged(false);
        node.setMouseTransparent(true);
    }

    ImageView node() {
        return node;
    }

    /** Draws a photo in the background as it will lie, unless it is drawn so already. */
    void drawAhead(Photo next, Picture preview, Pose lying) {
        double now = density.getValue();
        if (drawnAhead(next, lying, now).isEmpty()) {
            renderer.drawAhead(preview, next, lying, now, done -> keep(new DrawnAhead(next, preview, done)));
        }
    }

    private void keep(DrawnAhead drawn) {
        ahead.remove(drawn.photo().file());
        ahead.put(drawn.photo().file(), drawn);
        if (ahead.size() > MOST_AHEAD) {
            ahead.remove(ahead.keySet().iterator().next());
        }
    }

    private Optional<DrawnAhead> drawnAhead(Photo photo, Pose lying, double now) {
        return Optional.ofNullable(ahead.get(photo.file())).filter(drawn -> drawn.isOf(photo, lying, now));
    }

    /** Takes what was drawn ahead of a photo, if it was drawn to lie just so. */
    void takeDrawnAhead(Photo photo, Pose lying) {
        drawnAhead(photo, lying, density.getValue()).ifPresent(drawn -> {
            reading.add(drawn.source());
            show(drawn.drawing());
        });
    }

    /** Nothing of the photo is shown any more. */
    void forget() {
        renderer.forget();
        around.forget();
        drawing = Optional.empty();
        node.setImage(null);
    }

    /**
     * Brings the photo to where it is to lie.
     *
     * @param isMoving whether every frame is another drawing
     */
    void aim(PhotoCrop base, Pose target, boolean isMoving) {
        Photo photo = base.photo();
        wanted = target;
        Optional<OutsidePicture> beyond = beyond(base, target);
        boolean isShift =
                drawing.filter(drawn -> drawn.shows(photo, target, beyond)).isPresent()
                        && target.projection().isShiftOf(drawing.get().projection())
                        && reaches(target.projection());
        if (isShift) {
            present(target);
        }
        if (!isShift || isFarFrom(target.projection(), isMoving)) {
            // Where only the edge is that of the crop before, the crop is on its way: that is as good as moving.
            boolean isOnlyEdge = !isShift
                    && drawing.filter(drawn -> drawn.isOf(photo) && !drawn.shows(photo, target, beyond))
                            .isPresent();
            draw(photo, target, beyond, isMoving || isOnlyEdge);
        }
    }

    /** Draws the photo anew as it is to lie, since there is a finer picture of it. */
    void drawAgain(PhotoCrop base, boolean isMoving) {
        draw(base.photo(), wanted, beyond(base, wanted), isMoving);
    }

    /** Whether the whole photo is shown, and nothing beyond it. */
    void setWhole(boolean whole) {
        isWhole = whole;
    }

    private Optional<OutsidePicture> beyond(PhotoCrop base, Pose target) {
        return isWhole ? Optional.empty() : around.of(FillPlan.of(base.withCrop(target.crop())));
    }

    /** Draws the photo anew, from the finest that is there of it. */
    private void draw(Photo photo, Pose target, Optional<OutsidePicture> beyond, boolean isMoving) {
        if (reading.sources().isEmpty()) {
            return;
        }
        StagePicture.Detail detail =
                isMoving ? MOVING : new StagePicture.Detail(StagePicture.BEYOND, density.getValue());
        Projection projection = target.projection();
        double width = projection.scale() * photo.size().width();
        Picture source = reading.sources().forWidth(width * detail.density()).orElseThrow();
        renderer.draw(source, photo, target, detail, beyond, done -> {
            show(done);
            // What is wanted may have moved on meanwhile; where a shift brings it there, no step back is seen.
            boolean isThere = wanted.projection().isShiftOf(projection) && reaches(wanted.projection());
            present(isThere ? wanted : target);
        });
        reading.readFinerFor(width * density.getValue());
    }

    private void show(StagePicture.Drawing done) {
        drawing = Optional.of(done);
        node.setImage(Images.of(done.picture()));
        node.setFitWidth(done.picture().width() / done.density());
        node.setFitHeight(done.picture().height() / done.density());
    }

    private void present(Pose target) {
        Projection to = target.projection();
        Point shift = shiftFor(to);
        double beyond = drawing.orElseThrow().beyond();
        node.setLayoutX(onPixel(shift.x() - beyond * to.stage().width()));
        node.setLayoutY(onPixel(shift.y() - beyond * to.stage().height()));
        presented.accept(target);
    }

    /** The nearest place that is a whole pixel of the screen. */
    private double onPixel(double place) {
        return Math.round(place * density.getValue()) / density.getValue();
    }

    /** Shows no more of it than a part of the stage; empty for all of it. */
    void clip(Optional<Rectangle> part) {
        node.setClip(part.map(frame -> new Rectangle(
                        Math.round(frame.getX() - node.getLayoutX()),
                        Math.round(frame.getY() - node.getLayoutY()),
                        Math.round(frame.getWidth()),
                        Math.round(frame.getHeight())))
                .orElse(null));
    }

    private Point shiftFor(Projection target) {
        return target.toScreen(drawing.orElseThrow().projection().middle())
                .minus(new Point(target.stage().width() / 2, target.stage().height() / 2));
    }

    private boolean reaches(Projection target) {
        return isWithin(target, drawing.orElseThrow().beyond());
    }

    private boolean isFarFrom(Projection target, boolean isMoving) {
        boolean hasNoEdge = drawing.orElseThrow().beyond() == 0 && !isMoving;
        return hasNoEdge || !isWithin(target, StagePicture.BEYOND / 2);
    }

    private boolean isWithin(Projection target, double share) {
        Point shift = shiftFor(target);
        return Math.abs(shift.x()) <= share * target.stage().width()
                && Math.abs(shift.y()) <= share * target.stage().height();
    }

    void dispose() {
        renderer.dispose();
    }
}
