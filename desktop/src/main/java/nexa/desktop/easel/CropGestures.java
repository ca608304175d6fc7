package nexa.desktop.easel;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.animation.PauseTransition;
import javafx.geometry.Point2D;
import javafx.scene.Cursor;
import javafx.scene.Node;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.StackPane;
import javafx.util.Duration;
import nexa.core.crop.Handle;
import nexa.core.crop.Resize;
import nexa.core.crop.Slide;
import nexa.core.crop.Tighten;
import nexa.core.crop.TurnCrop;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.series.Adjust;
import nexa.core.series.Crops;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Shoot;
import nexa.desktop.desk.Vernier;
import nexa.desktop.session.DraftClock;
import nexa.desktop.session.ShootSession;
import nexa.desktop.stage.PhotoStage;

/**
 * What the hand does to the crop and the photo on the easel. A gesture in progress is a draft that only the stage shows;
 * when it ends it becomes one edit. Turns of the wheel and presses of a key that follow each other closely are one gesture.
 */
final class CropGestures {
    private static final Duration PAUSE = Duration.millis(450);
    private static final double NOTCH = 40;
    private static final double NOTCH_FACTOR = 0.96;
    private static final double VIEW_FACTOR = 1.15;
    private static final int FAR = 10;
    /** How far an arrow moves what is drawn, in screen pixels. */
    private static final int KEY_STEP = 2;

    /** What a drag moves. */
    private enum Drag {
        NONE,
        CROP,
        HANDLE,
        TURN,
        VERNIER,
        VIEW
    }

    private final ShootSession session;
    private final PhotoStage stage;
    private final Consumer<PhotoCrop> draftChanged;
    private final Runnable ended;
    private final PauseTransition pause = new PauseTransition(PAUSE);
    private final DraftClock clock;
    private Optional<PhotoCrop> start = Optional.empty();
    private Crop draft;
    private Angle draftAngle = Angle.NONE;
    private Edit.Kind kind;
    private Drag drag = Drag.NONE;
    private Point grip = Point.ORIGIN;
    private Handle handle;
    private Optional<DragTool> tool = Optional.empty();
    private boolean movesView;

    /**
     * A hand that is at nothing yet.
     *
     * @param draftChanged hears every change of a gesture in progress
     * @param ended hears that a gesture has ended
     */
    CropGestures(ShootSession session, PhotoStage stage, Consumer<PhotoCrop> draftChanged, Runnable ended) {
        this.session = session;
        this.stage = stage;
        this.draftChanged = draftChanged;
        this.ended = ended;
        this.clock = new DraftClock(session, this::change);
        pause.setOnFinished(event -> finish());
    }

    void listenTo(PhotoStage where) {
        where.setOnMousePressed(this::pressed);
        where.setOnMouseDragged(this::dragged);
        where.setOnMouseReleased(this::released);
        where.setOnScroll(this::turnWheel);
        where.setOnMouseMoved(event -> {
            grip = drag == Drag.NONE ? pointIn(event) : grip;
            tool.ifPresent(drawing -> drawing.moved(pointIn(event), DragTool.Held.with(event)));
            stage.showPointer(Optional.empty());
            where.setCursor(cursor(event));
        });
    }

    private Cursor cursor(MouseEvent event) {
        if (tool.isPresent()) {
            return Cursor.CROSSHAIR;
        }
        if (movesView) {
            return Cursor.MOVE;
        }
        return isOverCrop(event) ? Cursor.OPEN_HAND : Cursor.DEFAULT;
    }

    /** Whether a gesture is in progress. */
    boolean isBusy() {
        return start.isPresent();
    }

    /** Whether the photo is being turned. */
    boolean isTurning() {
        return isBusy() && kind == Edit.Kind.LEVEL;
    }

    /** Where the pointer was last, in the stage. */
    Point pointer() {
        return grip;
    }

    /** The next drag draws something, instead of moving the crop; empty to go back to that. */
    void take(Optional<DragTool> newTool) {
        finish();
        tool = newTool;
        stage.showPointer(Optional.empty());
        stage.overlay().setMouseTransparent(tool.isPresent());
        stage.setCursor(tool.isPresent() ? Cursor.CROSSHAIR : Cursor.DEFAULT);
    }

    /** Whether the next drag draws something. */
    boolean hasTool() {
        return tool.isPresent();
    }

    /** While set, a drag moves the view. */
    void setMovesView(boolean view) {
        movesView = view;
        stage.overlay().setMouseTransparent(view || tool.isPresent());
        stage.setCursor(view ? Cursor.MOVE : Cursor.DEFAULT);
    }

    private boolean isOverCrop(MouseEvent event) {
        return stage.projection().isPresent() && stage.frame().contains(event.getX(), event.getY());
    }

    private boolean begin(Edit.Kind newKind) {
        if (start.isPresent() && (kind != newKind || drag != Drag.NONE)) {
            finish();
        }
        if (start.isEmpty()) {
            start = stage.projection().isPresent() ? session.crop() : Optional.empty();
            start.ifPresent(crop -> {
                draft = crop.crop();
                draftAngle = crop.photo().angle();
            });
            kind = newKind;
            clock.goOn();
        }
        return start.isPresent();
    }

    private void beginDrag(Drag newDrag, Point at) {
        drag = newDrag;
        grip = at;
        pause.stop();
    }

    private void pressed(MouseEvent event) {
        stage.requestFocus();
        Point at = pointIn(event);
        boolean isMiddle = event.getButton() == MouseButton.MIDDLE;
        if (stage.projection().isEmpty() || !isMiddle && event.getButton() != MouseButton.PRIMARY) {
            return;
        }
        if (isMiddle || movesView) {
            finish();
            beginDrag(Drag.VIEW, at);
            stage.setCursor(Cursor.MOVE);
        } else if (tool.isPresent()) {
            grip = at;
            tool.get().pressed(at);
        } else if (isOverCrop(event) && begin(Edit.Kind.SLIDE)) {
            beginDrag(Drag.CROP, at);
            stage.setCursor(Cursor.CLOSED_HAND);
        } else if (begin(Edit.Kind.LEVEL)) {
            beginDrag(Drag.TURN, at);
        }
    }

    private void dragged(MouseEvent event) {
        Point now = pointIn(event);
        if (drag == Drag.NONE && tool.isPresent()) {
            grip = now;
            tool.get().moved(now, DragTool.Held.with(event));
        }
        switch (drag) {
            case VIEW -> stage.pan(now.minus(grip));
            case CROP -> slide(now);
            case TURN -> turnAbout(now);
            default -> {
                return;
            }
        }
        grip = now;
    }

    private void slide(Point now) {
        // The photo goes with the pointer, so the crop goes the other way over it; or the crop goes with the pointer.
        double scale = stage.projection().orElseThrow().scale();
        Point way = stage.holdsPhoto() ? now.minus(grip) : grip.minus(now);
        draft = Slide.by(outline(), draft, way.times(1 / scale));
        stage.slide(draft);
        tell();
    }

    private void turnAbout(Point now) {
        Point centre = stage.projection().orElseThrow().toScreen(draft.centre());
        double before = Math.atan2(grip.y() - centre.y(), grip.x() - centre.x());
        double after = Math.atan2(now.y() - centre.y(), now.x() - centre.x());
        double way = Math.toDegrees(Math.IEEEremainder(after - before, 2 * Math.PI));
        turnTo(draftAngle.degrees() + way);
    }

    private void released(MouseEvent event) {
        if (drag == Drag.VIEW) {
            drag = Drag.NONE;
            stage.setCursor(Cursor.DEFAULT);
        } else if (drag == Drag.NONE && tool.isPresent()) {
            releaseTool(pointIn(event), DragTool.Held.with(event));
        } else {
            letGo();
        }
    }

    private void releaseTool(Point at, DragTool.Held held) {
        boolean isDone = tool.orElseThrow().released(at, held);
        if (isDone && !held.control()) {
            take(Optional.empty());
            ended.run();
        }
    }

    /** Whether something is being drawn. */
    boolean isDrawing() {
        return tool.map(DragTool::hasBegun).orElse(false);
    }

    /** What is drawn can be drawn by keys too: this begins or ends it where the arrows have moved the pointer. */
    void enterTool(KeyEvent key) {
        Point at = pointerOnStage();
        boolean hasBegun = isDrawing();
        tool.orElseThrow().pressed(at);
        if (hasBegun) {
            releaseTool(at, DragTool.Held.with(key));
        }
    }

    private void moveTool(DragTool drawing, Point way, KeyEvent key) {
        grip = pointerOnStage().plus(way.times(key.isShiftDown() ? FAR * KEY_STEP : KEY_STEP));
        stage.showPointer(Optional.of(grip));
        drawing.moved(grip, DragTool.Held.with(key));
    }

    /** Where the pointer was last; in the middle if that is not in the stage. */
    private Point pointerOnStage() {
        boolean isOnStage = grip.x() > 0 && grip.y() > 0 && stage.contains(grip.x(), grip.y());
        return isOnStage ? grip : new Point(stage.getWidth() / 2, stage.getHeight() / 2);
    }

    void takeHandle(StackPane node, MouseEvent event) {
        node.requestFocus();
        if (event.getButton() == MouseButton.PRIMARY && begin(Edit.Kind.RESIZE)) {
            handle = (Handle) node.getUserData();
            Point corner = draft.at(
                    0.5 + handle.x() / 2.0, 0.5 + handle.y() / 2.0, outline().angle());
            Point onScreen = stage.projection().orElseThrow().toScreen(corner);
            beginDrag(Drag.HANDLE, pointIn(event).minus(onScreen));
        }
        event.consume();
    }

    void dragHandle(MouseEvent event) {
        if (drag == Drag.HANDLE) {
            Point pointer =
                    stage.projection().orElseThrow().toPhoto(pointIn(event).minus(grip));
            draft = resize(event.isAltDown() || event.isControlDown(), event.isShiftDown())
                    .turningTo(pointer);
            stage.resize(draft);
            tell();
        }
        event.consume();
    }

    private Resize resize(boolean aboutCentre, boolean isShiftDown) {
        boolean keepsRatio = !session.format().ratio().isFree() || isShiftDown;
        return new Resize(
                outline(),
                start.orElseThrow().crop(),
                handle,
                aboutCentre ? Resize.Anchor.CENTRE : Resize.Anchor.OPPOSITE,
                keepsRatio);
    }

    private Point pointIn(MouseEvent event) {
        Point2D onStage = stage.sceneToLocal(event.getSceneX(), event.getSceneY());
        return new Point(onStage.getX(), onStage.getY());
    }

    /** Ends a drag. */
    void letGo() {
        if (drag != Drag.NONE) {
            stage.setCursor(Cursor.DEFAULT);
            finish();
        }
    }

    private void turnWheel(ScrollEvent event) {
        Point pointer = new Point(event.getX(), event.getY());
        if (event.getDeltaY() == 0 || drag != Drag.NONE) {
            return;
        }
        if (event.isControlDown()) {
            finish();
            stage.zoomBy(Math.pow(VIEW_FACTOR, event.getDeltaY() / NOTCH), pointer);
        } else if (begin(Edit.Kind.TIGHTEN)) {
            Point about = stage.frame().contains(event.getX(), event.getY())
                    ? stage.projection().orElseThrow().toPhoto(pointer)
                    : draft.centre();
            tightenBy(Math.pow(NOTCH_FACTOR, event.getDeltaY() / NOTCH), about);
        }
        event.consume();
    }

    /** Tightens by a step, or loosens by a negative one. */
    void tighten(int steps) {
        if (drag == Drag.NONE && begin(Edit.Kind.TIGHTEN)) {
            tightenBy(Math.pow(NOTCH_FACTOR, steps), draft.centre());
        }
    }

    private void tightenBy(double factor, Point about) {
        draft = Tighten.about(outline(), draft, about, factor);
        stage.fit(draft);
        tell();
        pause.playFromStart();
    }

    /** Slides by a pixel of the result, or moves the side whose handle has the focus. */
    void arrow(int x, int y, KeyEvent key) {
        if (drag != Drag.NONE) {
            return;
        }
        if (tool.isPresent()) {
            moveTool(tool.get(), new Point(x, y), key);
            return;
        }
        int pixels = key.isShiftDown() ? FAR : 1;
        if (key.getTarget() instanceof Node target && target.getUserData() instanceof Handle side) {
            moveSide(side, x * pixels, y * pixels);
        } else if (begin(Edit.Kind.SLIDE)) {
            draft = Slide.by(outline(), draft, new Point(x, y).times(pixels * resultPixel()));
            stage.slide(draft);
            tell();
            pause.playFromStart();
        }
    }

    private void moveSide(Handle side, int x, int y) {
        if (begin(Edit.Kind.RESIZE)) {
            handle = side;
            Point corner = draft.at(
                    0.5 + side.x() / 2.0, 0.5 + side.y() / 2.0, outline().angle());
            Point way = outline().angle().toPhoto(new Point(x, y).times(resultPixel()));
            draft = new Resize(
                            outline(),
                            draft,
                            side,
                            Resize.Anchor.OPPOSITE,
                            !session.format().ratio().isFree())
                    .to(corner.plus(way));
            stage.resize(draft);
            tell();
            pause.playFromStart();
        }
    }

    /** How many of the photo's pixels make one of the result's. */
    private double resultPixel() {
        return draft.size().width()
                / session.format().size().pixels(draft.size()).width();
    }

    /** Turns the photo to an angle. While it is held this goes on, else it ends by itself soon. */
    void turned(double degrees, boolean isHeld) {
        if (drag == Drag.VERNIER || begin(Edit.Kind.LEVEL)) {
            turnTo(degrees);
            if (isHeld) {
                drag = Drag.VERNIER;
                pause.stop();
            } else {
                pause.playFromStart();
            }
        }
    }

    /** Turns the photo further by some degrees. */
    void turnBy(double degrees) {
        if (drag == Drag.NONE && begin(Edit.Kind.LEVEL)) {
            turned(Math.rint((draftAngle.degrees() + degrees) / Vernier.STEP) * Vernier.STEP, false);
        }
    }

    private void turnTo(double degrees) {
        draftAngle = Angle.nearest(degrees);
        PhotoCrop turned = turned();
        draft = turned.crop();
        stage.turn(turned);
        draftChanged.accept(turned);
    }

    /** The photo at the angle of the gesture, with the crop it has there. */
    private PhotoCrop turned() {
        PhotoCrop from = start.orElseThrow();
        Shoot shoot = session.shoot().with(from.photo().file(), photo -> photo.withAngle(draftAngle));
        return new Crops(shoot).of(shoot.photo(from.photo().file()), from.format());
    }

    /** Shows a crop being found by a tool, as part of one gesture. */
    void draft(Edit.Kind what, Crop found) {
        if (begin(what)) {
            draft = found;
            stage.resize(draft);
            tell();
        }
    }

    /** Turns the crop wide or tall. */
    void turnCrop() {
        finish();
        session.crop().ifPresent(crop -> commit(Edit.Kind.TURN_CROP, TurnCrop.turn(crop.outline(), crop.crop())));
    }

    /** Turns the crop so that it lies a given way, if it does not yet. */
    void turnCrop(Orientation lying) {
        session.crop().filter(crop -> crop.crop().size().orientation() != lying).ifPresent(crop -> turnCrop());
    }

    /** Makes the crop the largest of its shape, centred. */
    void largest() {
        finish();
        session.crop()
                .ifPresent(crop -> commit(
                        Edit.Kind.LARGEST,
                        crop.outline().untouched(crop.crop().size().ratio())));
    }

    /** Makes a crop the one of the photo worked on, as one edit. */
    void commit(Edit.Kind what, Crop to) {
        finish();
        session.crop()
                .ifPresent(
                        from -> session.edit(what, shoot -> adjust(shoot, from).to(to)));
    }

    private static Adjust adjust(Shoot shoot, PhotoCrop crop) {
        return new Adjust(shoot, crop.photo().file(), crop.format().id());
    }

    /** Makes the gesture in progress, if there is one, an edit. */
    void finish() {
        pause.stop();
        clock.stop();
        drag = Drag.NONE;
        if (start.isEmpty()) {
            return;
        }
        Optional<UnaryOperator<Shoot>> change = change();
        String format = start.get().format().id();
        start = Optional.empty();
        change.ifPresentOrElse(what -> session.edit(kind, format, what), session::dropDraft);
        ended.run();
    }

    /** What the gesture in progress would do if it ended now; empty if that is nothing. */
    private Optional<UnaryOperator<Shoot>> change() {
        PhotoCrop from = start.orElse(null);
        Angle angle = draftAngle;
        Crop crop = draft;
        if (from != null && kind == Edit.Kind.LEVEL) {
            return Optional.of(shoot -> shoot.with(from.photo().file(), photo -> photo.withAngle(angle)));
        }
        if (from == null || from.crop().equals(crop)) {
            return Optional.empty();
        }
        boolean isSlide = kind == Edit.Kind.SLIDE;
        return Optional.of(shoot -> {
            Adjust adjust = adjust(shoot, from);
            return isSlide ? adjust.slidTo(crop) : adjust.to(crop);
        });
    }

    private Outline outline() {
        return start.orElseThrow().outline();
    }

    private void tell() {
        PhotoCrop from = start.orElseThrow();
        draftChanged.accept(new PhotoCrop(from.photo(), from.format(), from.state(), draft, false, List.of()));
    }
}
