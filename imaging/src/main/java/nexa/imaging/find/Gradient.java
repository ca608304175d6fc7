package nexa.imaging.find;

import java.nio.ShortBuffer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Size;

/** How much brighter a picture gets to the right and downwards, in levels a pixel. */
final class Gradient {
    private static final double BLUR = 1.2;
    /** The kernel's sum. */
    private static final double SOBEL = 8;

    private final int width;
    private final int height;
    private final short[] right;
    private final short[] down;

    private Gradient(int width, int height, short[] right, short[] down) {
        this.width = width;
        this.height = height;
        this.right = right;
        this.down = down;
    }

    static Gradient of(Mat grey) {
        try (Mat blurred = new Mat();
                Mat derived = new Mat();
                Size any = new Size(0, 0)) {
            opencv_imgproc.GaussianBlur(grey, blurred, any, BLUR);
            short[] right = derived(blurred, derived, 1, 0);
            short[] down = derived(blurred, derived, 0, 1);
            return new Gradient(grey.cols(), grey.rows(), right, down);
        }
    }

    private static short[] derived(Mat blurred, Mat derived, int across, int down) {
        opencv_imgproc.Sobel(blurred, derived, opencv_core.CV_16S, across, down);
        short[] values = new short[derived.rows() * derived.cols()];
        ((ShortBuffer) derived.createBuffer()).get(values);
        return values;
    }

    /** The gradient in a direction, between pixels too; beyond the edge as at it. A pixel's middle is at one half. */
    double towards(double x, double y, double wayX, double wayY) {
        double px = Math.max(0, Math.min(width - 1.001, x - 0.5));
        double py = Math.max(0, Math.min(height - 1.001, y - 0.5));
        int left = (int) px;
        int top = (int) py;
        double fx = px - left;
        double fy = py - top;
        int a = top * width + left;
        int b = top + 1 < height ? a + width : a;
        int next = left + 1 < width ? 1 : 0;
        double atTop = 1 - fy;
        double alongX = atTop * ((1 - fx) * right[a] + fx * right[a + next])
                + fy * ((1 - fx) * right[b] + fx * right[b + next]);
        double alongY =
                atTop * ((1 - fx) * down[a] + fx * down[a + next]) + fy * ((1 - fx) * down[b] + fx * down[b + next]);
        return (alongX * wayX + alongY * wayY) / SOBEL;
    }
}
