package nexa.desktop.easel;

import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.Slider;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import nexa.core.crop.Handle;
import nexa.core.geometry.Point;
import nexa.core.series.Reorient;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Trim;
import nexa.desktop.desk.DegreeScale;
import nexa.desktop.desk.EaselSettings;
import nexa.desktop.session.ShootSession;
import nexa.desktop.stage.LineEnds;
import nexa.desktop.stage.PhotoStage;

/** What each key does on the easel. */
final class EaselKeys {
    private static final int FAR = 10;

    private final ShootSession session;
    private final PhotoStage stage;
    private final StageHand hand;
    private final FindLevel find;
    private final TrimHand trim;
    private final PerspectiveHand perspective;
    private final BeyondHand beyond;
    private final LinesHand lines;
    private final ProposalStrip proposals;
    private final Runnable forget;
    private final PhotoActions actions;
    private final EaselSettings settings;
    private final StageLooks looks;

    /** @param forget withdraws whatever is offered */
    EaselKeys(
            ShootSession session,
            PhotoStage stage,
            StageHand hand,
            FindLevel find,
            TrimHand trim,
            PerspectiveHand perspective,
            BeyondHand beyond,
            LinesHand lines,
            ProposalStrip proposals,
            Runnable forget,
            PhotoActions actions,
            EaselSettings settings,
            StageLooks looks) {
        this.session = session;
        this.stage = stage;
        this.hand = hand;
        this.find = find;
        this.trim = trim;
        this.perspective = perspective;
        this.beyond = beyond;
        this.lines = lines;
        this.proposals = proposals;
        this.forget = forget;
        this.actions = actions;
        this.settings = settings;
        this.looks = looks;
    }

    /** Whether a key was meant for the easel and has been dealt with. */
    boolean pressed(KeyEvent key) {
        KeyCode code = key.getCode();
        if (proposals.isOpen() && proposals.pressed(key)) {
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
        return pressedForCrop(key) || pressedForPhoto(key) || pressedForLooks(key);
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
            hand.gestures().finish();
            session.formatProperty().set(format);
        });
    }

    private boolean pressedForCrop(KeyEvent key) {
        double turn = key.isShiftDown() ? 1 : 0.1;
        switch (key.getCode()) {
            case W -> hand.gestures().turnCrop();
            case HOME -> hand.gestures().largest();
            case E -> beyond.toggle();
            case PLUS, EQUALS, ADD -> hand.gestures().tighten(1);
            case MINUS, SUBTRACT -> hand.gestures().tighten(-1);
            case COMMA, LESS -> hand.gestures().photo().turnBy(-turn);
            case PERIOD, GREATER -> hand.gestures().photo().turnBy(turn);
            case L -> {
                forget.run();
                hand.tools().take(Tools.Tool.TRACE);
            }
            case N -> hand.tools().take(Tools.Tool.DRAW);
            case P -> hand.tools().take(Tools.Tool.SUBJECT);
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

    /** Moves the pointer that draws, the side whose handle has the focus, or else the crop. */
    private void arrow(int x, int y, KeyEvent key) {
        Point way = new Point(x, y);
        Point pixels = way.times(key.isShiftDown() ? FAR : 1);
        if (hand.gestures().isHeld()) {
            return;
        }
        if (hand.tool().isTaken()) {
            hand.tool().move(way, key);
        } else if (key.getTarget() instanceof Node target && target.getUserData() instanceof Handle side) {
            hand.gestures().moveSide(side, pixels);
        } else if (key.getTarget() instanceof Node target && target.getUserData() instanceof Trim.Side side) {
            trim.move(side, pixels);
        } else if (key.getTarget() instanceof Node target && target.getUserData() instanceof LineEnds.End end) {
            lines.move(end, pixels);
        } else {
            hand.gestures().slide(pixels);
        }
    }

    private boolean pressedForPhoto(KeyEvent key) {
        switch (key.getCode()) {
            case PAGE_DOWN -> step(1);
            case PAGE_UP -> step(-1);
            case F -> find(key);
            case K -> proposals.propose();
            case C -> actions.carry();
            case S -> actions.mark(Mark.SELECT);
            case DELETE -> actions.mark(Mark.OUT);
            case ENTER -> enter(key);
            default -> {
                return false;
            }
        }
        return true;
    }

    private void find(KeyEvent key) {
        if (key.isShiftDown()) {
            actions.findInMany();
        } else {
            find.find();
        }
    }

    private void step(int places) {
        hand.gestures().finish();
        session.step(places);
    }

    private void enter(KeyEvent key) {
        if (hand.tool().isTaken()) {
            hand.tool().enter(key);
        } else {
            actions.doneAndOn();
        }
    }

    private boolean pressedForLooks(KeyEvent key) {
        switch (key.getCode()) {
            case M -> settings.mat().set(settings.mat().get().next());
            case V -> settings.show().set(settings.show().get().next());
            case G -> settings.step(key.isShiftDown() ? -1 : 1);
            case T -> settings.turn();
            case Q -> settings.holdsPhoto().set(!settings.holdsPhoto().get());
            case DIGIT0, NUMPAD0 -> {
                hand.gestures().finish();
                stage.toggleZoom(hand.tool().pointer());
            }
            case B -> looks.showBare(true);
            case U -> {
                if (key.isShiftDown()) {
                    perspective.showWithout(true);
                } else {
                    stage.setUncropped(true);
                }
            }
            case SPACE -> hand.mouse().setMovesView(true);
            case ESCAPE -> {
                forget.run();
                stage.requestFocus();
                hand.tools().putAllDown();
                lines.putAway();
            }
            default -> {
                return false;
            }
        }
        return true;
    }

    /** Whether a key that was let go was meant for the easel. */
    boolean released(KeyEvent key) {
        switch (key.getCode()) {
            case B -> looks.showBare(false);
            case U -> {
                stage.setUncropped(false);
                perspective.showWithout(false);
            }
            case SPACE -> hand.mouse().setMovesView(false);
            default -> {
                return false;
            }
        }
        return true;
    }
}
