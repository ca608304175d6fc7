package nexa.core.shape;

import nexa.core.geometry.Fingerprint;
import nexa.core.geometry.Require;

/**
 * How a photo's perspective is put right.
 *
 * @param tilt how far the camera looked up, in degrees
 * @param swing how far it looked to the right of what faced it, in degrees; with tilt at most {@link #MOST} together
 * @param strength how much of both is taken out, 0 … 100 per cent
 * @param stretch width over height, as seen on screen, of what was square, 0.5 … 2
 * @param focal35 the focal length it was taken with, in millimetres on 36 × 24 mm, {@link #SHORTEST} … {@link #LONGEST}
 * @param lines from which tilt and swing were worked out; none where they were set by hand
 */
public record Perspective(
        double tilt, double swing, double strength, double stretch, double focal35, SceneLines lines) {
    /** The most that can be taken out, in degrees. */
    public static final double MOST = 60;

    /** The shortest focal length, in millimetres. */
    public static final double SHORTEST = 8;

    /** The longest focal length, in millimetres. */
    public static final double LONGEST = 1200;

    /** What is assumed where nothing tells the focal length, in millimetres. */
    public static final double ASSUMED = 35;

    /** The least stretch; the most is as much the other way. */
    public static final double NARROWEST = 0.5;

    /** @throws nexa.core.message.Rejected for values out of range and NaN */
    public Perspective {
        Require.within("tilt", tilt, -MOST, MOST);
        Require.within("swing", swing, -MOST, MOST);
        // A hair for the rounding of what lines gave and was then turned.
        Require.within("tiltAndSwingTogether", Math.hypot(tilt, swing), 0, MOST + 1e-9);
        Require.within("strength", strength, 0, 100);
        Require.within("stretch", stretch, NARROWEST, 1 / NARROWEST);
        Require.within("focalLength", focal35, SHORTEST, LONGEST);
    }

    /** Nothing taken out yet of a photo taken with a focal length. */
    public static Perspective none(double focal35) {
        return new Perspective(0, 0, 100, 1, focal35, SceneLines.NONE);
    }

    /** Whether nothing is taken out. */
    public boolean isNone() {
        return (strength == 0 || tilt == 0 && swing == 0) && stretch == 1;
    }

    /** Whether nothing is said but the focal length. */
    public boolean isSaidNothing() {
        return tilt == 0 && swing == 0 && stretch == 1 && lines.isNone();
    }

    /** With tilt and swing set by hand; the nearest that can be. The lines do not count any more. */
    public Perspective facing(double newTilt, double newSwing) {
        double most = Math.max(1, Math.hypot(newTilt, newSwing) / MOST);
        return new Perspective(newTilt / most, newSwing / most, strength, stretch, focal35, SceneLines.NONE);
    }

    public Perspective withLines(SceneLines newLines) {
        return new Perspective(tilt, swing, strength, stretch, focal35, newLines);
    }

    /** As lines tell it; strength and stretch stay. */
    public Perspective by(FromLines.Solved solved, SceneLines newLines) {
        return new Perspective(solved.tilt(), solved.swing(), strength, stretch, solved.focal35(), newLines);
    }

    public Perspective withStrength(double newStrength) {
        return new Perspective(tilt, swing, newStrength, stretch, focal35, lines);
    }

    public Perspective withStretch(double newStretch) {
        return new Perspective(tilt, swing, strength, newStretch, focal35, lines);
    }

    public Perspective withFocal35(double newFocal35) {
        return new Perspective(tilt, swing, strength, stretch, newFocal35, lines);
    }

    /** The same of the photo seen a quarter further clockwise. */
    public Perspective turnedRight() {
        return new Perspective(0 - swing, tilt, strength, 1 / stretch, focal35, lines.turnedRight());
    }

    /** The same of the photo seen in a mirror that stands beside it. */
    public Perspective mirrored() {
        return new Perspective(tilt, 0 - swing, strength, stretch, focal35, lines.mirrored());
    }

    /** See {@link Fingerprint}. */
    public String fingerprint() {
        return Fingerprint.of("Perspective")
                .with("tilt", tilt)
                .with("swing", swing)
                .with("strength", strength)
                .with("stretch", stretch)
                .with("focal35", focal35)
                .with("lines", lines.fingerprint())
                .letters();
    }
}
