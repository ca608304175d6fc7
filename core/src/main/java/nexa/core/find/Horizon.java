package nexa.core.find;

import nexa.core.geometry.Segment;

/** A line across the picture that may be a horizon: the sea's, a lake's far shore, a field's edge. */
public interface Horizon {
    /** Where it lies, from one side of the picture to the other, in the picture's pixels. */
    Segment segment();

    /** In degrees, clockwise positive. */
    double lean();

    /** The standard error of the lean, in degrees. */
    double error();

    /** How well it is seen, to tell the better of two: the share of the width on which it is, times how pure it is there. */
    double strength();

    /** Whether it is so clear that it is a horizon. */
    boolean isClear();

    /** Whether it is worth being offered. */
    boolean isWorthALook();
}
