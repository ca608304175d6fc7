package nexa.core.shoot;

import nexa.core.geometry.Bounds;
import nexa.core.geometry.Fingerprint;
import nexa.core.geometry.Point;
import nexa.core.geometry.Require;
import nexa.core.geometry.Size;
import nexa.core.shape.Margins;

/**
 * What of a photo does not count as picture: a plain border, as fractions of the photo as it is seen, after quarter turns
 * and mirroring. At least a tenth remains each way.
 *
 * @param left the share of the width left out at the left, 0 … {@link #MOST}
 * @param top the share of the height left out at the top, 0 … {@link #MOST}
 * @param right the share of the width left out at the right, 0 … {@link #MOST}
 * @param bottom the share of the height left out at the bottom, 0 … {@link #MOST}
 */
public record Trim(double left, double top, double right, double bottom) {
    /** What a trim by fractions means is a whole pixel but for this. */
    private static final double NEARLY_WHOLE = 0.01;

    /** What two opposite sides together may leave out at most. */
    public static final double MOST = 0.9;

    public static final Trim NONE = new Trim(0, 0, 0, 0);

    /** What fractions that add up to {@link #MOST} may be above it by. */
    private static final double ROUNDING = 1e-12;

    /** A side of the photo as it is seen. */
    public enum Side {
        LEFT,
        TOP,
        RIGHT,
        BOTTOM;

        /** Whether it is left or right. */
        public boolean isUpright() {
            return this == LEFT || this == RIGHT;
        }

        /** Whether coordinates begin there. */
        public boolean isFirst() {
            return this == LEFT || this == TOP;
        }

        /** How long something of a size is from this side to the opposite one. */
        public double length(Size size) {
            return isUpright() ? size.width() : size.height();
        }

        /** How wide the margin beyond it is. */
        public double of(Margins margins) {
            return switch (this) {
                case LEFT -> margins.left();
                case TOP -> margins.top();
                case RIGHT -> margins.right();
                case BOTTOM -> margins.bottom();
            };
        }

        public Side opposite() {
            return values()[(ordinal() + 2) % 4];
        }
    }

    /** @throws nexa.core.message.Rejected for fractions out of range, alone or two opposite ones together */
    public Trim {
        Require.within("trimLeft", left, 0, MOST);
        Require.within("trimTop", top, 0, MOST);
        Require.within("trimRight", right, 0, MOST);
        Require.within("trimBottom", bottom, 0, MOST);
        Require.within("trimAcross", left + right, 0, MOST + ROUNDING);
        Require.within("trimDown", top + bottom, 0, MOST + ROUNDING);
    }

    /**
     * The trim that leaves part of a photo.
     *
     * @param remaining inside the photo, in its pixels
     */
    public static Trim leaving(Bounds remaining, Size photo) {
        return new Trim(
                Math.max(0, remaining.least().x() / photo.width()),
                Math.max(0, remaining.least().y() / photo.height()),
                Math.max(0, 1 - remaining.most().x() / photo.width()),
                Math.max(0, 1 - remaining.most().y() / photo.height()));
    }

    public boolean isNone() {
        return equals(NONE);
    }

    /** What remains of a photo, in its pixels. */
    public Bounds remaining(Size photo) {
        return new Bounds(
                new Point(left * photo.width(), top * photo.height()),
                new Point(photo.width() - right * photo.width(), photo.height() - bottom * photo.height()));
    }

    /** The whole pixels of what remains of a picture of the photo, at least one each way. */
    public Bounds wholePixels(Size picture) {
        Bounds remaining = remaining(picture);
        Point least = new Point(
                Math.min(Math.ceil(remaining.least().x() - NEARLY_WHOLE), Math.max(0, Math.ceil(picture.width()) - 1)),
                Math.min(
                        Math.ceil(remaining.least().y() - NEARLY_WHOLE), Math.max(0, Math.ceil(picture.height()) - 1)));
        return new Bounds(
                least,
                new Point(
                        Math.max(least.x() + 1, Math.floor(remaining.most().x() + NEARLY_WHOLE)),
                        Math.max(least.y() + 1, Math.floor(remaining.most().y() + NEARLY_WHOLE))));
    }

    /** The share left out at a side. */
    public double at(Side side) {
        return switch (side) {
            case LEFT -> left;
            case TOP -> top;
            case RIGHT -> right;
            case BOTTOM -> bottom;
        };
    }

    /** With another share left out at a side; no more than the opposite side lets it, and no less than nothing. */
    public Trim with(Side side, double share) {
        double within = Math.max(0, Math.min(MOST - at(side.opposite()), share));
        return new Trim(
                side == Side.LEFT ? within : left,
                side == Side.TOP ? within : top,
                side == Side.RIGHT ? within : right,
                side == Side.BOTTOM ? within : bottom);
    }

    /** The same border of the photo seen a quarter further clockwise. */
    Trim turnedRight() {
        return new Trim(bottom, left, top, right);
    }

    /** The same border of the photo seen in a mirror that stands beside it. */
    Trim mirrored() {
        return new Trim(right, top, left, bottom);
    }

    /** See {@link Fingerprint}. */
    String fingerprint() {
        return Fingerprint.of("Trim")
                .with("left", left)
                .with("top", top)
                .with("right", right)
                .with("bottom", bottom)
                .letters();
    }
}
