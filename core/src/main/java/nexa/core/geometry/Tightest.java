package nexa.core.geometry;

import java.util.ArrayList;
import java.util.List;

/**
 * Finds how large a crop can be, and where, within straight limits. A limit, a {@link Row}, holds the crop's centre m and its
 * factor t: n · m + s t ≤ c. At most three of them decide. So the rows at hand are solved for every choice of up to three that
 * hold exactly; the answer that breaks the others at hand least stands, the row it breaks most joins them, and so on until it
 * breaks none.
 *
 * <p>In coordinates about 1 in size; see {@link ConvexPolygon}.
 */
final class Tightest {
    /** Rows broken by less are kept. */
    private static final double BROKEN = 1e-11;

    private static final double ROUNDING = 1e-12;

    /** n · m + s t ≤ c, with n = (x, y). */
    record Row(double x, double y, double s, double c) {
        double beyond(Answer answer) {
            return x * answer.x + y * answer.y + s * answer.t - c;
        }
    }

    /** A centre (x, y) and a factor t. */
    record Answer(double x, double y, double t) {}

    /** What is best. */
    sealed interface Aim permits Largest, Near {}

    /** The largest t, wherever. */
    record Largest() implements Aim {}

    /** The largest d t − |m − (x, y)|² / l. */
    record Near(double x, double y, double d, double l) implements Aim {}

    private final Aim aim;
    private final List<Row> rows;

    Tightest(Aim aim, List<Row> rows) {
        this.aim = aim;
        this.rows = rows;
    }

    /**
     * The best answer.
     *
     * @param start rows that alone already give one; they hold like the others
     */
    Answer from(List<Row> start) {
        List<Row> atHand = new ArrayList<>(start);
        Answer best = best(atHand, choices(atHand));
        while (true) {
            Row broken = mostBroken(best);
            if (broken == null || atHand.contains(broken)) {
                return best;
            }
            // The next answer holds the row exactly that the last one broke: else that one would still be the best.
            List<List<Row>> choices = choicesWith(broken, atHand);
            atHand.add(broken);
            Answer next = best(atHand, choices);
            if (next == null) {
                return best;
            }
            best = next;
        }
    }

    private Row mostBroken(Answer answer) {
        Row worst = null;
        double most = BROKEN;
        for (Row row : rows) {
            double beyond = row.beyond(answer);
            if (beyond > most) {
                worst = row;
                most = beyond;
            }
        }
        return worst;
    }

    private Answer best(List<Row> atHand, List<List<Row>> choices) {
        Answer best = null;
        double least = Double.POSITIVE_INFINITY;
        for (List<Row> exact : choices) {
            Answer answer = solve(exact);
            if (answer != null) {
                double broken = atHand.stream()
                        .mapToDouble(row -> row.beyond(answer))
                        .max()
                        .orElse(0);
                if (broken < least) {
                    best = answer;
                    least = broken;
                }
            }
        }
        return best;
    }

    /** Every choice of up to three. */
    private static List<List<Row>> choices(List<Row> rows) {
        List<List<Row>> choices = new ArrayList<>();
        for (int i = 0; i < rows.size(); i++) {
            choices.addAll(choicesWith(rows.get(i), rows.subList(0, i)));
        }
        return choices;
    }

    /** One row by itself, and with one or two of the others. */
    private static List<List<Row>> choicesWith(Row row, List<Row> others) {
        List<List<Row>> choices = new ArrayList<>();
        choices.add(List.of(row));
        for (int i = 0; i < others.size(); i++) {
            choices.add(List.of(row, others.get(i)));
            for (int j = 0; j < i; j++) {
                choices.add(List.of(row, others.get(i), others.get(j)));
            }
        }
        return choices;
    }

    /** The best answer at which these rows hold exactly; null where none of them holds it back the right way. */
    private Answer solve(List<Row> exact) {
        return aim instanceof Near near ? solve(near, exact) : solveLargest(exact);
    }

    /**
     * By Lagrange's multipliers λ: d = Σ λ s, and m = (x, y) − (l / 2) Σ λ n; unknown are t and the λ.
     */
    private static Answer solve(Near near, List<Row> exact) {
        int count = exact.size();
        double[][] left = new double[count + 1][count + 1];
        double[] right = new double[count + 1];
        for (int i = 0; i < count; i++) {
            Row row = exact.get(i);
            left[i][0] = row.s;
            for (int j = 0; j < count; j++) {
                Row other = exact.get(j);
                left[i][j + 1] = -near.l / 2 * (row.x * other.x + row.y * other.y);
            }
            right[i] = row.c - row.x * near.x - row.y * near.y;
            left[count][i + 1] = row.s;
        }
        right[count] = near.d;
        double[] solved = LinearSystem.solve(left, right);
        if (solved == null) {
            return null;
        }
        double x = near.x;
        double y = near.y;
        for (int i = 0; i < count; i++) {
            double multiplier = solved[i + 1];
            if (multiplier < -ROUNDING) {
                return null;
            }
            x -= near.l / 2 * multiplier * exact.get(i).x;
            y -= near.l / 2 * multiplier * exact.get(i).y;
        }
        return new Answer(x, y, solved[0]);
    }

    /** Three rows meet in one point; t is largest there if Σ λ n = 0 and Σ λ s = 1 for multipliers λ that are not below 0. */
    private static Answer solveLargest(List<Row> exact) {
        if (exact.size() < 3) {
            return null;
        }
        double[][] rows = new double[3][];
        double[][] columns = new double[3][3];
        double[] right = new double[3];
        for (int i = 0; i < 3; i++) {
            Row row = exact.get(i);
            rows[i] = new double[] {row.x, row.y, row.s};
            columns[0][i] = row.x;
            columns[1][i] = row.y;
            columns[2][i] = row.s;
            right[i] = row.c;
        }
        double[] multipliers = LinearSystem.solve(columns, new double[] {0, 0, 1});
        double[] point = LinearSystem.solve(rows, right);
        if (multipliers == null || point == null) {
            return null;
        }
        for (double multiplier : multipliers) {
            if (multiplier < -ROUNDING) {
                return null;
            }
        }
        return new Answer(point[0], point[1], point[2]);
    }
}
