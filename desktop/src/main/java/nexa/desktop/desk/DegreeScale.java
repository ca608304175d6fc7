package nexa.desktop.desk;

import javafx.scene.AccessibleRole;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Region;

/**
 * A straight scale of degrees along which something is moved. A drag moves it coarsely, with Shift finely; the wheel and the
 * arrow keys go by a step, with Shift by ten; a double click is nought.
 */
public abstract class DegreeScale extends Region {
    private static final double FAR = 10;
    private static final double FINE = 0.1;

    /** Hears where it is moved to. */
    public interface Listener {
        /** @param isHeld whether the hand is still at it */
        void moved(double degrees, boolean isHeld);

        /** The hand let go. */
        void letGo();
    }

    private final double step;
    private final double most;
    private final Listener listener;
    private double degrees;
    private double lastX;
    private double held;

    /**
     * At nought.
     *
     * @param step the finest, in degrees
     * @param most how far it goes either way, in degrees
     */
    DegreeScale(double step, double most, Listener listener) {
        this.step = step;
        this.most = most;
        this.listener = listener;
        getStyleClass().add("vernier");
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.SLIDER);
        setOnMousePressed(this::take);
        setOnMouseDragged(this::drag);
        setOnMouseReleased(event -> listener.letGo());
        setOnScroll(this::scroll);
        setOnKeyPressed(event -> {
            int way = event.getCode() == KeyCode.LEFT ? -1 : event.getCode() == KeyCode.RIGHT ? 1 : 0;
            if (way != 0 && !event.isControlDown()) {
                move(degrees + way * (event.isShiftDown() ? FAR : 1) * step, false);
                event.consume();
            }
        });
    }

    /** How many pixels a degree takes. */
    abstract double perDegree();

    /** What a value is called. */
    abstract String words(double value);

    public void show(double newDegrees) {
        degrees = newDegrees;
        setAccessibleText(words(degrees));
        requestLayout();
    }

    double degrees() {
        return degrees;
    }

    private void scroll(ScrollEvent event) {
        double way = event.getDeltaY() + event.getDeltaX();
        if (way != 0) {
            move(degrees + Math.signum(way) * step, false);
            event.consume();
        }
    }

    private void take(MouseEvent event) {
        requestFocus();
        lastX = event.getX();
        held = degrees;
        if (event.getButton() == MouseButton.PRIMARY && event.getClickCount() == 2) {
            move(0, false);
            held = 0;
        }
    }

    private void drag(MouseEvent event) {
        double way = (event.getX() - lastX) / perDegree();
        lastX = event.getX();
        held = within(held + (event.isShiftDown() ? FINE * way : way));
        move(held, true);
    }

    private void move(double wanted, boolean isHeld) {
        listener.moved(within(Math.rint(wanted / step) * step), isHeld);
    }

    private double within(double value) {
        return Math.max(-most, Math.min(most, value));
    }
}
