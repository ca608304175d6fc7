package nexa.core.guide;

import java.util.ArrayList;
import java.util.List;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;

/**
 * The golden spiral: quarter circles in the squares that golden cuts leave of a golden rectangle. Unturned it starts in
 * the bottom-left corner, meets the top edge first and winds clockwise inward.
 */
final class GoldenSpiral {
    private static final double PHI = 1 / Divisions.GOLDEN;
    private static final int QUARTERS = 9;
    private static final int STEPS = 18;

    private GoldenSpiral() {}

    /** Stretched to the crop. */
    static List<Segment> stretched(Size crop, Way way) {
        return lines(crop, Point.ORIGIN, way);
    }

    /** In true proportion, as large as fits in the middle of the crop. */
    static List<Segment> inProportion(Size crop, Way way) {
        double ratio = way.swapsSides() ? 1 / PHI : PHI;
        double height = Math.min(crop.height(), crop.width() / ratio);
        Size room = new Size(ratio * height, height);
        return lines(room, new Point((crop.width() - room.width()) / 2, (crop.height() - height) / 2), way);
    }

    private static List<Segment> lines(Size room, Point corner, Way way) {
        List<Segment> lines = new ArrayList<>();
        Point last = null;
        for (Point share : shares()) {
            Point turned = way.of(share);
            Point now = corner.plus(new Point(turned.x() * room.width(), turned.y() * room.height()));
            if (last != null) {
                lines.add(new Segment(last, now));
            }
            last = now;
        }
        return lines;
    }

    /** The spiral as shares of its golden rectangle. */
    private static List<Point> shares() {
        List<Point> points = new ArrayList<>();
        double side = 1;
        Point centre = new Point(1, 1);
        // From the centre to where the quarter begins, and a quarter turn on: to the left, up, right, down, …
        Point from = new Point(-1, 0);
        for (int quarter = 0; quarter < QUARTERS; quarter++) {
            Point to = new Point(-from.y(), from.x());
            for (int step = quarter == 0 ? 0 : 1; step <= STEPS; step++) {
                double angle = Math.PI / 2 * step / STEPS;
                Point way = from.times(Math.cos(angle)).plus(to.times(Math.sin(angle)));
                Point at = centre.plus(way.times(side));
                points.add(new Point(at.x() / PHI, at.y()));
            }
            double next = side / PHI;
            // The next quarter begins where this one ended, in a smaller square beside it.
            centre = centre.plus(to.times(side - next));
            side = next;
            from = to;
        }
        return points;
    }
}
