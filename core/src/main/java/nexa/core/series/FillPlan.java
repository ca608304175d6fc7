package nexa.core.series;

import java.util.Optional;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Fingerprint;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shape.Margins;
import nexa.core.shape.Stretch;
import nexa.core.shoot.Beyond;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Subject;

/**
 * What is to be done beyond a photo's edge for a crop that reaches there.
 *
 * @param photo the one that is cropped
 * @param margins how far the crop reaches beyond what counts of it
 * @param beyond what was asked for
 * @param stretch how it is stretched, where that was asked for and is possible
 */
public record FillPlan(Photo photo, Margins margins, Beyond beyond, Optional<Stretch> stretch) {
    /** Without a subject so much of each side, from the edge inwards, may be drawn out. */
    private static final double OUTER = 0.4;

    /** How large a subject is of which that was not said, as a share of the short side. */
    private static final double USUAL_RADIUS = 0.1;

    /** The plan for a crop; empty where it lies within its photo. */
    public static Optional<FillPlan> of(PhotoCrop crop) {
        Margins margins = crop.margins();
        if (margins.isNone()) {
            return Optional.empty();
        }
        Photo photo = crop.photo();
        Beyond beyond = photo.entry(crop.format().id()).beyond();
        Optional<Stretch> stretch = beyond.fill() == Beyond.Fill.STRETCH
                ? Optional.of(new Stretch(photo.remaining(), margins, stays(photo, beyond)))
                        .filter(one -> one.most() <= Stretch.MOST)
                : Optional.empty();
        return Optional.of(new FillPlan(photo, margins, beyond, stretch));
    }

    /** What it is filled by: what was asked for, but from the picture where stretching would draw it out too far. */
    public Beyond.Fill fill() {
        boolean isTooFar = beyond.fill() == Beyond.Fill.STRETCH && stretch.isEmpty();
        return isTooFar ? Beyond.Fill.PICTURE : beyond.fill();
    }

    /** All of it in letters, see {@link Fingerprint}. */
    public String fingerprint() {
        return " " + fill().name() + " " + beyond.fingerprint() + " "
                + Fingerprint.optional(spared(), Subject::fingerprint);
    }

    /** What is neither stretched nor copied, if anything. */
    public Optional<Subject> spared() {
        return spared(photo, beyond);
    }

    private static Optional<Subject> spared(Photo photo, Beyond beyond) {
        return beyond.spared().or(photo::subject);
    }

    /** How far around its middle something without an extent is spared, in the photo's pixels. */
    public static double radius(Subject spared, Size photo) {
        return spared.radius().orElse(USUAL_RADIUS) * photo.shortSide();
    }

    /** The box around what is spared, in the photo's pixels. */
    public static Bounds around(Subject spared, Photo photo) {
        if (spared.extent().isPresent()) {
            Bounds box = spared.box();
            return new Bounds(photo.space().inPhoto(box.least()), photo.space().inPhoto(box.most()));
        }
        Point middle = photo.space().inPhoto(spared.at());
        double radius = radius(spared, photo.size());
        Point around = new Point(radius, radius);
        return new Bounds(middle.minus(around), middle.plus(around));
    }

    /** The part of the photo that is not stretched, in its pixels. */
    private static Bounds stays(Photo photo, Beyond beyond) {
        Bounds part = photo.remaining();
        Optional<Subject> spared = spared(photo, beyond);
        if (spared.isEmpty()) {
            Point outer = part.extent().times(OUTER);
            return new Bounds(part.least().plus(outer), part.most().minus(outer));
        }
        Bounds around = around(spared.get(), photo);
        return new Bounds(part.nearest(around.least()), part.nearest(around.most()));
    }
}
