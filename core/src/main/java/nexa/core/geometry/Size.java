package nexa.core.geometry;

/**
 * A width and a height, both above 0.
 *
 * @param width across
 * @param height down
 */
public record Size(double width, double height) {

    /** @throws IllegalArgumentException for NaN, infinities, nought and less */
    public Size {
        Require.positive("width", width);
        Require.positive("height", height);
    }

    /** The size of the given ratio (width over height) and area. */
    public static Size ofArea(double area, double ratio) {
        double height = Math.sqrt(area / ratio);
        return new Size(ratio * height, height);
    }

    /** Width over height. */
    public double ratio() {
        return width / height;
    }

    public double area() {
        return width * height;
    }

    public double longSide() {
        return Math.max(width, height);
    }

    public double shortSide() {
        return Math.min(width, height);
    }

    public Orientation orientation() {
        return width >= height ? Orientation.WIDE : Orientation.TALL;
    }

    public Size times(double factor) {
        return new Size(width * factor, height * factor);
    }

    /** The middle of what begins at the origin and has this size. */
    public Point middle() {
        return new Point(width / 2, height / 2);
    }

    /** Width and height exchanged. */
    public Size swapped() {
        return new Size(height, width);
    }

    /** This size if it lies the given way, else swapped. A square lies either way. */
    public Size lying(Orientation orientation) {
        return orientation() == orientation ? this : swapped();
    }

    /** See {@link Fingerprint}. */
    public String fingerprint() {
        return Fingerprint.of("Size")
                .with("width", width)
                .with("height", height)
                .letters();
    }
}
