package nexa.imaging.pictures;

import java.util.Optional;
import nexa.core.format.PixelSize;
import nexa.core.shoot.Photo;
import nexa.imaging.work.WorkQueue;

/** About how much memory photos take while their pixels are worked on, by which that work is weighed. */
public final class PixelMemory {
    /** The most at once, in bytes: two photos of 100 MP, or more of smaller ones. */
    public static final long AT_ONCE = 1_600_000_000;

    /** What a pixel takes: the decoder's own, turned, and a little of what is made of it. */
    private static final double BYTES_A_PIXEL = 7;

    /** What a pixel of a raw file takes in the command that makes it, and here in 16 bits. */
    private static final double RAW_BYTES_A_PIXEL = 25;

    /** What a pixel takes whose numbers are floats: its own, turned, and a little of what is made of it. */
    private static final double FLOAT_BYTES_A_PIXEL = 26;

    private PixelMemory() {}

    /** What all pixels of a photo take, wanted with 16 bits, in bytes. */
    public static long ofFloats(Photo photo) {
        return (long) (of(photo) * FLOAT_BYTES_A_PIXEL / BYTES_A_PIXEL);
    }

    /** What all pixels of a photo take, made from its raw file, in bytes. */
    public static long ofRaw(Photo photo) {
        return (long) (of(photo) * RAW_BYTES_A_PIXEL / BYTES_A_PIXEL);
    }

    /** What all pixels of a photo take, in bytes. */
    public static long of(Photo photo) {
        return of(photo, PictureLevel.FULL);
    }

    /** What making a picture of a photo takes: few are decoded much finer than they are wanted. */
    static long of(Photo photo, PictureLevel level) {
        Optional<PixelSize> pixels = photo.pixels();
        if (pixels.isEmpty()) {
            return WorkQueue.LIGHT;
        }
        double longSide = Math.max(pixels.get().width(), pixels.get().height());
        double share = Math.min(1, 2.0 * level.longSide() / longSide);
        return (long) (BYTES_A_PIXEL * share * share * pixels.get().size().area());
    }
}
