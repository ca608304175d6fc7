package nexa.core.geometry;

/**
 * A photo as it is turned: what a crop has to stay inside. The one place that knows the photo's edges to be a rectangle;
 * gestures ask it for the room they have, so that another convex outline can take its place.
 *
 * @param photo the photo's width and height in pixels
 * @param angle how far the photo is turned
 */
public record Outline(Size photo, Angle angle) {

    /** Half of what a crop of this size covers along the photo's width. */
    public double halfAcross(Size crop) {
        return (crop.width() * Math.abs(angle.cos()) + crop.height() * Math.abs(angle.sin())) / 2;
    }

    /** Half of what a crop of this size covers along the photo's height. */
    public double halfDown(Size crop) {
        return (crop.width() * Math.abs(angle.sin()) + crop.height() * Math.abs(angle.cos())) / 2;
    }

    /** Whether a crop lies in the photo, or beyond its edges by no more than {@code slack} pixels. */
    public boolean contains(Crop crop, double slack) {
        double x = halfAcross(crop.size());
        double y = halfDown(crop.size());
        Point centre = crop.centre();
        return centre.x() >= x - slack
                && centre.x() <= photo.width() - x + slack
                && centre.y() >= y - slack
                && centre.y() <= photo.height() - y + slack;
    }

    /** The factor that makes a crop of this size the largest of its shape that fits; above 1 when there is room. */
    public double growth(Size crop) {
        return Math.min(photo.width() / (2 * halfAcross(crop)), photo.height() / (2 * halfDown(crop)));
    }

    /** The largest crop of a ratio (width over height) that fits, in the photo's pixels. */
    public Size largest(double ratio) {
        Require.positive("ratio", ratio);
        double cos = Math.abs(angle.cos());
        double sin = Math.abs(angle.sin());
        double height = Math.min(photo.width() / (ratio * cos + sin), photo.height() / (ratio * sin + cos));
        return new Size(ratio * height, height);
    }

    /** The largest crop of a ratio, in the middle of the photo. */
    public Crop largestCentred(double ratio) {
        return new Crop(middle(), largest(ratio));
    }

    public Point middle() {
        return new Point(photo.width() / 2, photo.height() / 2);
    }

    /** The nearest centre to the wished one at which a crop of this size, which fits, lies in the photo. */
    public Point nearestCentre(Point wished, Size crop) {
        return new Point(
                clamp(wished.x(), halfAcross(crop), photo.width()), clamp(wished.y(), halfDown(crop), photo.height()));
    }

    private static double clamp(double wished, double half, double length) {
        return half >= length / 2 ? length / 2 : Math.max(half, Math.min(length - half, wished));
    }

    /**
     * How far one can go from a point inside along a way, as a multiple of that way, before leaving the photo; infinite
     * when the way leads nowhere. A start on the edge, or outside by a rounding error, has no room outwards.
     */
    public double room(Point start, Point way) {
        double across = room(start.x(), way.x(), photo.width());
        return Math.min(across, room(start.y(), way.y(), photo.height()));
    }

    private static double room(double start, double way, double length) {
        // A way this short leads nowhere: it is what turning leaves of a nought.
        if (Math.abs(way) < 1e-12) {
            return Double.POSITIVE_INFINITY;
        }
        return Math.max(0, way > 0 ? (length - start) / way : -start / way);
    }
}
