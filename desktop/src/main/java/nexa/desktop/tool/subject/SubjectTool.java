package nexa.desktop.tool.subject;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import nexa.core.crop.PutOnGuide;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.series.PhotoCrop;
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

    /** Takes the tool for marking the subject, or puts it down again: then eyes that were found are put up. */
    public void mark() {
        boolean isAgain = easel.inHand().holds(marking);
        Optional<Subject> subject = easel.session().photo().flatMap(Photo::subject);
        boolean hasBox = subject.flatMap(Subject::extent).isPresent();
        boolean hasEyes = subject.flatMap(Subject::eyes).isPresent();
        String words = hasBox ? "tool.subject.box" : "tool.subject";
        easel.take(marking, Words.get(words, hasEyes ? Words.get("tool.subject.eyes") : ""));
        if (isAgain && hasEyes) {
            putEyesUp();
        }
    }

    /** The crop slid so that the subject's eyes lie on the line of the upper third. */
    public void putEyesUp() {
        putOnGuide((crop, subject) -> subject.eyesIn(crop.photo().space())
                .map(eyes -> PutOnGuide.upperThird(crop.outline(), crop.crop(), eyes.middle())));
    }

    /** The crop slid so that the subject lies on the nearest crossing of thirds. */
    public void putOnCrossing() {
        putOnGuide((crop, subject) -> Optional.of(PutOnGuide.point(
                crop.outline(), crop.crop(), subject.in(crop.photo().space()))));
    }

    private void putOnGuide(BiFunction<PhotoCrop, Subject, Optional<Crop>> put) {
        easel.session()
                .crop()
                .ifPresent(crop -> crop.photo()
                        .subject()
                        .flatMap(subject -> put.apply(crop, subject))
                        .ifPresent(slid -> easel.gestures().commit(Edit.Kind.PUT_ON_GUIDE, slid)));
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

    /** A click sets the point, a drag its radius too; a drag at a side of the box that was found moves that side. */
    private final class Marking implements Drawing {
        @Override
        public void during(Point from, Point to, Held held) {
            Optional<Subject> dragged = dragged(from, to);
            if (dragged.isPresent()) {
                Photo photo = easel.session().photo().orElseThrow();
                easel.stage().overlay().onPhoto().show(Optional.of(PhotoLayer.Spot.of(dragged.get(), photo)));
                return;
            }
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
            Optional<Subject> dragged = dragged(from, to);
            if (dragged.isPresent()) {
                set(photo, dragged);
                return;
            }
            Point at = projection.toPlane(from);
            OptionalDouble radius = from.distance(to) < CLICK
                    ? OptionalDouble.empty()
                    : OptionalDouble.of(at.distance(projection.toPlane(to)));
            set(photo, Optional.of(Subject.of(at, radius, photo.space())));
        }

        /** The subject with a side dragged; empty if none of its sides was taken hold of. */
        private Optional<Subject> dragged(Point from, Point to) {
            Projection projection = easel.stage().projection().orElseThrow();
            return easel.session()
                    .photo()
                    .flatMap(photo -> SubjectSides.of(photo, projection))
                    .flatMap(sides -> sides.dragged(from, to));
        }
    }
}
