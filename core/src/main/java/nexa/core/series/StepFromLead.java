package nexa.core.series;

import java.util.Map;
import java.util.Optional;
import nexa.core.format.Format;
import nexa.core.geometry.Point;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Subject;

/**
 * How near a photo's crop is to its lead's.
 *
 * @param tightness how much tighter, as a share: 0.1 is a tenth tighter, below 0 looser. Of the subjects' sizes where both
 *     have a radius, else of the largest crops
 * @param off how much further right and down the subject lies, as shares of the crop; without subjects, the crop in the
 *     room it has in the photo
 * @param bySubject whether the subjects were compared
 * @param isBySight whether that subject was found, and not marked
 * @param isAccepted whether it is meant to be so
 * @param tolerance of the format
 */
public record StepFromLead(
        double tightness,
        Point off,
        boolean bySubject,
        boolean isBySight,
        boolean isAccepted,
        Format.Tolerance tolerance) {

    /** Measures a photo against the lead it listens to; empty for leads, and where there is none. */
    public static Optional<StepFromLead> of(Crops crops, Photo photo, Format format) {
        return of(crops, photo, format, Map.of());
    }

    /**
     * As {@link #of(Crops, Photo, Format)}. Where neither the photo nor its lead has a mark, the position is measured by what
     * is seen in both.
     *
     * @param seen subjects that were found, by file
     */
    public static Optional<StepFromLead> of(Crops crops, Photo photo, Format format, Map<String, Subject> seen) {
        boolean isLead = format.leads().containsValue(photo.file());
        Optional<Pattern> lead = isLead ? Optional.empty() : crops.leadPattern(photo, format);
        return lead.map(pattern -> {
            Pattern own = Pattern.of(photo.outline(), crops.of(photo, format).crop(), SubjectSpot.of(photo), false);
            boolean byRadius = pattern.share().isPresent() && own.share().isPresent();
            double tightness = byRadius
                    ? own.share().getAsDouble() / pattern.share().getAsDouble() - 1
                    : pattern.cover() / own.cover() - 1;
            boolean bySubject = pattern.subject().isPresent() && own.subject().isPresent();
            Point off = bySubject
                    ? own.subject().get().minus(pattern.subject().get())
                    : own.place().minus(pattern.place());
            Optional<Point> sighted = sighted(crops, photo, format, seen);
            boolean isAccepted =
                    photo.entry(format.id()).placement() instanceof Placement.Follow follow && follow.isAccepted();
            return new StepFromLead(
                    tightness,
                    sighted.orElse(off),
                    bySubject || sighted.isPresent(),
                    sighted.isPresent(),
                    isAccepted,
                    format.tolerance());
        });
    }

    /** How far what is seen in a photo lies from where it lies in its lead; empty where that is not to be measured. */
    private static Optional<Point> sighted(Crops crops, Photo photo, Format format, Map<String, Subject> seen) {
        return crops.lead(photo, format)
                .filter(lead -> isSeen(lead, seen) && isSeen(photo, seen))
                .map(lead -> place(crops, photo, format, seen).minus(place(crops, lead, format, seen)));
    }

    private static boolean isSeen(Photo photo, Map<String, Subject> seen) {
        return photo.subject().isEmpty() && !photo.hasNoSubject() && seen.containsKey(photo.file());
    }

    /** Where what is seen in a photo lies in its crop. */
    private static Point place(Crops crops, Photo photo, Format format, Map<String, Subject> seen) {
        Point inPhoto = seen.get(photo.file()).in(photo.space());
        return crops.of(photo, format).crop().placeOf(inPhoto, photo.angle());
    }

    /** How far out of step: up to 1 is within the tolerances. */
    public double distance() {
        double position = Math.max(Math.abs(off.x()), Math.abs(off.y())) / tolerance.position();
        return Math.max(Math.abs(tightness) / tolerance.tightness(), position);
    }

    /** Whether it is past the tolerances and not meant to be. */
    public boolean isOut() {
        return !isAccepted && distance() > 1;
    }
}
