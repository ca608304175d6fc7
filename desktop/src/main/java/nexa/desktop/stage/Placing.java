package nexa.desktop.stage;

import java.util.Optional;
import javafx.scene.layout.Region;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.series.PhotoCrop;

/** Where the photo goes on the stage: so that its crop fills it, all of it in sight, or as the view has been zoomed. */
final class Placing {
    private static final double MARGIN = 26;

    /** Screen pixels a photo pixel, at the most. */
    private static final double LARGEST_SCALE = 8;

    private final Region stage;
    private boolean holdsPhoto;
    private boolean hasLines;
    private boolean isZoomed;

    Placing(Region stage) {
        this.stage = stage;
    }

    Size size() {
        return new Size(stage.getWidth(), stage.getHeight());
    }

    boolean hasSize() {
        return stage.getWidth() > 1 && stage.getHeight() > 1;
    }

    boolean holdsPhoto() {
        return holdsPhoto || hasLines;
    }

    /** Whether lines on the photo are worked with, so that all of it is to be in sight. */
    boolean hasLines() {
        return hasLines;
    }

    void setHasLines(boolean lines) {
        hasLines = lines;
    }

    void setHoldsPhoto(boolean photo) {
        holdsPhoto = photo;
    }

    boolean isZoomed() {
        return isZoomed;
    }

    /** Nothing is zoomed any more. */
    void fitAgain() {
        isZoomed = false;
    }

    /** All of the photo, whatever its trim leaves. */
    Projection whole(PhotoCrop crop) {
        return Projection.whole(size(), MARGIN, crop.photo().edges());
    }

    /** Where a photo lies that nobody has moved or zoomed. */
    Pose atRest(PhotoCrop crop) {
        return new Pose(atRest(crop, crop.crop()), crop.crop());
    }

    private Projection atRest(PhotoCrop of, Crop crop) {
        return holdsPhoto()
                ? whole(of)
                : Projection.fitting(size(), MARGIN, crop, of.photo().angle());
    }

    /** Where a photo goes with a crop when nothing moves it; zoomed, it stays. */
    Projection home(PhotoCrop of, Crop crop, Optional<Pose> shown) {
        if (isZoomed && shown.isPresent()) {
            Projection now = shown.get().projection();
            return new Projection(size(), now.middle(), now.scale(), of.photo().angle());
        }
        return atRest(of, crop);
    }

    /** Turned about the middle of its crop, if it is zoomed. */
    Projection turned(PhotoCrop draft, Pose now) {
        Point about = now.crop().centre();
        Projection lying = now.projection();
        return isZoomed
                ? Projection.with(
                        size(),
                        about,
                        lying.toScreen(about),
                        lying.scale(),
                        draft.photo().angle())
                : atRest(draft, draft.crop());
    }

    /**
     * Zoomed about a point of the stage; where the photo fits again, it fits.
     *
     * @param scale screen pixels a photo pixel
     */
    Pose zoomed(PhotoCrop of, Pose now, double scale, Point pointer) {
        Projection lying = now.projection();
        Projection rest = atRest(of, now.crop());
        double next = Math.min(LARGEST_SCALE, scale);
        isZoomed = next > rest.scale();
        return now.with(
                isZoomed ? Projection.with(lying.stage(), lying.toPlane(pointer), pointer, next, lying.angle()) : rest);
    }

    /** Moved by screen pixels. */
    Pose panned(Pose now, Point way) {
        isZoomed = true;
        Projection lying = now.projection();
        return now.with(lying.movedTo(lying.middle().minus(lying.angle().toPhoto(way.times(1 / lying.scale())))));
    }

    /** Slid under its crop, which stays where it is on the stage; or the crop over the photo, if that holds still. */
    Pose slid(Pose now, Crop draft) {
        Point way =
                holdsPhoto() ? Point.ORIGIN : draft.centre().minus(now.crop().centre());
        Projection lying = now.projection();
        return new Pose(lying.movedTo(lying.middle().plus(way)), draft);
    }
}
