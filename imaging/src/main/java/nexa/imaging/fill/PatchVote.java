package nexa.imaging.fill;

import java.util.Arrays;

/** Gives each missing pixel the mean of what all patches that cover it show there, the more alike ones counting more. */
final class PatchVote {
    private static final int REACH = PatchSearch.REACH;
    /** Patches within this share of the best count much; fewer in the last round, which makes it sharp. */
    private static final double USUAL = 0.75;

    private static final double LAST = 0.4;
    /** A patch counts less by this for each pixel that it lies further out: what is known spreads outwards. */
    private static final double OUTWARDS = 1 / 1.2;

    private static final int FARTHEST = 30;
    private static final double MOST_UNLIKE = 40;
    private static final double LEAST = 1e-12;

    private final NearestNeighbourField field;
    private final int[] colour;
    private final int[] targets;
    private final int[] found;

    /**
     * A vote.
     *
     * @param colour of each pixel of the field; what is missing is filled in
     * @param targets the middles of the patches
     * @param found the middle of what was found for each
     */
    PatchVote(NearestNeighbourField field, int[] colour, int[] targets, int[] found) {
        this.field = field;
        this.colour = colour;
        this.targets = targets;
        this.found = found;
    }

    /** When nothing is known of how alike they are. */
    void withoutDistance() {
        double[] weights = new double[targets.length];
        Arrays.fill(weights, 1);
        vote(weights);
    }

    /** @param apart how unlike each patch is what was found for it */
    void byDistance(int[] apart, boolean isLast) {
        int[] sorted = new int[targets.length];
        for (int i = 0; i < targets.length; i++) {
            sorted[i] = apart[targets[i]];
        }
        Arrays.sort(sorted);
        double spread = Math.max(1, sorted[(int) (sorted.length * (isLast ? LAST : USUAL))]);
        double[] weights = new double[targets.length];
        for (int i = 0; i < targets.length; i++) {
            weights[i] = StrictMath.exp(-Math.min(MOST_UNLIKE, apart[targets[i]] / (2 * spread)));
        }
        vote(weights);
    }

    private void vote(double[] weights) {
        double[] outwards = new double[FARTHEST + 1];
        outwards[0] = 1;
        for (int i = 1; i < outwards.length; i++) {
            outwards[i] = outwards[i - 1] * OUTWARDS;
        }
        float[] sums = new float[colour.length];
        float[] counts = new float[colour.length / 3];
        for (int i = 0; i < targets.length; i++) {
            int x = targets[i] % field.width;
            int y = targets[i] / field.width;
            int out = Math.min(FARTHEST, Math.max(field.beyondX(x), field.beyondY(y)));
            add((float) (weights[i] * outwards[out] + LEAST), targets[i], found[targets[i]], sums, counts);
        }
        for (int at = 0; at < counts.length; at++) {
            for (int c = 0; c < 3 && counts[at] > 0; c++) {
                float mean = sums[3 * at + c] / counts[at];
                field.colour[3 * at + c] = mean;
                colour[3 * at + c] = (int) (mean + 0.5f);
            }
        }
    }

    private void add(float weight, int target, int source, float[] sums, float[] counts) {
        for (int v = -REACH; v <= REACH; v++) {
            int y = target / field.width + v;
            for (int u = -REACH; u <= REACH; u++) {
                int x = target % field.width + u;
                if (!field.isInPicture(x, y)) {
                    int at = y * field.width + x;
                    int from = 3 * (source + v * field.width + u);
                    float less = weight / (1 + u * u + v * v);
                    counts[at] += less;
                    sums[3 * at] += less * colour[from];
                    sums[3 * at + 1] += less * colour[from + 1];
                    sums[3 * at + 2] += less * colour[from + 2];
                }
            }
        }
    }
}
