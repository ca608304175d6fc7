package nexa.desktop.tool.perspective;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import javafx.scene.input.MouseButton;
import javafx.scene.layout.StackPane;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.level.Trace;
import nexa.core.shape.FromLines;
import nexa.core.shape.Plane;
import nexa.core.shape.SceneLines;
import nexa.core.shoot.Photo;
import nexa.desktop.parts.Words;
import nexa.desktop.stage.LineEnds;
import nexa.desktop.stage.PhotoStage;
import nexa.desktop.stage.Projection;
import nexa.desktop.tool.Easel;
import nexa.desktop.tool.StageMouse;

/** The lines by which the photo's perspective is put right: shown, moved at their ends, added to, put away. */
public final class LinesHand implements LinesBar.Actions {
    /** A line is drawn to within so many pixels of the screen. */
    private static final double DRAWN_WITHIN = Math.sqrt(2);

    private final Easel easel;
    private final PhotoStage stage;
    private final Reshaping reshaping;
    private final Runnable changed;
    private final LinesBar bar = new LinesBar(this);
    /** All lines at hand, of which the perspective may go by some; empty while they are put away. */
    private Optional<SceneLines> lines = Optional.empty();

    private LinesUse use = LinesUse.UPRIGHTS;
    private Optional<Drag> drag = Optional.empty();

    /**
     * An end of a line that is dragged, told by how the photo lay when that began: it changes while the line does.
     *
     * @param grip from the end to the pointer, on the stage
     */
    private record Drag(LineEnds.End end, Projection projection, Plane plane, Point grip) {
        Point inPhoto(Point pointer) {
            return plane.toPhoto(projection.toPlane(pointer.minus(grip)));
        }
    }

    /**
     * With the lines put away.
     *
     * @param changed hears that lines were taken to hand or put away
     */
    LinesHand(Easel easel, Reshaping reshaping, Runnable changed) {
        this.easel = easel;
        this.stage = easel.stage();
        this.reshaping = reshaping;
        this.changed = changed;
        stage.onLineEndMade(this::listenTo);
    }

    LinesBar bar() {
        return bar;
    }

    /** Whether lines are at hand. */
    boolean isShown() {
        return lines.isPresent();
    }

    /** Draws lines, shows those that are there, or puts them away. */
    void drawOrPutAway() {
        if (isShown()) {
            putAway();
        } else if (reshaping.lines().isPresent()) {
            easel.gestures().finish();
            easel.putAllDown();
            showOwn();
        } else {
            draw();
        }
        stage.requestFocus();
    }

    /** Takes the tool for drawing lines one after another, or puts it down. */
    private void draw() {
        if (easel.inHand().holds(easel.tracing())) {
            easel.putDown();
        } else {
            easel.tracing().beginForPerspective();
            easel.take(easel.tracing(), Words.get("tool.lines"));
        }
    }

    /** Takes the lines to hand that stay with the photo. */
    public void showOwn() {
        reshaping.lines().ifPresent(own -> show(own, LinesUse.by(own)));
    }

    /**
     * Makes a perspective from lines that were traced.
     *
     * @param traced in the photo's pixels
     */
    public void make(LinesUse wanted, List<Segment> traced) {
        easel.photo().ifPresent(photo -> {
            SceneLines sorted = sorted(photo, traced);
            if (reshaping.solve(photo, wanted.of(sorted), false)) {
                easel.gestures().finish();
                easel.putAllDown();
                show(sorted, wanted);
            }
        });
    }

    /** Lines in the photo's pixels, by kind. */
    public static SceneLines sorted(Photo photo, List<Segment> traced) {
        return SceneLines.sorted(traced, photo.space(), photo.angle());
    }

    @Override
    public void make(LinesUse wanted) {
        lines.ifPresent(known -> solve(known, wanted));
        stage.requestFocus();
    }

    /** Puts the perspective right by other lines, as one edit; those at hand stay if that cannot be. */
    private void solve(SceneLines wanted, LinesUse by) {
        easel.photo().ifPresent(photo -> {
            if (reshaping.solve(photo, by.of(wanted), false)) {
                lines = Optional.of(wanted);
                use = by;
            }
            easel.gestures().finish();
            tell();
        });
    }

    @Override
    public void turnOnly() {
        lines.ifPresent(known -> easel.photo().ifPresent(photo -> {
            Trace trace = Trace.of(known.inPhoto(photo.size()));
            putAway();
            easel.gestures().photo().reshape(Optional.empty(), trace.angle().orElse(photo.angle()), false);
            easel.gestures().finish();
            easel.tracing().keep(trace.lines());
        }));
        stage.requestFocus();
    }

    @Override
    public void remove(int line) {
        lines.ifPresent(known -> {
            SceneLines left = known.without(line);
            List<LinesUse> possible = LinesUse.offered(left);
            if (possible.isEmpty()) {
                easel.say(Words.of("lines.refused", FromLines.Reason.ONE_LINE));
            } else {
                solve(left, possible.contains(use) ? use : possible.get(0));
            }
        });
    }

    /**
     * Adds a line that was drawn while others are at hand.
     *
     * @param drawn in the photo's pixels
     */
    private void add(Segment drawn) {
        lines.ifPresent(known -> easel.photo().ifPresent(photo -> {
            List<Segment> all = Stream.concat(known.inPhoto(photo.size()).stream(), Stream.of(drawn))
                    .toList();
            solve(sorted(photo, all), use);
        }));
    }

    @Override
    public void putAway() {
        lines = Optional.empty();
        drag = Optional.empty();
        easel.tracing().giveFurtherTo(Optional.empty());
        stage.showLines(List.of());
        bar.hide();
        changed.run();
    }

    private void show(SceneLines known, LinesUse by) {
        lines = Optional.of(known);
        use = by;
        easel.tracing().giveFurtherTo(Optional.of(this::add));
        tell();
        changed.run();
    }

    /** The photo may have changed: the lines at hand are its own still, or those it has now. */
    void refresh() {
        if (lines.isPresent()) {
            Optional<SceneLines> own = reshaping.lines();
            if (own.isEmpty()) {
                putAway();
            } else if (own.get().equals(use.of(lines.get()))) {
                tell();
            } else {
                showOwn();
            }
        }
    }

    /** Shows the lines and what is made of them. */
    private void tell() {
        lines.ifPresent(known -> easel.photo().ifPresent(photo -> {
            stage.showLines(known.inPhoto(photo.size()));
            SceneLines used = use.of(known);
            FromLines solver = reshaping.solver(photo);
            double off = solver.solve(used) instanceof FromLines.Solved solved ? solved.off() : 0;
            OptionalDouble uncertainty = stage.projection()
                    .map(projection -> solver.uncertainty(used, DRAWN_WITHIN / projection.scale()))
                    .orElse(OptionalDouble.empty());
            bar.show(known, use, off, uncertainty);
            if (!easel.gestures().isBusy()) {
                bar.place(stage);
            }
        }));
    }

    private void listenTo(StackPane grip) {
        LineEnds.End end = (LineEnds.End) grip.getUserData();
        grip.setOnMousePressed(event -> {
            grip.requestFocus();
            if (event.getButton() == MouseButton.PRIMARY) {
                take(end, StageMouse.pointIn(stage, event));
            }
            event.consume();
        });
        grip.setOnMouseDragged(event -> {
            drag.filter(begun -> begun.end().equals(end))
                    .ifPresent(begun -> move(end, begun.inPhoto(StageMouse.pointIn(stage, event)), true));
            event.consume();
        });
        grip.setOnMouseReleased(event -> {
            drag = Optional.empty();
            easel.gestures().finish();
            refresh();
            event.consume();
        });
    }

    private void take(LineEnds.End end, Point pointer) {
        easel.gestures().finish();
        easel.photo()
                .ifPresent(photo -> stage.projection().ifPresent(projection -> {
                    Plane plane = photo.plane();
                    Point at = end.of(lines.orElseThrow().inPhoto(photo.size()).get(end.line()));
                    Point grip = pointer.minus(projection.toScreen(plane.toPlane(at)));
                    drag = Optional.of(new Drag(end, projection, plane, grip));
                }));
    }

    /** Moves an end of a line by pixels of the photo, right and down on screen positive. */
    void move(LineEnds.End end, Point pixels) {
        lines.ifPresent(known -> easel.photo().ifPresent(photo -> {
            Point way = photo.angle().toPhoto(pixels);
            move(end, end.of(known.inPhoto(photo.size()).get(end.line())).plus(way), false);
        }));
    }

    private void move(LineEnds.End end, Point inPhoto, boolean isHeld) {
        easel.photo().ifPresent(photo -> {
            SceneLines known = lines.orElseThrow();
            Segment line = end.moved(known.all().get(end.line()), SceneLines.stored(inPhoto, photo.size()));
            SceneLines moved = known.with(end.line(), line);
            lines = Optional.of(moved);
            if (!use.of(moved).equals(use.of(known))) {
                reshaping.solve(photo, use.of(moved), isHeld);
            }
            tell();
        });
    }
}
