package nexa.core.shape;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Crop;
import nexa.core.geometry.HalfPlane;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Polygons;
import nexa.core.geometry.Size;

/**
 * The plane in which a reshaped photo's crops lie: the photo after its lens and then its perspective were put right, in pixels.
 * The photo's middle stays, with its scale. Without a lens and a perspective the plane is the photo.
 */
public final class Plane {
    private static final int PLACES = 9;
    /** So many straight pieces a bent edge is seen as. */
    private static final int BENDS = 16;
    /** Corners nearer to one another, in pixels, are one. */
    private static final double SAME = 1e-6;
    /** What is left of nothing by rounding. */
    private static final double LEAST_SHARE = 1e-9;
    /** What is left of a part by less than this share of its area is no picture. */
    private static final double LEAST_LEFT = 1e-6;

    private final Size photo;
    private final Angle angle;
    private final Optional<LensMap> lens;
    private final Optional<PerspectiveMap> perspective;

    /** @param angle how far the photo is turned, on which the perspective's stretch depends */
    public Plane(Size photo, Angle angle, Optional<Lens> lens, Optional<Perspective> perspective) {
        this.photo = photo;
        this.angle = angle;
        this.lens = lens.map(one -> new LensMap(one, photo)).filter(LensMap::bends);
        this.perspective = perspective.filter(one -> !one.isNone()).map(one -> new PerspectiveMap(one, photo, angle));
    }

    /** The plane of a photo that nothing reshapes. */
    static Plane of(Size photo) {
        return new Plane(photo, Angle.NONE, Optional.empty(), Optional.empty());
    }

    /** Whether any point lies elsewhere in the plane than in the photo. */
    private boolean isReshaped() {
        return lens.isPresent() || perspective.isPresent();
    }

    /** Whether straight lines of the plane may be bent in the photo. */
    public boolean isBent() {
        return lens.isPresent();
    }

    /** A point of the photo, or the last one on its way from the middle that the plane shows, after the lens alone. */
    private Point straightened(Point inPhoto) {
        Point straight = lens.map(map -> map.toStraightWithin(inPhoto)).orElse(inPhoto);
        return perspective.map(map -> map.within(straight)).orElse(straight);
    }

    /** Where a point of the photo lies; of one beyond what the plane shows, the last one on its way from the middle. */
    public Point toPlane(Point inPhoto) {
        Point straight = straightened(inPhoto);
        return perspective.map(map -> map.toPlane(straight)).orElse(straight);
    }

    /** Whether the plane shows a point of the photo. */
    public boolean shows(Point inPhoto) {
        Optional<Point> straight = lens.isPresent() ? lens.get().toStraight(inPhoto) : Optional.of(inPhoto);
        return straight.isPresent()
                && perspective.map(map -> map.beforeEnd(straight.get()) >= 0).orElse(true);
    }

    /** The point of the photo that a point of the plane shows. */
    public Point toPhoto(Point inPlane) {
        Point straight = perspective.map(map -> map.toStraight(inPlane)).orElse(inPlane);
        return lens.map(map -> map.toPhoto(straight)).orElse(straight);
    }

    /** √ of how many pixels of the plane there are for one of the photo at a point of the photo. */
    public double scaleAt(Point inPhoto) {
        Point straight = straightened(inPhoto);
        double bent =
                lens.map(map -> map.growthAt(straight) * map.slopeAt(straight)).orElse(1.0);
        return perspective.map(map -> map.scaleAt(straight)).orElse(1.0) / Math.sqrt(bent);
    }

    /**
     * The pixels of the photo that there are for one of the plane, in a crop's worst place and direction; above 1 where the
     * photo has more.
     */
    public double effective(Crop crop) {
        if (!isReshaped()) {
            return 1;
        }
        double least = Double.POSITIVE_INFINITY;
        Point corner = crop.at(0, 0, angle);
        Point across = crop.at(1, 0, angle).minus(corner).times(1.0 / (PLACES - 1));
        Point down = crop.at(0, 1, angle).minus(corner).times(1.0 / (PLACES - 1));
        for (int i = 0; i < PLACES; i++) {
            for (int j = 0; j < PLACES; j++) {
                Point place = corner.plus(across.times(i)).plus(down.times(j));
                least = Math.min(least, toPhotoDerivative(place).leastStretch());
            }
        }
        return least;
    }

    private Matrix toPhotoDerivative(Point inPlane) {
        Matrix faced = perspective.map(map -> map.toStraightDerivative(inPlane)).orElse(Matrix.SAME);
        if (lens.isEmpty()) {
            return faced;
        }
        Point straight = perspective.map(map -> map.toStraight(inPlane)).orElse(inPlane);
        return bent(lens.get(), straight).times(faced);
    }

    /** How the photo moves with the straightened picture: by its growth across, by its slope outwards. */
    private Matrix bent(LensMap map, Point straight) {
        Point offset = straight.minus(photo.middle());
        double radius = Math.hypot(offset.x(), offset.y());
        double growth = map.growthAt(straight);
        if (radius == 0) {
            return new Matrix(growth, 0, 0, growth);
        }
        double x = offset.x() / radius;
        double y = offset.y() / radius;
        double more = map.slopeAt(straight) - growth;
        return new Matrix(growth + more * x * x, more * x * y, more * x * y, growth + more * y * y);
    }

    /** From the plane to the photo, where nothing is there but a perspective. */
    public Optional<Homography> homography() {
        return isBent() ? Optional.empty() : perspective.map(PerspectiveMap::toStraight);
    }

    /** The photo's edges in the plane, made convex. */
    public Outline outline() {
        return outline(whole());
    }

    private Bounds whole() {
        return new Bounds(Point.ORIGIN, new Point(photo.width(), photo.height()));
    }

    /**
     * What crops have to stay inside where part of the photo counts: its edges in the plane, made convex.
     *
     * @param part in the photo's pixels
     * @throws IllegalArgumentException if nothing of it {@linkplain #leaves is left}
     */
    public Outline outline(Bounds part) {
        return isReshaped()
                ? Outline.reshaped(part.size(), toPlane(part.middle()), angle, corners(part))
                : new Outline(part, angle);
    }

    /**
     * Whether anything of part of the photo is left in the plane: at least a millionth of its area. All of the photo always is;
     * a part may lie wholly beyond what the plane shows.
     *
     * @param part in the photo's pixels
     */
    public boolean leaves(Bounds part) {
        if (!isReshaped() || part.equals(whole())) {
            return true;
        }
        List<Point> corners = corners(part);
        return corners.size() >= 3
                && Polygons.area(corners) >= LEAST_LEFT * part.size().area();
    }

    /** The corners of what is seen of part of the photo, made convex; fewer than three where nothing is. */
    private List<Point> corners(Bounds part) {
        List<Point> corners = isBent() ? straightCorners(lens.get(), part) : new Outline(part, angle).corners();
        if (perspective.isPresent()) {
            PerspectiveMap map = perspective.get();
            corners = Polygons.before(corners, point -> -map.beforeEnd(point));
            corners = corners.stream().map(map::toPlane).toList();
        }
        return distinct(corners);
    }

    /** The photo's edges as they are seen in the plane, bent where the lens bends them. */
    public List<Point> border() {
        return border(whole());
    }

    /**
     * The edges of part of the photo as they are seen in the plane, corner by corner, bent where the lens bends them.
     *
     * @param part in the photo's pixels
     */
    public List<Point> border(Bounds part) {
        if (!isBent()) {
            return outline(part).corners();
        }
        List<Point> corners = new Outline(part, Angle.NONE).corners();
        List<Point> border = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            Point from = corners.get(i);
            Point way = corners.get((i + 1) % corners.size()).minus(from);
            for (int j = 0; j < BENDS; j++) {
                border.add(toPlane(from.plus(way.times((double) j / BENDS))));
            }
        }
        return border;
    }

    /**
     * The share of a crop that is not in part of the photo, 0 … 1: what of it lies outside the edges as they are seen, bent or
     * not.
     *
     * @param part in the photo's pixels
     */
    public double shareOutside(Crop crop, Bounds part) {
        if (outline(part).contains(crop, SAME)) {
            return 0;
        }
        double inside = Polygons.area(Polygons.within(border(part), crop.corners(angle)));
        double share = 1 - inside / crop.size().area();
        return share < LEAST_SHARE ? 0 : Math.min(1, share);
    }

    /**
     * How far a crop reaches beyond each side of part of the photo, in the photo's pixels; 0 where it does not, and never
     * further than the photo is long.
     *
     * @param part in the photo's pixels
     */
    public Margins margins(Crop crop, Bounds part) {
        if (shareOutside(crop, part) == 0) {
            return Margins.NONE;
        }
        List<Point> places = new ArrayList<>();
        for (int i = 0; i <= BENDS; i++) {
            double share = (double) i / BENDS;
            places.add(toPhoto(crop.at(share, 0, angle)));
            places.add(toPhoto(crop.at(share, 1, angle)));
            places.add(toPhoto(crop.at(0, share, angle)));
            places.add(toPhoto(crop.at(1, share, angle)));
        }
        return Margins.around(part, Bounds.of(places), photo.longSide());
    }

    private List<Point> straightCorners(LensMap map, Bounds part) {
        List<Point> corners = square();
        for (HalfPlane edge : new StraightOutline(map, photo).edges()) {
            corners = Polygons.before(corners, edge::beyond);
        }
        for (HalfPlane side : new StraightTrim(map, photo, part).sides()) {
            corners = Polygons.before(corners, side::beyond);
        }
        return corners;
    }

    /** Larger than any straightened picture. */
    private List<Point> square() {
        double far = 10 * (photo.width() + photo.height());
        return List.of(new Point(-far, -far), new Point(far, -far), new Point(far, far), new Point(-far, far));
    }

    private static List<Point> distinct(List<Point> corners) {
        List<Point> distinct = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            Point before = corners.get((i + corners.size() - 1) % corners.size());
            if (corners.get(i).distance(before) > SAME) {
                distinct.add(corners.get(i));
            }
        }
        return distinct;
    }
}
