package nexa.core.shape;

import java.util.ArrayList;
import java.util.List;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.HalfPlane;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;

/**
 * What part of a photo counts, in its straightened picture: a straight side for each side that is left out, through the
 * innermost of nine of its places.
 */
final class StraightTrim {
    private static final int LAST = 8;

    private final LensMap lens;
    private final Size photo;
    private final Bounds part;

    StraightTrim(LensMap lens, Size photo, Bounds part) {
        this.lens = lens;
        this.photo = photo;
        this.part = part;
    }

    /** The sides behind which something is left out. */
    List<HalfPlane> sides() {
        List<HalfPlane> sides = new ArrayList<>();
        Point least = part.least();
        Point most = part.most();
        Point upper = new Point(most.x(), least.y());
        Point lower = new Point(least.x(), most.y());
        if (least.x() > 0) {
            sides.add(side(-1, 0, least, lower));
        }
        if (least.y() > 0) {
            sides.add(side(0, -1, least, upper));
        }
        if (most.x() < photo.width()) {
            sides.add(side(1, 0, upper, most));
        }
        if (most.y() < photo.height()) {
            sides.add(side(0, 1, lower, most));
        }
        return sides;
    }

    private HalfPlane side(double x, double y, Point from, Point to) {
        double innermost = Double.POSITIVE_INFINITY;
        for (int i = 0; i <= LAST; i++) {
            Point place = lens.toStraightWithin(from.plus(to.minus(from).times((double) i / LAST)));
            innermost = Math.min(innermost, x * place.x() + y * place.y());
        }
        return new HalfPlane(x, y, innermost);
    }
}
