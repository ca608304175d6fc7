package nexa.core.geometry;

/**
 * How far a photo is turned, from −45 to 45 degrees, positive clockwise on screen.
 *
 * @param degrees −45 … 45
 */
public record Angle(double degrees) {
    public static final Angle NONE = new Angle(0);
    public static final double MOST = 45;

    /** @throws IllegalArgumentException for NaN and for angles beyond ±45° */
    public Angle {
        Require.within("angleInDegrees", degrees, -MOST, MOST);
    }

    /** The angle nearest to the given degrees that a photo can be turned by. NaN is rejected, not clamped. */
    public static Angle nearest(double degrees) {
        return new Angle(Math.max(-MOST, Math.min(MOST, degrees)));
    }

    public double cos() {
        return Math.cos(Math.toRadians(degrees));
    }

    public double sin() {
        return Math.sin(Math.toRadians(degrees));
    }

    /** From the photo's directions to those on screen. */
    public Point toScreen(Point way) {
        return new Point(way.x() * cos() - way.y() * sin(), way.x() * sin() + way.y() * cos());
    }

    /** From directions on screen to the photo's. */
    public Point toPhoto(Point way) {
        return new Point(way.x() * cos() + way.y() * sin(), -way.x() * sin() + way.y() * cos());
    }

    /** What a crop of this size takes up along the photo's width and height. */
    public Size covered(Size crop) {
        double cos = Math.abs(cos());
        double sin = Math.abs(sin());
        return new Size(crop.width() * cos + crop.height() * sin, crop.width() * sin + crop.height() * cos);
    }

    /** See {@link Fingerprint}. */
    public String fingerprint() {
        return Fingerprint.of("Angle").with("degrees", degrees).letters();
    }
}
