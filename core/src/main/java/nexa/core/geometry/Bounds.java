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

    /** From the least to the most, both ways. */
    public Point extent() {
        return most.minus(least);
    }
}
