package nexa.core.crop;

import java.util.ArrayList;
import java.util.List;
import nexa.core.geometry.Point;

/**
 * The point of a convex region nearest to a wished one. The region is given by straight limits; there are few, so every
 * foot on a limit and every crossing of two is tried. A region that rounding has left empty gives the point that breaks
 * its limits least.
 */
final class NearestInside {
    private static final double SLACK = 1e-9;

    /** All (x, y) with a·x + b·y ≤ c. */
    record Limit(double a, double b, double c, boolean isExact) {
        Limit(double a, double b, double c) {
            this(a, b, c, false);
        }

        /** All (x, y) with a·x + b·y = c. */
        static Limit exactly(double a, double b, double c) {
            return new Limit(a, b, c, true);
        }

        double excess(Point p) {
            double beyond = a * p.x() + b * p.y() - c;
            return isExact ? Math.abs(beyond) : beyond;
        }

        /** Whether the limit says anything: turning leaves some with nothing but rounding errors before x and y. */
        boolean binds() {
            return Math.hypot(a, b) > 1e-12;
        }

        Point foot(Point p) {
            double away = (a * p.x() + b * p.y() - c) / (a * a + b * b);
            return new Point(p.x() - a * away, p.y() - b * away);
        }
    }

    private final List<Limit> limits;

    NearestInside(List<Limit> limits) {
        this.limits = limits.stream().filter(Limit::binds).toList();
    }

    Point to(Point wished) {
        Point best = null;
        double bestDistance = Double.POSITIVE_INFINITY;
        double bestExcess = Double.POSITIVE_INFINITY;
        for (Point candidate : candidates(wished)) {
            double excess =
                    Math.max(0, excess(candidate) - SLACK * (1 + Math.abs(candidate.x()) + Math.abs(candidate.y())));
            double distance = candidate.distance(wished);
            if (excess < bestExcess || excess == bestExcess && distance < bestDistance) {
                best = candidate;
                bestDistance = distance;
                bestExcess = excess;
            }
        }
        return best;
    }

    private double excess(Point p) {
        double most = Double.NEGATIVE_INFINITY;
        for (Limit limit : limits) {
            most = Math.max(most, limit.excess(p));
        }
        return most;
    }

    private List<Point> candidates(Point wished) {
        List<Point> candidates = new ArrayList<>();
        candidates.add(wished);
        for (int i = 0; i < limits.size(); i++) {
            Limit one = limits.get(i);
            candidates.add(one.foot(wished));
            for (int j = 0; j < i; j++) {
                Limit other = limits.get(j);
                double cross = one.a() * other.b() - one.b() * other.a();
                if (Math.abs(cross) > 1e-12) {
                    candidates.add(new Point(
                            (one.c() * other.b() - one.b() * other.c()) / cross,
                            (one.a() * other.c() - one.c() * other.a()) / cross));
                }
            }
        }
        return candidates;
    }
}
