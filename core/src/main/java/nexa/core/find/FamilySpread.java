package nexa.core.find;

import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntPredicate;

/**
 * How well edges agree on a lean: asked again of parts of them.
 *
 * @param lean the standard error, leaving out each edge in turn (the jackknife)
 * @param convergence the same of the convergence
 * @param halves half the root mean square difference between halves of the edges
 * @param sides the larger difference between the edges of the two sides, across and along
 */
record FamilySpread(double lean, double convergence, double halves, double sides) {
    /** Says that the edges do not agree at all. */
    private static final double NONE = 9;

    private static final double NEAR = 3;
    private static final int LEAST_EDGES = 4;
    /** How a list, the heaviest first, is parted in two halves: thrice, differently. */
    private static final List<IntPredicate> HALVES =
            List.of(rank -> rank % 2 == 0, rank -> rank / 2 % 2 == 0, rank -> rank % 4 == 0 || rank % 4 == 3);

    static FamilySpread of(LineGroup group, double[] across, Convergence.Fit fit) {
        double[] jackknife = jackknife(group, across, fit);
        return new FamilySpread(
                jackknife[0], jackknife[1], halves(group, across, fit.line()), sides(group, across, fit));
    }

    private static double[] jackknife(LineGroup group, double[] across, Convergence.Fit fit) {
        double heaviest = Arrays.stream(fit.weights()).max().orElse(0);
        Map<Integer, Convergence.Sums> byEdge = new LinkedHashMap<>();
        for (int i = 0; i < group.size(); i++) {
            if (fit.isIn()[i]) {
                int edge = group.edge[i];
                byEdge.computeIfAbsent(
                        edge,
                        one -> Convergence.Sums.of(
                                group, across, fit.weights(), j -> fit.isIn()[j] && group.edge[j] == edge));
            }
        }
        Convergence.Sums all = Convergence.Sums.of(group, across, fit.weights(), j -> fit.isIn()[j]);
        double[] leans = new double[byEdge.size()];
        double[] convergences = new double[byEdge.size()];
        int n = 0;
        for (Convergence.Sums one : byEdge.values()) {
            Optional<Convergence> rest = all.without(one).solved(1e-3 * heaviest);
            if (rest.isEmpty()) {
                return new double[] {NONE, NONE};
            }
            leans[n] = rest.get().lean();
            convergences[n++] = rest.get().convergence();
        }
        return n < 3 ? new double[] {NONE, NONE} : new double[] {error(leans), error(convergences)};
    }

    private static double error(double[] values) {
        double mean = Arrays.stream(values).average().orElse(0);
        double sum = Arrays.stream(values).map(v -> (v - mean) * (v - mean)).sum();
        return Math.sqrt((values.length - 1.0) / values.length * sum);
    }

    /** Of all edges that are not far off, not only those fitted. */
    private static double halves(LineGroup group, double[] across, Convergence line) {
        IntPredicate isNear = i -> Math.abs(group.lean[i] - line.at(across[i])) < NEAR;
        Map<Integer, Double> weights = new LinkedHashMap<>();
        for (int i = 0; i < group.size(); i++) {
            if (isNear.test(i)) {
                weights.merge(group.edge[i], group.weight[i], Double::sum);
            }
        }
        if (weights.size() < LEAST_EDGES) {
            return NONE;
        }
        List<Integer> heaviestFirst = weights.keySet().stream()
                .sorted(Comparator.comparingDouble((Integer edge) -> -weights.get(edge))
                        .thenComparing(edge -> edge))
                .toList();
        Map<Integer, Integer> rank = new LinkedHashMap<>();
        heaviestFirst.forEach(edge -> rank.put(edge, rank.size()));
        double squares = 0;
        for (IntPredicate half : HALVES) {
            IntPredicate isFirst = i -> isNear.test(i) && half.test(rank.get(group.edge[i]));
            IntPredicate isSecond = i -> isNear.test(i) && !half.test(rank.get(group.edge[i]));
            double off = difference(group, across, line, isFirst, isSecond, false);
            squares += off * off;
        }
        return Math.sqrt(squares / HALVES.size()) / 2;
    }

    private static double sides(LineGroup group, double[] across, Convergence.Fit fit) {
        IntPredicate isNear = i -> Math.abs(group.lean[i] - fit.line().at(across[i])) < NEAR;
        double most = 0;
        for (double[] places : new double[][] {across, group.along}) {
            double middle = Convergence.median(chosen(places, fit.isIn()));
            IntPredicate isFirst = i -> isNear.test(i) && places[i] <= middle;
            IntPredicate isSecond = i -> isNear.test(i) && places[i] > middle;
            most = Math.max(most, Math.abs(difference(group, across, fit.line(), isFirst, isSecond, true)));
        }
        return most;
    }

    private static double[] chosen(double[] values, boolean[] which) {
        double[] chosen = new double[values.length];
        int n = 0;
        for (int i = 0; i < values.length; i++) {
            if (which[i]) {
                chosen[n++] = values[i];
            }
        }
        return n == 0 ? new double[1] : Arrays.copyOf(chosen, n);
    }

    private static double difference(
            LineGroup group,
            double[] across,
            Convergence line,
            IntPredicate first,
            IntPredicate second,
            boolean keepsConvergence) {
        if (count(group, first) < 2 || count(group, second) < 2) {
            return NONE;
        }
        Optional<Convergence> one = line.refitted(group, across, first, keepsConvergence);
        Optional<Convergence> other = line.refitted(group, across, second, keepsConvergence);
        return one.isEmpty() || other.isEmpty()
                ? NONE
                : one.get().lean() - other.get().lean();
    }

    private static int count(LineGroup group, IntPredicate which) {
        int count = 0;
        for (int i = 0; i < group.size(); i++) {
            count += which.test(i) ? 1 : 0;
        }
        return count;
    }
}
