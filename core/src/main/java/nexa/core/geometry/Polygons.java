package nexa.core.geometry;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;

/** What can be told of areas by their corners, which go clockwise as seen with y downwards. */
public final class Polygons {
    private Polygons() {}

    /** Its area; by the shoelace formula about its first corner, which keeps small areas far from the origin exact. */
    public static double area(List<Point> corners) {
        double twice = 0;
        for (int i = 1; i + 1 < corners.size(); i++) {
            Point one = corners.get(i).minus(corners.get(0));
            Point next = corners.get(i + 1).minus(corners.get(0));
            twice += one.x() * next.y() - one.y() * next.x();
        }
        return twice / 2;
    }

    /**
     * What of an area lies before a line, after Sutherland and Hodgman; of one that is not convex it may hang together by
     * lines without width.
     *
     * @param beyond how far a point lies beyond the line; below 0 before it
     */
    public static List<Point> before(List<Point> corners, ToDoubleFunction<Point> beyond) {
        List<Point> left = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            Point one = corners.get(i);
            Point next = corners.get((i + 1) % corners.size());
            double here = beyond.applyAsDouble(one);
            double there = beyond.applyAsDouble(next);
            if (here <= 0) {
                left.add(one);
            }
            if (here < 0 && there > 0 || here > 0 && there < 0) {
                left.add(one.plus(next.minus(one).times(here / (here - there))));
            }
        }
        return left;
    }

    /** What of an area lies in a convex one. */
    public static List<Point> within(List<Point> corners, List<Point> convex) {
        List<Point> left = corners;
        for (int i = 0; i < convex.size(); i++) {
            left = before(left, HalfPlane.rightOf(convex.get(i), convex.get((i + 1) % convex.size()))::beyond);
        }
        return left;
    }
}
