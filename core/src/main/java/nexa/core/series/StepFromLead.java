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
 * @param tightness how much tighter, as a share: 0.1 is a tenth tighter, below 0 looser. Of the way between the eyes or of the
 *     subjects' sizes where both have them, else of the largest crops
 * @param isByEyesApart whether that is of the way between the eyes
 * @param off how much further right and down the eyes or the subject lie, as shares of the crop; without subjects, the crop
 *     in the room it has in the photo
 * @param place what was compared for that
 * @param isAccepted whether it is meant to be so
 * @param tolerance of the format
 */
public record StepFromLead(
        double tightness,
        boolean isByEyesApart,
        Point off,
        Place place,
        boolean isAccepted,
        Format.Tolerance tolerance) {

    /** Whose places in the crops are compared. */
    public enum Place {
        /** The middle between the eyes. */
        EYES,
        SUBJECT,
        /** A subject that was found, and not marked. */
        SEEN,
        /** The crop's own, in the room it has. */
        CROP
    }

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
            boolean isByEyesApart =
                    pattern.eyesShare().isPresent() && own.eyesShare().isPresent();
            Optional<Point> sighted = sighted(crops, photo, format, seen);
            Place place = sighted.isPresent() ? Place.SEEN : place(pattern, own);
            boolean isAccepted =
                    photo.entry(format.id()).placement() instanceof Placement.Follow follow && follow.isAccepted();
            return new StepFromLead(
                    tightness(pattern, own, isByEyesApart),
                    isByEyesApart,
                    sighted.orElseGet(() -> off(pattern, own, place)),
                    place,
                    isAccepted,
                    format.tolerance());
        });
    }

    private static double tightness(Pattern lead, Pattern own, boolean isByEyesApart) {
        if (isByEyesApart) {
            return own.eyesShare().getAsDouble() / lead.eyesShare().getAsDouble() - 1;
        }
        boolean byRadius = lead.share().isPresent() && own.share().isPresent();
        return byRadius ? own.share().getAsDouble() / lead.share().getAsDouble() - 1 : lead.cover() / own.cover() - 1;
    }

    private static Place place(Pattern lead, Pattern own) {
        if (lead.eyes().isPresent() && own.eyes().isPresent()) {
            return Place.EYES;
        }
        return lead.subject().isPresent() && own.subject().isPresent() ? Place.SUBJECT : Place.CROP;
    }

    private static Point off(Pattern lead, Pattern own, Place place) {
        return switch (place) {
            case EYES -> own.eyes().orElseThrow().minus(lead.eyes().orElseThrow());
            case SUBJECT -> own.subject().orElseThrow().minus(lead.subject().orElseThrow());
            default -> own.place().minus(lead.place());
        };
    }

    /** How far what is seen in a photo lies from where it lies in its lead; empty where that is not to be measured. */
    private static Optional<Point> sighted(Crops crops, Photo photo, Format format, Map<String, Subject> seen) {
        return crops.lead(photo, format)
                .filter(lead -> isSeen(lead, seen) && isSeen(photo, seen))
                .map(lead -> seenAt(crops, photo, format, seen).minus(seenAt(crops, lead, format, seen)));
    }

    private static boolean isSeen(Photo photo, Map<String, Subject> seen) {
        return !photo.saysSubject() && seen.containsKey(photo.file());
    }

    /** Where what is seen in a photo lies in its crop. */
    private static Point seenAt(Crops crops, Photo photo, Format format, Map<String, Subject> seen) {
        Point inPhoto = seen.get(photo.file()).in(photo.space());
        return crops.of(photo, format).crop().placeOf(inPhoto, photo.angle());
    }

    /** Whether the eyes' places are compared. */
    public boolean isByEyes() {
        return place == Place.EYES;
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
