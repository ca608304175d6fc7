package nexa.core.geometry;

import java.util.ArrayList;
import java.util.List;

/**
 * The point of a convex region nearest to a wished one. The region is given by straight limits. Only those that the point
 * found so far breaks most are looked at together; of these every foot on a limit and every crossing of two is tried. A region
 * that rounding has left empty gives the point that breaks its limits least.
 */
public final class NearestInside {
    private static final double SLACK = 1e-10;

    /** All (x, y) with a·x + b·y ≤ c, or, if exact, = c. */
    public record Limit(double a, double b, double c, boolean isExact) {
        public Limit(double a, double b, double c) {
            this(a, b, c, false);
        }

        /** All (x, y) with a·x + b·y = c. */
        public static Limit exactly(double a, double b, double c) {
            return new Limit(a, b, c, true);
        }

        private double excess(Point p) {
            double beyond = a * p.x() + b * p.y() - c;
            return isExact ? Math.abs(beyond) : beyond;
        }

        /** Whether the limit says anything: turning leaves some with nothing but rounding errors before x and y. */
        private boolean binds() {
            return Math.hypot(a, b) > 1e-12;
        }

        private Point foot(Point p) {
            double away = (a * p.x() + b * p.y() - c) / (a * a + b * b);
            return new Point(p.x() - a * away, p.y() - b * away);
        }
    }

    private final List<Limit> limits;

    public NearestInside(List<Limit> limits) {
        this.limits = limits.stream().filter(Limit::binds).toList();
    }

    /** The nearest point. */
    public Point to(Point wished) {
        List<Limit> looked = new ArrayList<>();
        Point best = wished;
        while (true) {
            Limit broken = mostBroken(best);
            if (broken == null || looked.contains(broken)) {
                return best;
            }
            looked.add(broken);
            best = nearest(wished, looked);
        }
    }

    /** The limit that a point breaks most; null if it breaks none. */
    private Limit mostBroken(Point p) {
        Limit worst = null;
        double most = slack(p);
        for (Limit limit : limits) {
            double excess = limit.excess(p);
            if (excess > most) {
                worst = limit;
                most = excess;
            }
        }
        return worst;
    }

    private static double slack(Point p) {
        return SLACK * (1 + Math.abs(p.x()) + Math.abs(p.y()));
    }

    private static Point nearest(Point wished, List<Limit> limits) {
        Point best = null;
        double bestDistance = Double.POSITIVE_INFINITY;
        double bestExcess = Double.POSITIVE_INFINITY;
        for (Point candidate : candidates(wished, limits)) {
            double excess = Math.max(0, excess(candidate, limits) - slack(candidate));
            double distance = candidate.distance(wished);
            if (excess < bestExcess || excess == bestExcess && distance < bestDistance) {
                best = candidate;
                bestDistance = distance;
                bestExcess = excess;
            }
        }
        return best;
    }

    private static double excess(Point p, List<Limit> limits) {
        double most = Double.NEGATIVE_INFINITY;
        for (Limit limit : limits) {
            most = Math.max(most, limit.excess(p));
        }
        return most;
    }

    private static List<Point> candidates(Point wished, List<Limit> limits) {
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
