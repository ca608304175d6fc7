package nexa.core.find;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;

/** Edges that may be level, or may be upright, as numbers to compute with; what is at one place of each array is one edge's. */
final class LineGroup {
    /** Pieces of one edge lie within so many degrees and pixels of each other. */
    private static final double ONE_ANGLE = 1;

    private static final double ONE_OFFSET = 5;
    private static final double LEAST_SIGMA = 0.15;
    /** A longer line does not count for more, in diagonals. */
    private static final double LONG = 0.35;

    final List<EdgeLine> lines;
    /** Degrees off level, or off upright, clockwise positive. */
    final double[] lean;
    /** The place across the lines, along which they may run together: x of uprights, y of level lines, in half diagonals. */
    final double[] across;
    /** The place along the lines, in half diagonals. */
    final double[] along;

    final double[] weight;
    /** How uncertain each lean is, in degrees. */
    final double[] sigma;
    /** In diagonals. */
    final double[] length;
    /** The same for pieces of one edge. */
    final int[] edge;

    private LineGroup(List<EdgeLine> lines, Size picture, boolean isUpright) {
        this.lines = lines;
        double diagonal = Math.hypot(picture.width(), picture.height());
        ToDoubleFunction<EdgeLine> off = isUpright ? EdgeLine::offUpright : EdgeLine::offLevel;
        lean = lines.stream().mapToDouble(off).toArray();
        length = lines.stream()
                .mapToDouble(line -> line.segment().length() / diagonal)
                .toArray();
        double[] x = lines.stream()
                .mapToDouble(line -> (middle(line).x() - picture.width() / 2) / (diagonal / 2))
                .toArray();
        double[] y = lines.stream()
                .mapToDouble(line -> (middle(line).y() - picture.height() / 2) / (diagonal / 2))
                .toArray();
        across = isUpright ? x : y;
        along = isUpright ? y : x;
        sigma = lines.stream().mapToDouble(LineGroup::uncertainty).toArray();
        weight = IntStream.range(0, lines.size())
                .mapToDouble(i -> Math.min(length[i], LONG) * LEAST_SIGMA / sigma[i])
                .toArray();
        edge = edges(lines, lean);
    }

    static LineGroup uprights(List<EdgeLine> lines, Size picture) {
        return new LineGroup(straight(lines, EdgeLine::offUpright, EdgeLine.UPRIGHT_WITHIN), picture, true);
    }

    static LineGroup levels(List<EdgeLine> lines, Size picture) {
        return new LineGroup(straight(lines, EdgeLine::offLevel, EdgeLine.LEVEL_WITHIN), picture, false);
    }

    private static List<EdgeLine> straight(List<EdgeLine> lines, ToDoubleFunction<EdgeLine> off, double within) {
        return lines.stream()
                .filter(line -> line.rms() < EdgeLine.STRAIGHT && Math.abs(off.applyAsDouble(line)) < within)
                .toList();
    }

    int size() {
        return lines.size();
    }

    double heaviest() {
        double most = 0;
        for (double each : weight) {
            most = Math.max(most, each);
        }
        return most;
    }

    private static Point middle(EdgeLine line) {
        return line.segment().from().plus(line.segment().to()).times(0.5);
    }

    /** Short and ragged edges say less of their angle. */
    private static double uncertainty(EdgeLine line) {
        double reach = 14 / line.segment().length();
        return Math.sqrt(LEAST_SIGMA * LEAST_SIGMA + reach * reach * Math.max(line.rms(), 0.3) / 0.4);
    }

    private static int[] edges(List<EdgeLine> lines, double[] lean) {
        int[] edge = new int[lines.size()];
        List<Integer> first = new ArrayList<>();
        List<Integer> longestFirst = IntStream.range(0, lines.size())
                .boxed()
                .sorted(Comparator.comparingDouble(
                        (Integer i) -> -lines.get(i).segment().length()))
                .toList();
        for (int i : longestFirst) {
            int same = 0;
            while (same < first.size() && !isOneEdge(lines, lean, first.get(same), i)) {
                same++;
            }
            if (same == first.size()) {
                first.add(i);
            }
            edge[i] = same;
        }
        return edge;
    }

    private static boolean isOneEdge(List<EdgeLine> lines, double[] lean, int longer, int other) {
        if (Math.abs(lean[longer] - lean[other]) >= ONE_ANGLE) {
            return false;
        }
        Point from = lines.get(longer).segment().from();
        Point way = lines.get(longer)
                .segment()
                .to()
                .minus(from)
                .times(1 / lines.get(longer).segment().length());
        Point there = middle(lines.get(other)).minus(from);
        return Math.abs(way.x() * there.y() - way.y() * there.x()) < ONE_OFFSET;
    }
}
