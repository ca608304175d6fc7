package nexa.core.guide;

import java.util.ArrayList;
import java.util.List;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;

/** Lines straight across and down. */
final class Divisions {
    /** The longer part of a golden section, a share of the whole: 1/φ. */
    static final double GOLDEN = (Math.sqrt(5) - 1) / 2;

    private Divisions() {}

    /** Lines at the same shares across and down: first those down the crop, then those across it. */
    static List<Segment> at(Size crop, double... shares) {
        List<Segment> lines = new ArrayList<>();
        for (double share : shares) {
            lines.add(upright(crop, share * crop.width()));
        }
        for (double share : shares) {
            lines.add(level(crop, share * crop.height()));
        }
        return lines;
    }

    /** As many lines each way as asked for, evenly spread. */
    static List<Segment> grid(Size crop, int count) {
        double[] shares = new double[count];
        for (int i = 0; i < count; i++) {
            shares[i] = (i + 1.0) / (count + 1);
        }
        return at(crop, shares);
    }

    /** The inner sides of the squares that stand on the two short sides; none in a square. */
    static List<Segment> rabatment(Size crop) {
        double side = crop.shortSide();
        double rest = crop.longSide() - side;
        if (rest == 0) {
            return List.of();
        }
        return crop.width() > crop.height()
                ? List.of(upright(crop, side), upright(crop, rest))
                : List.of(level(crop, side), level(crop, rest));
    }

    private static Segment upright(Size crop, double x) {
        return new Segment(new Point(x, 0), new Point(x, crop.height()));
    }

    private static Segment level(Size crop, double y) {
        return new Segment(new Point(0, y), new Point(crop.width(), y));
    }
}
