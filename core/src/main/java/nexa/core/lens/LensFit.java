package nexa.core.lens;

import java.util.ArrayList;
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
    private static final double NUDGE = 1e-6;
    /** Nobody lays a point more exactly, in pixels: a smaller rest tells nothing of how many terms are right. */
    private static final double LAID_WITHIN = 0.05;

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

    private static Distortion distortion(double[] terms) {
        return new Distortion(Distortion.Model.PTLENS, List.of(terms[0], terms[1], terms[2]));
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

        double[] solve(List<Integer> sought) {
            double[] terms = new double[3];
            double[] off = off(terms);
            double damping = 1e-3;
            for (int step = 0; step < STEPS; step++) {
                double[] next = stepped(terms, off, sought, damping);
                double[] nextOff = isLens(next) ? off(next) : off;
                if (isLens(next) && squares(nextOff) < squares(off)) {
                    terms = next;
                    off = nextOff;
                    damping /= 3;
                } else {
                    damping *= 5;
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
                slopes[i] = off(nudged);
                for (int k = 0; k < off.length; k++) {
                    slopes[i][k] = (slopes[i][k] - off[k]) / NUDGE;
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
            LensProfile bent = new LensProfile(
                    profile.name(),
                    profile.cropFactor(),
                    profile.aspect(),
                    Optional.of(distortion(terms)),
                    Optional.empty(),
                    List.of());
            LensMap map = new LensMap(Lens.of(bent, cameraCrop), photo);
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
