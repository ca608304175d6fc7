package nexa.core.find;

import nexa.core.geometry.Segment;

/**
 * A straight edge measured in a picture.
 *
 * @param segment where it lies, in the picture's pixels, x to the right and y downwards
 * @param rms by how many pixels the edge leaves the straight line, as a root mean square
 */
public record EdgeLine(Segment segment, double rms) {
    /** An edge that leaves its line by more pixels than this is not straight. */
    public static final double STRAIGHT = 1;

    /** What is further off upright is something else; uprights lean by so much where the camera looked up steeply. */
    static final double UPRIGHT_WITHIN = 34;

    /** What is further off level is something else. */
    static final double LEVEL_WITHIN = 14;

    /** Whether a segment may be level or upright in the scene. */
    public static boolean isOfUse(Segment segment) {
        EdgeLine line = new EdgeLine(segment, 0);
        return Math.abs(line.offUpright()) < UPRIGHT_WITHIN || Math.abs(line.offLevel()) < LEVEL_WITHIN;
    }

    /** How far it is off level, in degrees, −90 … 90, positive where its right end is the lower one. */
    double offLevel() {
        double degrees = degrees();
        return degrees - 180 * Math.floor((degrees + 90) / 180);
    }

    /** How far it is off upright, in degrees, −90 … 90, positive where its upper end is further right. */
    double offUpright() {
        double degrees = degrees() - 90;
        return degrees - 180 * Math.floor((degrees + 90) / 180);
    }

    private double degrees() {
        return Math.toDegrees(Math.atan2(
                segment.to().y() - segment.from().y(),
                segment.to().x() - segment.from().x()));
    }
}
