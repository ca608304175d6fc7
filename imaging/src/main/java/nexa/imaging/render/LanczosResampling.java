package nexa.imaging.render;

import com.google.common.primitives.Doubles;
import com.google.common.primitives.Ints;
import java.util.Arrays;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Crop;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * Resizes an upright part of a picture with Lanczos' window of three lobes, stretched by the scale where that is above 1, so
 * that it weighs the whole footprint of a result pixel and takes out what the smaller picture could not show.
 *
 * <p>Only the result's pixels are computed, block by block, down first and then across. Both are the same sum of whole rows,
 * the second one over the transposed block: a loop the compiler makes vectors of. OpenCV can only filter at every pixel of
 * the source, which took three times as long.
 */
final class LanczosResampling {
    private static final int LOBES = 3;
    private static final int MOST_ROWS = 64;
    private static final int FEWEST_ROWS = 8;
    /** So many of the source's values are worked on at a time. */
    private static final double VALUES = 4e6;

    private LanczosResampling() {}

    /** How far the window reaches, in pixels of the source, for a scale. */
    static int reach(double scale) {
        return (int) Math.ceil(LOBES * Math.max(1, scale));
    }

    /**
     * A part of a picture at another size; beyond its edges the picture goes on as it ends. The caller closes it.
     *
     * @param from of 8 or 16 bits, any channels
     * @param part upright, in the picture's pixels
     */
    static Mat resized(Mat from, Crop part, PixelSize to) {
        double left = part.centre().x() - part.size().width() / 2;
        double top = part.centre().y() - part.size().height() / 2;
        Taps across = Taps.of(left, part.size().width() / to.width(), to.width(), from.cols());
        Taps down = Taps.of(top, part.size().height() / to.height(), to.height(), from.rows());
        double valuesARow =
                from.cols() * (double) from.channels() * Math.max(1, part.size().height() / to.height());
        int rows = (int) Doubles.constrainToRange(VALUES / valuesARow, FEWEST_ROWS, MOST_ROWS);
        RowSums sumsDown = new RowSums(down);
        RowSums sumsAcross = new RowSums(across);
        return ClosedOnThrow.filled(new Mat(to.height(), to.width(), from.type()), result -> {
            try (Mat values = new Mat();
                    Mat tall = new Mat();
                    Mat turned = new Mat();
                    Mat wide = new Mat();
                    Mat finished = new Mat()) {
                for (int row = 0; row < to.height(); row += rows) {
                    int end = Math.min(to.height(), row + rows);
                    int first = down.first(row);
                    try (Mat needed = from.rowRange(first, down.last(end - 1) + 1);
                            Mat place = result.rowRange(row, end)) {
                        needed.convertTo(values, opencv_core.CV_32F);
                        sumsDown.of(values, first, row, end, tall);
                        opencv_core.transpose(tall, turned);
                        sumsAcross.of(turned, 0, 0, to.width(), wide);
                        opencv_core.transpose(wide, finished);
                        finished.convertTo(place, from.type());
                    }
                }
            }
        });
    }

    /** Weighted sums of rows. Its memory is used again for every block. */
    private static final class RowSums {
        /** So many values of all rows that are summed stay in the processor's cache. */
        private static final int STRIPE = 4096;

        private final Taps taps;
        private float[][] rows = {};
        private float[] sum = {};

        RowSums(Taps taps) {
            this.taps = taps;
        }

        /**
         * Sums of rows of a block.
         *
         * @param offset which row of the source the block begins with
         * @param from the first row of the result
         * @param to the row after the last
         */
        void of(Mat block, int offset, int from, int to, Mat result) {
            int width = block.cols() * block.channels();
            read(block, width);
            result.create(to - from, block.cols(), block.type());
            for (int left = 0; left < width; left += STRIPE) {
                int right = Math.min(width, left + STRIPE);
                for (int i = from; i < to; i++) {
                    Arrays.fill(sum, left, right, 0);
                    for (int tap = 0; tap < taps.count(i); tap++) {
                        add(taps.weight(i, tap), rows[taps.row(i, tap) - offset], left, right);
                    }
                    try (BytePointer at = result.ptr(i - from);
                            FloatPointer floats = new FloatPointer(at)) {
                        floats.position(left).put(sum, left, right - left);
                    }
                }
            }
        }

        private void read(Mat block, int width) {
            if (rows.length < block.rows() || sum.length != width) {
                rows = new float[block.rows()][width];
                sum = new float[width];
            }
            for (int i = 0; i < block.rows(); i++) {
                try (BytePointer at = block.ptr(i);
                        FloatPointer floats = new FloatPointer(at)) {
                    floats.get(rows[i], 0, width);
                }
            }
        }

        private void add(float weight, float[] values, int from, int to) {
            float[] all = sum;
            for (int i = from; i < to; i++) {
                all[i] += weight * values[i];
            }
        }
    }

    /**
     * Which rows of the source make up each row of the result, and how much each weighs.
     *
     * @param begins the first row, which may lie before the source
     * @param weights summing up to 1 for each row of the result
     * @param limit how many rows the source has
     */
    private record Taps(int[] begins, float[][] weights, int limit) {
        static Taps of(double start, double scale, int count, int limit) {
            double stretch = Math.max(1, scale);
            int[] begins = new int[count];
            float[][] weights = new float[count][];
            for (int i = 0; i < count; i++) {
                // The middle of a source pixel k is at k + ½.
                double middle = start + (i + 0.5) * scale - 0.5;
                begins[i] = (int) Math.ceil(middle - LOBES * stretch);
                weights[i] = new float[(int) Math.floor(middle + LOBES * stretch) - begins[i] + 1];
                double sum = 0;
                for (int k = 0; k < weights[i].length; k++) {
                    sum += window((begins[i] + k - middle) / stretch);
                }
                for (int k = 0; k < weights[i].length; k++) {
                    weights[i][k] = (float) (window((begins[i] + k - middle) / stretch) / sum);
                }
            }
            return new Taps(begins, weights, limit);
        }

        private static double window(double x) {
            if (x == 0) {
                return 1;
            }
            if (Math.abs(x) >= LOBES) {
                return 0;
            }
            double px = Math.PI * x;
            return LOBES * Math.sin(px) * Math.sin(px / LOBES) / (px * px);
        }

        int count(int i) {
            return weights[i].length;
        }

        float weight(int i, int tap) {
            return weights[i][tap];
        }

        int row(int i, int tap) {
            return Ints.constrainToRange(begins[i] + tap, 0, limit - 1);
        }

        int first(int i) {
            return row(i, 0);
        }

        int last(int i) {
            return row(i, count(i) - 1);
        }
    }
}
