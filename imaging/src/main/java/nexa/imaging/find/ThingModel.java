package nexa.imaging.find;

import java.util.ArrayList;
import java.util.List;
import nexa.core.find.Seen;
import nexa.core.find.SeenThing;
import nexa.core.find.ThingKind;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_dnn;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * Sees persons, animals and things by NanoDet (github.com/RangiLyu/nanodet): three maps of coarser and coarser cells, each with
 * how likely every kind is there, and how far the thing reaches to each of four sides, as the mean of a distribution.
 */
final class ThingModel {
    private static final int LONG_SIDE = 416;
    private static final int MULTIPLE = 32;
    private static final int SHORTEST = 128;

    private static final double LEAST_SCORE = 0.1;
    private static final int KINDS = ThingKind.values().length;
    /** Distances that each side has a share of, 0 up to ten cells. */
    private static final int DISTANCES = 11;

    private static final double SPREAD = 57.6;
    private static final double BLUE = 103.53;
    private static final double GREEN = 116.28;
    private static final double RED = 123.675;

    private ThingModel() {}

    /** @param bgr 8 bits, three colours */
    static List<SeenThing> of(TrainedNet net, Mat bgr) {
        double factor = (double) LONG_SIDE / Math.max(bgr.cols(), bgr.rows());
        int width = side(bgr.cols() * factor);
        int height = side(bgr.rows() * factor);
        List<SeenThing> seen = new ArrayList<>();
        try (Size size = new Size(width, height);
                Scalar mean = new Scalar(BLUE, GREEN, RED, 0);
                Mat input = opencv_dnn.blobFromImage(bgr, 1 / SPREAD, size, mean, false, false, opencv_core.CV_32F)) {
            net.answers(input).forEach(map -> add(map, width, height, seen));
        }
        return Seen.once(
                seen, (one, other) -> one.kind() == other.kind() && one.box().overlap(other.box()) > SeenThing.SAME);
    }

    private static int side(double wished) {
        return Math.max(SHORTEST, (int) Math.round(wished / MULTIPLE) * MULTIPLE);
    }

    private static void add(TrainedNet.Answer map, int width, int height, List<SeenThing> seen) {
        int cells = map.rows() * map.columns();
        double cell = (double) width / map.columns();
        for (int i = 0; i < cells; i++) {
            int kind = likeliest(map.values(), cells, i);
            double score = Likelihood.of(map.values()[kind * cells + i]);
            if (score >= LEAST_SCORE) {
                double x = (i % map.columns() + 0.5) * cell;
                double y = (i / map.columns() + 0.5) * cell;
                Point least = new Point(
                        Math.max(0, (x - cell * distance(map.values(), cells, i, 0)) / width),
                        Math.max(0, (y - cell * distance(map.values(), cells, i, 1)) / height));
                Point most = new Point(
                        Math.min(1, (x + cell * distance(map.values(), cells, i, 2)) / width),
                        Math.min(1, (y + cell * distance(map.values(), cells, i, 3)) / height));
                seen.add(new SeenThing(ThingKind.values()[kind], score, new Bounds(least, most)));
            }
        }
    }

    private static int likeliest(float[] values, int cells, int cell) {
        int likeliest = 0;
        for (int kind = 1; kind < KINDS; kind++) {
            if (values[kind * cells + cell] > values[likeliest * cells + cell]) {
                likeliest = kind;
            }
        }
        return likeliest;
    }

    /** How far it reaches to a side, in cells. */
    private static double distance(float[] values, int cells, int cell, int side) {
        double sum = 0;
        double all = 0;
        for (int i = 0; i < DISTANCES; i++) {
            double share = Math.exp(values[(KINDS + side * DISTANCES + i) * cells + cell]);
            sum += share * i;
            all += share;
        }
        return sum / all;
    }
}
