package nexa.imaging.find;

import java.util.Arrays;
import java.util.Random;
import java.util.stream.IntStream;

/** The straight edge through most of the blocks' changes. */
final class EdgeFit {
    private static final int BLOCKS = SideProfile.BLOCKS;

    /** How far from the straight edge a block's change may lie, in pixels. */
    private static final double ON_LINE = 1.6;

    private static final int PAIRS = 60;
    private static final int MORE_TO_SLOPE = 4;
    private static final double STEEPEST = Math.tan(Math.toRadians(2.2));

    private final double[] edge;
    private final int[] seen;
    private final int block;
    private double slope;
    private double offset;
    private int[] onLine;

    private EdgeFit(int[] seen, double[] edge, int block) {
        this.seen = seen;
        this.edge = edge;
        this.block = block;
    }

    static EdgeFit at(double depth, int[] seen, double[] edge, int block) {
        EdgeFit fit = new EdgeFit(seen, edge, block);
        fit.offset = depth;
        fit.onLine = fit.near();
        return fit;
    }

    static EdgeFit to(int[] seen, double[] edge, int block) {
        EdgeFit fit = new EdgeFit(seen, edge, block);
        fit.fit();
        return fit;
    }

    private void fit() {
        int most = 0;
        for (double candidate : slopes()) {
            int[] dense = densest(candidate);
            // A sloping line has more freedom, and needs more to be preferred.
            int count = dense.length - (candidate == 0 ? 0 : MORE_TO_SLOPE);
            if (count > most) {
                most = count;
                slope = candidate;
                offset = Arrays.stream(dense)
                        .mapToDouble(b -> edge[b] - candidate * x(b))
                        .average()
                        .orElse(0);
            }
        }
        onLine = near();
        if (slope != 0 && onLine.length >= 8) {
            double[] line = Statistics.polynomial(
                    Arrays.stream(onLine).mapToDouble(this::x).toArray(),
                    Arrays.stream(onLine).mapToDouble(b -> edge[b]).toArray(),
                    1);
            offset = line[0];
            slope = line[1];
            onLine = near();
        }
    }

    private double x(int b) {
        return (b + 0.5) * block;
    }

    double slope() {
        return slope;
    }

    int[] onLine() {
        return onLine;
    }

    /** Where the edge lies beside a block. */
    double at(int b) {
        return offset + slope * x(b);
    }

    private int[] near() {
        return Arrays.stream(seen)
                .filter(b -> Math.abs(edge[b] - at(b)) <= ON_LINE)
                .toArray();
    }

    /** Level, and as pairs of blocks far apart say. */
    private double[] slopes() {
        Random random = new Random(3);
        return IntStream.rangeClosed(0, PAIRS)
                .mapToDouble(i -> i == 0 ? 0 : slope(random))
                .filter(each -> Math.abs(each) < STEEPEST)
                .toArray();
    }

    private double slope(Random random) {
        int one = seen[random.nextInt(seen.length)];
        int other = seen[random.nextInt(seen.length)];
        return Math.abs(one - other) < 0.3 * BLOCKS ? 0 : (edge[other] - edge[one]) / (x(other) - x(one));
    }

    /** The blocks in the 3 px that hold most of them. */
    private int[] densest(double candidate) {
        int[] sorted = Arrays.stream(seen)
                .boxed()
                .sorted((a, b) -> Double.compare(edge[a] - candidate * x(a), edge[b] - candidate * x(b)))
                .mapToInt(Integer::intValue)
                .toArray();
        int from = 0;
        int to = 0;
        for (int i = 0, j = 0; i < sorted.length; i++) {
            while (j < sorted.length
                    && edge[sorted[j]] - candidate * x(sorted[j]) <= edge[sorted[i]] - candidate * x(sorted[i]) + 3) {
                j++;
            }
            if (j - i > to - from) {
                from = i;
                to = j;
            }
        }
        return Arrays.copyOfRange(sorted, from, to);
    }

    /** Where the picture begins, at the most along the side. */
    double depth() {
        double[] off =
                Arrays.stream(onLine).mapToDouble(b -> edge[b] - slope * x(b)).toArray();
        return Statistics.median(off) + (slope == 0 ? 0 : Math.max(slope * x(0), slope * x(BLOCKS - 1)));
    }

    double leastThird() {
        int[] thirds = new int[3];
        for (int b : onLine) {
            thirds[b < 21 ? 0 : b < 43 ? 1 : 2]++;
        }
        return Math.min(thirds[0] / 21.0, Math.min(thirds[1] / 22.0, thirds[2] / 21.0));
    }
}
