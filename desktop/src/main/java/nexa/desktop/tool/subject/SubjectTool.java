package nexa.desktop.tool.subject;

import java.util.Optional;
import java.util.OptionalDouble;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import nexa.core.crop.PutOnGuide;
import nexa.core.geometry.Point;
import nexa.core.shape.Plane;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Subject;
import nexa.desktop.parts.Words;
import nexa.desktop.stage.PhotoLayer;
import nexa.desktop.stage.Projection;
import nexa.desktop.tool.Drawing;
import nexa.desktop.tool.Easel;
import nexa.desktop.tool.EaselTool;

/** Marks the photo's subject, and puts it where it looks well. */
public final class SubjectTool implements EaselTool {
    /** A drag shorter than this, in screen pixels, marks the subject without a radius. */
    private static final double CLICK = 6;

    private final Easel easel;
    private final Drawing marking = new Marking();

    public SubjectTool(Easel easel) {
        this.easel = easel;
    }

    /** Takes the tool for marking the subject, or puts it down again. */
    public void mark() {
        easel.take(marking, Words.get("tool.subject"));
    }

    /** The crop slid so that the subject lies on the nearest crossing of thirds. */
    public void putOnCrossing() {
        easel.session()
                .crop()
                .ifPresent(crop -> crop.photo()
                        .subject()
                        .ifPresent(subject -> easel.gestures()
                                .commit(
                                        Edit.Kind.PUT_ON_GUIDE,
                                        PutOnGuide.point(
                                                crop.outline(),
                                                crop.crop(),
                                                subject.in(crop.photo().space())))));
    }

    /** The photo has no subject any more. */
    public void forget() {
        easel.session().photo().ifPresent(photo -> set(photo, Optional.empty()));
    }

    private void set(Photo photo, Optional<Subject> subject) {
        easel.session()
                .edit(Edit.Kind.SUBJECT, shoot -> shoot.with(photo.file(), before -> before.withSubject(subject)));
    }

    @Override
    public void settle() {
        Optional<PhotoLayer.Spot> spot = easel.session().crop().flatMap(crop -> PhotoLayer.Spot.of(crop.photo()));
        easel.stage().overlay().onPhoto().show(spot);
    }

    @Override
    public boolean pressed(KeyEvent key) {
        boolean isMeant = key.getCode() == KeyCode.P;
        if (isMeant) {
            mark();
        }
        return isMeant;
    }

    /** A click sets the point, a drag its radius too. */
    private final class Marking implements Drawing {
        @Override
        public void during(Point from, Point to, Held held) {
            Projection projection = easel.stage().projection().orElseThrow();
            Plane plane = easel.session().photo().orElseThrow().plane();
            Point inPlane = projection.toPlane(from);
            Point at = plane.toPhoto(inPlane);
            double radius = from.distance(to) < CLICK ? 0 : inPlane.distance(projection.toPlane(to));
            easel.stage().overlay().onPhoto().show(Optional.of(new PhotoLayer.Spot(at, radius / plane.scaleAt(at))));
        }

        @Override
        public void done(Point from, Point to, Held held) {
            easel.say("");
            Projection projection = easel.stage().projection().orElseThrow();
            Photo photo = easel.session().photo().orElseThrow();
            Point at = projection.toPlane(from);
            OptionalDouble radius = from.distance(to) < CLICK
                    ? OptionalDouble.empty()
                    : OptionalDouble.of(at.distance(projection.toPlane(to)));
            set(photo, Optional.of(Subject.of(at, radius, photo.space())));
        }
    }
}
