package nexa.core.guide;

import nexa.core.geometry.Point;

/** One of the eight ways to lay a guide over a crop: four quarter turns clockwise, each also mirrored left to right first. */
public enum Way {
    UNTURNED(0, false),
    RIGHT(1, false),
    HALF(2, false),
    LEFT(3, false),
    MIRRORED(0, true),
    MIRRORED_RIGHT(1, true),
    MIRRORED_HALF(2, true),
    MIRRORED_LEFT(3, true);

    private final int quarters;
    private final boolean isMirrored;

    Way(int quarters, boolean isMirrored) {
        this.quarters = quarters;
        this.isMirrored = isMirrored;
    }

    boolean isMirrored() {
        return isMirrored;
    }

    boolean swapsSides() {
        return quarters % 2 == 1;
    }

    /** Where a place in the unit square comes to lie. */
    Point of(Point share) {
        Point turned = isMirrored ? new Point(1 - share.x(), share.y()) : share;
        for (int i = 0; i < quarters; i++) {
            turned = new Point(1 - turned.y(), turned.x());
        }
        return turned;
    }
}
