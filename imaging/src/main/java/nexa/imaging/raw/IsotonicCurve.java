package nexa.imaging.raw;

import java.util.stream.IntStream;

/**
 * A curve that never falls, fitted to what was seen at its nodes (pool adjacent violators: R. E. Barlow et al., "Statistical
 * Inference under Order Restrictions", 1972), from (0, 0) to its end; straight between nodes.
 */
final class IsotonicCurve {
    private final double[] values;
    private final double end;

    private IsotonicCurve(double[] values, double end) {
        this.values = values;
        this.end = end;
    }

    /**
     * The curve nearest to what was seen.
     *
     * @param sums at each node, what was seen there added up
     * @param counts how often
     * @param end where the last node is, the first being at 0
     * @param last where it leads if nothing was seen at its last nodes
     */
    static IsotonicCurve fit(double[] sums, double[] counts, double end, double last) {
        double[] values = new double[sums.length];
        double[] weights = counts.clone();
        for (int i = 0; i < values.length; i++) {
            values[i] = counts[i] > 0 ? sums[i] / counts[i] : 0;
        }
        pool(values, weights);
        values[0] = counts[0] > 0 ? values[0] : 0;
        weights[0] = Math.max(1, weights[0]);
        bridge(values, counts, last);
        return new IsotonicCurve(values, end);
    }

    /** Neighbours that fall become their mean, until none falls; nodes where nothing was seen are passed over. */
    private static void pool(double[] values, double[] weights) {
        int[] seen =
                IntStream.range(0, values.length).filter(i -> weights[i] > 0).toArray();
        double[] level = new double[seen.length];
        double[] weight = new double[seen.length];
        int[] length = new int[seen.length];
        int blocks = 0;
        for (int node : seen) {
            level[blocks] = values[node];
            weight[blocks] = weights[node];
            length[blocks] = 1;
            blocks++;
            while (blocks > 1 && level[blocks - 2] >= level[blocks - 1]) {
                double both = weight[blocks - 2] + weight[blocks - 1];
                level[blocks - 2] =
                        (level[blocks - 2] * weight[blocks - 2] + level[blocks - 1] * weight[blocks - 1]) / both;
                weight[blocks - 2] = both;
                length[blocks - 2] += length[blocks - 1];
                blocks--;
            }
        }
        int at = 0;
        for (int block = 0; block < blocks; block++) {
            for (int i = 0; i < length[block]; i++) {
                values[seen[at++]] = level[block];
            }
        }
    }

    /** Straight from one node where something was seen to the next, and to the end. */
    private static void bridge(double[] values, double[] counts, double last) {
        int from = 0;
        for (int i = 1; i < values.length; i++) {
            boolean isLast = i == values.length - 1;
            if (isLast && counts[i] == 0) {
                values[i] = Math.max(last, values[from]);
            }
            if (isLast || counts[i] > 0) {
                for (int j = from + 1; j < i; j++) {
                    values[j] = values[from] + (values[i] - values[from]) * (j - from) / (i - from);
                }
                from = i;
            }
        }
    }

    /** Its value at a place; beyond its end that of its end. */
    double at(double place) {
        double node = Math.max(0, place / end * (values.length - 1));
        int before = (int) Math.min(values.length - 2, node);
        double share = Math.min(1, node - before);
        return values[before] + share * (values[before + 1] - values[before]);
    }
}
