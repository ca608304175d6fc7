package nexa.imaging.decode;

import nexa.core.geometry.Point;

/**
 * How a photo's stored pixels are turned and mirrored to be seen upright, as the EXIF orientation tag has it.
 *
 * @param value 1 … 8
 */
public record ExifOrientation(int value) {
    public static final ExifOrientation UPRIGHT = new ExifOrientation(1);

    /** Any other value, which the tag should not have, counts as upright. */
    public static ExifOrientation of(int value) {
        return value >= 1 && value <= 8 ? new ExifOrientation(value) : UPRIGHT;
    }

    /** Whether width and height change places. */
    public boolean swapsSides() {
        return value >= 5;
    }

    /** Where a point of the stored pixels is seen; both as fractions of width and height. */
    public Point seen(Point stored) {
        double x = isMirrored() ? 1 - stored.x() : stored.x();
        double y = stored.y();
        return switch (quarterTurns()) {
            case 1 -> new Point(1 - y, x);
            case 2 -> new Point(1 - x, 1 - y);
            case 3 -> new Point(y, 1 - x);
            default -> new Point(x, y);
        };
    }

    /** How far to turn clockwise, in quarter turns 0 … 3, after mirroring. */
    public int quarterTurns() {
        return switch (value) {
            case 3, 4 -> 2;
            case 6, 7 -> 1;
            case 5, 8 -> 3;
            default -> 0;
        };
    }

    /** Whether to mirror left to right before turning. */
    public boolean isMirrored() {
        return value == 2 || value == 4 || value == 5 || value == 7;
    }
}
