package nexa.core.shoot;

import java.util.OptionalDouble;
import nexa.core.geometry.Fingerprint;
import nexa.core.geometry.Point;
import nexa.core.geometry.Require;
import nexa.core.shape.PhotoSpace;

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
        Require.within("subjectAcross", at.x(), 0, 1);
        Require.within("subjectDown", at.y(), 0, 1);
        if (radius.isPresent()) {
            Require.within("subjectRadius", radius.getAsDouble(), SMALLEST, 1);
        }
    }

    public Subject movedTo(Point newAt) {
        return new Subject(newAt, radius);
    }

    /** Where it lies in the plane. */
    public Point in(PhotoSpace space) {
        return space.toPlane(at);
    }

    /** Its radius in the plane, if there is one. */
    public OptionalDouble radiusIn(PhotoSpace space) {
        return radius.isPresent()
                ? OptionalDouble.of(radius.getAsDouble() * space.photo().shortSide() * space.scaleAt(at))
                : OptionalDouble.empty();
    }

    /** What is marked by a point in the plane, or the nearest one in the photo, and a radius there, if there is one. */
    public static Subject of(Point inPlane, OptionalDouble radius, PhotoSpace space) {
        Point stored = space.toStored(inPlane);
        Point at = new Point(within(stored.x()), within(stored.y()));
        OptionalDouble share = radius.isPresent()
                ? OptionalDouble.of(
                        Math.min(1, radius.getAsDouble() / space.photo().shortSide() / space.scaleAt(at)))
                : OptionalDouble.empty();
        return new Subject(at, share);
    }

    private static double within(double share) {
        return Math.max(0, Math.min(1, share));
    }

    /** See {@link Fingerprint}. */
    public String fingerprint() {
        return Fingerprint.of("Subject")
                .with("at", at.fingerprint())
                .with("radius", radius)
                .letters();
    }
}
