package nexa.core.series;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.format.Format;
import nexa.core.format.OutputSize;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shape.Margins;
import nexa.core.shape.Plane;
import nexa.core.shoot.Photo;

/**
 * The crop a photo has in a format.
 *
 * @param isLimited whether the photo's edges kept a follower from what its lead asks for
 */
public record PhotoCrop(Photo photo, Format format, State state, Crop crop, boolean isLimited, List<Warning> warnings) {
    private static final double ROUNDING = 1e-9;

    /** Where the crop comes from. */
    public enum State {
        UNTOUCHED,
        LEAD,
        FOLLOW,
        TUNED,
        OWN
    }

    /** What a photographer should know of a crop. */
    public enum Warning {
        /** The stored size was off the format's ratio by more than 0.1 % and was brought to it. */
        RATIO_MENDED,
        /** The result needs more pixels than the crop has. */
        TOO_FEW_PIXELS,
        /** The subject lies outside the crop, or is cut by its edge. */
        SUBJECT_CUT
    }

    public PhotoCrop {
        warnings = List.copyOf(warnings);
    }

    /** The same with another crop. */
    public PhotoCrop withCrop(Crop other) {
        return new PhotoCrop(photo, format, state, other, false, List.of());
    }

    /** What it has to stay inside, or how far it may reach beyond. */
    public Outline outline() {
        return photo.outline(format);
    }

    public boolean isDone() {
        return photo.entry(format.id()).isDone();
    }

    /** The share of the photo that is kept, above 0 and at most 1. */
    public double kept() {
        return Math.min(1, crop.size().area() * (1 - beyond()) / outline().area());
    }

    /** The share of the crop that is not photo, 0 … 1. */
    public double beyond() {
        return photo.mayReach(format) ? photo.plane().shareOutside(crop, photo.remaining()) : 0;
    }

    /** Whether it lies as far out as it may. */
    public boolean isAtLimit() {
        return beyond() > 0 && !outline().contains(crop, -1);
    }

    /** How far the crop reaches beyond what counts of its photo. */
    public Margins margins() {
        return photo.mayReach(format) ? photo.plane().margins(crop, photo.remaining()) : Margins.NONE;
    }

    /** How well what lies beyond will pass for photo; empty where nothing does, and where nobody can tell. */
    public Optional<Passing> passing() {
        return FillPlan.of(this).flatMap(Passing::of);
    }

    /** Where the crop's corners lie in the photo, in its pixels; from the top left clockwise as seen on screen. */
    public List<Point> photoCorners() {
        Plane plane = photo.plane();
        return crop.corners(photo.angle()).stream().map(plane::toPhoto).toList();
    }

    /** The size in pixels that the format asks for. */
    public PixelSize asked() {
        return format.size().pixels(crop.size());
    }

    /** The result's size in pixels: what is asked for, or the crop's own pixels where those are too few to reach it and the
     * format never enlarges. */
    public PixelSize output() {
        return hasTooFewPixels() && !format.file().enlarges() ? PixelSize.nearest(effective()) : asked();
    }

    /**
     * How many pixels of the photo are in the crop, where it has the fewest: as many as the crop's own, unless the photo is
     * drawn out there.
     */
    public Size effective() {
        return crop.size().times(photo.plane().effective(crop));
    }

    /** Whether the format asks for more pixels than the crop has of the photo. */
    public boolean hasTooFewPixels() {
        if (format.size() instanceof OutputSize.AsCropped) {
            return false;
        }
        PixelSize asked = asked();
        Size there = effective();
        // Half a pixel is what rounding the result's size may add.
        return asked.width() > there.width() + 0.5 || asked.height() > there.height() + 0.5;
    }

    /** Whether the subject lies outside the crop, or its circle or box is cut by the crop's edge. */
    boolean cutsSubject() {
        return SubjectSpot.of(photo)
                .map(spot -> {
                    Point place = crop.placeOf(spot.at(), photo.angle());
                    Bounds reach = spot.reach();
                    boolean isIn = isIn(
                                    place.x(),
                                    reach.least().x(),
                                    reach.most().x(),
                                    crop.size().width())
                            && isIn(
                                    place.y(),
                                    reach.least().y(),
                                    reach.most().y(),
                                    crop.size().height());
                    return !isIn;
                })
                .orElse(false);
    }

    /** Whether what reaches so far around a place of the crop is in it; a box may end just where its photo does. */
    private static boolean isIn(double place, double least, double most, double length) {
        return place + least / length >= -ROUNDING && place + most / length <= 1 + ROUNDING;
    }

    /** The crop's pixels that an inch of paper gets before any enlarging; empty without a paper size. */
    public OptionalDouble ppi() {
        return ppi(crop.size());
    }

    /** The photo's pixels that an inch of paper gets, where the crop has the fewest; empty without a paper size. */
    public OptionalDouble effectivePpi() {
        return ppi(effective());
    }

    private OptionalDouble ppi(Size pixels) {
        return format.size()
                .inches(crop.size())
                .map(inches -> OptionalDouble.of(ppi(pixels, inches)))
                .orElse(OptionalDouble.empty());
    }

    private static double ppi(Size pixels, Size inches) {
        return Math.min(pixels.width() / inches.width(), pixels.height() / inches.height());
    }
}
