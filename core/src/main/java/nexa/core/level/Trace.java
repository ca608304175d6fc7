package nexa.core.level;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;

/**
 * Lines along what should be level or upright, traced or found, in the photo's pixels.
 *
 * @param lines in the order they were drawn
 */
public record Trace(List<LevelLine> lines) {
    public static final Trace NONE = new Trace(List.of());

    /** Lines that differ by more degrees than this disagree. */
    public static final double AGREES = 0.5;

    /** A line uncertain by more degrees than this says nothing. */
    public static final double MEANS_SOMETHING = 1;

    private static final double TRACED_WITHIN = Math.sqrt(2);
    private static final double LEVEL_ALREADY = 0.01;

    public Trace {
        lines = List.copyOf(lines);
    }

    /** How many degrees a line may be off: it is traced to about √2 px of the picture as shown. */
    public static double uncertainty(double shownLength) {
        return Math.toDegrees(Math.atan2(TRACED_WITHIN, shownLength));
    }

    /** Whether a line this long on screen is long enough to level by. */
    public static boolean isLongEnough(double shownLength) {
        return uncertainty(shownLength) <= MEANS_SOMETHING;
    }

    /** How far a line leans on screen in a photo turned by an angle, in degrees, positive clockwise. */
    public static double leanOnScreen(Segment line, Angle angle) {
        Point way = angle.toScreen(line.to().minus(line.from()));
        return TracedLevel.lean(new Segment(Point.ORIGIN, way));
    }

    /** Whether a line is level or upright already in a photo turned by an angle. */
    public static boolean isLevel(Segment line, Angle angle) {
        return Math.abs(leanOnScreen(line, angle)) < LEVEL_ALREADY;
    }

    /** Lines traced by hand. */
    public static Trace of(List<Segment> lines) {
        return new Trace(lines.stream().map(LevelLine::of).toList());
    }

    /** With a line traced by hand. */
    public Trace with(Segment line) {
        List<LevelLine> more = new ArrayList<>(lines);
        more.add(LevelLine.of(line));
        return new Trace(more);
    }

    /** Where they lie. */
    public List<Segment> segments() {
        return lines.stream().map(LevelLine::segment).toList();
    }

    public Trace without(int index) {
        List<LevelLine> fewer = new ArrayList<>(lines);
        fewer.remove(index);
        return new Trace(fewer);
    }

    /** The same lines where perspective has been taken out. */
    public Trace inPlane(UnaryOperator<Point> toPlane) {
        return new Trace(lines.stream().map(line -> line.inPlane(toPlane)).toList());
    }

    /** The angle all lines give together; empty without lines. */
    public Optional<Angle> angle() {
        return lines.isEmpty()
                ? Optional.empty()
                : Optional.of(TracedLevel.of(
                        lines.stream().map(LevelLine::straightened).toList()));
    }

    /** The most by which two of the lines differ, in degrees, 0 … 45. */
    public double disagreement() {
        double most = 0;
        for (LevelLine one : lines) {
            for (LevelLine other : lines) {
                double off = Math.abs(one.lean() - other.lean());
                most = Math.max(most, Math.min(off, 90 - off));
            }
        }
        return most;
    }

    /** Whether the lines are too far apart for their mean to mean anything. */
    public boolean disagrees() {
        return disagreement() > AGREES;
    }
}
