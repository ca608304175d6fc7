package nexa.core.geometry;

import java.util.List;

/**
 * Looks for what {@link Tightest} looks for, going by few rows at a time: the two or three that hold the answer back, and the one
 * it breaks most. Where that leads nowhere, because rows meet in more than one way, it says so, and the longer search is needed.
 * What it finds holds all rows, and each row that it goes by holds it back: it is the best.
 */
final class ActiveSet {
    private static final int MOST_STEPS = 60;
    private static final double BROKEN = 1e-11;
    private static final double ROUNDING = 1e-12;
    private static final double SINGULAR = 1e-13;

    /** Which of the rows that hold and the new one, the new one being the last of up to four, are tried. */
    private static final int[][] WITH_NEW = {{3}, {0, 3}, {1, 3}, {2, 3}, {0, 1, 3}, {0, 2, 3}, {1, 2, 3}};

    private final Tightest.Aim aim;
    private final Tightest.Row[] rows;
    private final Tightest.Row[] near = new Tightest.Row[4];
    private final Tightest.Row[] exact = new Tightest.Row[3];
    private double x;
    private double y;
    private double t;

    ActiveSet(Tightest.Aim aim, List<Tightest.Row> rows) {
        this.aim = aim;
        this.rows = rows.toArray(Tightest.Row[]::new);
    }

    /**
     * The best answer; null if it was not found this way.
     *
     * @param start rows that hold the first answer back
     */
    Tightest.Answer from(List<Tightest.Row> start) {
        for (int i = 0; i < start.size(); i++) {
            near[i] = start.get(i);
            exact[i] = near[i];
        }
        if (!solve(start.size())) {
            return null;
        }
        for (int step = 0; step < MOST_STEPS; step++) {
            Tightest.Row broken = mostBroken();
            if (broken == null) {
                return new Tightest.Answer(x, y, t);
            }
            near[3] = broken;
            if (!exchange()) {
                return null;
            }
        }
        return null;
    }

    private Tightest.Row mostBroken() {
        Tightest.Row worst = null;
        double most = BROKEN;
        for (Tightest.Row row : rows) {
            double beyond = beyond(row);
            if (beyond > most) {
                worst = row;
                most = beyond;
            }
        }
        return worst;
    }

    private double beyond(Tightest.Row row) {
        return row.x() * x + row.y() * y + row.s() * t - row.c();
    }

    /** Goes on to rows, the new one among them, whose answer holds the others of these. */
    private boolean exchange() {
        for (int[] choice : WITH_NEW) {
            int count = choice.length;
            boolean isThere = true;
            for (int i = 0; i < count; i++) {
                exact[i] = near[choice[i]];
                isThere &= exact[i] != null;
            }
            if (isThere && solve(count) && holdsNear()) {
                for (int i = 0; i < 3; i++) {
                    near[i] = i < count ? exact[i] : null;
                }
                return true;
            }
        }
        return false;
    }

    private boolean holdsNear() {
        for (Tightest.Row row : near) {
            if (row != null && beyond(row) > BROKEN) {
                return false;
            }
        }
        return true;
    }

    /** The best answer at which the first so many exact rows hold; false where one of them does not hold it back. */
    private boolean solve(int count) {
        return aim instanceof Tightest.Near wish ? solve(wish, count) : count == 3 && solveLargest();
    }

    /**
     * By Lagrange's multipliers λ: d = Σ λ s, and m = (x, y) − (l / 2) Σ λ n. With λ from the first row's, s₀ λ₀ = d − Σ s λ, what is
     * left are as many equations as there are further rows.
     */
    private boolean solve(Tightest.Near wish, int count) {
        Tightest.Row first = exact[0];
        if (first.s() == 0) {
            return false;
        }
        double half = wish.l() / 2;
        double one = 0;
        double two = 0;
        if (count > 1) {
            // Each further row and the first one give the same t.
            double a = coupling(half, exact[1], exact[1]);
            double right = excess(wish, half, exact[1]);
            if (count == 2) {
                if (Math.abs(a) < SINGULAR) {
                    return false;
                }
                one = right / a;
            } else {
                double b = coupling(half, exact[1], exact[2]);
                double d = coupling(half, exact[2], exact[2]);
                double rightTwo = excess(wish, half, exact[2]);
                double determinant = a * d - b * b;
                if (Math.abs(determinant) < SINGULAR) {
                    return false;
                }
                one = (right * d - b * rightTwo) / determinant;
                two = (a * rightTwo - b * right) / determinant;
            }
        }
        // A row that is not there has no multiplier; any other stands for it.
        Tightest.Row second = count > 1 ? exact[1] : first;
        Tightest.Row third = count > 2 ? exact[2] : first;
        double zero = (wish.d() - one * second.s() - two * third.s()) / first.s();
        if (Math.min(zero, Math.min(one, two)) < -ROUNDING) {
            return false;
        }
        x = wish.x() - half * (zero * first.x() + one * second.x() + two * third.x());
        y = wish.y() - half * (zero * first.y() + one * second.y() + two * third.y());
        t = (first.c() - first.x() * x - first.y() * y) / first.s();
        return true;
    }

    /** The part of a row across the first one, weighed so that t drops out: n − n₀ s / s₀. */
    private double acrossX(Tightest.Row row) {
        return row.x() - exact[0].x() * row.s() / exact[0].s();
    }

    private double acrossY(Tightest.Row row) {
        return row.y() - exact[0].y() * row.s() / exact[0].s();
    }

    private double coupling(double half, Tightest.Row one, Tightest.Row other) {
        return half * (acrossX(one) * acrossX(other) + acrossY(one) * acrossY(other));
    }

    /** By how much a row is broken where the first one alone holds the answer back. */
    private double excess(Tightest.Near wish, double half, Tightest.Row row) {
        Tightest.Row first = exact[0];
        double alone = half * wish.d() / first.s();
        double atX = wish.x() - alone * first.x();
        double atY = wish.y() - alone * first.y();
        return acrossX(row) * atX + acrossY(row) * atY - (row.c() - first.c() * row.s() / first.s());
    }

    /** Three rows meet in one point, by Cramer's rule; their multipliers are its minors of the last column. */
    private boolean solveLargest() {
        Tightest.Row a = exact[0];
        Tightest.Row b = exact[1];
        Tightest.Row c = exact[2];
        double bc = b.x() * c.y() - c.x() * b.y();
        double ca = c.x() * a.y() - a.x() * c.y();
        double ab = a.x() * b.y() - b.x() * a.y();
        double determinant = a.s() * bc + b.s() * ca + c.s() * ab;
        if (Math.abs(determinant) < SINGULAR) {
            return false;
        }
        if (Math.min(bc / determinant, Math.min(ca / determinant, ab / determinant)) < -ROUNDING) {
            return false;
        }
        t = (a.c() * bc + b.c() * ca + c.c() * ab) / determinant;
        double aLeft = a.c() - a.s() * t;
        double bLeft = b.c() - b.s() * t;
        double cLeft = c.c() - c.s() * t;
        // Of the three crossings of two, the one that is clearest.
        if (Math.abs(ab) >= Math.abs(bc) && Math.abs(ab) >= Math.abs(ca)) {
            cross(a, aLeft, b, bLeft, ab);
        } else if (Math.abs(bc) >= Math.abs(ca)) {
            cross(b, bLeft, c, cLeft, bc);
        } else {
            cross(c, cLeft, a, aLeft, ca);
        }
        return true;
    }

    private void cross(Tightest.Row one, double oneLeft, Tightest.Row other, double otherLeft, double cross) {
        x = (oneLeft * other.y() - otherLeft * one.y()) / cross;
        y = (one.x() * otherLeft - other.x() * oneLeft) / cross;
    }
}
