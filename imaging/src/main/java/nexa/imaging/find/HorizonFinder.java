package nexa.imaging.find;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import nexa.core.find.Horizon;
import org.bytedeco.opencv.opencv_core.Mat;

/** Looks for lines across a picture that may be horizons: roughly wherever there may be one, and exactly at the best. */
final class HorizonFinder {
    private static final int COARSE_COLUMNS = 5;
    private static final int FINE_COLUMNS = 16;
    private static final int FINE = 6;
    private static final int REFLECTIONS = 4;
    private static final double LEAST_COVER = 0.25;
    private static final double SKYLINE = 0.15;

    private final ColourPlanes picture;
    private final SmallPicture small;

    private HorizonFinder(Mat bgr) {
        picture = ColourPlanes.of(bgr);
        small = SmallPicture.of(bgr);
    }

    /** What may be a horizon, clear or not; nothing more once it is not wanted. */
    static List<Horizon> of(Mat bgr, BooleanSupplier isUnwanted) {
        if (bgr.cols() < Strips.COUNT || bgr.rows() < Strips.COUNT / 2) {
            return List.of();
        }
        HorizonFinder finder = new HorizonFinder(bgr);
        return finder.horizons(LinesAcross.of(finder.small), isUnwanted);
    }

    private record Rough(StripLine line, double worth) {}

    private List<Horizon> horizons(List<LinesAcross.Line> lines, BooleanSupplier isUnwanted) {
        List<Horizon> horizons = new ArrayList<>();
        for (Rough rough : rough(lines)) {
            if (isUnwanted.getAsBoolean()) {
                return List.of();
            }
            fine(rough.line()).forEach(line -> horizons.add(HorizonMeasure.of(line, small)));
        }
        // What is clear already need not be seen in the water too.
        if (horizons.stream().noneMatch(Horizon::isClear)) {
            lines.stream()
                    .sorted(Comparator.comparingDouble(line -> -line.strength()))
                    .limit(REFLECTIONS)
                    .flatMap(line -> ReflectionFinder.along(picture, line).stream())
                    .max(Comparator.comparingDouble(Horizon::strength))
                    .ifPresent(horizons::add);
        }
        return horizons;
    }

    private List<Rough> rough(List<LinesAcross.Line> lines) {
        List<Rough> rough = new ArrayList<>();
        for (LinesAcross.Line line : lines) {
            rough(line)
                    .filter(found -> rough.stream().noneMatch(other -> isTwin(found, other.line())))
                    .ifPresent(found -> rough.add(new Rough(found, found.cover() + (line.isSkyline() ? SKYLINE : 0))));
        }
        return rough.stream()
                .sorted(Comparator.comparingDouble(each -> -each.worth()))
                .limit(FINE)
                .toList();
    }

    private static boolean isTwin(StripLine one, StripLine other) {
        return Math.abs(one.y() - other.y()) < 4 && Math.abs(one.lean() - other.lean()) < 0.4;
    }

    private Optional<StripLine> rough(LinesAcross.Line line) {
        double slope = Math.tan(Math.toRadians(line.lean()));
        Strips strips = new Strips(picture, line.y(), slope, COARSE_COLUMNS);
        boolean[] used = new boolean[Strips.COUNT];
        int inside = 0;
        for (int i = 0; i < used.length; i++) {
            used[i] = strips.isInside(i);
            inside += used[i] ? 1 : 0;
        }
        if (inside < 12) {
            return Optional.empty();
        }
        List<Strips.Peak> peaks = strips.peaks(strips.steps(used), 2 * strips.q);
        if (peaks.size() < 20) {
            return Optional.empty();
        }
        LineVote start = StripLine.vote(strips, peaks, Math.max(4, 5 * strips.q));
        return StripLine.of(strips, peaks, start, 2.5 * strips.q).filter(found -> found.cover() >= LEAST_COVER);
    }

    /** The best line with each of two tolerances: for what is sharp, and for what is ragged. */
    private Iterable<StripLine> fine(StripLine rough) {
        Strips strips = new Strips(picture, rough.y(), rough.slope(), FINE_COLUMNS);
        boolean[] used = new boolean[Strips.COUNT];
        int count = 0;
        for (int i = 0; i < used.length; i++) {
            used[i] = strips.isInside(i) && rough.isOn()[i];
            count += used[i] ? 1 : 0;
        }
        Map<Boolean, StripLine> best = new HashMap<>();
        if (count < 12) {
            return best.values();
        }
        double q = strips.q;
        double[][] steps = strips.steps(used);
        for (double width : new double[] {1.2 * Math.max(q, 0.6), 3.5 * q}) {
            List<Strips.Peak> peaks = strips.peaks(steps, width);
            if (peaks.size() >= 20) {
                LineVote start = StripLine.vote(strips, peaks, 0.4 * Math.max(4, 5 * q));
                for (double tolerance : new double[] {1.2 * Math.max(q, 0.7), 3.5 * q}) {
                    StripLine.of(strips, peaks, start, tolerance)
                            .ifPresent(line -> best.merge(
                                    line.isRagged(), line, (one, other) -> other.score() > one.score() ? other : one));
                }
            }
        }
        return best.values();
    }
}
