package nexa.imaging.decode;

import nexa.core.format.PixelSize;

/**
 * How a photo's pixels lie in its file.
 *
 * @param size before the EXIF orientation
 * @param channels of a JPEG: 1 grey, 3 colour, 4 for print; 0 where it does not matter
 * @param mayBeSeeThrough whether the file says of its pixels how much is seen through them; which need not be any
 */
public record StoredPixels(PixelSize size, int channels, boolean mayBeSeeThrough) {
    /** Of a kind of file that has nothing see-through. */
    public StoredPixels(PixelSize size, int channels) {
        this(size, channels, false);
    }

    int longSide() {
        return Math.max(size.width(), size.height());
    }
}
