package nexa.imaging.decode;

import nexa.core.format.PixelSize;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;

/** Whether there is enough memory for pixels, which lie outside Java's own. */
public final class Memory {
    /** How OpenCV tells that it got none, by its number for that. */
    private static final String SHORT = "(-4:";

    private Memory() {}

    /** Whether something was thrown because there was not enough memory, by Java or by OpenCV. */
    public static boolean isShort(Throwable thrown) {
        boolean isShort = false;
        for (Throwable one = thrown; one != null && !isShort; one = one.getCause()) {
            isShort = one instanceof OutOfMemoryError
                    || one instanceof RuntimeException
                            && String.valueOf(one.getMessage()).contains(SHORT);
        }
        return isShort;
    }

    /**
     * Sees to it that pixels of a photo, 8 bits each, find room. OpenCV's decoders do not tell that they got none.
     *
     * @throws OutOfMemoryError if they find none
     */
    public static void require(PixelSize size) {
        try (Mat room = new Mat(size.height(), size.width(), opencv_core.CV_8UC3)) {
            room.rows();
        } catch (RuntimeException e) {
            if (isShort(e)) {
                throw new OutOfMemoryError();
            }
            throw e;
        }
    }
}
