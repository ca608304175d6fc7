package nexa.desktop.tool;

import javafx.geometry.Point2D;
import javafx.scene.Cursor;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.StackPane;
import nexa.core.crop.Handle;
import nexa.core.crop.Resize;
import nexa.core.geometry.Point;
import nexa.core.shoot.Edit;
import nexa.desktop.parts.Wheel;
import nexa.desktop.stage.PhotoStage;

/** What the mouse does on the stage: it drags the crop, its handles, the photo or the view, or draws with the tool in hand. */
public final class StageMouse {
    private static final double VIEW_FACTOR = 1.15;

    /** What a drag moves. */
    private enum Drag {
        NONE,
        CROP,
        HANDLE,
        TURN,
        VIEW
    }

    private final PhotoStage stage;
    private final CropGestures gestures;
    private final ToolInHand tool;
    private Drag drag = Drag.NONE;
    private Point grip = Point.ORIGIN;
    private boolean movesView;
    private Runnable begun = () -> {};

    StageMouse(PhotoStage stage, CropGestures gestures, ToolInHand tool) {
        this.stage = stage;
        this.gestures = gestures;
        this.tool = tool;
        stage.setOnMousePressed(this::pressed);
        stage.setOnMouseDragged(this::dragged);
        stage.setOnMouseReleased(this::released);
        stage.setOnMouseMoved(this::moved);
        stage.setOnScroll(this::turnWheel);
        stage.overlay().handles().forEach(this::listenTo);
    }

    private void listenTo(StackPane handle) {
        handle.setOnMousePressed(event -> takeHandle(handle, event));
        handle.setOnMouseDragged(event -> dragHandle((Handle) handle.getUserData(), event));
        handle.setOnMouseReleased(event -> letGo());
    }

    /** What happens when the mouse begins something on the stage. */
    public void onBegin(Runnable action) {
        begun = action;
    }

    /** While set, a drag moves the view. */
    public void setMovesView(boolean view) {
        movesView = view;
        stage.overlay().setMouseTransparent(view || tool.isTaken());
        stage.setCursor(view ? Cursor.MOVE : Cursor.DEFAULT);
    }

    private Point pointIn(MouseEvent event) {
        return pointIn(stage, event);
    }

    /** Where the pointer is on the stage, whichever node of it the event is for. */
    public static Point pointIn(PhotoStage stage, MouseEvent event) {
        Point2D onStage = stage.sceneToLocal(event.getSceneX(), event.getSceneY());
        return new Point(onStage.getX(), onStage.getY());
    }

    private boolean isOverCrop(MouseEvent event) {
        return stage.frame()
                .map(frame -> frame.contains(event.getX(), event.getY()))
                .orElse(false);
    }

    private void moved(MouseEvent event) {
        tool.point(pointIn(event), Drawing.Held.with(event));
        stage.setCursor(cursor(event));
    }

    private Cursor cursor(MouseEvent event) {
        if (tool.isTaken()) {
            return Cursor.CROSSHAIR;
        }
        if (movesView) {
            return Cursor.MOVE;
        }
        return isOverCrop(event) ? Cursor.OPEN_HAND : Cursor.DEFAULT;
    }

    private void pressed(MouseEvent event) {
        begun.run();
        if (stage.trim().isVisible()) {
            // A press beside the handles only ends it: the photo comes to lie otherwise then.
            stage.requestFocus();
            return;
        }
        stage.requestFocus();
        boolean isMiddle = event.getButton() == MouseButton.MIDDLE;
        if (stage.projection().isEmpty() || !isMiddle && event.getButton() != MouseButton.PRIMARY) {
            return;
        }
        Point at = pointIn(event);
        if (isMiddle || movesView) {
            gestures.finish();
            begin(Drag.VIEW, at);
            stage.setCursor(Cursor.MOVE);
        } else if (tool.isTaken()) {
            tool.press(at);
        } else if (isOverCrop(event)) {
            if (gestures.hold(Edit.Kind.SLIDE)) {
                begin(Drag.CROP, at);
                stage.setCursor(Cursor.CLOSED_HAND);
            }
        } else if (gestures.hold(Edit.Kind.LEVEL)) {
            begin(Drag.TURN, at);
        }
    }

    private void begin(Drag newDrag, Point at) {
        drag = newDrag;
        grip = at;
    }

    /** A gesture may have been ended from elsewhere while the mouse was still at it. */
    private Drag drag() {
        return drag == Drag.VIEW || gestures.isHeld() ? drag : Drag.NONE;
    }

    private void dragged(MouseEvent event) {
        Point now = pointIn(event);
        tool.setPointer(now);
        switch (drag()) {
            case VIEW -> stage.pan(now.minus(grip));
            case CROP -> gestures.slideWith(now.minus(grip));
            case TURN -> gestures.photo().turnWith(grip, now);
            case HANDLE -> {
                return;
            }
            case NONE -> tool.point(now, Drawing.Held.with(event));
        }
        grip = now;
    }

    private void released(MouseEvent event) {
        if (drag == Drag.NONE && tool.isTaken()) {
            tool.release(pointIn(event), Drawing.Held.with(event));
        } else {
            letGo();
        }
    }

    private void letGo() {
        if (drag == Drag.NONE) {
            return;
        }
        if (drag != Drag.VIEW) {
            gestures.letGo();
        }
        drag = Drag.NONE;
        stage.setCursor(Cursor.DEFAULT);
    }

    private void takeHandle(StackPane handle, MouseEvent event) {
        begun.run();
        handle.requestFocus();
        if (event.getButton() == MouseButton.PRIMARY && gestures.hold(Edit.Kind.RESIZE)) {
            begin(Drag.HANDLE, pointIn(event).minus(gestures.placeOf((Handle) handle.getUserData())));
        }
        event.consume();
    }

    private void dragHandle(Handle handle, MouseEvent event) {
        if (drag() == Drag.HANDLE) {
            boolean isAboutCentre = event.isAltDown() || event.isControlDown();
            gestures.resize(
                    handle,
                    stage.projection().orElseThrow().toPlane(pointIn(event).minus(grip)),
                    isAboutCentre ? Resize.Anchor.CENTRE : Resize.Anchor.OPPOSITE,
                    event.isShiftDown());
        }
        event.consume();
    }

    private void turnWheel(ScrollEvent event) {
        double notches = Wheel.notches(event);
        if (notches == 0 || drag() != Drag.NONE) {
            return;
        }
        Point pointer = new Point(event.getX(), event.getY());
        if (event.isControlDown()) {
            gestures.finish();
            stage.zoomBy(Math.pow(VIEW_FACTOR, notches), pointer);
        } else {
            gestures.tighten(notches, pointer);
        }
        event.consume();
    }
}
