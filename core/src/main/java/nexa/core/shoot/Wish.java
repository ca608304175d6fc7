package nexa.core.shoot;

import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Require;
import nexa.core.geometry.Size;

/**
 * A crop as it was asked for, before it settles in the photo.
 *
 * @param centre as fractions of the photo's width and height, 0 … 1
 * @param size as fractions of the photo's width and height, from {@link #SMALLEST} to 2: a turned crop can be wider than
 *     its photo
 */
public record Wish(Point centre, Size size) {
    /** Less than a pixel of any photo; what is computed from it stays above 0. */
    public static final double SMALLEST = 1e-6;

    /** @throws IllegalArgumentException for fractions out of range */
    public Wish {
        Require.within("centre across", centre.x(), 0, 1);
        Require.within("centre down", centre.y(), 0, 1);
        Require.within("width", size.width(), SMALLEST, 2);
        Require.within("height", size.height(), SMALLEST, 2);
    }

    public static Wish of(Crop crop, Size photo) {
        return new Wish(
                new Point(
                        share(crop.centre().x(), photo.width()),
                        share(crop.centre().y(), photo.height())),
                nearest(crop.size(), photo));
    }

    private static Size nearest(Size crop, Size photo) {
        return new Size(
                Math.max(SMALLEST, crop.width() / photo.width()), Math.max(SMALLEST, crop.height() / photo.height()));
    }

    /** A crop's centre lies in its photo; rounding may put it a hair outside. */
    private static double share(double value, double length) {
        return Math.max(0, Math.min(1, value / length));
    }

    public Wish withCentre(Point newCentre) {
        return new Wish(newCentre, size);
    }

    /** In the photo's pixels. */
    public Crop in(Size photo) {
        return new Crop(
                new Point(centre.x() * photo.width(), centre.y() * photo.height()),
                new Size(size.width() * photo.width(), size.height() * photo.height()));
    }
}
