package nexa.core.propose;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import nexa.core.find.SalientMap;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.shape.Plane;

/**
 * What is seen in a photo, all places in the photo's pixels as it is seen before its angle.
 *
 * @param map how much each place of what was looked at stands out
 * @param mapped which part of the photo that is
 * @param thing what stands out most, if anything does
 * @param edges straight edges that are about level, the longest first
 */
public record Scene(SalientMap map, Bounds mapped, Optional<Thing> thing, List<Segment> edges) {

    /**
     * Something that the photo is about.
     *
     * @param at the point that is put on a guide
     * @param box around nearly all of it
     * @param confidence how likely it is the subject, 0 … 1
     */
    public record Thing(Point at, Bounds box, double confidence) {

        /** A round one. */
        public static Thing around(Point at, double radius, double confidence) {
            Point reach = new Point(radius, radius);
            return new Thing(at, new Bounds(at.minus(reach), at.plus(reach)), confidence);
        }

        /** The same in the plane of the photo's crops. */
        Thing in(Plane plane) {
            double scale = plane.scaleAt(at);
            Point placed = plane.toPlane(at);
            UnaryOperator<Point> moved = corner -> placed.plus(corner.minus(at).times(scale));
            return new Thing(placed, new Bounds(moved.apply(box.least()), moved.apply(box.most())), confidence);
        }
    }

    public Scene {
        edges = List.copyOf(edges);
    }

    /**
     * The same scene of a whole photo.
     *
     * @param corner where what was looked at begins in the picture of it
     * @param across how many of the photo's pixels one of the picture's is wide
     * @param down how many it is high; they differ a little where a side was rounded
     */
    public Scene placed(Point corner, double across, double down) {
        UnaryOperator<Point> place =
                point -> new Point((point.x() + corner.x()) * across, (point.y() + corner.y()) * down);
        UnaryOperator<Bounds> placeBox = box -> new Bounds(place.apply(box.least()), place.apply(box.most()));
        return new Scene(
                map,
                placeBox.apply(mapped),
                thing.map(one -> new Thing(place.apply(one.at()), placeBox.apply(one.box()), one.confidence())),
                edges.stream()
                        .map(edge -> new Segment(place.apply(edge.from()), place.apply(edge.to())))
                        .toList());
    }

    /** How much a place stands out, weighted by how sharp it is there; nothing where nobody looked. */
    double weight(Point inPhoto) {
        Point extent = mapped.extent();
        int x = (int) Math.floor((inPhoto.x() - mapped.least().x()) / extent.x() * map.width());
        int y = (int) Math.floor((inPhoto.y() - mapped.least().y()) / extent.y() * map.height());
        if (x < 0 || y < 0 || x >= map.width() || y >= map.height()) {
            return 0;
        }
        double salience = map.salience(x, y);
        return 0.7 * salience + 0.3 * salience * map.focus(x, y);
    }
}
