package nexa.core.shoot;

import java.util.OptionalDouble;
import nexa.core.geometry.Point;
import nexa.core.geometry.Require;
import nexa.core.geometry.Size;

/**
 * The point that marks what a photo is about.
 *
 * @param at as fractions of the photo's width and height, 0 … 1
 * @param radius as a share of the photo's short side, from {@link #SMALLEST} to 1, if there is one
 */
public record Subject(Point at, OptionalDouble radius) {
    /** Less than a pixel of any photo. */
    public static final double SMALLEST = 1e-6;

    /** @throws IllegalArgumentException for a point outside the photo and a radius out of range */
    public Subject {
        Require.within("subject across", at.x(), 0, 1);
        Require.within("subject down", at.y(), 0, 1);
        if (radius.isPresent()) {
            Require.within("subject radius", radius.getAsDouble(), SMALLEST, 1);
        }
    }

    /** In the photo's pixels. */
    public Point in(Size photo) {
        return new Point(at.x() * photo.width(), at.y() * photo.height());
    }
}
