package nexa.core.series;

import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import nexa.core.shape.PhotoSpace;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Subject;

/**
 * A photo's subject in its plane, in pixels.
 *
 * @param reach how far it reaches from its point, upright on screen
 */
record SubjectSpot(Point at, OptionalDouble radius, Bounds reach, Optional<EyesSpot> eyes) {
    static Optional<SubjectSpot> of(Photo photo) {
        return photo.subject().map(subject -> of(subject, photo.space()));
    }

    static SubjectSpot of(Subject subject, PhotoSpace space) {
        return new SubjectSpot(
                subject.in(space), subject.radiusIn(space), subject.reachIn(space), EyesSpot.of(subject, space));
    }

    /** Where the middle of its eyes is, if it has any. */
    Optional<Point> eyesMiddle() {
        return eyes.map(EyesSpot::middle);
    }

    /** How far its eyes are apart, where the face is turned to the camera and large enough to go by that. */
    OptionalDouble eyesApart() {
        return eyes.map(EyesSpot::apart).orElse(OptionalDouble.empty());
    }
}
