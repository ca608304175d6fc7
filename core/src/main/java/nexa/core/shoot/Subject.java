package nexa.core.shoot;

import java.util.OptionalDouble;
import nexa.core.geometry.Point;
import nexa.core.geometry.Require;
import nexa.core.geometry.Size;

/**
 * The point that marks what a photo is about.
 *
 * @param at as fractions of the photo's width and height, 0 … 1
 * @param radius as a share of the photo's short side, above 0 and at most 1, if there is one
 */
public record Subject(Point at, OptionalDouble radius) {
    /** @throws IllegalArgumentException for a point outside the photo and a radius out of range */
    public Subject {
        Require.within("subject across", at.x(), 0, 1);
        Require.within("subject down", at.y(), 0, 1);
        if (radius.isPresent()) {
            Require.within("subject radius", Require.positive("subject radius", radius.getAsDouble()), 0, 1);
        }
    }

    /** In the photo's pixels. */
    public Point in(Size photo) {
        return new Point(at.x() * photo.width(), at.y() * photo.height());
    }
}
