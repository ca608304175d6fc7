package nexa.desktop.easel;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import nexa.core.crop.DrawCrop;
import nexa.core.crop.PutOnGuide;
import nexa.core.crop.Resize;
import nexa.core.format.Format;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.level.Trace;
import nexa.core.series.PhotoCrop;
import nexa.core.shape.Plane;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Subject;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;
import nexa.desktop.stage.PhotoLayer;
import nexa.desktop.stage.PhotoStage;
import nexa.desktop.stage.Projection;

/** What can be drawn on the photo: a line to level by, a crop anew, the subject. Each is for one drag. */
final class Tools {
    /** A drag shorter than this, in screen pixels, marks the subject without a radius. */
    private static final double CLICK = 6;

    private final ShootSession session;
    private final PhotoStage stage;
    private final CropGestures gestures;
    private final ToolInHand hand;
    private final Tracing tracing;
    private final Consumer<String> say;
    private Optional<Tool> inHand = Optional.empty();
    private Optional<Runnable> other = Optional.empty();

    /** The tools, for what is to be marked. */
    enum Tool {
        TRACE,
        DRAW,
        SUBJECT
    }

    Tools(
            ShootSession session,
            PhotoStage stage,
            CropGestures gestures,
            ToolInHand hand,
            Consumer<String> say,
            BiConsumer<Trace, List<Segment>> traced) {
        this.session = session;
        this.stage = stage;
        this.gestures = gestures;
        this.hand = hand;
        this.say = say;
        this.tracing = new Tracing(session, stage, say, traced);
    }

    Tracing tracing() {
        return tracing;
    }

    /** Whether the next drag traces a line. */
    boolean isTracing() {
        return inHand().equals(Optional.of(Tool.TRACE));
    }

    private Optional<Tool> inHand() {
        return hand.isTaken() ? inHand : Optional.empty();
    }

    /** Takes the tool for tracing lines one after another, until it is put down. */
    void takeForLines() {
        if (isTracing()) {
            putDown();
            return;
        }
        take(Tool.TRACE);
        if (isTracing()) {
            tracing.clear();
            tracing.setAddsAlways(true);
            hand.keep();
            say.accept(Words.get("tool.lines"));
        }
    }

    /** Takes a tool into the hand, or puts it down again. */
    void take(Tool tool) {
        tracing.setAddsAlways(false);
        if (inHand().equals(Optional.of(tool)) || session.crop().isEmpty()) {
            putDown();
            return;
        }
        putDown();
        inHand = Optional.of(tool);
        gestures.finish();
        hand.take(Optional.of(
                switch (tool) {
                    case TRACE -> new DragTool(tracing, true);
                    case DRAW -> new DragTool(new Drawing(), false);
                    case SUBJECT -> new DragTool(new Marking(), false);
                }));
        say.accept(Words.of("tool", tool));
    }

    /**
     * Takes something else with which is drawn again and again.
     *
     * @param putAway hears that it was put down
     */
    void takeOther(DragTool.Use use, Runnable putAway) {
        putDown();
        if (session.crop().isPresent()) {
            hand.take(Optional.of(new DragTool(use, false)));
            hand.keep();
            other = Optional.of(putAway);
        }
    }

    void putDown() {
        if (hand.isTaken()) {
            say.accept("");
        }
        other.ifPresent(Runnable::run);
        other = Optional.empty();
        inHand = Optional.empty();
        tracing.setAddsAlways(false);
        gestures.finish();
        hand.take(Optional.empty());
    }

    void forgetLines() {
        tracing.clear();
        say.accept("");
    }

    /** Puts the tool down, and forgets the lines traced. */
    void putAllDown() {
        putDown();
        forgetLines();
    }

    /** The crop slid so that the subject lies on the nearest crossing of thirds. */
    void putSubjectOnCrossing() {
        session.crop()
                .ifPresent(crop -> crop.photo()
                        .subject()
                        .ifPresent(subject -> gestures.commit(
                                Edit.Kind.PUT_ON_GUIDE,
                                PutOnGuide.point(
                                        crop.outline(),
                                        crop.crop(),
                                        subject.in(crop.photo().space())))));
    }

    void clearSubject() {
        session.photo()
                .ifPresent(photo -> session.edit(
                        Edit.Kind.SUBJECT,
                        shoot -> shoot.with(photo.file(), before -> before.withSubject(Optional.empty()))));
    }

    /** Draws the crop anew. */
    private final class Drawing implements DragTool.Use {
        @Override
        public void during(Point from, Point to, DragTool.Held held) {
            drawn(from, to, held).ifPresent(crop -> gestures.draft(Edit.Kind.DRAW, crop));
        }

        @Override
        public void done(Point from, Point to, DragTool.Held held) {
            say.accept("");
            gestures.finish();
        }

        private Optional<Crop> drawn(Point from, Point to, DragTool.Held held) {
            PhotoCrop now = session.crop().orElseThrow();
            Projection projection = stage.projection().orElseThrow();
            boolean fromCentre = held.alt() || held.control();
            return new DrawCrop(
                            now.outline(),
                            projection.toPlane(from),
                            fromCentre ? Resize.Anchor.CENTRE : Resize.Anchor.OPPOSITE,
                            ratio(now.format(), now.photo()))
                    .to(projection.toPlane(to));
        }

        private static OptionalDouble ratio(Format format, Photo photo) {
            return format.ratio().isFree()
                    ? OptionalDouble.empty()
                    : OptionalDouble.of(format.ratioFor(photo.remaining().size(), photo.orientation()));
        }
    }

    /** Marks the subject: a click sets the point, a drag its radius too. */
    private final class Marking implements DragTool.Use {
        @Override
        public void during(Point from, Point to, DragTool.Held held) {
            Projection projection = stage.projection().orElseThrow();
            Plane plane = session.photo().orElseThrow().plane();
            Point inPlane = projection.toPlane(from);
            Point at = plane.toPhoto(inPlane);
            double radius = from.distance(to) < CLICK ? 0 : inPlane.distance(projection.toPlane(to));
            stage.overlay().onPhoto().show(Optional.of(new PhotoLayer.Spot(at, radius / plane.scaleAt(at))));
        }

        @Override
        public void done(Point from, Point to, DragTool.Held held) {
            say.accept("");
            Projection projection = stage.projection().orElseThrow();
            Photo photo = session.photo().orElseThrow();
            Point at = projection.toPlane(from);
            OptionalDouble radius = from.distance(to) < CLICK
                    ? OptionalDouble.empty()
                    : OptionalDouble.of(at.distance(projection.toPlane(to)));
            Subject subject = Subject.of(at, radius, photo.space());
            session.edit(
                    Edit.Kind.SUBJECT,
                    shoot -> shoot.with(photo.file(), before -> before.withSubject(Optional.of(subject))));
        }
    }
}
