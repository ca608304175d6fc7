package nexa.core.lens;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shape.Distortion;
import nexa.core.shape.Lens;
import nexa.core.shape.LensMap;
import nexa.core.shape.LensProfile;

/**
 * Works a lens's bending out from lines that are straight in the scene: the terms are sought that leave least of what the
 * straightened points lie off the straight lines nearest to them (Levenberg and Marquardt's method). More terms are taken only
 * where they explain more than chance would (Akaike's criterion, corrected for few points).
 *
 * @param distortion what was found
 * @param remains the most by which a point lies off its line then, in pixels
 */
public record LensFit(Distortion distortion, double remains) {
    /** Fewer lines, or points of a line, do not tell enough. */
    public static final int FEWEST = 3;

    private static final int STEPS = 60;
    private static final double MOST_DAMPED = 1e6;
    private static final double NUDGE = 1e-6;
    /** Nobody lays a point more exactly, in pixels: a smaller rest tells nothing of how many terms are right. */
    private static final double LAID_WITHIN = 0.05;

    /** A line bent by so many times what is usual, and by more than such a share of the photo's long side, is bent in the scene. */
    private static final double FAR = 3;

    private static final double FAR_PIXELS = 0.0005;
    private static final double ROUGHLY = 0.003;
    private static final int ROUNDS = 5;

    /** The terms a, b, c of the model that are sought, fewest first: b alone bends most lenses' lines well. */
    private static final List<List<Integer>> SOUGHT = List.of(List.of(1), List.of(0, 1), List.of(0, 1, 2));

    /**
     * Fits the bending of a photo's lens.
     *
     * @param lines places on each, in the photo's pixels
     * @param profile what else is known of it, and the units its terms are told in
     * @return empty for fewer than three lines of three points each
     */
    public static Optional<LensFit> of(List<List<Point>> lines, Size photo, LensProfile profile, double cameraCrop) {
        List<List<Point>> telling =
                lines.stream().filter(line -> line.size() >= FEWEST).toList();
        if (telling.size() < FEWEST) {
            return Optional.empty();
        }
        Problem problem = new Problem(telling, photo, profile, cameraCrop);
        LensFit best = null;
        double least = Double.POSITIVE_INFINITY;
        for (List<Integer> sought : SOUGHT) {
            int told = problem.told();
            if (told < sought.size() + 2) {
                continue;
            }
            double[] terms = problem.solve(sought);
            double[] off = problem.off(terms);
            double squares = Math.max(squares(off), told * LAID_WITHIN * LAID_WITHIN);
            int count = sought.size();
            double criterion =
                    told * Math.log(squares / told) + 2 * count + 2.0 * count * (count + 1) / (told - count - 1);
            if (criterion < least) {
                least = criterion;
                best = new LensFit(distortion(terms), farthest(off));
            }
        }
        return Optional.ofNullable(best);
    }

    /**
     * As {@link #of}, of lines that were found, of which some may be bent in the scene: those that stay bent by far more than
     * most are left out, for as long as three remain.
     *
     * @param lines in the photo's pixels
     * @return those that are used
     */
    public static List<List<Point>> agreeing(
            List<List<Point>> lines, Size photo, LensProfile profile, double cameraCrop) {
        Problem problem =
                new Problem(lines.stream().filter(line -> line.size() >= FEWEST).toList(), photo, profile, cameraCrop);
        if (problem.lines().size() <= FEWEST) {
            return problem.lines();
        }
        // First one term, by the half of the lines that agree best; then all terms, without those that are far off.
        double[] terms = new double[3];
        for (int round = 0; round < ROUNDS; round++) {
            terms = problem.bestHalf(terms).solve(SOUGHT.get(0));
        }
        problem = problem.near(terms, ROUGHLY * photo.longSide());
        for (int round = 0; round < ROUNDS && problem.lines().size() > FEWEST; round++) {
            Optional<LensFit> fit = of(problem.lines(), photo, profile, cameraCrop);
            if (fit.isPresent()) {
                problem = problem.near(fit.get().terms(), FAR_PIXELS * photo.longSide());
            }
        }
        return problem.lines();
    }

    private static Distortion distortion(double[] terms) {
        return new Distortion(Distortion.Model.PTLENS, List.of(terms[0], terms[1], terms[2]));
    }

    private double[] terms() {
        return distortion.terms().stream().mapToDouble(Double::doubleValue).toArray();
    }

    private static double squares(double[] off) {
        double sum = 0;
        for (double one : off) {
            sum += one * one;
        }
        return sum;
    }

    private static double farthest(double[] off) {
        double most = 0;
        for (double one : off) {
            most = Math.max(most, Math.abs(one));
        }
        return most;
    }

    /** Lines that should be straight. */
    private record Problem(List<List<Point>> lines, Size photo, LensProfile profile, double cameraCrop) {
        /** How many points there are beside those that the lines themselves take. */
        int told() {
            return lines.stream().mapToInt(line -> line.size() - 2).sum();
        }

        private Problem with(List<List<Point>> others) {
            return new Problem(others, photo, profile, cameraCrop);
        }

        /** The most by which a point of a line lies off it. */
        private double bend(List<Point> line, double[] terms) {
            return farthest(with(List.of(line)).off(terms));
        }

        /** The half of the lines that are straightest with some terms. */
        Problem bestHalf(double[] terms) {
            List<List<Point>> sorted = lines.stream()
                    .sorted(Comparator.comparingDouble(line -> bend(line, terms)))
                    .toList();
            return with(sorted.subList(0, Math.max(FEWEST, (sorted.size() + 1) / 2)));
        }

        /** The lines that are not bent by far more than is usual with some terms; at least the best few. */
        Problem near(double[] terms, double least) {
            List<Double> bends =
                    lines.stream().map(line -> bend(line, terms)).sorted().toList();
            double usual = bends.get((bends.size() - 1) / 2);
            double most = Math.max(Math.max(FAR * usual, least), bends.get(FEWEST - 1));
            return with(lines.stream().filter(line -> bend(line, terms) <= most).toList());
        }

        double[] solve(List<Integer> sought) {
            double[] terms = new double[3];
            double[] off = off(terms);
            double damping = 1e-3;
            for (int step = 0; step < STEPS; step++) {
                double[] next = stepped(terms, off, sought, damping);
                // What is no lens is no better.
                double[] nextOff = isLens(next) ? off(next) : off;
                if (squares(nextOff) < squares(off)) {
                    terms = next;
                    off = nextOff;
                    damping /= 3;
                } else {
                    damping *= 5;
                }
                if (damping > MOST_DAMPED) {
                    break;
                }
            }
            return terms;
        }

        private static boolean isLens(double[] terms) {
            try {
                distortion(terms);
                return true;
            } catch (IllegalArgumentException e) {
                return false;
            }
        }

        private double[] stepped(double[] terms, double[] off, List<Integer> sought, double damping) {
            int count = sought.size();
            double[][] slopes = new double[count][];
            for (int i = 0; i < count; i++) {
                double[] nudged = terms.clone();
                nudged[sought.get(i)] += NUDGE;
                // At the edge of what may be a lens, the other way.
                double nudge = isLens(nudged) ? NUDGE : -NUDGE;
                nudged[sought.get(i)] = terms[sought.get(i)] + nudge;
                slopes[i] = off(nudged);
                for (int k = 0; k < off.length; k++) {
                    slopes[i][k] = (slopes[i][k] - off[k]) / nudge;
                }
            }
            double[][] rows = new double[count][count + 1];
            for (int i = 0; i < count; i++) {
                for (int j = 0; j < count; j++) {
                    rows[i][j] = product(slopes[i], slopes[j]) * (i == j ? 1 + damping : 1);
                }
                rows[i][count] = -product(slopes[i], off);
            }
            double[] step = solved(rows);
            double[] next = terms.clone();
            for (int i = 0; i < count; i++) {
                next[sought.get(i)] += step[i];
            }
            return next;
        }

        private static double product(double[] one, double[] other) {
            double sum = 0;
            for (int i = 0; i < one.length; i++) {
                sum += one[i] * other[i];
            }
            return sum;
        }

        /** Gauss and Jordan's elimination; the rows are of a positive matrix, so no row is exchanged. */
        private static double[] solved(double[][] rows) {
            int count = rows.length;
            for (int i = 0; i < count; i++) {
                for (int k = 0; k < count; k++) {
                    double share = k == i ? 0 : rows[k][i] / rows[i][i];
                    for (int j = i; j <= count; j++) {
                        rows[k][j] -= share * rows[i][j];
                    }
                }
            }
            double[] solved = new double[count];
            for (int i = 0; i < count; i++) {
                solved[i] = rows[i][count] / rows[i][i];
            }
            return solved;
        }

        /** How far each point lies off the straight line nearest to all of its line, in pixels. */
        double[] off(double[] terms) {
            LensMap map = new LensMap(Lens.of(profile.withDistortion(distortion(terms)), cameraCrop), photo);
            List<Double> off = new ArrayList<>();
            for (List<Point> line : lines) {
                addOff(line.stream().map(map::toStraightWithin).toList(), off);
            }
            return off.stream().mapToDouble(Double::doubleValue).toArray();
        }

        private static void addOff(List<Point> line, List<Double> off) {
            Point middle = line.stream().reduce(Point.ORIGIN, Point::plus).times(1.0 / line.size());
            double xx = 0;
            double xy = 0;
            double yy = 0;
            for (Point point : line) {
                Point way = point.minus(middle);
                xx += way.x() * way.x();
                xy += way.x() * way.y();
                yy += way.y() * way.y();
            }
            double along = Math.atan2(2 * xy, xx - yy) / 2;
            for (Point point : line) {
                Point way = point.minus(middle);
                off.add(way.y() * Math.cos(along) - way.x() * Math.sin(along));
            }
        }
    }
}
