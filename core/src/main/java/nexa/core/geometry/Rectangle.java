package nexa.core.geometry;

import java.util.List;

/**
 * The upright edges of what counts as a photo. Everything is known in closed form.
 *
 * @param held the share of a crop's extent about its centre that has to lie inside, above 0 and at most 1
 */
record Rectangle(Point least, Size size, double held) implements Region {
    /** All of a crop has to lie inside. */
    Rectangle(Point least, Size size) {
        this(least, size, 1);
    }

    @Override
    public Rectangle holding(double share) {
        return new Rectangle(least, size, share);
    }

    private Size covered(Size crop, Angle angle) {
        return angle.covered(crop).times(held);
    }

    private double right() {
        return least.x() + size.width();
    }

    private double bottom() {
        return least.y() + size.height();
    }

    Point middle() {
        return least.plus(size.middle());
    }

    @Override
    public List<HalfPlane> edges() {
        return List.of(
                new HalfPlane(1, 0, right()),
                new HalfPlane(-1, 0, 0 - least.x()),
                new HalfPlane(0, 1, bottom()),
                new HalfPlane(0, -1, 0 - least.y()));
    }

    @Override
    public List<Point> corners() {
        return List.of(
                least, new Point(right(), least.y()), new Point(right(), bottom()), new Point(least.x(), bottom()));
    }

    @Override
    public double area() {
        return size.area();
    }

    @Override
    public double growth(Size crop, Angle angle) {
        Size covered = covered(crop, angle);
        return Math.min(size.width() / covered.width(), size.height() / covered.height());
    }

    @Override
    public Point nearestCentre(Point wished, Size crop, Angle angle) {
        Size covered = covered(crop, angle);
        return new Point(
                clamp(wished.x(), covered.width() / 2, least.x(), size.width()),
                clamp(wished.y(), covered.height() / 2, least.y(), size.height()));
    }

    private static double clamp(double wished, double half, double from, double length) {
        return half >= length / 2 ? from + length / 2 : Math.max(from + half, Math.min(from + length - half, wished));
    }

    /** Shrunk about its centre only as far as it could never fit, then slid by the least amount. */
    @Override
    public Crop settle(Crop wish, Angle angle) {
        double growth = growth(wish.size(), angle);
        Size settled = growth < 1 ? wish.size().times(growth) : wish.size();
        return new Crop(nearestCentre(wish.centre(), settled, angle), settled);
    }

    @Override
    public Size largest(double ratio, Angle angle) {
        double cos = Math.abs(angle.cos());
        double sin = Math.abs(angle.sin());
        double height = Math.min(size.width() / (ratio * cos + sin), size.height() / (ratio * sin + cos));
        return new Size(ratio * height, height);
    }

    @Override
    public Crop untouched(double ratio, Angle angle) {
        return new Crop(middle(), largest(ratio, angle));
    }

    @Override
    public double room(Point start, Point way) {
        double across = room(start.x() - least.x(), way.x(), size.width());
        return Math.min(across, room(start.y() - least.y(), way.y(), size.height()));
    }

    private static double room(double start, double way, double length) {
        // A way this short leads nowhere: it is what turning leaves of a nought.
        if (Math.abs(way) < 1e-12) {
            return Double.POSITIVE_INFINITY;
        }
        return Math.max(0, way > 0 ? (length - start) / way : -start / way);
    }
}
