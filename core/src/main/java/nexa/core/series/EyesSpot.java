package nexa.core.series;

import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.geometry.Point;
import nexa.core.shape.PhotoSpace;
import nexa.core.shoot.Eyes;

/**
 * A subject's eyes in the plane, in pixels.
 *
 * @param middle between them
 * @param apart how far apart they are; empty where that tells nothing of how large the face is: it is turned away, or small
 */
record EyesSpot(Point middle, OptionalDouble apart) {
    /** The nose of a face that is turned to the camera lies between these shares of the way from eye to eye. */
    private static final double LEAST_NOSE = 0.35;

    private static final double MOST_NOSE = 0.65;

    /** Eyes nearer to each other than this share of the photo's short side are too small to be measured by. */
    private static final double LEAST_APART = 0.06;

    /** @param at the point that marks the subject, which its eyes are relative to */
    static EyesSpot of(Point at, Eyes eyes, PhotoSpace space) {
        Point one = space.inPhoto(at.plus(eyes.one()));
        Point other = space.inPhoto(at.plus(eyes.other()));
        boolean isLarge = one.distance(other) >= LEAST_APART * space.photo().shortSide();
        boolean isFacing = isLarge && isBetween(one, other, eyes.nose().map(nose -> space.inPhoto(at.plus(nose))));
        Point oneInPlane = space.plane().toPlane(one);
        Point otherInPlane = space.plane().toPlane(other);
        return new EyesSpot(
                oneInPlane.plus(otherInPlane).times(0.5),
                isFacing ? OptionalDouble.of(oneInPlane.distance(otherInPlane)) : OptionalDouble.empty());
    }

    private static boolean isBetween(Point one, Point other, Optional<Point> nose) {
        Point span = other.minus(one);
        return nose.map(tip -> tip.minus(one))
                .map(way -> (way.x() * span.x() + way.y() * span.y()) / (span.x() * span.x() + span.y() * span.y()))
                .filter(share -> share >= LEAST_NOSE && share <= MOST_NOSE)
                .isPresent();
    }
}
