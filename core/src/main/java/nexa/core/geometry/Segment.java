package nexa.core.geometry;

/** A straight line from one point to another. */
public record Segment(Point from, Point to) {
    public double length() {
        return from.distance(to);
    }
}
