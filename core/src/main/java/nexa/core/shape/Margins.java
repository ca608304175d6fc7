package nexa.core.shape;

import nexa.core.geometry.Bounds;

/**
 * How much lies beyond each side of a photo, in its pixels, each at least 0.
 *
 * @param left beyond x = 0, or the first column that counts
 */
public record Margins(double left, double top, double right, double bottom) {
    public static final Margins NONE = new Margins(0, 0, 0, 0);

    /** What of a box lies beyond each side of another one, at most so much. */
    static Margins around(Bounds part, Bounds wider, double most) {
        return new Margins(
                within(part.least().x() - wider.least().x(), most),
                within(part.least().y() - wider.least().y(), most),
                within(wider.most().x() - part.most().x(), most),
                within(wider.most().y() - part.most().y(), most));
    }

    private static double within(double margin, double most) {
        return margin > 0 ? Math.min(margin, most) : 0;
    }

    /** Whether there is none. */
    public boolean isNone() {
        return equals(NONE);
    }
}
