package nexa.imaging.render;

import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Point;

/**
 * The filter that takes out, before shrinking, what the smaller picture could not show: Lanczos' window of three lobes,
 * stretched by the scale so that it weighs the whole footprint of a result pixel.
 */
final class Lanczos {
    private static final int LOBES = 3;

    private Lanczos() {}

    /** How far the filter reaches, in pixels, for a scale. */
    static int reach(double scale) {
        return scale > 1 ? (int) Math.ceil(LOBES * scale) : 0;
    }

    /** Filters across and down; a scale of 1 or less leaves that direction alone. */
    static void filter(Mat from, Mat to, double scaleAcross, double scaleDown) {
        try (Mat across = kernel(scaleAcross);
                Mat down = kernel(scaleDown);
                Point middle = new Point(-1, -1)) {
            opencv_imgproc.sepFilter2D(from, to, -1, across, down, middle, 0, opencv_core.BORDER_REPLICATE);
        }
    }

    private static Mat kernel(double scale) {
        int reach = reach(scale);
        float[] weights = new float[2 * reach + 1];
        double sum = 0;
        for (int i = -reach; i <= reach; i++) {
            sum += weight(i / scale);
        }
        for (int i = -reach; i <= reach; i++) {
            weights[i + reach] = (float) (weight(i / scale) / sum);
        }
        try (FloatPointer values = new FloatPointer(weights);
                Mat borrowed = new Mat(weights.length, 1, opencv_core.CV_32FC1, values)) {
            return borrowed.clone();
        }
    }

    private static double weight(double x) {
        if (x == 0) {
            return 1;
        }
        if (Math.abs(x) >= LOBES) {
            return 0;
        }
        double px = Math.PI * x;
        return LOBES * Math.sin(px) * Math.sin(px / LOBES) / (px * px);
    }
}
