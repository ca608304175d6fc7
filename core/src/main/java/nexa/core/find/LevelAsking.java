package nexa.core.find;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;
import nexa.core.level.LevelLine;

/**
 * What a picture answers, asked once how far it is off level.
 *
 * @param claim what is claimed, if anything is clear and nothing clear speaks against it
 * @param offers what may be so, what says most first
 * @param why what a claim goes by, or why there is none
 */
public record LevelAsking(Optional<Answer> claim, List<Answer> offers, FoundLevel.Reason why) {
    /** Clear answers further apart disagree, in degrees. */
    private static final double APART = 0.3;

    /**
     * One answer.
     *
     * @param lean in degrees, clockwise positive
     * @param sigma its standard error
     * @param weight how much speaks for it, to tell the better of several offers
     */
    public record Answer(FoundLevel.Reason by, double lean, double sigma, double weight, List<LevelLine> lines) {
        Answer turned(double degrees, UnaryOperator<Segment> place) {
            return new Answer(
                    by,
                    lean + degrees,
                    sigma,
                    weight,
                    lines.stream()
                            .map(line -> new LevelLine(place.apply(line.segment()), line.convergence()))
                            .toList());
        }
    }

    /**
     * Asks.
     *
     * @param edges measured in the picture
     * @param isAsked which of them are asked; the others only tell what kind of a picture it is
     * @param horizons finds what lines across it may be horizons; not asked where they would not count
     */
    public static LevelAsking of(
            Size picture, List<EdgeLine> edges, Predicate<EdgeLine> isAsked, Supplier<List<Horizon>> horizons) {
        Optional<LineFamily> uprights = LineFamily.uprights(edges, picture);
        Optional<LineFamily> levels = LineFamily.levels(edges, picture);
        boolean runTogether = Evidence.runTogether(levels);
        List<EdgeLine> asked = edges.stream().filter(isAsked).toList();
        boolean areAll = asked.size() == edges.size();
        List<Horizon> seen = Evidence.isBuilt(uprights, runTogether) ? List.of() : strongestFirst(horizons.get());
        Evidence evidence = new Evidence(
                areAll ? uprights : LineFamily.uprights(asked, picture),
                areAll ? levels : LineFamily.levels(asked, picture),
                seen,
                runTogether);
        List<Answer> clear = evidence.clear();
        List<Answer> offers = evidence.worthALook();
        if (clear.isEmpty()) {
            return new LevelAsking(Optional.empty(), offers, evidence.whyNot(edges.isEmpty() && seen.isEmpty()));
        }
        double least = clear.stream().mapToDouble(Answer::lean).min().orElseThrow();
        double most = clear.stream().mapToDouble(Answer::lean).max().orElseThrow();
        if (most - least > APART) {
            return new LevelAsking(Optional.empty(), offers, FoundLevel.Reason.LINES_DISAGREE);
        }
        Answer together = together(clear);
        return new LevelAsking(Optional.of(together), offers, together.by());
    }

    private static List<Horizon> strongestFirst(List<Horizon> horizons) {
        return horizons.stream()
                .sorted(Comparator.comparingDouble(horizon -> -horizon.strength()))
                .toList();
    }

    /** The mean of answers that agree, the more certain counting for more. */
    private static Answer together(List<Answer> answers) {
        double sum = 0;
        double leans = 0;
        double sigma = Double.MAX_VALUE;
        List<LevelLine> lines = new ArrayList<>();
        for (Answer answer : answers) {
            double weight = 1 / (answer.sigma() * answer.sigma());
            sum += weight;
            leans += weight * answer.lean();
            sigma = Math.min(sigma, answer.sigma());
        }
        // Of each kind the best, then the next of each.
        for (int n = 0; n < FoundLevel.MOST_LINES; n++) {
            for (Answer answer : answers) {
                if (n < answer.lines().size() && lines.size() < FoundLevel.MOST_LINES) {
                    lines.add(answer.lines().get(n));
                }
            }
        }
        FoundLevel.Reason by = answers.get(0).by();
        boolean isOneKind = answers.stream().allMatch(answer -> answer.by() == by);
        double weight = answers.stream().mapToDouble(Answer::weight).sum();
        return new Answer(isOneKind ? by : FoundLevel.Reason.SEVERAL, leans / sum, sigma, weight, lines);
    }

    /**
     * The same, for the picture before it was turned to be asked.
     *
     * @param degrees by which it has to be turned back, clockwise positive
     * @param place where a segment lies then
     */
    public LevelAsking turned(double degrees, UnaryOperator<Segment> place) {
        return new LevelAsking(
                claim.map(answer -> answer.turned(degrees, place)),
                offers.stream().map(answer -> answer.turned(degrees, place)).toList(),
                why);
    }
}
