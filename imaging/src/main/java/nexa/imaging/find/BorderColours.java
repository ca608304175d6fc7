package nexa.imaging.find;

import java.util.Arrays;
import nexa.core.geometry.LinearSystem;

/**
 * How unlike each place is to the colours along the picture's border: its Mahalanobis distance to each of four strips. The strip
 * that it is least like does not count, since what a picture is about may lie at one of them.
 */
final class BorderColours {
    private static final int CHANNELS = 3;

    /** How deep a strip is, as a share of the short side. */
    private static final double DEPTH = 0.08;

    private static final int SHALLOWEST = 3;

    /** What is added to the variances, so that a plain strip is not infinitely unlike anything else. */
    private static final double LEAST_VARIANCE = 12;

    private final float[][] lab;
    private final int width;
    private final int height;

    /** @param lab three channels, each row by row */
    BorderColours(float[][] lab, int width, int height) {
        this.lab = lab;
        this.width = width;
        this.height = height;
    }

    float[] unlike() {
        int deep = (int) Math.max(SHALLOWEST, DEPTH * Math.min(width, height));
        float[][] distances = {
            distance(0, 0, width, deep),
            distance(0, height - deep, width, height),
            distance(0, 0, deep, height),
            distance(width - deep, 0, width, height)
        };
        float[] unlike = new float[width * height];
        for (int i = 0; i < unlike.length; i++) {
            float most = 0;
            for (float[] distance : distances) {
                unlike[i] += distance[i];
                most = Math.max(most, distance[i]);
            }
            unlike[i] -= most;
        }
        return unlike;
    }

    /** Of all places to a strip, the largest being about 1. */
    private float[] distance(int left, int top, int right, int bottom) {
        double[] mean = new double[CHANNELS];
        double[][] variance = variance(left, top, right, bottom, mean);
        double[][] inverse = inverse(variance);
        double[] distance = new double[width * height];
        double[] off = new double[CHANNELS];
        for (int i = 0; i < distance.length; i++) {
            for (int c = 0; c < CHANNELS; c++) {
                off[c] = lab[c][i] - mean[c];
            }
            double square = 0;
            for (int c = 0; c < CHANNELS; c++) {
                for (int d = 0; d < CHANNELS; d++) {
                    square += off[c] * inverse[c][d] * off[d];
                }
            }
            distance[i] = Math.sqrt(Math.max(0, square));
        }
        double largest = Math.max(1e-6, Statistics.quantile(distance, 0.995));
        float[] shares = new float[distance.length];
        for (int i = 0; i < shares.length; i++) {
            shares[i] = (float) (distance[i] / largest);
        }
        return shares;
    }

    private double[][] variance(int left, int top, int right, int bottom, double[] mean) {
        int count = (right - left) * (bottom - top);
        double[][] variance = new double[CHANNELS][CHANNELS];
        for (int y = top; y < bottom; y++) {
            for (int x = left; x < right; x++) {
                for (int c = 0; c < CHANNELS; c++) {
                    mean[c] += lab[c][y * width + x] / count;
                }
            }
        }
        for (int y = top; y < bottom; y++) {
            for (int x = left; x < right; x++) {
                for (int c = 0; c < CHANNELS; c++) {
                    for (int d = 0; d < CHANNELS; d++) {
                        double product = (lab[c][y * width + x] - mean[c]) * (lab[d][y * width + x] - mean[d]);
                        variance[c][d] += product / (count - 1);
                    }
                }
            }
        }
        for (int c = 0; c < CHANNELS; c++) {
            variance[c][c] += LEAST_VARIANCE;
        }
        return variance;
    }

    private static double[][] inverse(double[][] matrix) {
        double[][] inverse = new double[CHANNELS][];
        for (int c = 0; c < CHANNELS; c++) {
            double[] unit = new double[CHANNELS];
            unit[c] = 1;
            // Symmetric, so that its columns are its rows.
            inverse[c] = LinearSystem.solve(
                    Arrays.stream(matrix).map(double[]::clone).toArray(double[][]::new), unit);
        }
        return inverse;
    }
}
