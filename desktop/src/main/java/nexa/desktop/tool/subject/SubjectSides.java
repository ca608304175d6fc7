package nexa.desktop.tool.subject;

import java.util.Optional;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Subject;
import nexa.desktop.stage.Projection;

/**
 * The sides of the box around a photo's subject, as they lie on the stage.
 *
 * @param at where the subject's point lies on the stage
 * @param scale how many of the stage's pixels one of the photo's has there
 */
record SubjectSides(Photo photo, Subject subject, Point at, double scale) {
    /** So near to a side, in screen pixels, a press takes hold of it. */
    private static final double NEAR = 7;

    /** A box is at least so wide and high, as shares of the photo's. */
    private static final double LEAST = 0.005;

    /** From one side of a box to the one across, and whether one of them was taken hold of. */
    private record Span(double from, double to, boolean isHeld) {
        static Span dragged(double from, double to, double press, double near, double way) {
            if (Math.abs(press - from) <= near) {
                return new Span(Math.max(0, Math.min(from + way, to - LEAST)), to, true);
            }
            return Math.abs(press - to) <= near
                    ? new Span(from, Math.min(1, Math.max(to + way, from + LEAST)), true)
                    : new Span(from, to, false);
        }

        static boolean isWithin(double from, double to, double press, double near) {
            return press >= from - near && press <= to + near;
        }
    }

    /** Empty where the photo has no subject, or one without a box. */
    static Optional<SubjectSides> of(Photo photo, Projection projection) {
        return photo.subject()
                .filter(subject -> subject.extent().isPresent())
                .map(subject -> new SubjectSides(
                        photo,
                        subject,
                        projection.toScreen(subject.in(photo.space())),
                        photo.space().scaleAt(subject.at()) * projection.scale()));
    }

    /** The subject with the sides dragged that were taken hold of at a place of the stage; empty if none was. */
    Optional<Subject> dragged(Point from, Point to) {
        Point least = subject.box().least();
        Point most = subject.box().most();
        Point press = inBox(from);
        Point way = inBox(to).minus(press);
        Point near = inPhoto(new Point(NEAR, NEAR));
        if (!Span.isWithin(least.x(), most.x(), press.x(), near.x())
                || !Span.isWithin(least.y(), most.y(), press.y(), near.y())) {
            return Optional.empty();
        }
        Span across = Span.dragged(least.x(), most.x(), press.x(), near.x(), way.x());
        Span down = Span.dragged(least.y(), most.y(), press.y(), near.y(), way.y());
        Bounds box = new Bounds(new Point(across.from(), down.from()), new Point(across.to(), down.to()));
        return across.isHeld() || down.isHeld() ? Optional.of(subject.withBox(box, photo.size())) : Optional.empty();
    }

    /** A place of the stage in the box's own fractions of the photo: the box is upright on screen, however the photo lies. */
    private Point inBox(Point onStage) {
        return subject.at().plus(inPhoto(onStage.minus(at)));
    }

    private Point inPhoto(Point onStage) {
        return new Point(
                onStage.x() / scale / photo.size().width(),
                onStage.y() / scale / photo.size().height());
    }
}
