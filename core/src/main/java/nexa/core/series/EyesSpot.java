package nexa.core.series;

import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.geometry.Point;
import nexa.core.shape.PhotoSpace;
import nexa.core.shoot.Eyes;
import nexa.core.shoot.Subject;

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

    /** Those of a subject, if it has any. */
    static Optional<EyesSpot> of(Subject subject, PhotoSpace space) {
        return subject.eyesIn(space)
                .map(inPlane -> new EyesSpot(
                        inPlane.middle(),
                        isToMeasureBy(subject.at(), subject.eyes().orElseThrow(), space)
                                ? OptionalDouble.of(inPlane.length())
                                : OptionalDouble.empty()));
    }

    private static boolean isToMeasureBy(Point at, Eyes eyes, PhotoSpace space) {
        Point one = space.inPhoto(at.plus(eyes.one()));
        Point other = space.inPhoto(at.plus(eyes.other()));
        return one.distance(other) >= LEAST_APART * space.photo().shortSide()
                && isBetween(one, other, eyes.nose().map(nose -> space.inPhoto(at.plus(nose))));
    }

    private static boolean isBetween(Point one, Point other, Optional<Point> nose) {
        Point span = other.minus(one);
        return nose.map(tip -> tip.minus(one))
                .map(way -> (way.x() * span.x() + way.y() * span.y()) / (span.x() * span.x() + span.y() * span.y()))
                .filter(share -> share >= LEAST_NOSE && share <= MOST_NOSE)
                .isPresent();
    }
}
