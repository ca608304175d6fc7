package nexa.core.guide;

import java.util.ArrayList;
import java.util.List;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;

/** Lines that run aslant. */
final class Slants {
    private Slants() {}

    /** From each corner at 45°, from the top left clockwise, until they meet the far side. */
    static List<Segment> diagonals(Size crop) {
        double w = crop.width();
        double h = crop.height();
        double side = crop.shortSide();
        return List.of(
                new Segment(new Point(0, 0), new Point(side, side)),
                new Segment(new Point(w, 0), new Point(w - side, side)),
                new Segment(new Point(w, h), new Point(w - side, h - side)),
                new Segment(new Point(0, h), new Point(side, h - side)));
    }

    /** The diagonal from the bottom left to the top right, and what stands square on it from the other two corners. */
    static List<Segment> triangles(Size crop) {
        Point bottomLeft = new Point(0, crop.height());
        Point topRight = new Point(crop.width(), 0);
        Point topLeft = Point.ORIGIN;
        Point bottomRight = new Point(crop.width(), crop.height());
        return List.of(
                new Segment(bottomLeft, topRight),
                new Segment(topLeft, foot(topLeft, bottomLeft, topRight)),
                new Segment(bottomRight, foot(bottomRight, bottomLeft, topRight)));
    }

    private static Point foot(Point from, Point start, Point end) {
        Point way = end.minus(start);
        Point to = from.minus(start);
        double share = (to.x() * way.x() + to.y() * way.y()) / (way.x() * way.x() + way.y() * way.y());
        return start.plus(way.times(share));
    }

    /** Both diagonals, and from each corner to the middles of the two far sides. */
    static List<Segment> armature(Size crop) {
        List<Segment> lines = new ArrayList<>();
        for (int x = 0; x <= 1; x++) {
            for (int y = 0; y <= 1; y++) {
                Point corner = at(crop, x, y);
                lines.add(new Segment(corner, at(crop, 1 - x, 0.5)));
                lines.add(new Segment(corner, at(crop, 0.5, 1 - y)));
            }
        }
        lines.add(new Segment(at(crop, 0, 0), at(crop, 1, 1)));
        lines.add(new Segment(at(crop, 0, 1), at(crop, 1, 0)));
        return lines;
    }

    private static Point at(Size crop, double across, double down) {
        return new Point(across * crop.width(), down * crop.height());
    }
}
