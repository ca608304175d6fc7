package nexa.core.geometry;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;

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

    /** The line between where its ends are moved to. */
    public Segment mapped(UnaryOperator<Point> move) {
        return new Segment(move.apply(from), move.apply(to));
    }

    public Point middle() {
        return from.plus(to).times(0.5);
    }

    public double length() {
        return from.distance(to);
    }

    /** See {@link Fingerprint}. */
    public String fingerprint() {
        return Fingerprint.of("Segment")
                .with("from", from.fingerprint())
                .with("to", to.fingerprint())
                .letters();
    }
}
