package nexa.imaging.fill;

import nexa.core.geometry.Size;
import nexa.core.shape.Margins;
import nexa.core.shoot.EdgeTexture;
import nexa.core.shoot.Trim;

/**
 * How much is solved beyond each side of a work picture, in its pixels. It grows by steps, so that while a crop moves a little
 * what lies beyond stays the same.
 */
record WorkMargins(int left, int top, int right, int bottom) {
    /** The long side of the work picture. */
    static final int LONG_SIDE = 256;

    private static final int STEP = (int) (LONG_SIDE * EdgeTexture.STEP);

    /** What is needed of some margins beyond a part of a photo, both in its pixels. */
    static WorkMargins of(Margins margins, Size part) {
        double longSide = Math.max(LONG_SIDE, part.longSide());
        return new WorkMargins(
                STEP * EdgeTexture.steps(margins.left(), longSide),
                STEP * EdgeTexture.steps(margins.top(), longSide),
                STEP * EdgeTexture.steps(margins.right(), longSide),
                STEP * EdgeTexture.steps(margins.bottom(), longSide));
    }

    /** At a picture that is smaller by a power of two. */
    WorkMargins halved(int times) {
        int factor = 1 << times;
        return new WorkMargins(up(left, factor), up(top, factor), up(right, factor), up(bottom, factor));
    }

    private static int up(int value, int factor) {
        return (value + factor - 1) / factor;
    }

    /** How wide the one beyond a side is. */
    int of(Trim.Side side) {
        return switch (side) {
            case LEFT -> left;
            case TOP -> top;
            case RIGHT -> right;
            case BOTTOM -> bottom;
        };
    }

    int widest() {
        return Math.max(Math.max(left, right), Math.max(top, bottom));
    }
}
