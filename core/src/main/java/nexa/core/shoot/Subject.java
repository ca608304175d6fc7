package nexa.core.shoot;

import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Fingerprint;
import nexa.core.geometry.Point;
import nexa.core.geometry.Require;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;
import nexa.core.shape.PhotoSpace;

/**
 * What a photo is about: the point that marks it, and how large it is.
 *
 * @param at as fractions of the photo's width and height, 0 … 1
 * @param radius as a share of the photo's short side, from {@link #SMALLEST} to 1, if there is one; with an extent it is half of
 *     the root of width times height, by which things of all shapes look equally large
 * @param extent how far it reaches, if that is known
 * @param eyes where its eyes are, if it has any that were found
 */
public record Subject(Point at, OptionalDouble radius, Optional<Extent> extent, Optional<Eyes> eyes) {
    /** Less than a pixel of any photo. */
    public static final double SMALLEST = 1e-6;

    /** @throws IllegalArgumentException for a point outside the photo and a radius out of range */
    public Subject {
        Require.within("subjectAcross", at.x(), 0, 1);
        Require.within("subjectDown", at.y(), 0, 1);
        if (radius.isPresent()) {
            Require.within("subjectRadius", radius.getAsDouble(), SMALLEST, 1);
        }
    }

    /** A point, and a radius where there is one. */
    public Subject(Point at, OptionalDouble radius) {
        this(at, radius, Optional.empty(), Optional.empty());
    }

    /** What is marked by a point in the plane, or the nearest one in the photo, and a radius there, if there is one. */
    public static Subject of(Point inPlane, OptionalDouble radius, PhotoSpace space) {
        Point at = Bounds.UNIT.nearest(space.toStored(inPlane));
        OptionalDouble share = radius.isPresent()
                ? OptionalDouble.of(
                        Math.min(1, radius.getAsDouble() / space.photo().shortSide() / space.scaleAt(at)))
                : OptionalDouble.empty();
        return new Subject(at, share);
    }

    /**
     * What a box is around.
     *
     * @param at the point that marks it, in the box, as fractions of the photo
     * @param box as fractions of the photo, inside it
     * @param photo the photo's size
     */
    public static Subject around(Point at, Bounds box, Size photo) {
        return new Subject(Bounds.UNIT.nearest(at), OptionalDouble.empty())
                .withExtent(Extent.of(box, Bounds.UNIT.nearest(at)), photo);
    }

    /** The same reaching so far, with the radius that goes with it. */
    private Subject withExtent(Extent newExtent, Size photo) {
        double radius = radius(newExtent, photo) / photo.shortSide();
        return new Subject(
                at, OptionalDouble.of(Math.max(SMALLEST, Math.min(1, radius))), Optional.of(newExtent), eyes);
    }

    private static double radius(Extent extent, Size photo) {
        Point size = extent.reach().extent();
        return Math.sqrt(size.x() * photo.width() * size.y() * photo.height()) / 2;
    }

    public Subject withEyes(Optional<Eyes> newEyes) {
        return new Subject(at, radius, extent, newEyes);
    }

    /** The same with another box around it: the point keeps its share of the box, the eyes their place of the photo. */
    public Subject withBox(Bounds box, Size photo) {
        Bounds before = box();
        Point moved = new Point(
                along(
                        at.x(),
                        before.least().x(),
                        before.most().x(),
                        box.least().x(),
                        box.most().x()),
                along(
                        at.y(),
                        before.least().y(),
                        before.most().y(),
                        box.least().y(),
                        box.most().y()));
        Point way = at.minus(Bounds.UNIT.nearest(moved));
        return around(moved, box, photo).withEyes(eyes.map(found -> found.moved(place -> place.plus(way))));
    }

    private static double along(double place, double from, double to, double newFrom, double newTo) {
        double share = to > from ? (place - from) / (to - from) : 0.5;
        return newFrom + share * (newTo - newFrom);
    }

    /**
     * The box around it, as fractions of the photo: as much of it as is in the photo.
     *
     * @throws java.util.NoSuchElementException if it has no extent
     */
    public Bounds box() {
        Bounds reach = extent.orElseThrow().reach();
        return new Bounds(Bounds.UNIT.nearest(at.plus(reach.least())), Bounds.UNIT.nearest(at.plus(reach.most())));
    }

    /** Where it lies after the photo was turned by a quarter, clockwise. */
    public Subject turnedRight() {
        return new Subject(
                new Point(1 - at.y(), at.x()),
                radius,
                extent.map(Extent::turnedRight),
                eyes.map(found -> found.moved(place -> new Point(0 - place.y(), place.x()))));
    }

    /** Where it lies after the photo was mirrored, left to right. */
    public Subject mirrored() {
        return new Subject(
                new Point(1 - at.x(), at.y()),
                radius,
                extent.map(Extent::mirrored),
                eyes.map(found -> found.moved(place -> new Point(0 - place.x(), place.y()))));
    }

    /**
     * What was found in a part of a photo, as it lies in the whole.
     *
     * @param corner where the part begins, in pixels of the whole, or of a smaller picture of it
     * @param part the part's size in those pixels
     * @param photo the whole's size in those pixels
     */
    public Subject inWhole(Point corner, Size part, Size photo) {
        double across = part.width() / photo.width();
        double down = part.height() / photo.height();
        Point place =
                new Point(corner.x() / photo.width() + at.x() * across, corner.y() / photo.height() + at.y() * down);
        OptionalDouble share = radius.isPresent()
                ? OptionalDouble.of(
                        Math.max(SMALLEST, Math.min(1, radius.getAsDouble() * part.shortSide() / photo.shortSide())))
                : radius;
        return new Subject(
                Bounds.UNIT.nearest(place),
                share,
                extent.map(reach -> reach.scaled(across, down)),
                eyes.map(found -> found.moved(eye -> new Point(eye.x() * across, eye.y() * down))));
    }

    /** Where it lies in the plane. */
    public Point in(PhotoSpace space) {
        return space.toPlane(at);
    }

    /** Its radius in the plane, if there is one: its extent's, or its own. */
    public OptionalDouble radiusIn(PhotoSpace space) {
        if (extent.isPresent()) {
            return OptionalDouble.of(radius(extent.get(), space.photo()) * space.scaleAt(at));
        }
        return radius.isPresent()
                ? OptionalDouble.of(radius.getAsDouble() * space.photo().shortSide() * space.scaleAt(at))
                : OptionalDouble.empty();
    }

    /**
     * How far it reaches from its point in the plane, upright on screen: a box stays as large as it is however the photo is
     * turned, since turned it would take in what is beside it. Without an extent as far as its radius, or nowhere.
     */
    public Bounds reachIn(PhotoSpace space) {
        if (extent.isPresent()) {
            double scale = space.scaleAt(at);
            Bounds box = box();
            return new Bounds(
                    space.inPhoto(box.least().minus(at)).times(scale),
                    space.inPhoto(box.most().minus(at)).times(scale));
        }
        double radius = radiusIn(space).orElse(0);
        return new Bounds(new Point(0 - radius, 0 - radius), new Point(radius, radius));
    }

    /** From one of its eyes to the other in the plane, if it has any; eyes beyond the photo's edge lie on it. */
    public Optional<Segment> eyesIn(PhotoSpace space) {
        return eyes.map(found -> new Segment(
                space.toPlane(Bounds.UNIT.nearest(at.plus(found.one()))),
                space.toPlane(Bounds.UNIT.nearest(at.plus(found.other())))));
    }

    /** See {@link Fingerprint}. */
    public String fingerprint() {
        Fingerprint letters =
                Fingerprint.of("Subject").with("at", at.fingerprint()).with("radius", radius);
        // Subjects had no more at first, and what is kept of those has these letters.
        if (extent.isPresent() || eyes.isPresent()) {
            letters.with("extent", extent, Extent::fingerprint).with("eyes", eyes, Eyes::fingerprint);
        }
        return letters.letters();
    }
}
