package nexa.bench;

import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * How unlike two pictures are to the eye, whether or not the same grain lies in the same place: block by block by their mean
 * colours and by how much light changes across, down and aslant, at three sizes. 0 is alike; 1 is about a doubling of all
 * texture, or as much in colour.
 */
final class Unlike {
    private static final int BLOCK = 32;
    private static final int SIZES = 3;
    /** So many levels of colour are as much as a doubling of texture. */
    private static final double COLOUR = 6;

    private static final double NOISE = 9;

    private Unlike() {}

    /** The mean over all blocks of two pictures of one size, BGR of 8 bits. */
    static double of(Mat one, Mat other) {
        double sum = 0;
        int count = 0;
        for (int y = 0; y + BLOCK <= one.rows(); y += BLOCK) {
            for (int x = 0; x + BLOCK <= one.cols(); x += BLOCK) {
                try (Rect block = new Rect(x, y, BLOCK, BLOCK);
                        Mat here = new Mat(one, block);
                        Mat there = new Mat(other, block)) {
                    sum += distance(features(here), features(there));
                    count++;
                }
            }
        }
        return sum / Math.max(1, count);
    }

    private static double distance(double[] one, double[] other) {
        double sum = 0;
        for (int i = 0; i < one.length; i++) {
            sum += (one[i] - other[i]) * (one[i] - other[i]);
        }
        return Math.sqrt(sum / one.length);
    }

    private static double[] features(Mat block) {
        double[] features = new double[3 + 4 * SIZES];
        try (Mat light = new Mat()) {
            var mean = opencv_core.mean(block);
            double grey = .114 * mean.get(0) + .587 * mean.get(1) + .299 * mean.get(2);
            features[0] = grey / COLOUR;
            features[1] = (mean.get(2) - mean.get(1)) / COLOUR;
            features[2] = (mean.get(0) - (mean.get(1) + mean.get(2)) / 2) / COLOUR;
            opencv_imgproc.cvtColor(block, light, opencv_imgproc.COLOR_BGR2GRAY);
            light.convertTo(light, opencv_core.CV_32F);
            for (int size = 0; size < SIZES; size++) {
                changes(light, features, 3 + 4 * size);
                try (Size half = new Size(light.cols() / 2, light.rows() / 2)) {
                    opencv_imgproc.resize(light, light, half, 0, 0, opencv_imgproc.INTER_AREA);
                }
            }
        }
        return features;
    }

    private static void changes(Mat light, double[] features, int from) {
        double[] sums = new double[4];
        int count = 0;
        try (FloatIndexer values = light.createIndexer()) {
            for (int y = 1; y + 1 < light.rows(); y++) {
                for (int x = 1; x + 1 < light.cols(); x++) {
                    double[] changes = {
                        values.get(y, x + 1) - values.get(y, x - 1),
                        values.get(y + 1, x) - values.get(y - 1, x),
                        .7 * (values.get(y + 1, x + 1) - values.get(y - 1, x - 1)),
                        .7 * (values.get(y + 1, x - 1) - values.get(y - 1, x + 1))
                    };
                    for (int i = 0; i < 4; i++) {
                        sums[i] += changes[i] * changes[i];
                    }
                    count++;
                }
            }
        }
        for (int i = 0; i < 4; i++) {
            features[from + i] = Math.log(sums[i] / Math.max(1, count) + NOISE) / Math.log(2) / 2;
        }
    }
}
