package nexa.desktop.tool;

import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import nexa.core.crop.PutOnGuide;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.level.LevelLine;
import nexa.core.level.Trace;
import nexa.core.shape.Plane;
import nexa.core.shoot.Edit;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;
import nexa.desktop.stage.PhotoStage;

/** Levels the photo by lines traced along what should be level or upright. */
public final class Tracing implements Drawing {
    private final ShootSession session;
    private final PhotoStage stage;
    private final Consumer<String> say;
    private Trace trace = Trace.NONE;
    private Optional<Consumer<Segment>> furtherTo = Optional.empty();
    private BiConsumer<Trace, List<Segment>> listener = (trace, segments) -> {};
    private boolean isForPerspective;

    /** @param say hears what there is to say by the pointer, "" for nothing */
    Tracing(ShootSession session, PhotoStage stage, Consumer<String> say) {
        this.session = session;
        this.stage = stage;
        this.say = say;
    }

    /** Hears of the lines traced so far, as the photo is levelled by them, and where they lie in the photo, in its pixels. */
    public void onChanged(BiConsumer<Trace, List<Segment>> newListener) {
        listener = newListener;
    }

    /** Lines drawn with Ctrl go to others, which are at hand already; empty to keep them. */
    public void giveFurtherTo(Optional<Consumer<Segment>> others) {
        furtherTo = others;
    }

    /** Lines are drawn for a perspective, one after another, until it is put down: every one is a further one. */
    public void beginForPerspective() {
        clear();
        isForPerspective = true;
    }

    /** Whether lines are being drawn for a perspective, and do not turn the photo. */
    public boolean isForPerspective() {
        return isForPerspective;
    }

    @Override
    public boolean takesTwoClicks() {
        return true;
    }

    @Override
    public boolean staysInHand() {
        return isForPerspective;
    }

    @Override
    public void putDown() {
        isForPerspective = false;
    }

    private boolean adds(Held held) {
        return held.control() || isForPerspective;
    }

    @Override
    public void during(Point from, Point to, Held held) {
        stage.projection().ifPresent(projection -> {
            Segment inPlane = new Segment(projection.toPlane(from), projection.toPlane(to));
            Segment line = inPhoto(inPlane);
            List<Segment> lines = adds(held) ? trace.with(line).segments() : List.of(line);
            stage.overlay().onPhoto().show(lines);
            say.accept(lean(inPlane, from.distance(to), projection.angle()));
        });
    }

    private Segment inPhoto(Segment inPlane) {
        Plane plane = session.photo().orElseThrow().plane();
        return inPlane.mapped(plane::toPhoto);
    }

    private static String lean(Segment line, double shown, Angle angle) {
        if (!Trace.isLongEnough(shown)) {
            return Words.get("trace.short");
        }
        double lean = Trace.leanOnScreen(line, angle);
        String off = Words.number(Trace.uncertainty(shown), Trace.uncertainty(shown) < 0.095 ? 2 : 1);
        if (Math.abs(lean) < Trace.uncertainty(shown) / 2) {
            return Words.get("trace.level", off);
        }
        // A line leans to the right when its upper end, or its higher one, tips clockwise.
        String way = lean > 0 ? "trace.right" : "trace.left";
        return Words.get(way, Words.number(Math.abs(lean), 1), off);
    }

    @Override
    public void done(Point from, Point to, Held held) {
        say.accept("");
        stage.projection().ifPresent(projection -> {
            Segment line = inPhoto(new Segment(projection.toPlane(from), projection.toPlane(to)));
            if (!Trace.isLongEnough(from.distance(to))) {
                show();
                say.accept(Words.get("trace.tooShort"));
            } else if (adds(held) && furtherTo.isPresent()) {
                show();
                furtherTo.get().accept(line);
            } else {
                set(adds(held) ? trace.with(line) : Trace.NONE.with(line));
            }
        });
    }

    private void set(Trace now) {
        trace = now;
        Angle before = session.photo().orElseThrow().angle();
        Trace level = level();
        Optional<Angle> angle = level.angle().filter(found -> !level.disagrees());
        boolean isLevel =
                level.lines().size() == 1 && Trace.isLevel(level.lines().get(0).straightened(), before);
        if (isForPerspective) {
            say.accept(Words.get("tool.lines"));
        } else if (isLevel) {
            say.accept(Words.get("trace.already"));
        } else {
            angle.ifPresent(this::turn);
        }
        show();
    }

    /** The lines as the photo is levelled by them: where its perspective has been put right, as they lie there. */
    private Trace level() {
        return session.photo()
                .filter(photo -> session.isReady(photo)
                        && photo.preparation().perspective().isPresent())
                .map(photo -> trace.inPlane(photo.unstretchedPlane()::toPlane))
                .orElse(trace);
    }

    private void turn(Angle angle) {
        session.photo()
                .ifPresent(photo -> session.edit(
                        Edit.Kind.LEVEL, shoot -> shoot.with(photo.file(), before -> before.withAngle(angle))));
    }

    /** Levels the photo by lines in its pixels, all together though they may differ, and keeps them at hand. */
    public void levelBy(List<Segment> lines) {
        trace = Trace.of(lines);
        level().angle().ifPresent(this::turn);
        show();
    }

    /** Keeps the lines at hand by which the photo was levelled. */
    public void keep(List<LevelLine> lines) {
        trace = new Trace(lines);
        show();
    }

    private void show() {
        stage.overlay().onPhoto().show(trace.segments());
        listener.accept(level(), trace.segments());
    }

    /** Takes a line away; the others are levelled by anew. */
    public void remove(int index) {
        set(trace.without(index));
    }

    /** Levels by one of the lines alone. */
    public void choose(int index) {
        trace = new Trace(List.of(trace.lines().get(index)));
        level().angle().ifPresent(this::turn);
        show();
    }

    /** The crop slid so that the last line lies on the nearest third or section. */
    public void putOnGuide(CropGestures gestures) {
        session.crop()
                .filter(crop -> !trace.lines().isEmpty())
                .ifPresent(crop -> gestures.commit(
                        Edit.Kind.PUT_ON_GUIDE,
                        PutOnGuide.line(
                                crop.outline(),
                                crop.crop(),
                                lastInPlane(crop.photo().plane()))));
    }

    private Segment lastInPlane(Plane plane) {
        return trace.segments().get(trace.lines().size() - 1).mapped(plane::toPlane);
    }

    /** Forgets the lines. */
    public void clear() {
        if (!trace.lines().isEmpty()) {
            trace = Trace.NONE;
            show();
        }
    }
}
