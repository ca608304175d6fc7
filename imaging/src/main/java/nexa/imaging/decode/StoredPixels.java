package nexa.imaging.decode;

import nexa.core.format.PixelSize;

/**
 * How a photo's pixels lie in its file.
 *
 * @param size before the EXIF orientation
 * @param channels of a JPEG: 1 grey, 3 colour, 4 for print; 0 where it does not matter
 */
public record StoredPixels(PixelSize size, int channels) {
    int longSide() {
        return Math.max(size.width(), size.height());
    }
}
