package nexa.core.series;

import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.geometry.Point;
import nexa.core.shape.PhotoSpace;
import nexa.core.shoot.Photo;

/** A photo's subject in its pixels. */
record SubjectSpot(Point at, OptionalDouble radius) {
    static Optional<SubjectSpot> of(Photo photo) {
        return photo.subject().map(subject -> {
            PhotoSpace space = photo.space();
            return new SubjectSpot(subject.in(space), subject.radiusIn(space));
        });
    }
}
