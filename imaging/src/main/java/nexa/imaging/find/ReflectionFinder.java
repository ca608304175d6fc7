package nexa.imaging.find;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.IntToDoubleFunction;
import nexa.core.find.Reflection;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;

/** Looks along a line for a far shore and its reflection: where above and below it the same goes up and down. */
final class ReflectionFinder {
    private static final int COLUMNS = 4;
    private static final int ALIKE = 17;
    private static final int TOGETHER = 5;
    private static final double LIKE = 0.6;
    private static final double FAINT = 2;
    private static final int LEAST = 16;
    private static final int TILTS = 41;

    private final ColourPlanes picture;
    private final double lean;
    private final double y;
    private final double q;
    private final int depth;
    private final int reach;
    private final int half;
    private final double[][] likeness = new double[Strips.COUNT][];
    private final double[][] energy = new double[Strips.COUNT][];

    private ReflectionFinder(ColourPlanes picture, double lean, double y) {
        this.picture = picture;
        this.lean = Math.toRadians(lean);
        this.y = y;
        this.q = Math.max(picture.width, picture.height) / 1600.0;
        this.depth = Math.max(14, (int) (36 * q));
        this.reach = Math.max(8, (int) (20 * q));
        this.half = depth + reach + 1;
    }

    static Optional<Reflection> along(ColourPlanes picture, LinesAcross.Line line) {
        ReflectionFinder finder = new ReflectionFinder(picture, line.lean(), line.y());
        finder.compare();
        return finder.fit();
    }

    private double across(int strip) {
        return (2 * strip + 1.0) / Strips.COUNT - 1;
    }

    private double at(double across) {
        return y + across * picture.width / 2 * Math.tan(lean);
    }

    /** What changes along the line, strip by strip, at each distance from it. */
    private double[][] details() {
        int size = 2 * half + 1;
        double[][] strips = new double[Strips.COUNT][size];
        double sin = Math.sin(lean);
        double cos = Math.cos(lean);
        for (int i = 0; i < Strips.COUNT; i++) {
            for (int n = 0; n < COLUMNS; n++) {
                double u = across(i) + ((n + 0.5) / COLUMNS - 0.5) * 2 / Strips.COUNT;
                double x0 = (picture.width - 1) / 2.0 + u * picture.width / 2;
                for (int k = -half; k <= half; k++) {
                    strips[i][k + half] += picture.brightness(x0 - sin * k, at(u) + cos * k) / COLUMNS;
                }
            }
        }
        double[][] details = new double[Strips.COUNT][size];
        for (int j = 0; j < size; j++) {
            double[] row = new double[Strips.COUNT];
            for (int i = 0; i < row.length; i++) {
                row[i] = strips[i][j];
            }
            double[] mean = boxed(row, ALIKE);
            for (int i = 0; i < row.length; i++) {
                details[i][j] = row[i] - mean[i];
            }
        }
        return details;
    }

    private static double[] boxed(double[] values, int width) {
        double[] means = new double[values.length];
        for (int i = 0; i < values.length; i++) {
            for (int k = -(width / 2); k <= width / 2; k++) {
                means[i] += values[Math.max(0, Math.min(values.length - 1, i + k))] / width;
            }
        }
        return means;
    }

    private void compare() {
        double[][] details = details();
        for (int i = 0; i < Strips.COUNT; i++) {
            likeness[i] = new double[2 * reach + 1];
            energy[i] = new double[2 * reach + 1];
        }
        for (int o = -reach; o <= reach; o++) {
            double[] up = new double[Strips.COUNT];
            double[] down = new double[Strips.COUNT];
            double[] both = new double[Strips.COUNT];
            for (int i = 0; i < Strips.COUNT; i++) {
                for (int k = 2; k <= depth; k++) {
                    double above = details[i][half + o - k];
                    double below = details[i][half + o + k];
                    up[i] += above * above;
                    down[i] += below * below;
                    both[i] += above * below;
                }
            }
            double[] ups = boxed(up, TOGETHER);
            double[] downs = boxed(down, TOGETHER);
            double[] boths = boxed(both, TOGETHER);
            for (int i = 0; i < Strips.COUNT; i++) {
                likeness[i][o + reach] = boths[i] / (Math.sqrt(ups[i] * downs[i]) + 1e-6);
                energy[i][o + reach] = Math.sqrt(Math.min(ups[i], downs[i]) / depth);
            }
        }
    }

    private Optional<Reflection> fit() {
        boolean[] isSeen = new boolean[Strips.COUNT];
        double[] offset = new double[Strips.COUNT];
        double[] best = new double[Strips.COUNT];
        for (int i = 0; i < Strips.COUNT; i++) {
            int peak = 0;
            for (int o = 1; o < likeness[i].length; o++) {
                peak = likeness[i][o] > likeness[i][peak] ? o : peak;
            }
            best[i] = likeness[i][peak];
            boolean isInside = at(across(i)) > depth && at(across(i)) < picture.height - depth;
            isSeen[i] = best[i] > LIKE && energy[i][peak] > FAINT && peak > 0 && peak < 2 * reach && isInside;
            if (isSeen[i]) {
                double part = Statistics.peak(likeness[i][peak - 1], best[i], likeness[i][peak + 1]);
                offset[i] = (peak + part - reach) / Math.cos(lean);
            }
        }
        return Statistics.count(isSeen) < Strips.COUNT * 0.35 ? Optional.empty() : line(isSeen, offset, best);
    }

    private Optional<Reflection> line(boolean[] isSeen, double[] offset, double[] best) {
        LineVote start = vote(isSeen, offset);
        double[] line = {start.offset(), start.tilt()};
        boolean[] isOn = isSeen;
        for (int round = 0; round < 6; round++) {
            double within = round == 5 ? 1.5 * q : Math.max(1.5 * q, 3 * q * Math.pow(0.6, round));
            isOn = new boolean[Strips.COUNT];
            for (int i = 0; i < Strips.COUNT; i++) {
                isOn[i] = isSeen[i] && Math.abs(offset[i] - line[0] - line[1] * across(i)) < within;
            }
            if (Statistics.count(isOn) < LEAST) {
                return Optional.empty();
            }
            if (round < 5) {
                line = fitted(isOn, offset);
            }
        }
        return Optional.of(measured(isSeen, isOn, offset, best, line));
    }

    private LineVote vote(boolean[] isSeen, double[] offset) {
        return LineVote.of(
                chosen(isSeen, this::across),
                chosen(isSeen, i -> offset[i]),
                chosen(isSeen, i -> 1),
                reach,
                reach,
                TILTS);
    }

    private double[] fitted(boolean[] isOn, double[] offset) {
        return Statistics.polynomial(chosen(isOn, i -> across(i)), chosen(isOn, i -> offset[i]), 1);
    }

    private static double[] chosen(boolean[] isOn, IntToDoubleFunction value) {
        double[] chosen = new double[Strips.COUNT];
        int n = 0;
        for (int i = 0; i < Strips.COUNT; i++) {
            if (isOn[i]) {
                chosen[n++] = value.applyAsDouble(i);
            }
        }
        return Arrays.copyOf(chosen, n);
    }

    private Reflection measured(boolean[] isSeen, boolean[] isOn, double[] offset, double[] best, double[] line) {
        double[] places = chosen(isOn, this::across);
        double[] rest = chosen(isOn, i -> offset[i] - line[0] - line[1] * across(i));
        double mean = Arrays.stream(places).average().orElse(0);
        double spread = Arrays.stream(places).map(u -> (u - mean) * (u - mean)).sum();
        double rms = Math.sqrt(Arrays.stream(rest).map(r -> r * r).average().orElse(0));
        double error = Math.toDegrees(
                Math.max(rms, 0.15 * q) * Math.sqrt(TOGETHER) / Math.sqrt(spread) / (picture.width / 2.0));
        double slope = Math.tan(lean) + line[1] / (picture.width / 2.0);
        double middle = y + line[0] + 0.5;
        double rise = slope * picture.width / 2;
        int on = Statistics.count(isOn);
        return new Reflection(
                new Segment(new Point(0, middle - rise), new Point(picture.width, middle + rise)),
                Math.toDegrees(Math.atan(slope)),
                middle / picture.height,
                (double) on / Strips.COUNT,
                (places[on - 1] - places[0]) / 2,
                (double) on / Statistics.count(isSeen),
                error,
                halves(places, rest),
                Statistics.median(chosen(isOn, i -> best[i])));
    }

    private double halves(double[] places, double[] rest) {
        double middle = (places[0] + places[places.length - 1]) / 2;
        List<Double> slopes = new ArrayList<>();
        for (boolean isLeft : new boolean[] {true, false}) {
            boolean[] isIn = new boolean[Strips.COUNT];
            for (int i = 0; i < places.length; i++) {
                isIn[i] = places[i] < middle == isLeft;
            }
            if (Statistics.count(isIn) < 6) {
                return 9;
            }
            double[] line = Statistics.polynomial(chosen(isIn, i -> places[i]), chosen(isIn, i -> rest[i]), 1);
            slopes.add(Math.toDegrees(line[1] / (picture.width / 2.0)));
        }
        return Math.abs(slopes.get(0) - slopes.get(1));
    }
}
