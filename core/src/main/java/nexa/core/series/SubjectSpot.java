package nexa.core.series;

import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.geometry.Point;
import nexa.core.shoot.Photo;

/** A photo's subject in its pixels. */
record SubjectSpot(Point at, OptionalDouble radius) {
    static Optional<SubjectSpot> of(Photo photo) {
        return photo.subject().map(subject -> {
            double side = photo.size().shortSide();
            OptionalDouble radius = subject.radius().isPresent()
                    ? OptionalDouble.of(subject.radius().getAsDouble() * side)
                    : OptionalDouble.empty();
            return new SubjectSpot(subject.in(photo.size()), radius);
        });
    }
}
