package nexa.core.geometry;

/**
 * All points p with n · p ≤ {@code limit}, where n = ({@code x}, {@code y}) leads outwards.
 *
 * @param x of the outward direction, which has length 1
 * @param y of the outward direction
 * @param limit how far the edge lies out from the origin along that direction
 */
public record HalfPlane(double x, double y, double limit) {

    /** What lies on the right of the way from one point to another one, as seen with y downwards: inside, clockwise. */
    public static HalfPlane rightOf(Point from, Point to) {
        Point way = to.minus(from);
        double length = Math.hypot(way.x(), way.y());
        double x = way.y() / length;
        double y = -way.x() / length;
        return new HalfPlane(x, y, x * from.x() + y * from.y());
    }

    /** How far a way leads outwards. */
    public double along(Point way) {
        return x * way.x() + y * way.y();
    }

    /** How far a point lies beyond the edge; below 0 inside. */
    public double beyond(Point point) {
        return along(point) - limit;
    }

    /** How far a crop of this size reaches from its centre towards the edge. */
    public double reach(Size crop, Angle angle) {
        return reach(crop, angle.toPhoto(new Point(1, 0)), angle.toPhoto(new Point(0, 1)));
    }

    /**
     * As {@link #reach(Size, Angle)}.
     *
     * @param right the way of length 1 that leads right on screen
     * @param down the way of length 1 that leads down on screen
     */
    double reach(Size crop, Point right, Point down) {
        return (crop.width() * Math.abs(along(right)) + crop.height() * Math.abs(along(down))) / 2;
    }
}
