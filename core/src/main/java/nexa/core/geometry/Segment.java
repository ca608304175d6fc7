package nexa.core.geometry;

import java.util.ArrayList;
import java.util.List;

/** A straight line from one point to another. */
public record Segment(Point from, Point to) {

    /** The sides between corners, the last one back to the first. */
    public static List<Segment> around(List<Point> corners) {
        List<Segment> sides = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            sides.add(new Segment(corners.get(i), corners.get((i + 1) % corners.size())));
        }
        return sides;
    }

    public double length() {
        return from.distance(to);
    }
}
