package nexa.core.find;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import nexa.core.geometry.Size;
import nexa.core.level.LevelLine;

/** The edges of a picture that are upright in its scene, or level, and what lean of the photo they speak for. */
public final class LineFamily {
    private static final int LEAST = 3;
    private static final int MOST_UPRIGHT_CONVERGENCE = 24;
    private static final int MOST_LEVEL_CONVERGENCE = 16;
    private static final double BESIDE = 12;
    /** In degrees: so lines of several families that agree are not apart by more than {@link nexa.core.level.Trace#AGREES}. */
    private static final double JUST = 0.1;

    private final LineGroup group;
    private final double[] across;
    private final Convergence.Fit fit;
    private final FamilySpread spread;
    private final double rival;
    private final double share;

    private LineFamily(LineGroup group, double[] across, Convergence.Fit fit, double rival, double share) {
        this.group = group;
        this.across = across;
        this.fit = fit;
        this.rival = rival;
        this.share = share;
        this.spread = FamilySpread.of(group, across, fit);
    }

    /** The uprights; empty where fewer than three edges could be upright. */
    public static Optional<LineFamily> uprights(List<EdgeLine> lines, Size picture) {
        LineGroup group = LineGroup.uprights(lines, picture);
        if (group.size() < LEAST) {
            return Optional.empty();
        }
        double[] across = group.across;
        for (int round = 0; ; round++) {
            Convergence.Vote vote = Convergence.vote(group, across, MOST_UPRIGHT_CONVERGENCE);
            Optional<Convergence.Fit> fit = vote.best().refined(group, across);
            if (fit.isEmpty()) {
                return Optional.empty();
            }
            if (round == 2) {
                double share = share(group, fit.get(), fit.get().line(), across);
                return Optional.of(new LineFamily(group, across, fit.get(), vote.rival(), share));
            }
            across = counted(group, fit.get().line());
        }
    }

    /**
     * Where each upright counts as being, so that its lean is exactly a straight line over it: what leans by atan2(sin ρ + κx,
     * cos ρ − κy) at x, y is at (lean − ρ) / κ.
     */
    private static double[] counted(LineGroup group, Convergence line) {
        if (Math.abs(line.convergence()) <= 0.3) {
            return group.across;
        }
        double lean = Math.toRadians(line.lean());
        double k = Math.toRadians(line.convergence());
        double[] counted = new double[group.size()];
        for (int i = 0; i < counted.length; i++) {
            double exact = Math.toDegrees(
                    Math.atan2(Math.sin(lean) + k * group.across[i], Math.cos(lean) - k * group.along[i]));
            counted[i] = (exact - line.lean()) / line.convergence();
        }
        return counted;
    }

    /** The level lines; empty where fewer than three edges could be level. */
    public static Optional<LineFamily> levels(List<EdgeLine> lines, Size picture) {
        LineGroup group = LineGroup.levels(lines, picture);
        if (group.size() < LEAST) {
            return Optional.empty();
        }
        Convergence.Vote vote = Convergence.vote(group, group.across, MOST_LEVEL_CONVERGENCE);
        return vote.best().refined(group, group.across).map(fit -> {
            Convergence straightOn = new Convergence(fit.line().lean(), 0);
            return new LineFamily(group, group.across, fit, vote.rival(), share(group, fit, straightOn, group.across));
        });
    }

    private static double share(LineGroup group, Convergence.Fit fit, Convergence line, double[] across) {
        double in = 0;
        double all = 0;
        for (int i = 0; i < group.size(); i++) {
            in += fit.isIn()[i] ? group.weight[i] : 0;
            all += Math.abs(group.lean[i] - line.at(across[i])) < BESIDE ? group.weight[i] : 0;
        }
        return all > 0 ? in / all : 0;
    }

    /** The photo's lean by them, in degrees clockwise. */
    public double lean() {
        return fit.line().lean();
    }

    /** By how many degrees they lean more half a diagonal further across; 0 where the camera looked straight at them. */
    public double convergence() {
        return fit.line().convergence();
    }

    /** How far the edges differ: the standard error of the lean and more. */
    FamilySpread spread() {
        return spread;
    }

    /** How uncertain the lean is, in degrees, as a standard error, at least 0.02. */
    double sigma() {
        return Math.max(0.02, Math.max(spread.lean(), spread.halves() / 2));
    }

    /** How near another lean, more than 1° away, comes to speak for as many edges, 0 … 1. */
    double rival() {
        return rival;
    }

    /** The weight of the family's edges in that of all edges within 12° of it, 0 … 1. */
    double share() {
        return share;
    }

    /** The length of the family's edges together, in diagonals of the picture. */
    double length() {
        double sum = 0;
        for (int i = 0; i < group.size(); i++) {
            sum += fit.isIn()[i] ? group.length[i] : 0;
        }
        return sum;
    }

    /** How many edges they are; pieces of one edge count once. */
    int count() {
        Set<Integer> edges = new HashSet<>();
        for (int i = 0; i < group.size(); i++) {
            if (fit.isIn()[i]) {
                edges.add(group.edge[i]);
            }
        }
        return edges.size();
    }

    /** How far apart they lie across, as a standard deviation, in half diagonals. */
    double apart() {
        double sum = 0;
        double first = 0;
        double second = 0;
        for (int i = 0; i < group.size(); i++) {
            if (fit.isIn()[i]) {
                double w = group.weight[i];
                sum += w;
                first += w * group.across[i];
                second += w * group.across[i] * group.across[i];
            }
        }
        return sum > 0 ? Math.sqrt(Math.max(0, second / sum - first / sum * (first / sum))) : 0;
    }

    /**
     * Some of the edges, what says most first, none twice, in the picture's pixels. Those that lean just as the family does are
     * taken, or the nearest one if none does.
     */
    List<LevelLine> longest(int most) {
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < group.size(); i++) {
            if (fit.isIn()[i] && off(i) <= JUST) {
                order.add(i);
            }
        }
        if (order.isEmpty()) {
            IntStream.range(0, group.size())
                    .filter(i -> fit.isIn()[i])
                    .boxed()
                    .min(Comparator.comparingDouble(this::off))
                    .ifPresent(order::add);
        }
        order.sort(Comparator.comparingDouble(i -> -group.weight[i]));
        Set<Integer> edges = new HashSet<>();
        List<LevelLine> longest = new ArrayList<>();
        for (int i : order) {
            if (longest.size() < most && edges.add(group.edge[i])) {
                longest.add(
                        new LevelLine(group.lines.get(i).segment(), fit.line().at(across[i]) - lean()));
            }
        }
        return longest;
    }

    private double off(int i) {
        return Math.abs(group.lean[i] - fit.line().at(across[i]));
    }
}
