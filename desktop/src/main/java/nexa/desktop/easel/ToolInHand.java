package nexa.desktop.easel;

import java.util.Optional;
import javafx.scene.Cursor;
import javafx.scene.input.KeyEvent;
import nexa.core.geometry.Point;
import nexa.desktop.stage.PhotoStage;

/** What the next drag on the stage draws, instead of moving the crop; it can be drawn by keys too. Also knows the pointer. */
final class ToolInHand {
    private static final int FAR = 10;
    /** How far an arrow moves the pointer, in screen pixels. */
    private static final int KEY_STEP = 2;

    private final PhotoStage stage;
    private final Runnable ended;
    private Optional<DragTool> tool = Optional.empty();
    private boolean isKept;
    private Point pointer = Point.ORIGIN;

    /** @param ended hears that something has been drawn */
    ToolInHand(PhotoStage stage, Runnable ended) {
        this.stage = stage;
        this.ended = ended;
    }

    /** The next drag draws something; empty to go back to moving the crop. */
    void take(Optional<DragTool> newTool) {
        tool = newTool;
        isKept = false;
        stage.showPointer(Optional.empty());
        stage.overlay().setMouseTransparent(tool.isPresent());
        stage.setCursor(tool.isPresent() ? Cursor.CROSSHAIR : Cursor.DEFAULT);
    }

    /** What is in hand stays there when something has been drawn. */
    void keep() {
        isKept = true;
    }

    boolean isTaken() {
        return tool.isPresent();
    }

    /** Whether something is being drawn. */
    boolean isDrawing() {
        return tool.map(DragTool::hasBegun).orElse(false);
    }

    /** Where the pointer was last, on the stage. */
    Point pointer() {
        return pointer;
    }

    void setPointer(Point at) {
        pointer = at;
    }

    /** The mouse has moved the pointer. */
    void point(Point at, DragTool.Held held) {
        pointer = at;
        stage.showPointer(Optional.empty());
        tool.ifPresent(drawing -> drawing.moved(at, held));
    }

    void press(Point at) {
        pointer = at;
        tool.orElseThrow().pressed(at);
    }

    void release(Point at, DragTool.Held held) {
        boolean isDone = tool.orElseThrow().released(at, held);
        if (isDone && !held.control() && !isKept) {
            take(Optional.empty());
            ended.run();
        }
    }

    /** Begins or ends what is drawn where the arrows have moved the pointer. */
    void enter(KeyEvent key) {
        Point at = pointerOnStage();
        boolean hasBegun = isDrawing();
        tool.orElseThrow().pressed(at);
        if (hasBegun) {
            release(at, DragTool.Held.with(key));
        }
    }

    /** Moves the pointer by a step of the arrows. */
    void move(Point way, KeyEvent key) {
        pointer = pointerOnStage().plus(way.times(key.isShiftDown() ? FAR * KEY_STEP : KEY_STEP));
        stage.showPointer(Optional.of(pointer));
        tool.orElseThrow().moved(pointer, DragTool.Held.with(key));
    }

    /** Where the pointer was last; in the middle if that is not on the stage. */
    private Point pointerOnStage() {
        boolean isOnStage = pointer.x() > 0 && pointer.y() > 0 && stage.contains(pointer.x(), pointer.y());
        return isOnStage ? pointer : new Point(stage.getWidth() / 2, stage.getHeight() / 2);
    }
}
