package nexa.imaging.find;

import java.nio.FloatBuffer;
import java.util.function.BooleanSupplier;
import nexa.core.find.SalientMap;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * Measures how much each place of a picture stands out: by its distance in colour from what reaches the picture's border, by
 * its difference from the border's own colours, by how sharp it is, and a little by how near to the middle it lies.
 */
final class Salience {
    private static final int LONG_SIDE = 240;
    private static final int SHORTEST = 16;
    private static final int FOCUS_SIDE = 960;
    private static final double COLOUR_BLUR = 1.2;
    private static final double DETAIL_BLUR = 1.6;
    private static final double FOCUS_BLUR = LONG_SIDE / 40.0;
    private static final double BLUR = LONG_SIDE / 120.0;

    /** How wide what lies near the middle is, as a share of the picture. */
    private static final double MIDDLE = 0.42;

    private Salience() {}

    /**
     * The map of a picture.
     *
     * @param bgr 8 bits, three colours
     * @param isUnwanted asked between stages; then the map says nothing
     */
    static SalientMap of(Mat bgr, BooleanSupplier isUnwanted) {
        double factor = (double) LONG_SIDE / Math.max(bgr.cols(), bgr.rows());
        int width = (int) Math.max(SHORTEST, Math.round(bgr.cols() * factor));
        int height = (int) Math.max(SHORTEST, Math.round(bgr.rows() * factor));
        float[] salience = new float[width * height];
        float[] focus = isUnwanted.getAsBoolean() ? salience.clone() : focus(bgr, width, height);
        if (!isUnwanted.getAsBoolean()) {
            float[][] lab = lab(bgr, width, height);
            float[] apart = new float[width * height];
            for (float[] channel : lab) {
                float[] distance = BarrierDistance.of(channel, width, height);
                for (int i = 0; i < apart.length; i++) {
                    apart[i] += distance[i];
                }
            }
            spread(apart);
            float[] unlike = new BorderColours(lab, width, height).unlike();
            spread(unlike);
            for (int i = 0; i < salience.length; i++) {
                double across = (i % width - width / 2.0) / (MIDDLE * width);
                double down = (i / width - height / 2.0) / (MIDDLE * height);
                double middle = Math.exp(-(across * across + down * down));
                salience[i] =
                        (float) ((.6 * apart[i] + .4 * unlike[i]) * (.45 + .55 * focus[i]) * (.35 + .65 * middle));
            }
            blur(salience, width, height);
            spread(salience);
        }
        return new SalientMap(width, height, salience, focus);
    }

    private static float[][] lab(Mat bgr, int width, int height) {
        try (Mat small = new Mat();
                Size size = new Size(width, height);
                Size any = new Size(0, 0)) {
            opencv_imgproc.resize(bgr, small, size, 0, 0, opencv_imgproc.INTER_AREA);
            small.convertTo(small, opencv_core.CV_32F, 1 / 255.0, 0);
            opencv_imgproc.cvtColor(small, small, opencv_imgproc.COLOR_BGR2Lab);
            opencv_imgproc.GaussianBlur(small, small, any, COLOUR_BLUR);
            float[] mixed = values(small, 3 * width * height);
            float[][] lab = new float[3][width * height];
            for (int i = 0; i < mixed.length; i++) {
                lab[i % 3][i / 3] = mixed[i];
            }
            return lab;
        }
    }

    /** How much fine detail there is about each place. */
    private static float[] focus(Mat bgr, int width, int height) {
        double factor = Math.min(1, (double) FOCUS_SIDE / Math.max(bgr.cols(), bgr.rows()));
        try (Mat grey = new Mat();
                Mat blurred = new Mat();
                Size larger = new Size((int) Math.max(1, Math.round(bgr.cols() * factor)), (int)
                        Math.max(1, Math.round(bgr.rows() * factor)));
                Size size = new Size(width, height);
                Size any = new Size(0, 0)) {
            opencv_imgproc.cvtColor(bgr, grey, opencv_imgproc.COLOR_BGR2GRAY);
            opencv_imgproc.resize(grey, grey, larger, 0, 0, opencv_imgproc.INTER_AREA);
            grey.convertTo(grey, opencv_core.CV_32F);
            opencv_imgproc.GaussianBlur(grey, blurred, any, DETAIL_BLUR);
            opencv_core.absdiff(grey, blurred, grey);
            opencv_imgproc.resize(grey, grey, size, 0, 0, opencv_imgproc.INTER_AREA);
            opencv_imgproc.GaussianBlur(grey, grey, any, FOCUS_BLUR);
            opencv_core.sqrt(grey, grey);
            float[] focus = values(grey, width * height);
            spread(focus);
            return focus;
        }
    }

    private static float[] values(Mat mat, int count) {
        float[] values = new float[count];
        ((FloatBuffer) mat.createBuffer()).get(values);
        return values;
    }

    private static void blur(float[] values, int width, int height) {
        try (Mat mat = new Mat(height, width, opencv_core.CV_32F);
                Size any = new Size(0, 0)) {
            ((FloatBuffer) mat.createBuffer()).put(values);
            opencv_imgproc.GaussianBlur(mat, mat, any, BLUR);
            ((FloatBuffer) mat.createBuffer()).get(values);
        }
    }

    /** Brings nearly all values to 0 … 1; those beyond are there as well. */
    static void spread(float[] values) {
        double[] all = new double[values.length];
        for (int i = 0; i < all.length; i++) {
            all[i] = values[i];
        }
        double least = Statistics.quantile(all, 0.01);
        double range = Math.max(1e-6, Statistics.quantile(all, 0.995) - least);
        for (int i = 0; i < values.length; i++) {
            values[i] = (float) Math.max(0, Math.min(1, (values[i] - least) / range));
        }
    }
}
