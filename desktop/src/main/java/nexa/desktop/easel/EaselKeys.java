package nexa.desktop.easel;

import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.Slider;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import nexa.core.geometry.Point;
import nexa.core.series.Reorient;
import nexa.core.shoot.Mark;
import nexa.desktop.desk.DegreeScale;
import nexa.desktop.session.ShootSession;
import nexa.desktop.tool.Easel;
import nexa.desktop.tool.EaselTool;
import nexa.desktop.tool.PhotoActions;
import nexa.desktop.tool.propose.ProposeTool;

/** What each key does on the easel: those of its tools, and those that belong to none. */
final class EaselKeys {
    private static final int FAR = 10;

    private final Easel easel;
    private final ShootSession session;
    private final ProposeTool propose;
    private final PhotoActions actions;

    EaselKeys(Easel easel, ProposeTool propose, PhotoActions actions) {
        this.easel = easel;
        this.session = easel.session();
        this.propose = propose;
        this.actions = actions;
    }

    /** Whether a key was meant for the easel and has been dealt with. */
    boolean pressed(KeyEvent key) {
        KeyCode code = key.getCode();
        if (propose.pressedFirst(key)) {
            return true;
        }
        if (key.isControlDown() && (code == KeyCode.LEFT || code == KeyCode.RIGHT)) {
            actions.reorient(code == KeyCode.LEFT ? Reorient.LEFT : Reorient.RIGHT);
            return true;
        }
        boolean isModified = key.isControlDown() || key.isAltDown() || key.isMetaDown();
        if (isModified || isForControl(key)) {
            return false;
        }
        boolean isNumber =
                code.isDigitKey() && !key.getText().isEmpty() && key.getText().charAt(0) > '0';
        if (isNumber) {
            choose(key.getText().charAt(0) - '0');
            return true;
        }
        return easel.tools().stream().anyMatch(tool -> tool.pressed(key))
                || pressedForPhoto(key)
                || pressedForView(key);
    }

    /** Some controls need keys for themselves. */
    private static boolean isForControl(KeyEvent key) {
        boolean isArrow = key.getCode().isArrowKey();
        boolean isAction = key.getCode() == KeyCode.ENTER || key.getCode() == KeyCode.SPACE;
        Object target = key.getTarget();
        return isArrow && target instanceof DegreeScale
                || (isArrow || isAction) && (target instanceof Slider || target instanceof ComboBoxBase<?>)
                || isAction && target instanceof ButtonBase;
    }

    private void choose(int number) {
        session.formatNumbered(number).ifPresent(format -> {
            easel.gestures().finish();
            session.formatProperty().set(format);
        });
    }

    private boolean pressedForPhoto(KeyEvent key) {
        switch (key.getCode()) {
            case PAGE_DOWN -> step(1);
            case PAGE_UP -> step(-1);
            case C -> actions.carry();
            case S -> actions.mark(Mark.SELECT);
            case DELETE -> actions.mark(Mark.OUT);
            case ENTER -> enter(key);
            case LEFT -> arrow(-1, 0, key);
            case RIGHT -> arrow(1, 0, key);
            case UP -> arrow(0, -1, key);
            case DOWN -> arrow(0, 1, key);
            default -> {
                return false;
            }
        }
        return true;
    }

    private void step(int places) {
        easel.gestures().finish();
        session.step(places);
    }

    private void enter(KeyEvent key) {
        if (easel.inHand().isTaken()) {
            easel.inHand().enter(key);
        } else {
            actions.doneAndOn();
        }
    }

    /** Moves the pointer that draws, what has the focus on the stage, or else the crop. */
    private void arrow(int x, int y, KeyEvent key) {
        Point way = new Point(x, y);
        Point pixels = way.times(key.isShiftDown() ? FAR : 1);
        if (easel.gestures().isHeld()) {
            return;
        }
        if (easel.inHand().isTaken()) {
            easel.inHand().move(way, key);
        } else {
            Object part = ((Node) key.getTarget()).getUserData();
            boolean isMoved = easel.tools().stream().anyMatch(tool -> tool.moves(part, pixels));
            if (!isMoved) {
                easel.gestures().slide(pixels);
            }
        }
    }

    private boolean pressedForView(KeyEvent key) {
        switch (key.getCode()) {
            case DIGIT0, NUMPAD0 -> {
                easel.gestures().finish();
                easel.stage().toggleZoom(easel.inHand().pointer());
            }
            case U -> easel.stage().setUncropped(true);
            case SPACE -> easel.mouse().setMovesView(true);
            case ESCAPE -> {
                easel.putAway();
                easel.stage().requestFocus();
                easel.putAllDown();
            }
            default -> {
                return false;
            }
        }
        return true;
    }

    /** Whether a key that was let go was meant for the easel. */
    boolean released(KeyEvent key) {
        boolean isForTool = false;
        for (EaselTool tool : easel.tools()) {
            isForTool |= tool.released(key);
        }
        switch (key.getCode()) {
            case U -> easel.stage().setUncropped(false);
            case SPACE -> easel.mouse().setMovesView(false);
            default -> {
                return isForTool;
            }
        }
        return true;
    }
}
