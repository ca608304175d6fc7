package nexa.core.shoot;

import nexa.core.geometry.Bounds;
import nexa.core.geometry.Fingerprint;
import nexa.core.geometry.Point;
import nexa.core.geometry.Require;

/**
 * How far a subject reaches from the point that marks it, as fractions of the photo's width and height: right and down is above
 * 0. The point itself is in it.
 *
 * @param left −1 … 0
 * @param top −1 … 0
 * @param right 0 … 1
 * @param bottom 0 … 1
 */
public record Extent(double left, double top, double right, double bottom) {

    /** @throws IllegalArgumentException for sides out of range, and for an extent without width or height */
    public Extent {
        Require.within("extentLeft", left, -1, 0);
        Require.within("extentTop", top, -1, 0);
        Require.within("extentRight", right, 0, 1);
        Require.within("extentBottom", bottom, 0, 1);
        Require.within("extentWidth", right - left, Subject.SMALLEST, 2);
        Require.within("extentHeight", bottom - top, Subject.SMALLEST, 2);
    }

    /** The extent of a box, in fractions of the photo, about a point in it. */
    static Extent of(Bounds box, Point at) {
        Point least = box.least().minus(at);
        Point most = box.most().minus(at);
        return new Extent(
                Math.max(-1, Math.min(0, least.x())),
                Math.max(-1, Math.min(0, least.y())),
                Math.max(0, Math.min(1, most.x())),
                Math.max(0, Math.min(1, most.y())));
    }

    /** The way from the point to the upper left, and to the lower right. */
    public Bounds reach() {
        return new Bounds(new Point(left, top), new Point(right, bottom));
    }

    Extent turnedRight() {
        return new Extent(0 - bottom, left, 0 - top, right);
    }

    Extent mirrored() {
        return new Extent(0 - right, top, 0 - left, bottom);
    }

    /** Of a photo that is so many times as wide and as high. */
    Extent scaled(double across, double down) {
        return new Extent(left * across, top * down, right * across, bottom * down);
    }

    /** See {@link Fingerprint}. */
    String fingerprint() {
        return Fingerprint.of("Extent")
                .with("left", left)
                .with("top", top)
                .with("right", right)
                .with("bottom", bottom)
                .letters();
    }
}
