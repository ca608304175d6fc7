package nexa.core.shoot;

import java.util.Optional;
import java.util.function.UnaryOperator;
import nexa.core.geometry.Fingerprint;
import nexa.core.geometry.Point;
import nexa.core.geometry.Require;

/**
 * Where the eyes of a subject are, all relative to the point that marks it, as fractions of the photo's width and height.
 *
 * @param one an eye, −1 … 1 each way
 * @param other the other one; on a face seen from the side both may be the same eye
 * @param nose the tip of the nose, by which it is known how far the face is turned away, if it is known
 */
public record Eyes(Point one, Point other, Optional<Point> nose) {

    /** @throws IllegalArgumentException for places out of range */
    public Eyes {
        require(one);
        require(other);
        nose.ifPresent(Eyes::require);
    }

    private static void require(Point place) {
        Require.within("eyeAcross", place.x(), -1, 1);
        Require.within("eyeDown", place.y(), -1, 1);
    }

    Eyes moved(UnaryOperator<Point> move) {
        return new Eyes(move.apply(one), move.apply(other), nose.map(move));
    }

    /** See {@link Fingerprint}. */
    String fingerprint() {
        return Fingerprint.of("Eyes")
                .with("one", one.fingerprint())
                .with("other", other.fingerprint())
                .with("nose", nose, Point::fingerprint)
                .letters();
    }
}
