package nexa.core.geometry;

import java.util.List;

/**
 * What the crops of a photo have to stay inside: a convex area in the photo's pixels, and how far the photo is turned. The one
 * place that knows a photo's edges; whoever needs them asks it. What a trim leaves of a photo takes the photo's place.
 */
public final class Outline {
    private static final double LEAST_ROOM = 0.1;
    /** A quarter of a crop that may reach beyond may lie outside at each side. */
    private static final double REACHING = 0.5;

    private final Size photo;
    private final Point middle;
    private final Angle angle;
    private final Region region;

    private Outline(Size photo, Point middle, Angle angle, Region region) {
        this.photo = photo;
        this.middle = middle;
        this.angle = angle;
        this.region = region;
    }

    /** The outline of a photo as it was shot: its own edges. */
    public Outline(Size photo, Angle angle) {
        this(new Rectangle(Point.ORIGIN, photo), angle);
    }

    /** The outline of a photo of which a part counts. */
    public Outline(Bounds part, Angle angle) {
        this(new Rectangle(part.least(), part.size()), angle);
    }

    private Outline(Rectangle photo, Angle angle) {
        this(photo.size(), photo.middle(), angle, photo);
    }

    /**
     * The outline of a photo whose picture was reshaped.
     *
     * @param photo the size of what counts of it before that
     * @param middle where the middle of that has come to lie
     * @param corners of the picture, convex, clockwise as seen with y downwards, none on the line of its neighbours
     * @throws IllegalArgumentException for fewer than three corners
     */
    public static Outline reshaped(Size photo, Point middle, Angle angle, List<Point> corners) {
        return new Outline(photo, middle, angle, new ConvexPolygon(photo, middle, corners));
    }

    /**
     * The same for crops that may reach beyond: a quarter of such a crop's extent may lie outside at each side, and it is at
     * most twice as large as the largest that fits.
     */
    public Outline reaching() {
        return new Outline(photo, middle, angle, region.holding(REACHING));
    }

    /** Whether crops may reach beyond. */
    public boolean isReaching() {
        return region.held() < 1;
    }

    /** The share of a crop's extent about its centre that has to lie inside, above 0 and at most 1. */
    public double held() {
        return region.held();
    }

    /** Width and height in pixels of what counts as the photo, before anything reshaped it. */
    public Size photo() {
        return photo;
    }

    public Angle angle() {
        return angle;
    }

    /** The edges, as half-planes that hold what is inside. */
    public List<HalfPlane> edges() {
        return region.edges();
    }

    /** The corners, clockwise as seen on screen. */
    public List<Point> corners() {
        return region.corners();
    }

    /** In square pixels. */
    public double area() {
        return region.area();
    }

    /** Whether a crop lies inside as far as it has to, or beyond the edges by no more than {@code slack} pixels. */
    public boolean contains(Crop crop, double slack) {
        return region.edges().stream()
                .allMatch(edge -> edge.beyond(crop.centre()) + region.held() * edge.reach(crop.size(), angle) <= slack);
    }

    /** The factor that makes a crop of this size the largest of its shape that fits; above 1 when there is room. */
    public double growth(Size crop) {
        return region.growth(crop, angle);
    }

    /** The size of the largest crop of a ratio (width over height) that fits anywhere, wholly inside. */
    public Size largest(double ratio) {
        Require.positive("ratio", ratio);
        return region.holding(1).largest(ratio, angle);
    }

    /**
     * The crop of a ratio that a photo nobody has touched has: as large as can be wholly inside, as near to the middle as that
     * lets it.
     */
    public Crop untouched(double ratio) {
        Require.positive("ratio", ratio);
        return region.holding(1).untouched(ratio, angle);
    }

    /**
     * A wished crop brought inside. What lies inside stays exactly as it is; anything else is slid, and shrunk as far as it
     * could never fit or would have to be slid far.
     */
    public Crop settle(Crop wish) {
        return region.settle(wish, angle);
    }

    /** The middle of what counts as the photo. Nothing that reshapes a photo moves the middle of all of it. */
    public Point middle() {
        return middle;
    }

    /** The nearest centre to the wished one at which a crop of this size, which fits, lies inside. */
    public Point nearestCentre(Point wished, Size crop) {
        return region.nearestCentre(wished, crop, angle);
    }

    /**
     * How far one can go from a point inside along a way, as a multiple of that way, before leaving; infinite when the way
     * leads nowhere. A start on the edge, or outside by a rounding error, has no room outwards.
     */
    public double room(Point start, Point way) {
        return region.room(start, way);
    }

    /**
     * The room that a crop's centre has along the photo's width and height, by which it is told where in it the crop lies.
     * Never taken for less than a tenth of the photo, which keeps that continuous.
     */
    public Point roomOfCentre(Size crop) {
        Size covered = angle.covered(crop);
        return new Point(
                Math.max(photo().width() - covered.width(), LEAST_ROOM * photo().width()),
                Math.max(photo().height() - covered.height(), LEAST_ROOM * photo().height()));
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Outline that
                && photo.equals(that.photo)
                && middle.equals(that.middle)
                && angle.equals(that.angle)
                && region.equals(that.region);
    }

    @Override
    public int hashCode() {
        return photo.hashCode() * 31 + angle.hashCode();
    }

    @Override
    public String toString() {
        return photo + " at " + angle + " within " + region;
    }
}
