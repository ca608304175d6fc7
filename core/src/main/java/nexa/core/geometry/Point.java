package nexa.core.geometry;

/**
 * A point, or the way from one point to another.
 *
 * @param x to the right
 * @param y downwards
 */
public record Point(double x, double y) {
    public static final Point ORIGIN = new Point(0, 0);

    /** @throws IllegalArgumentException for NaN and infinities */
    public Point {
        Require.finite("x", x);
        Require.finite("y", y);
    }

    public Point plus(Point other) {
        return new Point(x + other.x, y + other.y);
    }

    public Point minus(Point other) {
        return new Point(x - other.x, y - other.y);
    }

    public Point times(double factor) {
        return new Point(x * factor, y * factor);
    }

    /** The distance to another point, never negative. */
    public double distance(Point other) {
        return Math.hypot(x - other.x, y - other.y);
    }

    /** See {@link Fingerprint}. */
    public String fingerprint() {
        return Fingerprint.of("Point").with("x", x).with("y", y).letters();
    }
}
