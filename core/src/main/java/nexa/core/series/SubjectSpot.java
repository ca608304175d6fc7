package nexa.core.series;

import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.geometry.Point;
import nexa.core.shoot.Photo;

/** A photo's subject in its pixels. */
record SubjectSpot(Point at, OptionalDouble radius) {
    static Optional<SubjectSpot> of(Photo photo) {
        return photo.subject()
                .map(subject -> new SubjectSpot(subject.in(photo.space()), subject.radiusIn(photo.space())));
    }
}
