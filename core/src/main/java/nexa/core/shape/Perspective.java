package nexa.core.shape;

import nexa.core.geometry.Require;

/**
 * How a photo's perspective is put right.
 *
 * @param tilt how far the camera looked up, in degrees
 * @param swing how far it looked to the right of what faced it, in degrees; with tilt at most {@link #MOST} together
 * @param strength how much of both is taken out, 0 … 100 per cent
 * @param stretch width over height, as seen on screen, of what was square, 0.5 … 2
 * @param focal35 the focal length it was taken with, in millimetres on 36 × 24 mm, 8 … 1200
 */
public record Perspective(double tilt, double swing, double strength, double stretch, double focal35) {
    /** The most that can be taken out, in degrees. */
    public static final double MOST = 60;

    /** @throws IllegalArgumentException for values out of range and NaN */
    public Perspective {
        Require.within("tiltAndSwingTogether", Math.hypot(tilt, swing), 0, MOST);
        Require.within("strength", strength, 0, 100);
        Require.within("stretch", stretch, 0.5, 2);
        Require.within("focalLength", focal35, 8, 1200);
    }

    /** Whether nothing is taken out. */
    public boolean isNone() {
        return (strength == 0 || tilt == 0 && swing == 0) && stretch == 1;
    }
}
