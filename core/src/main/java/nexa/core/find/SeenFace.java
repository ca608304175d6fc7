package nexa.core.find;

import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;

/**
 * A face that is seen in a picture. All places are fractions of it; those of a face that is cut by the picture's edge may lie
 * outside.
 *
 * @param box from the brows to the chin
 * @param one an eye
 * @param other the other one
 * @param nose its tip
 */
public record SeenFace(double score, Bounds box, Point one, Point other, Point nose) implements Seen {
    /** Of two boxes that share more of the smaller one, one is nothing new. */
    public static final double SAME = 0.3;
}
