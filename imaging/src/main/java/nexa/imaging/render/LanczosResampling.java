package nexa.imaging.render;

import com.google.common.cache.CacheBuilder;
import com.google.common.cache.CacheLoader;
import com.google.common.cache.LoadingCache;
import com.google.common.primitives.Ints;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Crop;
import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.javacpp.PointerScope;
import org.bytedeco.openblas.global.openblas_nolapack;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;
import org.bytedeco.opencv.opencv_core.Rect;

/**
 * Resizes an upright part of a picture with {@link Lanczos}' kernel, stretched by the scale where that is above 1, so that it
 * weighs the whole footprint of a result pixel and takes out what the smaller picture could not show.
 *
 * <p>Only the result's pixels are computed, tile by tile, so that what a tile is made of stays in the processor's cache; down
 * first and then across. Both are products of matrices, which OpenBLAS works out with all that the processor has: a few rows are
 * their weights times rows of the source, and a few columns are the tile times theirs.
 */
final class LanczosResampling {
    /** A tile's rows, fewer where each takes many of the source's: so many products. */
    private static final int MOST_PRODUCTS = 4;

    private static final int ROWS_OF_SOURCE = 256;
    /** About so many columns of the source make up a tile. */
    private static final int COLUMNS_OF_SOURCE = 350;

    /** So many rows and so many columns of the result are one product each: OpenBLAS has a quick way for small ones. */
    private static final int ROWS = 8;

    private static final int COLUMNS = 16;

    /** So many sides' weights are kept for the next that is like them. */
    private static final int KEPT = 12;

    static {
        // Photos are worked on side by side, which is quicker than dividing the work on each.
        openblas_nolapack.blas_set_num_threads(1);
    }

    private final Mat from;
    private final PixelSize to;
    private final Taps across;
    private final Taps down;
    private final int rows;

    /** @param rows of a tile, a multiple of {@link #ROWS} */
    private LanczosResampling(Mat from, Taps across, Taps down, PixelSize to, int rows) {
        this.from = from;
        this.to = to;
        this.across = across;
        this.down = down;
        this.rows = rows;
    }

    /** How far the kernel reaches, in pixels of the source, for a scale. */
    static int reach(double scale) {
        return (int) Math.ceil(Lanczos.LOBES * Math.max(1, scale)) + 1;
    }

    /**
     * A part of a picture at another size; beyond its edges the picture goes on as it ends. The caller closes it.
     *
     * @param from of 8 or 16 bits or floats, any channels
     * @param part upright, in the picture's pixels
     * @param sharpening a of the weights (−a, 1 + 2a, −a) of a pixel and its neighbours, by which the picture is sharpened
     *     first; 0 for none
     */
    static Mat resized(Mat from, Crop part, PixelSize to, double sharpening) {
        double left = part.centre().x() - part.size().width() / 2;
        double top = part.centre().y() - part.size().height() / 2;
        double right = part.size().width() / to.width();
        double down = part.size().height() / to.height();
        LanczosResampling resampling = new LanczosResampling(
                from,
                Taps.of(left, right, to.width(), from.cols(), sharpening),
                Taps.of(top, down, to.height(), from.rows(), sharpening),
                to,
                ROWS * Ints.constrainToRange((int) (ROWS_OF_SOURCE / down / ROWS), 1, MOST_PRODUCTS));
        int columns = COLUMNS * Math.max(1, (int) (COLUMNS_OF_SOURCE / right / COLUMNS));
        return ClosedOnThrow.filled(
                new Mat(to.height(), to.width(), from.type()), result -> resampling.fill(result, columns));
    }

    /** @param columns of a tile */
    private void fill(Mat result, int columns) {
        try (PointerScope all = new PointerScope()) {
            Product[] rowSums = IntStream.range(0, (to.height() + ROWS - 1) / ROWS)
                    .mapToObj(i -> new Product(down, i * ROWS, Math.min(to.height(), (i + 1) * ROWS), true))
                    .toArray(Product[]::new);
            int sourceRows = IntStream.range(0, (to.height() + rows - 1) / rows)
                    .map(i -> down.end(Math.min(to.height(), (i + 1) * rows) - 1) - down.first(i * rows))
                    .max()
                    .orElseThrow();
            for (int column = 0; column < to.width(); column += columns) {
                try (PointerScope some = new PointerScope()) {
                    new Tiles(rowSums, sourceRows, column, Math.min(to.width(), column + columns)).fill(result);
                }
            }
        }
    }

    /** Some columns of the result, tile by tile. */
    private final class Tiles {
        private final Product[] rowSums;
        private final Product[] columnSums;
        private final int column;
        private final int columns;
        /** The part of the source that they are made of. */
        private final int left;

        private final int width;
        private final Mat values;
        private final Mat tall;
        private final MatVector planes;
        private final MatVector wide;
        private final Mat finished = new Mat();

        /** @param sourceRows as many as make up a tile, at most */
        Tiles(Product[] rowSums, int sourceRows, int column, int end) {
            int channels = from.channels();
            this.rowSums = rowSums;
            this.column = column;
            this.columns = end - column;
            this.left = across.first(column);
            this.width = across.end(end - 1) - left;
            this.columnSums = IntStream.range(0, (columns + COLUMNS - 1) / COLUMNS)
                    .mapToObj(i -> column + i * COLUMNS)
                    .map(first -> new Product(across, first, Math.min(end, first + COLUMNS), false))
                    .toArray(Product[]::new);
            this.values = new Mat(sourceRows, width, opencv_core.CV_32FC(channels));
            this.tall = new Mat(rows, width, opencv_core.CV_32FC(channels));
            this.planes = new MatVector(channels);
            this.wide = new MatVector(channels);
            for (int i = 0; i < channels; i++) {
                planes.put(i, new Mat(rows, width, opencv_core.CV_32FC1));
                wide.put(i, new Mat(rows, columns, opencv_core.CV_32FC1));
            }
        }

        void fill(Mat result) {
            for (int row = 0; row < to.height(); row += rows) {
                int end = Math.min(to.height(), row + rows);
                sumDown(row, end);
                opencv_core.split(tall, planes);
                for (int i = 0; i < from.channels(); i++) {
                    sumAcross(i, end - row);
                }
                opencv_core.merge(wide, finished);
                try (Mat tile = finished.rowRange(0, end - row);
                        Rect at = new Rect(column, row, columns, end - row);
                        Mat place = new Mat(result, at)) {
                    tile.convertTo(place, from.type());
                }
            }
        }

        private void sumDown(int row, int end) {
            int top = down.first(row);
            int height = down.end(end - 1) - top;
            try (Rect at = new Rect(left, top, width, height);
                    Mat part = new Mat(from, at);
                    Mat some = values.rowRange(0, height)) {
                part.convertTo(some, opencv_core.CV_32F);
            }
            int all = width * from.channels();
            try (FloatPointer in = new FloatPointer(values.data());
                    FloatPointer out = new FloatPointer(tall.data())) {
                for (int i = row; i < end; i += ROWS) {
                    Product sums = rowSums[i / ROWS];
                    multiply(
                            sums.count,
                            all,
                            sums.height,
                            sums.weights,
                            sums.height,
                            in.position((long) (sums.first - top) * all),
                            all,
                            out.position((long) (i - row) * all),
                            all);
                }
            }
        }

        private void sumAcross(int channel, int height) {
            try (Mat plane = planes.get(channel);
                    Mat sum = wide.get(channel);
                    FloatPointer in = new FloatPointer(plane.data());
                    FloatPointer out = new FloatPointer(sum.data())) {
                for (int i = 0; i < columnSums.length; i++) {
                    Product sums = columnSums[i];
                    multiply(
                            height,
                            sums.count,
                            sums.height,
                            in.position(sums.first - left),
                            width,
                            sums.weights,
                            sums.count,
                            out.position((long) i * COLUMNS),
                            columns);
                }
            }
        }
    }

    /**
     * One matrix times another.
     *
     * @param height of the first one and of the result
     * @param width of the second one and of the result
     * @param inner the width of the first one and the height of the second
     * @param firstStep from one row to the next
     */
    private static void multiply(
            int height,
            int width,
            int inner,
            FloatPointer first,
            int firstStep,
            FloatPointer second,
            int secondStep,
            FloatPointer result,
            int resultStep) {
        openblas_nolapack.cblas_sgemm(
                openblas_nolapack.CblasRowMajor,
                openblas_nolapack.CblasNoTrans,
                openblas_nolapack.CblasNoTrans,
                height,
                width,
                inner,
                1,
                first,
                firstStep,
                second,
                secondStep,
                0,
                result,
                resultStep);
    }

    /** What some rows or columns of the result are to be multiplied by, zeros and all. */
    private static final class Product {
        /** The first row or column of the source, and how many there are. */
        private final int first;

        private final int height;
        private final int count;
        private final FloatPointer weights;

        /** @param isByRows whether each of the result has its weights in a row, else in a column */
        Product(Taps taps, int from, int to, boolean isByRows) {
            this.first = taps.first(from);
            this.height = taps.end(to - 1) - first;
            this.count = to - from;
            float[] matrix = new float[height * count];
            for (int i = 0; i < count; i++) {
                float[] own = taps.weights(from + i);
                int begin = taps.first(from + i) - first;
                for (int k = 0; k < own.length; k++) {
                    matrix[isByRows ? i * height + begin + k : (begin + k) * count + i] = own[k];
                }
            }
            this.weights = new FloatPointer(matrix);
        }
    }

    /**
     * Which pixels along a side of the source make up each of the result, and how much each weighs.
     *
     * @param firsts the first one for each of the result
     * @param all their weights, summing up to 1 for each
     */
    private record Taps(int[] firsts, float[][] all) {
        private static final LoadingCache<Side, Taps> MADE =
                CacheBuilder.newBuilder().maximumSize(KEPT).build(CacheLoader.from(side -> of(side)));

        /**
         * A side of a result, along one of the source.
         *
         * @param start where it begins in the source
         * @param scale pixels of the source for one of the result
         * @param count how many the result has
         * @param limit how many the source has
         */
        private record Side(double start, double scale, int count, int limit, double sharpening) {
            /** The nearest pixel that there is. */
            int within(int pixel) {
                return Ints.constrainToRange(pixel, 0, limit - 1);
            }
        }

        /** Those for places evenly spread over a side; bands of one photo, and photos of one size, want the same again and again. */
        static Taps of(double start, double scale, int count, int limit, double sharpening) {
            return MADE.getUnchecked(new Side(start, scale, count, limit, sharpening));
        }

        private static Taps of(Side side) {
            int[] firsts = new int[side.count()];
            float[][] all = new float[side.count()][];
            double stretch = Math.max(1, side.scale());
            int beside = side.sharpening() == 0 ? 0 : 1;
            for (int i = 0; i < firsts.length; i++) {
                // The middle of a source pixel k is at k + ½.
                double middle = side.start() + (i + 0.5) * side.scale() - 0.5;
                int begin = (int) Math.ceil(middle - Lanczos.LOBES * stretch) - beside;
                int last = (int) Math.floor(middle + Lanczos.LOBES * stretch) + beside;
                double[] weights = weights(begin - middle, last - begin + 1, stretch, side.sharpening());
                firsts[i] = side.within(begin);
                all[i] = new float[side.within(last) - firsts[i] + 1];
                for (int k = 0; k < weights.length; k++) {
                    all[i][side.within(begin + k) - firsts[i]] += (float) weights[k];
                }
            }
            return new Taps(firsts, all);
        }

        /** @param begin how far from the place that is wanted the first one lies */
        private static double[] weights(double begin, int count, double stretch, double sharpening) {
            double[] plain = IntStream.range(0, count)
                    .mapToDouble(k -> Lanczos.weight((begin + k) / stretch))
                    .toArray();
            double sum = DoubleStream.of(plain).sum();
            double[] weights = new double[count];
            double shift = 0;
            for (int k = 0; k < count; k++) {
                double neighbours = (k > 0 ? plain[k - 1] : 0) + (k < count - 1 ? plain[k + 1] : 0);
                weights[k] = ((1 + 2 * sharpening) * plain[k] - sharpening * neighbours) / sum;
                shift += weights[k] * (begin + k);
            }
            return Lanczos.shifted(weights, -shift);
        }

        float[] weights(int i) {
            return all[i];
        }

        int first(int i) {
            return firsts[i];
        }

        /** The one after the last. */
        int end(int i) {
            return firsts[i] + all[i].length;
        }
    }
}
