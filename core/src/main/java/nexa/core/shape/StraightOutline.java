package nexa.core.shape;

import java.util.ArrayList;
import java.util.List;
import nexa.core.geometry.HalfPlane;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;

/**
 * The edges of a straightened picture, made convex. Each half of an edge, from its middle to the corner, is followed by a chain
 * of straight pieces that keeps inside: once from the middle outwards, once from the corner inwards; the one that leaves more
 * of the picture stands. Edges that bow inwards are cut at their middle: a convex outline has no tips.
 */
final class StraightOutline {
    private static final int LAST = 8;
    /** As a share of the photo's side: a chain that falls by less is flat. */
    private static final double FLAT = 1e-12;

    private final LensMap lens;
    private final Point middle;

    StraightOutline(LensMap lens, Size photo) {
        this.lens = lens;
        this.middle = photo.middle();
    }

    /** The edges, redundant ones left out. */
    List<HalfPlane> edges() {
        List<HalfPlane> edges = new ArrayList<>();
        for (HalfPlane edge : edges(middle.x(), middle.y())) {
            add(edges, edge.x(), edge.y(), edge.limit());
        }
        // The other edges by exchanging x and y.
        for (HalfPlane edge : edges(middle.y(), middle.x())) {
            add(edges, edge.y(), edge.x(), edge.limit());
        }
        return edges;
    }

    /** An edge in all four quadrants. */
    private void add(List<HalfPlane> edges, double x, double y, double limit) {
        for (int right : x == 0 ? new int[] {1} : new int[] {1, -1}) {
            for (int down : y == 0 ? new int[] {1} : new int[] {1, -1}) {
                HalfPlane edge =
                        new HalfPlane(right * x, down * y, limit + right * x * middle.x() + down * y * middle.y());
                edges.add(edge);
            }
        }
    }

    /** Of the edge at the bottom, in offsets from the middle: x along the edge towards its corner, y away from the middle. */
    private List<HalfPlane> edges(double halfLength, double away) {
        double[] x = new double[LAST + 1];
        double[] y = new double[LAST + 1];
        for (int i = 0; i <= LAST; i++) {
            Point offset = straight(halfLength * i / LAST, away);
            x[i] = offset.x();
            y[i] = offset.y();
        }
        double[] outward = outward(x, y);
        double[] inward = inward(x, y);
        double[] chain = area(x, outward) >= area(x, inward) ? outward : inward;
        List<HalfPlane> edges = new ArrayList<>();
        if (chain[0] - chain[LAST] <= FLAT * away) {
            return List.of(new HalfPlane(0, 1, chain[LAST]));
        }
        for (int i = 0; i < LAST; i++) {
            edges.add(HalfPlane.rightOf(new Point(x[i + 1], chain[i + 1]), new Point(x[i], chain[i])));
        }
        return edges;
    }

    /** By offsets. The lens treats all directions alike, so which of the photo's sides it is does not matter. */
    private Point straight(double along, double away) {
        return lens.toStraightWithin(middle.plus(new Point(along, away))).minus(middle);
    }

    private static double[] outward(double[] x, double[] y) {
        double[] chain = y.clone();
        chain[1] = Math.min(y[1], chain[0]);
        for (int i = 2; i <= LAST; i++) {
            chain[i] = Math.min(y[i], through(x, chain, i - 2, i - 1, i));
        }
        return chain;
    }

    private static double[] inward(double[] x, double[] y) {
        double[] chain = y.clone();
        for (int i = LAST - 2; i >= 0; i--) {
            chain[i] = Math.min(y[i], through(x, chain, i + 2, i + 1, i));
        }
        for (int i = LAST - 1; i >= 0; i--) {
            if (chain[i] < chain[i + 1]) {
                for (int j = 0; j <= LAST; j++) {
                    chain[j] = Math.min(chain[j], chain[i]);
                }
            }
        }
        return chain;
    }

    /** How high the line through two points of a chain is at a third place. */
    private static double through(double[] x, double[] chain, int one, int other, int at) {
        return chain[other] + (chain[other] - chain[one]) * (x[at] - x[other]) / (x[other] - x[one]);
    }

    private static double area(double[] x, double[] chain) {
        double area = 0;
        for (int i = 0; i < LAST; i++) {
            area += (x[i + 1] - x[i]) * (chain[i] + chain[i + 1]) / 2;
        }
        return area;
    }
}
