package nexa.desktop.tool;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Cursor;
import javafx.scene.input.KeyEvent;
import nexa.core.geometry.Point;
import nexa.desktop.stage.PhotoStage;

/** What the next drag on the stage draws, instead of moving the crop; it can be drawn by keys too. Also knows the pointer. */
public final class ToolInHand {
    private static final int FAR = 10;
    /** How far an arrow moves the pointer, in screen pixels. */
    private static final int KEY_STEP = 2;
    /** A press that moves no further than this, in screen pixels, is a click. */
    private static final double STILL = 4;

    private final PhotoStage stage;
    private final Runnable ended;
    private final List<Runnable> listeners = new ArrayList<>();
    private Optional<Drawing> drawing = Optional.empty();
    /** Where it was begun, while something is being drawn. */
    private Optional<Point> start = Optional.empty();

    private boolean isSecondClick;
    private Point pointer = Point.ORIGIN;

    /** @param ended hears that something has been drawn */
    ToolInHand(PhotoStage stage, Runnable ended) {
        this.stage = stage;
        this.ended = ended;
    }

    /** Hears whenever something is taken or put down. */
    public void onChanged(Runnable listener) {
        listeners.add(listener);
    }

    /** The next drag draws something. */
    void take(Drawing taken) {
        hold(Optional.of(taken));
    }

    /** The next drag moves the crop again. */
    void putDown() {
        drawing.ifPresent(Drawing::putDown);
        hold(Optional.empty());
    }

    private void hold(Optional<Drawing> held) {
        drawing = held;
        start = Optional.empty();
        stage.showPointer(Optional.empty());
        stage.overlay().setMouseTransparent(held.isPresent());
        stage.setCursor(held.isPresent() ? Cursor.CROSSHAIR : Cursor.DEFAULT);
        listeners.forEach(Runnable::run);
    }

    public boolean isTaken() {
        return drawing.isPresent();
    }

    public boolean holds(Drawing asked) {
        return drawing.equals(Optional.of(asked));
    }

    /** Whether something is being drawn. */
    boolean isDrawing() {
        return start.isPresent();
    }

    /** Where the pointer was last, on the stage. */
    public Point pointer() {
        return pointer;
    }

    void setPointer(Point at) {
        pointer = at;
    }

    /** The mouse has moved the pointer. */
    void point(Point at, Drawing.Held held) {
        pointer = at;
        stage.showPointer(Optional.empty());
        moved(at, held);
    }

    private void moved(Point to, Drawing.Held held) {
        start.ifPresent(from -> drawing.orElseThrow().during(from, to, held));
    }

    void press(Point at) {
        pointer = at;
        begin(at);
    }

    private void begin(Point at) {
        isSecondClick = start.isPresent();
        if (start.isEmpty()) {
            start = Optional.of(at);
        }
    }

    void release(Point at, Drawing.Held held) {
        if (start.isEmpty()) {
            return;
        }
        Drawing drawn = drawing.orElseThrow();
        Point from = start.get();
        if (drawn.takesTwoClicks() && !isSecondClick && from.distance(at) < STILL) {
            return;
        }
        start = Optional.empty();
        drawn.done(from, at, held);
        if (!held.control() && !drawn.staysInHand()) {
            putDown();
            ended.run();
        }
    }

    /** Begins or ends what is drawn where the arrows have moved the pointer. */
    public void enter(KeyEvent key) {
        Point at = pointerOnStage();
        boolean hasBegun = isDrawing();
        begin(at);
        if (hasBegun) {
            release(at, Drawing.Held.with(key));
        }
    }

    /** Moves the pointer by a step of the arrows. */
    public void move(Point way, KeyEvent key) {
        pointer = pointerOnStage().plus(way.times(key.isShiftDown() ? FAR * KEY_STEP : KEY_STEP));
        stage.showPointer(Optional.of(pointer));
        moved(pointer, Drawing.Held.with(key));
    }

    /** Where the pointer was last; in the middle if that is not on the stage. */
    private Point pointerOnStage() {
        boolean isOnStage = pointer.x() > 0 && pointer.y() > 0 && stage.contains(pointer.x(), pointer.y());
        return isOnStage ? pointer : new Point(stage.getWidth() / 2, stage.getHeight() / 2);
    }
}
