package nexa.sample;

import java.time.LocalDateTime;
import java.util.Optional;

/**
 * A photograph and how it comes to lie on the card.
 *
 * @param orientation the EXIF orientation it is stored with: 1 upright, 3, 6 or 8
 * @param subject what it is about
 * @param tellsSubject whether the camera wrote the subject down
 * @param hasHorizon whether there is anything level or upright in it to measure its lean by
 */
record Shot(
        Photograph photo,
        Storage storage,
        int orientation,
        Optional<Pot> subject,
        boolean tellsSubject,
        boolean hasHorizon,
        LocalDateTime taken) {

    String file() {
        return photo.name() + "." + storage.ending();
    }

    /** The same of a smaller camera. */
    Shot smaller(int part) {
        return new Shot(photo.smaller(part), storage, orientation, subject, tellsSubject, hasHorizon, taken);
    }

    Shot stored(Storage as) {
        return new Shot(photo, as, orientation, subject, tellsSubject, hasHorizon, taken);
    }

    Shot sideways(int exif) {
        return new Shot(photo, storage, exif, subject, tellsSubject, hasHorizon, taken);
    }

    Shot withoutHorizon() {
        return new Shot(photo, storage, orientation, subject, tellsSubject, false, taken);
    }

    Shot tellingSubject() {
        return new Shot(photo, storage, orientation, subject, true, hasHorizon, taken);
    }

    /** The subject's middle and radius as fractions: of width, of height, and of the short side. */
    Optional<double[]> subjectPlace() {
        return subject.map(pot -> {
            double[] middle = photo.camera().project(pot.middle());
            double[] foot = photo.camera().project(pot.foot());
            double half = Math.max(photo.width(), photo.height()) / 2.0;
            double radius = Math.hypot(middle[0] - foot[0], middle[1] - foot[1]) * half;
            return new double[] {
                0.5 + middle[0] * half / photo.width(),
                0.5 + middle[1] * half / photo.height(),
                radius / Math.min(photo.width(), photo.height())
            };
        });
    }
}
