package nexa.imaging.decode;

import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;

/** Decodes what OpenCV reads well. */
final class OpenCvPixels {
    private OpenCvPixels() {}

    /** All pixels as they are; empty if there are none. The caller closes them. */
    static Decoded unchanged(byte[] file) {
        return new Decoded(decode(file, opencv_imgcodecs.IMREAD_UNCHANGED), false);
    }

    /**
     * The pixels of a whole file in memory, not turned upright; empty if there are none. The caller closes them.
     *
     * @param flags OpenCV's, how to read
     */
    static Mat decode(byte[] file, int flags) {
        try (BytePointer memory = new BytePointer(file);
                Mat encoded = new Mat(1, file.length, opencv_core.CV_8UC1, memory)) {
            return opencv_imgcodecs.imdecode(encoded, flags | opencv_imgcodecs.IMREAD_IGNORE_ORIENTATION);
        }
    }
}
