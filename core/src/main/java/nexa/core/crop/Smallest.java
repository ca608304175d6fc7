package nexa.core.crop;

import nexa.core.geometry.Outline;

/** How small a crop may be made by hand: small enough for any use, and never lost from sight. */
final class Smallest {
    private static final double PIXELS = 16;

    private Smallest() {}

    /** The least short side in pixels; a photo that has no room for it may be cropped to nothing less than its largest. */
    static double shortSide(Outline outline, double ratio) {
        return Math.min(PIXELS, outline.largest(ratio).shortSide());
    }
}
