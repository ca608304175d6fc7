package nexa.desktop.easel;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
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
import nexa.core.geometry.Crop;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.series.Adjust;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Shoot;
import nexa.desktop.session.ShootSession;

/**
 * What the hand does to the crop on the easel. A gesture in progress is a draft that only the room shows; when it ends it
 * becomes one edit. Turns of the wheel and presses of a key that follow each other closely are one gesture.
 */
final class Hand {
    private static final Duration PAUSE = Duration.millis(450);
    private static final double NOTCH = 40;
    private static final double NOTCH_FACTOR = 0.96;
    private static final double FAR = 10;

    private final ShootSession session;
    private final Room room;
    private final Consumer<PhotoCrop> draftChanged;
    private final Runnable ended;
    private final PauseTransition pause = new PauseTransition(PAUSE);
    private Optional<PhotoCrop> start = Optional.empty();
    private Crop draft;
    private Edit.Kind kind;
    private boolean isDragging;
    private Point grip = Point.ORIGIN;
    private Handle handle;

    /**
     * A hand that is at nothing yet.
     *
     * @param draftChanged hears every change of a gesture in progress
     * @param ended hears that a gesture has ended
     */
    Hand(ShootSession session, Room room, Consumer<PhotoCrop> draftChanged, Runnable ended) {
        this.session = session;
        this.room = room;
        this.draftChanged = draftChanged;
        this.ended = ended;
        pause.setOnFinished(event -> finish());
    }

    void listenTo(Room where) {
        where.setOnMousePressed(this::takeCrop);
        where.setOnMouseDragged(this::slide);
        where.setOnMouseReleased(event -> letGo());
        where.setOnScroll(this::turnWheel);
        where.setOnMouseMoved(event -> where.setCursor(isOverCrop(event) ? Cursor.OPEN_HAND : Cursor.DEFAULT));
    }

    /** Whether a gesture is in progress. */
    boolean isBusy() {
        return start.isPresent();
    }

    private boolean isOverCrop(MouseEvent event) {
        return room.projection().isPresent() && room.frame().contains(event.getX(), event.getY());
    }

    private boolean begin(Edit.Kind newKind) {
        if (start.isPresent() && (kind != newKind || isDragging)) {
            finish();
        }
        if (start.isEmpty()) {
            start = room.projection().isPresent() ? session.crop() : Optional.empty();
            start.ifPresent(crop -> draft = crop.crop());
            kind = newKind;
        }
        return start.isPresent();
    }

    private void takeCrop(MouseEvent event) {
        room.requestFocus();
        if (event.getButton() == MouseButton.PRIMARY && isOverCrop(event) && begin(Edit.Kind.SLIDE)) {
            isDragging = true;
            pause.stop();
            grip = new Point(event.getX(), event.getY());
            room.setCursor(Cursor.CLOSED_HAND);
        }
    }

    private void slide(MouseEvent event) {
        if (!isDragging || kind != Edit.Kind.SLIDE) {
            return;
        }
        // The photo goes with the pointer, so the crop goes the other way over it.
        double scale = room.projection().orElseThrow().scale();
        Point now = new Point(event.getX(), event.getY());
        Point way = grip.minus(now).times(1 / scale);
        draft = Slide.by(outline(), draft, way);
        grip = now;
        room.slide(draft);
        tell();
    }

    void takeHandle(StackPane node, MouseEvent event) {
        node.requestFocus();
        if (event.getButton() == MouseButton.PRIMARY && begin(Edit.Kind.RESIZE)) {
            isDragging = true;
            pause.stop();
            handle = (Handle) node.getUserData();
            Point corner = draft.at(
                    0.5 + handle.x() / 2.0, 0.5 + handle.y() / 2.0, outline().angle());
            Point onScreen = room.projection().orElseThrow().toScreen(corner);
            grip = pointIn(event).minus(onScreen);
        }
        event.consume();
    }

    void dragHandle(MouseEvent event) {
        if (isDragging && kind == Edit.Kind.RESIZE) {
            Point pointer =
                    room.projection().orElseThrow().toPhoto(pointIn(event).minus(grip));
            draft = resize(event.isAltDown() || event.isControlDown(), event.isShiftDown())
                    .to(pointer);
            room.resize(draft);
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
        Point2D inRoom = room.sceneToLocal(event.getSceneX(), event.getSceneY());
        return new Point(inRoom.getX(), inRoom.getY());
    }

    /** Ends a drag. */
    void letGo() {
        if (isDragging) {
            room.setCursor(Cursor.DEFAULT);
            finish();
        }
    }

    private void turnWheel(ScrollEvent event) {
        if (event.isControlDown() || event.getDeltaY() == 0 || isDragging || !begin(Edit.Kind.TIGHTEN)) {
            return;
        }
        Point pointer = new Point(event.getX(), event.getY());
        Point about = room.frame().contains(event.getX(), event.getY())
                ? room.projection().orElseThrow().toPhoto(pointer)
                : draft.centre();
        tightenBy(Math.pow(NOTCH_FACTOR, event.getDeltaY() / NOTCH), about);
        event.consume();
    }

    /** Tightens by a step, or loosens by a negative one. */
    void tighten(int steps) {
        if (!isDragging && begin(Edit.Kind.TIGHTEN)) {
            tightenBy(Math.pow(NOTCH_FACTOR, steps), draft.centre());
        }
    }

    private void tightenBy(double factor, Point about) {
        draft = Tighten.about(outline(), draft, about, factor);
        room.fit(draft);
        tell();
        pause.playFromStart();
    }

    /** Slides by a pixel of the result, or moves the side whose handle has the focus. */
    void arrow(int x, int y, KeyEvent key) {
        if (isDragging) {
            return;
        }
        int pixels = key.isShiftDown() ? (int) FAR : 1;
        if (key.getTarget() instanceof Node target && target.getUserData() instanceof Handle side) {
            moveSide(side, x * pixels, y * pixels);
        } else if (begin(Edit.Kind.SLIDE)) {
            draft = Slide.by(outline(), draft, new Point(x, y).times(pixels * resultPixel()));
            room.slide(draft);
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
            room.resize(draft);
            tell();
            pause.playFromStart();
        }
    }

    /** How many of the photo's pixels make one of the result's. */
    private double resultPixel() {
        return draft.size().width()
                / session.format().size().pixels(draft.size()).width();
    }

    /** Turns the crop wide or tall. */
    void turnCrop() {
        finish();
        session.crop().ifPresent(crop -> commit(Edit.Kind.TURN_CROP, crop, TurnCrop.turn(crop.outline(), crop.crop())));
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
                        crop,
                        crop.outline().largestCentred(crop.crop().size().ratio())));
    }

    private void commit(Edit.Kind what, PhotoCrop from, Crop to) {
        session.edit(what, from.format().id(), shoot -> adjust(shoot, from).to(to));
    }

    private static Adjust adjust(Shoot shoot, PhotoCrop crop) {
        return new Adjust(shoot, crop.photo().file(), crop.format().id());
    }

    /** Makes the gesture in progress, if there is one, an edit. */
    void finish() {
        pause.stop();
        if (start.isEmpty()) {
            return;
        }
        PhotoCrop from = start.get();
        forget();
        if (!from.crop().equals(draft)) {
            session.edit(kind, from.format().id(), shoot -> {
                Adjust adjust = adjust(shoot, from);
                return kind == Edit.Kind.SLIDE ? adjust.slidTo(draft) : adjust.to(draft);
            });
        }
        ended.run();
    }

    private void forget() {
        pause.stop();
        start = Optional.empty();
        isDragging = false;
    }

    private Outline outline() {
        return start.orElseThrow().outline();
    }

    private void tell() {
        PhotoCrop from = start.orElseThrow();
        draftChanged.accept(new PhotoCrop(from.photo(), from.format(), from.state(), draft, false, List.of()));
    }
}
