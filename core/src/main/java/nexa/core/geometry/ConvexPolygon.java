package nexa.core.geometry;

import java.util.ArrayList;
import java.util.List;

/** A region within any convex corners. How a wish settles in it is what {@link Rectangle} does where all edges are far apart. */
final class ConvexPolygon implements Region {
    /** A crop outside by less, in pixels, is inside. */
    private static final double SLACK = 1e-6;

    /** A crop that could lie at a sharp tip only is not made smaller than this share of what fits anywhere. */
    private static final double LEAST = 0.25;

    /** More than any crop grows whose longest reach is half the region's size. */
    private static final double BEYOND_GROWTH = 100;

    private final Size photo;
    private final Point home;
    private final List<Point> corners;
    private final List<HalfPlane> edges;
    private final Bounds bounds;
    private final Point middle;
    private final double unit;
    private final double held;

    /**
     * A polygon.
     *
     * @param photo the size of what it is the outline of
     * @param home the middle of that, to which crops keep
     * @param corners clockwise as seen with y downwards
     */
    ConvexPolygon(Size photo, Point home, List<Point> corners) {
        this(photo, home, corners, 1);
    }

    private ConvexPolygon(Size photo, Point home, List<Point> corners, double held) {
        if (corners.size() < 3) {
            throw new IllegalArgumentException("an outline has at least 3 corners, but here are " + corners.size());
        }
        this.photo = photo;
        this.home = home;
        this.corners = List.copyOf(corners);
        List<HalfPlane> sides = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            sides.add(HalfPlane.rightOf(corners.get(i), corners.get((i + 1) % corners.size())));
        }
        this.edges = List.copyOf(sides);
        this.bounds = Bounds.of(corners);
        this.middle = bounds.middle();
        this.unit = Math.max(bounds.extent().x(), bounds.extent().y()) / 2;
        this.held = held;
    }

    @Override
    public ConvexPolygon holding(double share) {
        return share == held ? this : new ConvexPolygon(photo, home, corners, share);
    }

    @Override
    public double held() {
        return held;
    }

    @Override
    public List<HalfPlane> edges() {
        return edges;
    }

    @Override
    public List<Point> corners() {
        return corners;
    }

    @Override
    public double area() {
        return Polygons.area(corners);
    }

    @Override
    public double growth(Size crop, Angle angle) {
        Scaled scaled = new Scaled(crop, angle);
        double across = bounds.extent().x() / 2 / unit;
        double down = bounds.extent().y() / 2 / unit;
        // The bounding box, so that three rows meet where only two opposite edges hold the crop.
        List<Tightest.Row> start = List.of(
                new Tightest.Row(1, 0, 0, across),
                new Tightest.Row(0, 1, 0, down),
                new Tightest.Row(0, 0, 1, BEYOND_GROWTH),
                new Tightest.Row(-1, 0, 0, across),
                new Tightest.Row(0, -1, 0, down));
        return best(new Tightest.Largest(), scaled.rows(), start, 3).t() / scaled.reach();
    }

    /**
     * The best answer, found the short way if that leads anywhere.
     *
     * @param start what the long way starts from
     * @param held how many of these, the first ones, hold the first answer of the short way
     */
    private static Tightest.Answer best(Tightest.Aim aim, List<Tightest.Row> rows, List<Tightest.Row> start, int held) {
        Tightest.Answer quick = new ActiveSet(aim, rows).from(start.subList(0, held));
        return quick != null ? quick : new Tightest(aim, rows).from(start);
    }

    @Override
    public Size largest(double ratio, Angle angle) {
        Size unitHigh = new Size(ratio, 1);
        return unitHigh.times(growth(unitHigh, angle));
    }

    /** How far what has to lie inside of a crop of a size reaches from its centre towards each edge. */
    private double[] reaches(Size crop, Angle angle) {
        Point right = angle.toPhoto(new Point(1, 0));
        Point down = angle.toPhoto(new Point(0, 1));
        double[] reaches = new double[edges.size()];
        for (int i = 0; i < reaches.length; i++) {
            reaches[i] = held * edges.get(i).reach(crop, right, down);
        }
        return reaches;
    }

    /** The edges as rows for a crop, in coordinates from the middle, the half size being 1 and the longest reach 1. */
    private final class Scaled {
        private final double[] reaches;
        private final double longest;

        Scaled(Size crop, Angle angle) {
            reaches = reaches(crop, angle);
            double most = 0;
            for (int i = 0; i < reaches.length; i++) {
                reaches[i] /= unit;
                most = Math.max(most, reaches[i]);
            }
            longest = most;
        }

        /** What a factor has to be multiplied by in these coordinates. */
        double reach() {
            return longest;
        }

        List<Tightest.Row> rows() {
            List<Tightest.Row> rows = new ArrayList<>(edges.size() + 1);
            for (int i = 0; i < edges.size(); i++) {
                HalfPlane edge = edges.get(i);
                rows.add(new Tightest.Row(edge.x(), edge.y(), reaches[i] / longest, -edge.beyond(middle) / unit));
            }
            return rows;
        }
    }

    @Override
    public Point nearestCentre(Point wished, Size crop, Angle angle) {
        return new NearestInside(edges.stream()
                        .map(edge -> new NearestInside.Limit(
                                edge.x(), edge.y(), edge.limit() - held * edge.reach(crop, angle)))
                        .toList())
                .to(wished);
    }

    /**
     * Of all factors k ≤ 1 and centres m at which it lies inside, those with the largest k d − |m − m₀|² / L, d being the
     * crop's diagonal, m₀ the centre wished and L the photo's sides and twice the way from its middle together. Where edges run
     * together that shrinks it a little rather than slide it far.
     */
    @Override
    public Crop settle(Crop wish, Angle angle) {
        double[] reaches = reaches(wish.size(), angle);
        for (int i = 0; i < reaches.length; i++) {
            if (edges.get(i).beyond(wish.centre()) + reaches[i] > SLACK) {
                return broughtIn(wish, angle);
            }
        }
        return wish;
    }

    private Crop broughtIn(Crop wish, Angle angle) {
        Scaled scaled = new Scaled(wish.size(), angle);
        Point from = wish.centre().minus(middle).times(1 / unit);
        double slide = photo.width() + photo.height() + 2 * wish.centre().distance(home);
        double diagonal = Math.hypot(wish.size().width(), wish.size().height());
        Tightest.Near near = new Tightest.Near(from.x(), from.y(), diagonal / unit / scaled.reach(), slide / unit);
        Tightest.Row wholly = new Tightest.Row(0, 0, 1, scaled.reach());
        List<Tightest.Row> rows = scaled.rows();
        rows.add(wholly);
        Tightest.Answer answer = best(near, rows, List.of(wholly), 1);
        double factor = answer.t() / scaled.reach();
        if (factor < LEAST) {
            double least = LEAST * Math.min(1, growth(wish.size(), angle));
            if (factor < least) {
                Size size = wish.size().times(least);
                return new Crop(nearestCentre(wish.centre(), size, angle), size);
            }
        }
        Point centre = new Point(answer.x(), answer.y()).times(unit).plus(middle);
        return new Crop(centre, wish.size().times(factor));
    }

    /** Settled from its home, of a size that could not fit. */
    @Override
    public Crop untouched(double ratio, Angle angle) {
        Size tooLarge = largest(ratio, angle).times(2);
        return broughtIn(new Crop(home, tooLarge), angle);
    }

    @Override
    public double room(Point start, Point way) {
        double room = Double.POSITIVE_INFINITY;
        for (HalfPlane edge : edges) {
            double outwards = edge.along(way);
            if (outwards > 1e-12) {
                room = Math.min(room, Math.max(0, -edge.beyond(start) / outwards));
            }
        }
        return room;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof ConvexPolygon that
                && photo.equals(that.photo)
                && home.equals(that.home)
                && held == that.held
                && corners.equals(that.corners);
    }

    @Override
    public int hashCode() {
        return corners.hashCode();
    }

    @Override
    public String toString() {
        return corners.toString();
    }
}
