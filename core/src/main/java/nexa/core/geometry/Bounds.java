package nexa.core.geometry;

import java.util.DoubleSummaryStatistics;
import java.util.List;

/**
 * The least upright box around some points.
 *
 * @param least the smallest x and y of any
 * @param most the largest
 */
public record Bounds(Point least, Point most) {
    /** All of a photo or a picture, in fractions of it. */
    public static final Bounds UNIT = new Bounds(Point.ORIGIN, new Point(1, 1));

    /** The box around at least one point. */
    public static Bounds of(List<Point> points) {
        DoubleSummaryStatistics x = points.stream().mapToDouble(Point::x).summaryStatistics();
        DoubleSummaryStatistics y = points.stream().mapToDouble(Point::y).summaryStatistics();
        return new Bounds(new Point(x.getMin(), y.getMin()), new Point(x.getMax(), y.getMax()));
    }

    public Point middle() {
        return new Point((least.x() + most.x()) / 2, (least.y() + most.y()) / 2);
    }

    /** Its width and height, both above 0. */
    public Size size() {
        return new Size(extent().x(), extent().y());
    }

    /** The place in it that is nearest to a point: the point itself if it is inside. */
    public Point nearest(Point point) {
        return new Point(
                Math.max(least.x(), Math.min(most.x(), point.x())), Math.max(least.y(), Math.min(most.y(), point.y())));
    }

    /** What it shares with another one of what they cover together, 0 … 1; nothing where neither covers anything. */
    public double overlap(Bounds other) {
        double both = shared(other);
        return both / Math.max(Double.MIN_NORMAL, area() + other.area() - both);
    }

    /** What it shares with another one of the smaller of them, 0 … 1; nothing where that covers nothing. */
    public double overlapOfSmaller(Bounds other) {
        return shared(other) / Math.max(Double.MIN_NORMAL, Math.min(area(), other.area()));
    }

    /** Its width times its height, 0 for a line or a point. */
    public double area() {
        return extent().x() * extent().y();
    }

    private double shared(Bounds other) {
        double across = Math.min(most.x(), other.most.x()) - Math.max(least.x(), other.least.x());
        double down = Math.min(most.y(), other.most.y()) - Math.max(least.y(), other.least.y());
        return Math.max(0, across) * Math.max(0, down);
    }

    /** From the least to the most, both ways. */
    public Point extent() {
        return most.minus(least);
    }
}
