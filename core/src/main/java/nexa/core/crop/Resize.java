package nexa.core.crop;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import nexa.core.geometry.Crop;
import nexa.core.geometry.HalfPlane;
import nexa.core.geometry.NearestInside;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;

/**
 * A handle of a crop being dragged. The opposite side or corner, or the centre, is the anchor and never moves; the crop
 * grows at the most until it meets the photo's edge, where it stops.
 *
 * <p>With a ratio a side handle keeps the middle of the opposite side, and a corner follows the pointer along the crop's
 * diagonal. Without one the sides move by themselves, and past the photo's edge the crop nearest to the pointer is taken,
 * so that the handle glides along the edge.
 */
public final class Resize {
    /** What stays where it is. */
    public enum Anchor {
        OPPOSITE,
        CENTRE
    }

    /** A drag this much steeper or flatter than square is meant to turn the crop. */
    private static final double WELL_PAST = 1.25;

    private static final double ROUNDING = 1e-6;

    private final Outline outline;
    private final Crop start;
    private final Handle handle;
    private final Anchor anchor;
    private final boolean keepsRatio;
    private final double catchesWithin;

    /**
     * @param start the crop as shown when the drag began, inside the outline
     * @param keepsRatio whether the start's ratio is kept
     */
    public Resize(Outline outline, Crop start, Handle handle, Anchor anchor, boolean keepsRatio) {
        this(outline, start, handle, anchor, keepsRatio, 0);
    }

    private Resize(
            Outline outline, Crop start, Handle handle, Anchor anchor, boolean keepsRatio, double catchesWithin) {
        this.outline = outline;
        this.start = start;
        this.handle = handle;
        this.anchor = anchor;
        this.keepsRatio = keepsRatio;
        this.catchesWithin = catchesWithin;
    }

    /**
     * The same, but a side of a crop that may reach beyond the photo catches on the photo's edge.
     *
     * @param within how near to it, in the photo's pixels
     */
    public Resize catching(double within) {
        return new Resize(outline, start, handle, anchor, keepsRatio, outline.isReaching() ? within : 0);
    }

    /** The crop with the handle dragged to a point, given in the photo's pixels. */
    public Crop to(Point pointer) {
        Point way = outline.angle().toScreen(pointer.minus(anchorPoint()));
        double reach = anchor == Anchor.CENTRE ? 2 : 1;
        double width = handle.x() == 0 ? start.size().width() : handle.x() * way.x() * reach;
        double height = handle.y() == 0 ? start.size().height() : handle.y() * way.y() * reach;
        Size size = keepsRatio ? inRatio(width, height) : freely(width, height);
        return caught(new Crop(centreFor(size), size));
    }

    /** As {@link #to}, but a corner dragged well past square turns a crop in a ratio wide or tall. */
    public Crop turningTo(Point pointer) {
        Point way = outline.angle().toScreen(pointer.minus(anchorPoint()));
        boolean isPast = start.size().orientation() == Orientation.WIDE
                ? Math.abs(way.y()) > WELL_PAST * Math.abs(way.x())
                : Math.abs(way.x()) > WELL_PAST * Math.abs(way.y());
        boolean isSquare = Math.abs(start.size().ratio() - 1) < ROUNDING;
        if (!keepsRatio || !handle.isCorner() || isSquare || !isPast) {
            return to(pointer);
        }
        OptionalDouble ratio = OptionalDouble.of(start.size().ratio());
        return new DrawCrop(outline, anchorPoint(), anchor, ratio).to(pointer).orElseGet(() -> to(pointer));
    }

    /** The crop with its dragged sides on the photo's edge, where they are near it; in a ratio the nearer one. */
    private Crop caught(Crop crop) {
        if (catchesWithin == 0) {
            return crop;
        }
        CatchEdge edge = new CatchEdge(outline, catchesWithin);
        double across = handle.x() == 0 ? 0 : edge.off(crop, new Point(handle.x(), 0));
        double down = handle.y() == 0 ? 0 : edge.off(crop, new Point(0, handle.y()));
        double reach = anchor == Anchor.CENTRE ? 2 : 1;
        double wider = 1 - reach * across / crop.size().width();
        double higher = 1 - reach * down / crop.size().height();
        if (keepsRatio) {
            boolean isAcross = down == 0 || across != 0 && Math.abs(across) <= Math.abs(down);
            wider = isAcross ? wider : higher;
            higher = wider;
        }
        Size size = new Size(crop.size().width() * wider, crop.size().height() * higher);
        return new Crop(centreFor(size), size);
    }

    private Size inRatio(double width, double height) {
        double ratio = start.size().ratio();
        double wished;
        if (handle.isCorner()) {
            wished = (width * ratio + height) / (ratio * ratio + 1);
        } else {
            wished = handle.x() == 0 ? height : width / ratio;
        }
        double most = Double.POSITIVE_INFINITY;
        double shortest = Smallest.shortSide(outline, ratio);
        double least = ratio < 1 ? shortest / ratio : shortest;
        for (Point corner : cornersFromAnchor()) {
            Point way = outline.angle().toPhoto(new Point(corner.x() * ratio, corner.y()));
            most = Math.min(most, outline.room(anchorPoint(), way));
            least = Math.max(least, leastToReachInside(way));
        }
        // The start lies inside, so it always has room; rounding errors at the edge must not take it away.
        most = Math.max(most, start.size().height());
        least = Math.min(least, start.size().height());
        double tall = Math.max(least, Math.min(most, wished));
        return new Size(ratio * tall, tall);
    }

    /** How high the crop has to be where its anchor lies beyond an edge, for enough of it to stay inside; 0 where it does not. */
    private double leastToReachInside(Point way) {
        double least = 0;
        for (HalfPlane edge : outline.edges()) {
            double inwards = -edge.along(way);
            if (inwards > ROUNDING) {
                least = Math.max(least, edge.beyond(anchorPoint()) / inwards);
            }
        }
        return least;
    }

    private Size freely(double width, double height) {
        double least = Math.min(Smallest.shortSide(outline, 1), start.size().shortSide());
        Point wished = new Point(Math.max(width, least), Math.max(height, least));
        Point nearest = new NearestInside(limits(least)).to(wished);
        return new Size(nearest.x(), nearest.y());
    }

    /** What the outline's edges and the smallest size ask of a width and height, each of the form a·w + b·h ≤ c. */
    private List<NearestInside.Limit> limits(double least) {
        List<NearestInside.Limit> limits = new ArrayList<>();
        limits.add(
                handle.x() == 0
                        ? NearestInside.Limit.exactly(1, 0, start.size().width())
                        : new NearestInside.Limit(-1, 0, -least));
        limits.add(
                handle.y() == 0
                        ? NearestInside.Limit.exactly(0, 1, start.size().height())
                        : new NearestInside.Limit(0, -1, -least));
        Point from = anchorPoint();
        for (Point corner : cornersFromAnchor()) {
            Point across = outline.angle().toPhoto(new Point(corner.x(), 0));
            Point down = outline.angle().toPhoto(new Point(0, corner.y()));
            for (HalfPlane edge : outline.edges()) {
                limits.add(new NearestInside.Limit(edge.along(across), edge.along(down), -edge.beyond(from)));
            }
        }
        return limits;
    }

    /** The ways from the anchor to the four corners of what has to stay inside, as shares of the crop's width and height. */
    private List<Point> cornersFromAnchor() {
        Point place = anchorPlace();
        List<Point> ways = new ArrayList<>(4);
        for (int x = 0; x <= 1; x++) {
            for (int y = 0; y <= 1; y++) {
                ways.add(new Point(
                        0.5 + outline.held() * (x - 0.5) - place.x(), 0.5 + outline.held() * (y - 0.5) - place.y()));
            }
        }
        return ways;
    }

    private Point anchorPlace() {
        return anchor == Anchor.CENTRE
                ? new Point(0.5, 0.5)
                : new Point(0.5 - handle.x() / 2.0, 0.5 - handle.y() / 2.0);
    }

    private Point anchorPoint() {
        return start.at(anchorPlace().x(), anchorPlace().y(), outline.angle());
    }

    private Point centreFor(Size size) {
        Point place = anchorPlace();
        Point way = new Point((0.5 - place.x()) * size.width(), (0.5 - place.y()) * size.height());
        return anchorPoint().plus(outline.angle().toPhoto(way));
    }
}
