package nexa.imaging.find;

import java.util.Arrays;
import nexa.core.geometry.LinearSystem;

/** Plain statistics of a few numbers. */
final class Statistics {
    private Statistics() {}

    /** The middle value; of two the mean; 0 of none. */
    static double median(double[] values) {
        return quantile(values, 0.5);
    }

    /** The value below which a share of them lies, between neighbours in proportion; 0 of none. */
    static double quantile(double[] values, double share) {
        if (values.length == 0) {
            return 0;
        }
        double place = share * (values.length - 1);
        int below = (int) place;
        double[] parted = values.clone();
        part(parted, below);
        double above = parted[below];
        if (place > below) {
            above = Double.MAX_VALUE;
            for (int i = below + 1; i < parted.length; i++) {
                above = Math.min(above, parted[i]);
            }
        }
        return parted[below] + (place - below) * (above - parted[below]);
    }

    /** Puts the value at its place in order, the smaller ones before and the larger ones behind it (Hoare's selection). */
    private static void part(double[] values, int place) {
        int from = 0;
        int to = values.length - 1;
        while (from < to) {
            double pivot = values[(from + to) >>> 1];
            int i = from;
            int j = to;
            while (i <= j) {
                while (values[i] < pivot) {
                    i++;
                }
                while (values[j] > pivot) {
                    j--;
                }
                if (i <= j) {
                    double swapped = values[i];
                    values[i++] = values[j];
                    values[j--] = swapped;
                }
            }
            if (place <= j) {
                to = j;
            } else if (place >= i) {
                from = i;
            } else {
                return;
            }
        }
    }

    /** How many are true. */
    static int count(boolean[] which) {
        int count = 0;
        for (boolean each : which) {
            count += each ? 1 : 0;
        }
        return count;
    }

    /** Where between its neighbours a highest value would be if all three lay on a parabola, −½ … ½. */
    static double peak(double before, double highest, double after) {
        double bend = before - 2 * highest + after;
        return bend < 0 ? Math.max(-0.5, Math.min(0.5, 0.5 * (before - after) / bend)) : 0;
    }

    /** A polynomial through points, by least squares, the constant first; all NaN if there is none. */
    static double[] polynomial(double[] x, double[] y, int degree) {
        int n = degree + 1;
        double[][] rows = new double[n][n];
        double[] right = new double[n];
        for (int p = 0; p < x.length; p++) {
            double[] powers = new double[n];
            powers[0] = 1;
            for (int i = 1; i < n; i++) {
                powers[i] = powers[i - 1] * x[p];
            }
            for (int i = 0; i < n; i++) {
                for (int j = 0; j < n; j++) {
                    rows[i][j] += powers[i] * powers[j];
                }
                right[i] += powers[i] * y[p];
            }
        }
        double[] solution = LinearSystem.solve(rows, right);
        if (solution == null) {
            solution = new double[n];
            Arrays.fill(solution, Double.NaN);
        }
        return solution;
    }
}
