package nexa.core.shoot;

import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Require;
import nexa.core.geometry.Size;
import nexa.core.shape.PhotoSpace;

/**
 * A crop as it was asked for, before it settles in the photo.
 *
 * @param centre as fractions of the photo's width and height, 0 … 1
 * @param size as fractions of the photo's width and height, from {@link #SMALLEST} to {@link #LARGEST}: a turned
 *     crop can be wider than its photo
 */
public record Wish(Point centre, Size size) {
    /** Less than a pixel of any photo; what is computed from it stays above 0. */
    public static final double SMALLEST = 1e-6;

    /** More than any crop takes of a photo, however it is reshaped. */
    public static final double LARGEST = 4;

    /** @throws IllegalArgumentException for fractions out of range */
    public Wish {
        Require.within("centreAcross", centre.x(), 0, 1);
        Require.within("centreDown", centre.y(), 0, 1);
        Require.within("width", size.width(), SMALLEST, LARGEST);
        Require.within("height", size.height(), SMALLEST, LARGEST);
    }

    public static Wish of(Crop crop, PhotoSpace space) {
        Point centre = space.toStored(crop.centre());
        Size size = space.sizeStored(crop);
        return new Wish(
                new Point(share(centre.x()), share(centre.y())), new Size(length(size.width()), length(size.height())));
    }

    private static double length(double share) {
        return Math.max(SMALLEST, Math.min(LARGEST, share));
    }

    /** A crop's centre lies in its photo; rounding may put it a hair outside. */
    private static double share(double value) {
        return Math.max(0, Math.min(1, value));
    }

    public Wish withCentre(Point newCentre) {
        return new Wish(newCentre, size);
    }

    /** The same size in the plane, elsewhere. */
    public Wish slidTo(Point inPlane, PhotoSpace space) {
        Point stored = space.toStored(inPlane);
        double larger = space.scaleAt(centre) / space.scaleAt(stored);
        return new Wish(
                new Point(share(stored.x()), share(stored.y())),
                new Size(length(size.width() * larger), length(size.height() * larger)));
    }

    /** The crop wished, in the plane. */
    public Crop in(PhotoSpace space) {
        return space.cropInPlane(centre, size);
    }
}
