package nexa.imaging.pictures;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.IntBuffer;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.Pointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * Pixels for the screen: sRGB with premultiplied alpha, one int a pixel, row by row from the top.
 *
 * @param width in pixels
 * @param height in pixels
 * @param argb a direct buffer of width × height values, not to be written to
 */
public record Picture(int width, int height, IntBuffer argb) {

    /** A transparent picture. */
    public static Picture blank(int width, int height) {
        ByteBuffer bytes = ByteBuffer.allocateDirect(width * height * 4).order(ByteOrder.LITTLE_ENDIAN);
        return new Picture(width, height, bytes.asIntBuffer());
    }

    /** A picture with the pixels of an 8-bit grey, BGR or BGRA matrix. */
    static Picture of(Mat pixels) {
        Picture picture = blank(pixels.cols(), pixels.rows());
        try (Mat target = picture.mat()) {
            switch (pixels.channels()) {
                case 1 -> opencv_imgproc.cvtColor(pixels, target, opencv_imgproc.COLOR_GRAY2BGRA);
                case 3 -> opencv_imgproc.cvtColor(pixels, target, opencv_imgproc.COLOR_BGR2BGRA);
                default -> premultiply(pixels, target);
            }
        }
        return picture;
    }

    private static void premultiply(Mat pixels, Mat target) {
        // What OpenCV calls mRGBA is premultiplied; the order of the colours does not matter to it.
        opencv_imgproc.cvtColor(pixels, target, opencv_imgproc.COLOR_RGBA2mRGBA);
    }

    /** The same memory as a BGRA matrix. The picture must outlive it. */
    public Mat mat() {
        BytePointer memory = new BytePointer(new Pointer(argb));
        return new Mat(height, width, opencv_core.CV_8UC4, memory);
    }

    /** What it takes in memory. */
    public long bytes() {
        return 4L * width * height;
    }
}
