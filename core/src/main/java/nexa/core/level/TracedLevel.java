package nexa.core.level;

import java.util.List;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;

/**
 * The angle that makes traced lines level or upright, whichever is nearer. It is measured in the photo's own pixels, so
 * it replaces the photo's angle and is never added to it.
 */
public final class TracedLevel {
    private TracedLevel() {}

    /**
     * The angle that levels one line.
     *
     * @throws IllegalArgumentException if the line has no length
     */
    public static Angle of(Segment line) {
        requireLength(line);
        return new Angle(-lean(line));
    }

    /**
     * The angle that levels several lines together, the longer ones counting for more: the mean direction of vectors at
     * four times their angle, so that level and upright lines agree.
     *
     * @throws IllegalArgumentException if there is no line, or if one has no length
     */
    public static Angle of(List<Segment> lines) {
        if (lines.isEmpty()) {
            throw new IllegalArgumentException("at least 1 line is needed to level by, but there are 0");
        }
        double sin = 0;
        double cos = 0;
        for (Segment line : lines) {
            requireLength(line);
            double lean = Math.toRadians(lean(line));
            sin += line.length() * Math.sin(4 * lean);
            cos += line.length() * Math.cos(4 * lean);
        }
        return Angle.nearest(-Math.toDegrees(Math.atan2(sin, cos) / 4));
    }

    /** How far a line is off level or upright, in degrees, −45 ≤ lean < 45, positive clockwise on screen. */
    public static double lean(Segment line) {
        Point way = line.to().minus(line.from());
        double degrees = Math.toDegrees(Math.atan2(way.y(), way.x()));
        return degrees - 90 * Math.floor((degrees + 45) / 90);
    }

    private static void requireLength(Segment line) {
        if (line.length() == 0) {
            throw new IllegalArgumentException("a line to level by must have a length, but is 0 px long at "
                    + line.from().x() + ", " + line.from().y());
        }
    }
}
