package nexa.core.find;

import java.util.Arrays;
import java.util.Optional;
import java.util.function.IntPredicate;

/**
 * Fits edges that are level, or upright, in the scene: each leans by the photo's lean and, where the camera looked up or to the
 * side, by more the further it is from the middle, as they run together in the distance. Both are found by a vote, then by
 * weighted least squares whose weights leave out what is far off (Tukey's biweight).
 *
 * @param lean of the edge through the picture's middle, which is the photo's, in degrees clockwise
 * @param convergence by how many degrees more they lean half a diagonal further across
 */
record Convergence(double lean, double convergence) {
    private static final double MOST_LEAN = 12;
    private static final double STEP = 0.2;
    private static final int LEANS = 121;
    /** A photo is more likely to have been taken straight on. */
    private static final double STRAIGHT_ON = 0.15;

    private static final double WIDE = 1.2;
    private static final double NARROW = 0.45;
    private static final double NARROWING = 0.75;
    private static final int ROUNDS = 8;
    /** Holds the convergence where all edges are at one place. */
    private static final double HOLD = 1e-3;

    /** The best of a vote, and how near the best of another lean came to it, 0 … 1. */
    record Vote(Convergence best, double rival) {}

    /** The lean at a place across, by this fit. */
    double at(double across) {
        return lean + convergence * across;
    }

    /**
     * The fit most edges vote for.
     *
     * @param across where each edge counts as being
     * @param mostConvergence in degrees over half a diagonal
     */
    static Vote vote(LineGroup group, double[] across, int mostConvergence) {
        double[][] votes = new double[2 * mostConvergence + 1][];
        double most = 0;
        Convergence best = new Convergence(0, 0);
        for (int i = 0; i < votes.length; i++) {
            double convergence = i - mostConvergence;
            votes[i] = votes(group, across, convergence);
            double factor = 1 - STRAIGHT_ON * Math.abs(convergence) / mostConvergence;
            for (int j = 0; j < LEANS; j++) {
                votes[i][j] *= factor;
                if (votes[i][j] > most) {
                    most = votes[i][j];
                    best = new Convergence(j * STEP - MOST_LEAN, convergence);
                }
            }
        }
        return new Vote(best, rival(votes, best.lean(), most));
    }

    /** How near the best of another lean comes. */
    private static double rival(double[][] votes, double lean, double most) {
        double other = 0;
        for (double[] row : votes) {
            for (int j = 0; j < LEANS; j++) {
                if (Math.abs(j * STEP - MOST_LEAN - lean) > 1) {
                    other = Math.max(other, row[j]);
                }
            }
        }
        return most > 0 ? other / most : 1;
    }

    private static double[] votes(LineGroup group, double[] across, double convergence) {
        double[] plain = new double[LEANS];
        for (int i = 0; i < group.size(); i++) {
            double place = (group.lean[i] - convergence * across[i] + MOST_LEAN) / STEP;
            int below = (int) Math.floor(place);
            if (below >= 0 && below < LEANS - 1) {
                plain[below] += group.weight[i] * (1 - (place - below));
                plain[below + 1] += group.weight[i] * (place - below);
            }
        }
        double[] smooth = new double[LEANS];
        double[] kernel = {0.25, 0.5, 1, 0.5, 0.25};
        for (int j = 0; j < LEANS; j++) {
            for (int k = -2; k <= 2; k++) {
                if (j + k >= 0 && j + k < LEANS) {
                    smooth[j] += kernel[k + 2] * plain[j + k];
                }
            }
        }
        return smooth;
    }

    /** This fit made exact, with the weight each edge has in it at last; empty if no edge is near it. */
    Optional<Fit> refined(LineGroup group, double[] across) {
        Convergence now = this;
        double[] weights = new double[0];
        double width = WIDE;
        for (int round = 0; round < ROUNDS; round++) {
            weights = now.weights(group, across, width);
            Optional<Convergence> next = solved(group, across, weights);
            if (next.isEmpty()) {
                return Optional.empty();
            }
            now = next.get();
            width = Math.max(NARROW, width * NARROWING);
        }
        return Optional.of(new Fit(now, weights, now.isNear(group, across)));
    }

    /**
     * A fit with what belongs to it.
     *
     * @param weights of each edge
     * @param isIn which edges are near it
     */
    record Fit(Convergence line, double[] weights, boolean[] isIn) {}

    /** Whether an edge's lean is near, as exactly as it is known. */
    private boolean[] isNear(LineGroup group, double[] across) {
        boolean[] near = new boolean[group.size()];
        for (int i = 0; i < near.length; i++) {
            near[i] = Math.abs(group.lean[i] - at(across[i])) < NARROW * looseness(group.sigma[i]);
        }
        return near;
    }

    private static double looseness(double sigma) {
        return Math.max(1, sigma / 0.15);
    }

    private double[] weights(LineGroup group, double[] across, double width) {
        double[] weights = new double[group.size()];
        for (int i = 0; i < weights.length; i++) {
            double off = (group.lean[i] - at(across[i])) / (width * looseness(group.sigma[i]));
            weights[i] = biweight(off) * group.weight[i];
        }
        return weights;
    }

    private static double biweight(double off) {
        double left = Math.max(0, 1 - off * off);
        return left * left;
    }

    /** The weighted least squares. */
    static Optional<Convergence> solved(LineGroup group, double[] across, double[] weights) {
        Sums sums = Sums.of(group, across, weights, i -> true);
        return sums.solved(HOLD * group.heaviest());
    }

    /**
     * The lean that some of the edges give, fitted anew from near this fit.
     *
     * @param keepsConvergence whether only the lean is fitted
     */
    Optional<Convergence> refitted(LineGroup group, double[] across, IntPredicate which, boolean keepsConvergence) {
        Convergence now = this;
        double width = 1.5;
        for (int round = 0; round < 7; round++) {
            double[] weights = new double[group.size()];
            for (int i = 0; i < weights.length; i++) {
                double off = (group.lean[i] - now.at(across[i])) / width;
                weights[i] = which.test(i) ? biweight(off) * group.weight[i] : 0;
            }
            Sums sums = Sums.of(group, across, weights, which);
            Optional<Convergence> next = keepsConvergence ? sums.shifted(now) : sums.solved(HOLD * group.heaviest());
            if (next.isEmpty()) {
                return Optional.empty();
            }
            now = next.get();
            width = Math.max(NARROW, width * 0.78);
        }
        return Optional.of(now);
    }

    /** Weighted sums over edges, from which a line through their leans follows: of 1, u, u², lean and u·lean. */
    record Sums(double one, double u, double uu, double lean, double uLean) {
        static Sums of(LineGroup group, double[] across, double[] weights, IntPredicate which) {
            double[] s = new double[5];
            for (int i = 0; i < weights.length; i++) {
                if (which.test(i)) {
                    double w = weights[i];
                    double u = across[i];
                    s[0] += w;
                    s[1] += w * u;
                    s[2] += w * u * u;
                    s[3] += w * group.lean[i];
                    s[4] += w * u * group.lean[i];
                }
            }
            return new Sums(s[0], s[1], s[2], s[3], s[4]);
        }

        Sums without(Sums part) {
            return new Sums(one - part.one, u - part.u, uu - part.uu, lean - part.lean, uLean - part.uLean);
        }

        /** @param hold added to the sum of u² */
        Optional<Convergence> solved(double hold) {
            double held = uu + hold;
            double determinant = one * held - u * u;
            return one <= 1e-9 || determinant <= 1e-12
                    ? Optional.empty()
                    : Optional.of(new Convergence(
                            (lean * held - uLean * u) / determinant, (one * uLean - u * lean) / determinant));
        }

        /** The same convergence with the lean these edges give. */
        Optional<Convergence> shifted(Convergence before) {
            return one <= 1e-9
                    ? Optional.empty()
                    : Optional.of(new Convergence((lean - before.convergence() * u) / one, before.convergence()));
        }
    }

    /** The middle one of some values; of two, the lower. */
    static double median(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        int middle = sorted.length / 2;
        return sorted.length % 2 == 1 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2;
    }
}
