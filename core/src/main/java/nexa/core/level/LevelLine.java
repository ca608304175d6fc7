package nexa.core.level;

import java.util.function.UnaryOperator;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;

/**
 * A line along something that is level or upright in the scene.
 *
 * @param segment where it lies, in the photo's pixels
 * @param convergence by how many degrees it leans besides, clockwise, because it runs together with others like it in the
 *     distance; 0 for one drawn by hand
 */
public record LevelLine(Segment segment, double convergence) {
    /** A line of which nothing is known but where it lies. */
    public static LevelLine of(Segment segment) {
        return new LevelLine(segment, 0);
    }

    /** The line as it would lie if it leaned only as the photo does. */
    public Segment straightened() {
        if (convergence == 0) {
            return segment;
        }
        double turn = Math.toRadians(-convergence);
        Point way = segment.to().minus(segment.from());
        Point turned = new Point(
                way.x() * Math.cos(turn) - way.y() * Math.sin(turn),
                way.x() * Math.sin(turn) + way.y() * Math.cos(turn));
        return new Segment(segment.from(), segment.from().plus(turned));
    }

    /** The same line where perspective has been taken out, so that it does not run together with others any more. */
    LevelLine inPlane(UnaryOperator<Point> toPlane) {
        return of(segment.mapped(toPlane));
    }

    /** How far the photo is off level by this line, in degrees, −45 ≤ lean < 45, positive clockwise. */
    public double lean() {
        return TracedLevel.lean(straightened());
    }

    /** The same line further along, in pixels. */
    public LevelLine moved(Point way) {
        return new LevelLine(new Segment(segment.from().plus(way), segment.to().plus(way)), convergence);
    }

    /** The same line in a picture so many times as large. */
    public LevelLine times(double factor) {
        return new LevelLine(
                new Segment(segment.from().times(factor), segment.to().times(factor)), convergence);
    }
}
