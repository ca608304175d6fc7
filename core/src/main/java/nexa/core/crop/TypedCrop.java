package nexa.core.crop;

import nexa.core.geometry.Crop;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;

/** A crop by typed numbers, in the photo's pixels. What is typed is a wish and settles like any other. */
public final class TypedCrop {
    /** What can be typed. Left and top are those of the top-left corner, as it lies in the photo. */
    public enum Field {
        WIDTH,
        HEIGHT,
        LEFT,
        TOP
    }

    private static final double MOVED = 1e-6;

    /** A crop, and whether the photo's edges kept it from being as typed. */
    public record Typed(Crop crop, boolean isLimited) {}

    private TypedCrop() {}

    /** What a crop's field is. */
    public static double value(Outline outline, Crop crop, Field field) {
        Point corner = crop.at(0, 0, outline.angle());
        return switch (field) {
            case WIDTH -> crop.size().width();
            case HEIGHT -> crop.size().height();
            case LEFT -> corner.x();
            case TOP -> corner.y();
        };
    }

    /**
     * The crop with one field as typed. A width or height keeps the top-left corner where the photo lets it.
     *
     * @param keepsRatio whether the other side follows
     * @throws IllegalArgumentException for a width or height of 0 or less, NaN and infinities
     */
    public static Typed type(Outline outline, Crop crop, Field field, double value, boolean keepsRatio) {
        Point corner = crop.at(0, 0, outline.angle());
        Size size = crop.size();
        Crop wish = switch (field) {
            case WIDTH -> sized(outline, corner, new Size(value, keepsRatio ? value / size.ratio() : size.height()));
            case HEIGHT -> sized(outline, corner, new Size(keepsRatio ? value * size.ratio() : size.width(), value));
            case LEFT -> crop.withCentre(crop.centre().plus(new Point(value - corner.x(), 0)));
            case TOP -> crop.withCentre(crop.centre().plus(new Point(0, value - corner.y())));
        };
        Crop settled = outline.settle(wish);
        boolean isLimited = settled.centre().distance(wish.centre()) > MOVED
                || Math.abs(settled.size().width() - wish.size().width()) > MOVED;
        return new Typed(settled, isLimited);
    }

    private static Crop sized(Outline outline, Point corner, Size size) {
        Point half = new Point(size.width() / 2, size.height() / 2);
        return new Crop(corner.plus(outline.angle().toPhoto(half)), size);
    }
}
