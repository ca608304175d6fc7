package nexa.core.find;

import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;

/**
 * What stands out most of a picture, as it was measured.
 *
 * @param middle weighted by how much each place stands out, in fractions of the picture
 * @param box around nearly all of it, in fractions of the picture
 * @param radius half the box's longer side, as a share of the picture's short side
 * @param inside how much it stands out in the mean, 0 … 1
 * @param outside the same of all else
 * @param area its share of the picture
 * @param weight its share of all that stands out
 * @param second how much the next one weighs, as a share of it; 0 if it is alone
 * @param touch the share of the picture's edge that it touches
 * @param split how much the heaviest of those parted from it weighs, as a share of it; 0 if it was one
 */
public record SalientRegion(
        Point middle,
        Bounds box,
        double radius,
        double inside,
        double outside,
        double area,
        double weight,
        double second,
        double touch,
        double split) {

    /** How likely it is what the picture is about, 0 … 1. */
    public double confidence() {
        double contrast = within((inside - outside - 0.25) / 0.35) * within((weight - 0.1) / 0.3);
        double size = (area < 0.35 ? 1 : within(1 - (area - 0.35) / 0.2))
                * (radius < 0.5 ? 1 : within(1 - (radius - 0.5) / 0.2));
        double alone = (second < 0.5 ? 1 : Math.max(0.2, 1 - (second - 0.5) * 1.3)) * (split < 0.5 ? 1 : 0.75);
        return contrast * size * alone * (1 - within(touch / 0.35));
    }

    private static double within(double share) {
        return Math.max(0, Math.min(1, share));
    }

    /** Why it is not said to be the subject. */
    FoundSubject.Reason doubt() {
        if (second >= 0.6) {
            return FoundSubject.Reason.SEVERAL_ALIKE;
        }
        if (touch > 0.2) {
            return FoundSubject.Reason.AT_EDGE;
        }
        return area > 0.35 || radius > 0.5 ? FoundSubject.Reason.FILLS_PICTURE : FoundSubject.Reason.NOTHING_STANDS_OUT;
    }
}
