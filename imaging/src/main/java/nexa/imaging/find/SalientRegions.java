package nexa.imaging.find;

import java.nio.IntBuffer;
import java.util.Arrays;
import java.util.Optional;
import java.util.stream.IntStream;
import nexa.core.find.SalientMap;
import nexa.core.find.SalientRegion;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;

/** Parts what stands out of a picture into regions, and measures the heaviest. */
final class SalientRegions {
    /** A lower level, of 255, is no part of anything. */
    private static final double LEAST_LEVEL = 70;

    private static final double MOST_LEVEL = 235;
    private static final double[] HIGHER = {1.2, 1.4, 1.6, 1.8, 2.0, 2.2};

    /** A smaller part, as a share of the region, does not count when it is parted. */
    private static final double LEAST_PART = 0.05;

    /** Of the box, so much lies beyond at each end. */
    private static final double BEYOND_BOX = 0.04;

    private final SalientMap map;
    private final int width;
    private final int height;
    private final byte[] levels;

    private SalientRegions(SalientMap map) {
        this.map = map;
        this.width = map.width();
        this.height = map.height();
        this.levels = new byte[width * height];
        for (int i = 0; i < levels.length; i++) {
            levels[i] = (byte) (int) (255 * salience(i));
        }
    }

    /** The heaviest region; empty if nothing stands out. */
    static Optional<SalientRegion> heaviest(SalientMap map) {
        return new SalientRegions(map).heaviest();
    }

    private double salience(int i) {
        return map.salience(i % width, i / width);
    }

    private Optional<SalientRegion> heaviest() {
        double level = Math.max(LEAST_LEVEL, level());
        int[] labels = labels(cleaned(above(level)));
        int count = Arrays.stream(labels).max().orElse(0);
        if (count == 0) {
            return Optional.empty();
        }
        double[] weights = weights(labels, count, labels);
        int heaviest = most(weights);
        double second = second(weights, heaviest);
        boolean[] region = new boolean[labels.length];
        for (int i = 0; i < region.length; i++) {
            region[i] = labels[i] == heaviest + 1;
        }
        double split = part(region, level);
        return Optional.of(measured(region, second, split));
    }

    /** Otsu's level between what stands out and what does not. */
    private double level() {
        try (Mat mat = mat(levels);
                Mat any = new Mat()) {
            return opencv_imgproc.threshold(
                    mat, any, 0, 255, opencv_imgproc.THRESH_BINARY | opencv_imgproc.THRESH_OTSU);
        }
    }

    private byte[] above(double level) {
        byte[] above = new byte[levels.length];
        for (int i = 0; i < above.length; i++) {
            above[i] = (byte) ((levels[i] & 0xFF) > level ? 255 : 0);
        }
        return above;
    }

    private Mat mat(byte[] values) {
        Mat mat = new Mat(height, width, opencv_core.CV_8U);
        mat.data().put(values);
        return mat;
    }

    /** Without specks, and with gaps closed. */
    private byte[] cleaned(byte[] which) {
        try (Mat mat = mat(which);
                Mat small = Mat.ones(3, 3, opencv_core.CV_8U).asMat();
                Mat large = Mat.ones(7, 7, opencv_core.CV_8U).asMat()) {
            opencv_imgproc.morphologyEx(mat, mat, opencv_imgproc.MORPH_OPEN, small);
            opencv_imgproc.morphologyEx(mat, mat, opencv_imgproc.MORPH_CLOSE, large);
            byte[] cleaned = new byte[which.length];
            mat.data().get(cleaned);
            return cleaned;
        }
    }

    /** What hangs together, numbered from 1; 0 for what is not in it. */
    private int[] labels(byte[] which) {
        try (Mat mat = mat(which);
                Mat labels = new Mat()) {
            opencv_imgproc.connectedComponents(mat, labels);
            int[] values = new int[which.length];
            ((IntBuffer) labels.createBuffer()).get(values);
            return values;
        }
    }

    /** How much each of some labels weighs. */
    private double[] weights(int[] labels, int count, int[] where) {
        double[] weights = new double[count];
        for (int i = 0; i < labels.length; i++) {
            if (where[i] > 0) {
                weights[labels[i] - 1] += salience(i);
            }
        }
        return weights;
    }

    private static int most(double[] weights) {
        return IntStream.range(0, weights.length)
                .reduce((a, b) -> weights[b] > weights[a] ? b : a)
                .orElseThrow();
    }

    /** The heaviest but one, as a share of it. */
    private static double second(double[] weights, int heaviest) {
        double second = IntStream.range(0, weights.length)
                .filter(i -> i != heaviest)
                .mapToDouble(i -> weights[i])
                .max()
                .orElse(0);
        return weights[heaviest] > 0 ? second / weights[heaviest] : 0;
    }

    /**
     * Where several things run together, leaves the heaviest: the level is raised until they part.
     *
     * @return how heavy the next one was, as a share of it; 0 if it is one thing
     */
    private double part(boolean[] region, double level) {
        double size = LEAST_PART * Statistics.count(region);
        for (double times : HIGHER) {
            if (level * times > MOST_LEVEL) {
                return 0;
            }
            byte[] above = above(level * times);
            for (int i = 0; i < above.length; i++) {
                above[i] = region[i] ? above[i] : 0;
            }
            int[] parts = labels(above);
            int[] sizes = new int[1 + Arrays.stream(parts).max().orElse(0)];
            for (int part : parts) {
                sizes[part]++;
            }
            if (IntStream.range(1, sizes.length)
                            .filter(part -> sizes[part] >= size)
                            .count()
                    >= 2) {
                for (int i = 0; i < above.length; i++) {
                    above[i] = (byte) (parts[i] > 0 && sizes[parts[i]] >= size ? 0 : 255);
                }
                return keepHeaviest(region, above);
            }
        }
        return 0;
    }

    /** @param seeds 0 where a part is */
    private double keepHeaviest(boolean[] region, byte[] seeds) {
        int[] nearest = new int[region.length];
        try (Mat mat = mat(seeds);
                Mat distance = new Mat();
                Mat labels = new Mat()) {
            opencv_imgproc.distanceTransformWithLabels(
                    mat, distance, labels, opencv_imgproc.DIST_L2, 5, opencv_imgproc.DIST_LABEL_CCOMP);
            ((IntBuffer) labels.createBuffer()).get(nearest);
        }
        int[] within =
                IntStream.range(0, region.length).map(i -> region[i] ? 1 : 0).toArray();
        double[] weights = weights(nearest, Arrays.stream(nearest).max().orElse(0), within);
        int heaviest = most(weights);
        for (int i = 0; i < region.length; i++) {
            region[i] &= nearest[i] == heaviest + 1;
        }
        return second(weights, heaviest);
    }

    private SalientRegion measured(boolean[] region, double second, double split) {
        int[] places = IntStream.range(0, region.length).filter(i -> region[i]).toArray();
        double weight = 0;
        double across = 0;
        double down = 0;
        double all = 0;
        for (int i = 0; i < region.length; i++) {
            double salience = salience(i);
            all += salience;
            if (region[i]) {
                weight += salience;
                across += salience * (i % width);
                down += salience * (i / width);
            }
        }
        Bounds box = box(places);
        double radius = Math.max(box.extent().x(), box.extent().y()) / 2 / map.shortSide();
        return new SalientRegion(
                fraction(across / weight + .5, down / weight + .5),
                new Bounds(
                        fraction(box.least().x(), box.least().y()),
                        fraction(box.most().x(), box.most().y())),
                radius,
                weight / places.length,
                (all - weight) / Math.max(1, region.length - places.length),
                (double) places.length / region.length,
                weight / all,
                second,
                touch(region),
                split);
    }

    private Point fraction(double x, double y) {
        return new Point(x / width, y / height);
    }

    /** Around all but what lies furthest out, in places of the map. */
    private Bounds box(int[] places) {
        double[] across = Arrays.stream(places).mapToDouble(i -> i % width).toArray();
        double[] down = Arrays.stream(places).mapToDouble(i -> i / width).toArray();
        return new Bounds(
                new Point(Statistics.quantile(across, BEYOND_BOX), Statistics.quantile(down, BEYOND_BOX)),
                new Point(Statistics.quantile(across, 1 - BEYOND_BOX), Statistics.quantile(down, 1 - BEYOND_BOX)));
    }

    private double touch(boolean[] region) {
        int touching = 0;
        for (int x = 0; x < width; x++) {
            touching += (region[x] ? 1 : 0) + (region[(height - 1) * width + x] ? 1 : 0);
        }
        for (int y = 0; y < height; y++) {
            touching += (region[y * width] ? 1 : 0) + (region[y * width + width - 1] ? 1 : 0);
        }
        return touching / 2.0 / (width + height);
    }
}
