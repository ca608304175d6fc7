package nexa.desktop.easel;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import nexa.core.crop.PutOnGuide;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.level.LevelLine;
import nexa.core.level.Trace;
import nexa.core.level.TracedLevel;
import nexa.core.shoot.Edit;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;
import nexa.desktop.stage.PhotoStage;

/** Levels the photo by lines traced along what should be level or upright. */
final class Tracing implements DragTool.Use {
    private final ShootSession session;
    private final PhotoStage stage;
    private final Consumer<String> say;
    private final Consumer<Trace> changed;
    private Trace trace = Trace.NONE;

    /**
     * @param say hears what there is to say by the pointer, "" for nothing
     * @param changed hears of the lines traced so far
     */
    Tracing(ShootSession session, PhotoStage stage, Consumer<String> say, Consumer<Trace> changed) {
        this.session = session;
        this.stage = stage;
        this.say = say;
        this.changed = changed;
    }

    @Override
    public void during(Point from, Point to, DragTool.Held held) {
        stage.projection().ifPresent(projection -> {
            Segment line = new Segment(projection.toPhoto(from), projection.toPhoto(to));
            List<Segment> lines = held.control() ? trace.with(line).segments() : List.of(line);
            stage.overlay().onPhoto().show(lines);
            say.accept(lean(line, from.distance(to), projection.angle()));
        });
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
    public void done(Point from, Point to, DragTool.Held held) {
        say.accept("");
        stage.projection().ifPresent(projection -> {
            Segment line = new Segment(projection.toPhoto(from), projection.toPhoto(to));
            if (!Trace.isLongEnough(from.distance(to))) {
                show();
                say.accept(Words.get("trace.tooShort"));
            } else {
                set(held.control() ? trace.with(line) : Trace.NONE.with(line));
            }
        });
    }

    private void set(Trace now) {
        trace = now;
        Angle before = session.photo().orElseThrow().angle();
        Optional<Angle> angle = trace.angle().filter(found -> !trace.disagrees());
        boolean isLevel =
                trace.lines().size() == 1 && Trace.isLevel(trace.lines().get(0).straightened(), before);
        if (isLevel) {
            say.accept(Words.get("trace.already"));
        } else {
            angle.ifPresent(this::turn);
        }
        show();
    }

    private void turn(Angle angle) {
        session.photo()
                .ifPresent(photo -> session.edit(
                        Edit.Kind.LEVEL, shoot -> shoot.with(photo.file(), before -> before.withAngle(angle))));
    }

    /** Keeps the lines at hand by which the photo was levelled. */
    void keep(List<LevelLine> lines) {
        trace = new Trace(lines);
        show();
    }

    private void show() {
        stage.overlay().onPhoto().show(trace.segments());
        changed.accept(trace);
    }

    /** Takes a line away; the others are levelled by anew. */
    void remove(int index) {
        set(trace.without(index));
    }

    /** Levels by one of the lines alone. */
    void choose(int index) {
        LevelLine chosen = trace.lines().get(index);
        trace = new Trace(List.of(chosen));
        turn(TracedLevel.of(chosen.straightened()));
        show();
    }

    /** The crop slid so that the last line lies on the nearest third or section. */
    void putOnGuide(CropGestures gestures) {
        session.crop()
                .filter(crop -> !trace.lines().isEmpty())
                .ifPresent(crop -> gestures.commit(
                        Edit.Kind.PUT_ON_GUIDE,
                        PutOnGuide.line(
                                crop.outline(),
                                crop.crop(),
                                trace.segments().get(trace.lines().size() - 1))));
    }

    /** Forgets the lines. */
    void clear() {
        if (!trace.lines().isEmpty()) {
            trace = Trace.NONE;
            show();
        }
    }
}
