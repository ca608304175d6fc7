package nexa.core.format;

import nexa.core.geometry.Fingerprint;
import nexa.core.geometry.Require;
import nexa.core.geometry.Size;

/** A width and a height in whole pixels, both at least 1. */
public record PixelSize(int width, int height) {

    /** @throws IllegalArgumentException for a side below 1 */
    public PixelSize {
        Require.within("widthInPixels", width, 1, Integer.MAX_VALUE);
        Require.within("heightInPixels", height, 1, Integer.MAX_VALUE);
    }

    /** Rounded to whole pixels, never below 1 nor above what an {@code int} holds. */
    public static PixelSize nearest(Size size) {
        return new PixelSize(nearest(size.width()), nearest(size.height()));
    }

    private static int nearest(double side) {
        return (int) Math.max(1, Math.min(Integer.MAX_VALUE, Math.round(side)));
    }

    public Size size() {
        return new Size(width, height);
    }

    public PixelSize swapped() {
        return new PixelSize(height, width);
    }

    /** See {@link Fingerprint}. */
    public String fingerprint() {
        return Fingerprint.of("PixelSize")
                .with("width", width)
                .with("height", height)
                .letters();
    }
}
