package nexa.core.find;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.level.LevelLine;

/**
 * What in a picture speaks for a lean, and how clear it is.
 *
 * @param horizons the strongest first; none where they do not count
 * @param runTogether whether the level lines run together in the distance
 */
record Evidence(
        Optional<LineFamily> uprights, Optional<LineFamily> levels, List<Horizon> horizons, boolean runTogether) {
    /** A line that is seen better by so much, and lies otherwise by so many degrees, speaks against another. */
    private static final double BETTER = 0.08;

    private static final double CONTRADICTS = 0.15;

    /** With so many uprights, in diagonals, what looks like a horizon is a building's. */
    private static final double BUILT = 1.5;

    /** With so many and lines that run together, it is a shelf's. */
    private static final double BUILT_AT_AN_ANGLE = 0.1;

    /** What is so clear that it is claimed. */
    List<LevelAsking.Answer> clear() {
        List<LevelAsking.Answer> clear = new ArrayList<>();
        uprights.filter(Evidence::areClearUprights).ifPresent(family -> clear.add(answer(family, true)));
        levels.filter(family -> areClearLevels(family) && !runTogether)
                .ifPresent(family -> clear.add(answer(family, false)));
        List<Horizon> seen = horizons.stream()
                .filter(horizon -> horizon.isClear() && !isContradicted(horizon))
                .toList();
        // Several that lie apart by more than a little: none of them is the horizon for certain.
        if (!seen.isEmpty()) {
            double least = seen.stream().mapToDouble(Horizon::lean).min().orElseThrow();
            double most = seen.stream().mapToDouble(Horizon::lean).max().orElseThrow();
            if (most - least <= 0.4) {
                clear.add(answer(seen.get(0)));
            }
        }
        return clear;
    }

    /** Whether a line that is seen better lies otherwise: of a shore and its trees' reflection the shore is right. */
    private boolean isContradicted(Horizon horizon) {
        return horizons.stream()
                .filter(Horizon::isWorthALook)
                .anyMatch(other -> other.strength() > horizon.strength() + BETTER
                        && Math.abs(other.lean() - horizon.lean()) > CONTRADICTS);
    }

    /** What is worth being offered. */
    List<LevelAsking.Answer> worthALook() {
        return Stream.of(
                        uprights.filter(Evidence::areUprightsWorthALook).map(family -> answer(family, true)).stream(),
                        levels
                                .filter(family -> areLevelsWorthALook(family) && !runTogether)
                                .map(family -> answer(family, false))
                                .stream(),
                        horizons.stream().filter(Horizon::isWorthALook).limit(2).map(Evidence::answer))
                .flatMap(answers -> answers)
                .sorted((one, other) -> Double.compare(other.weight(), one.weight()))
                .toList();
    }

    FoundLevel.Reason whyNot(boolean isPlain) {
        boolean areMany = uprights.filter(family -> family.length() > 0.5).isPresent()
                || levels.filter(family -> family.length() > 0.7).isPresent();
        if (isPlain) {
            return FoundLevel.Reason.PLAIN;
        }
        if (runTogether) {
            return FoundLevel.Reason.RUN_TOGETHER;
        }
        return areMany ? FoundLevel.Reason.LINES_DISAGREE : FoundLevel.Reason.NOTHING_STRAIGHT;
    }

    private static LevelAsking.Answer answer(LineFamily family, boolean areUprights) {
        return new LevelAsking.Answer(
                areUprights ? FoundLevel.Reason.UPRIGHTS : FoundLevel.Reason.LEVEL_LINES,
                family.lean(),
                family.sigma(),
                Math.min(1, family.length() / 2) * family.share(),
                family.longest(FoundLevel.MOST_LINES));
    }

    private static LevelAsking.Answer answer(Horizon horizon) {
        return new LevelAsking.Answer(
                FoundLevel.Reason.HORIZON,
                horizon.lean(),
                Math.max(0.02, horizon.error()),
                horizon.strength(),
                List.of(LevelLine.of(horizon.segment())));
    }

    private static boolean areClearUprights(LineFamily family) {
        FamilySpread spread = family.spread();
        return family.count() >= 5
                && family.length() >= 0.4
                && spread.lean() <= 0.125
                && spread.halves() <= 0.175
                && spread.sides() <= 0.56
                && family.share() >= 0.45
                && family.rival() < 0.92
                && Math.abs(family.lean()) <= 11;
    }

    private static boolean areUprightsWorthALook(LineFamily family) {
        FamilySpread spread = family.spread();
        return family.count() >= 5
                && family.length() >= 0.5
                && spread.lean() <= 0.25
                && spread.halves() <= 0.3
                && spread.sides() <= 0.9
                && family.share() >= 0.4
                && family.rival() < 0.95
                && Math.abs(family.lean()) <= 11;
    }

    /** Level lines say something only where they are seen straight on. */
    private static boolean areClearLevels(LineFamily family) {
        FamilySpread spread = family.spread();
        return family.count() >= 5
                && family.length() >= 0.7
                && spread.lean() <= 0.08
                && spread.halves() <= 0.10
                && family.share() >= 0.5
                && family.rival() < 0.8
                && Math.abs(family.convergence()) + 2 * spread.convergence() <= 0.25
                && family.apart() >= 0.1;
    }

    private static boolean areLevelsWorthALook(LineFamily family) {
        FamilySpread spread = family.spread();
        return family.count() >= 4
                && family.length() >= 0.7
                && spread.lean() <= 0.2
                && spread.halves() <= 0.25
                && family.share() >= 0.5
                && family.rival() < 0.85
                && Math.abs(family.convergence()) <= 0.6
                && family.apart() >= 0.1;
    }

    /** A shelf seen at an angle leans by itself. */
    static boolean runTogether(Optional<LineFamily> levels) {
        return levels.filter(family -> family.count() >= 4
                        && Math.abs(family.convergence()) - 2 * family.spread().convergence() > 0.15
                        && family.spread().convergence() <= 0.06
                        && family.share() > 0.5
                        && family.spread().halves() <= 0.3)
                .isPresent();
    }

    /** Whether what looks like a horizon is a building's or a shelf's. */
    static boolean isBuilt(Optional<LineFamily> uprights, boolean runTogether) {
        double length = uprights.map(LineFamily::length).orElse(0.0);
        return length >= BUILT || runTogether && length >= BUILT_AT_AN_ANGLE;
    }
}
