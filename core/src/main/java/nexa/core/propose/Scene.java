package nexa.core.propose;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import nexa.core.find.SalientMap;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.shape.PhotoSpace;
import nexa.core.shape.Plane;
import nexa.core.shoot.Subject;

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
     * @param at the point that marks it
     * @param box around nearly all of it
     * @param confidence how likely it is the subject, 0 … 1
     * @param eyes the middle of its eyes, if it has any
     * @param heads the boxes around its heads
     */
    public record Thing(Point at, Bounds box, double confidence, Optional<Point> eyes, List<Bounds> heads) {
        /** A head reaches so far around the middle of the eyes, as a share of the way between them. */
        private static final double HEAD = 1.5;

        public Thing {
            heads = List.copyOf(heads);
        }

        /** What a subject marks, in the plane of a photo. */
        public static Thing of(Subject subject, PhotoSpace space, double confidence) {
            Point at = subject.in(space);
            Bounds reach = subject.reachIn(space);
            Bounds box = new Bounds(at.plus(reach.least()), at.plus(reach.most()));
            Optional<Segment> eyes = subject.eyesIn(space);
            return new Thing(
                    at,
                    box,
                    confidence,
                    eyes.map(Segment::middle),
                    eyes.map(Thing::head).stream().toList());
        }

        private static Bounds head(Segment eyes) {
            double reach = HEAD * eyes.length();
            Point around = new Point(reach, reach);
            return new Bounds(eyes.middle().minus(around), eyes.middle().plus(around));
        }

        public Thing withHeads(List<Bounds> newHeads) {
            return new Thing(at, box, confidence, eyes, newHeads);
        }

        /** The point that is put on a guide: the eyes, or where it is marked. */
        Point anchor() {
            return eyes.orElse(at);
        }

        /** The same with its places elsewhere. */
        Thing placed(UnaryOperator<Point> place, UnaryOperator<Bounds> placeBox) {
            return new Thing(
                    place.apply(at),
                    placeBox.apply(box),
                    confidence,
                    eyes.map(place),
                    heads.stream().map(placeBox).toList());
        }

        /** The same in the plane of the photo's crops; boxes stay upright. */
        Thing in(Plane plane) {
            return placed(plane::toPlane, one -> {
                Point middle = plane.toPlane(one.middle());
                Point half = one.extent().times(plane.scaleAt(one.middle()) / 2);
                return new Bounds(middle.minus(half), middle.plus(half));
            });
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
                thing.map(one -> one.placed(place, placeBox)),
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
