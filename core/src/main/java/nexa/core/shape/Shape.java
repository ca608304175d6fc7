package nexa.core.shape;

import java.util.Optional;
import nexa.core.geometry.Angle;

/**
 * How the places of a photo are moved, for every format alike: by the lens, then the perspective, then the angle. It makes the
 * {@link Plane} in which crops lie; the photo's pixels are drawn by it, and stay what they are.
 *
 * @param lens how the photo's lens is put right, if it is
 * @param perspective how its perspective is put right after that, if it is
 * @param angle of the photo after both
 */
public record Shape(Optional<Lens> lens, Optional<Perspective> perspective, Angle angle) {
    /** Places stay where they are. */
    public static final Shape NONE = new Shape(Optional.empty(), Optional.empty(), Angle.NONE);

    public Shape withLens(Optional<Lens> newLens) {
        return new Shape(newLens, perspective, angle);
    }

    public Shape withPerspective(Optional<Perspective> newPerspective) {
        return new Shape(lens, newPerspective, angle);
    }

    public Shape withAngle(Angle newAngle) {
        return new Shape(lens, perspective, newAngle);
    }

    /** The angle alone. */
    public Shape angleAlone() {
        return NONE.withAngle(angle);
    }

    /** Whether crops of both lie in the same plane, but for the angle. */
    public boolean hasSamePlaneAs(Shape other) {
        return withAngle(Angle.NONE).equals(other.withAngle(Angle.NONE));
    }

    /** What makes the same of a photo that is turned a quarter clockwise. */
    public Shape turnedRight() {
        return withPerspective(perspective.map(Perspective::turnedRight));
    }

    /** What makes the same of a photo that is mirrored. */
    public Shape mirrored() {
        return new Shape(lens, perspective.map(Perspective::mirrored), new Angle(0 - angle.degrees()));
    }
}
