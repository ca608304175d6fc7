package nexa.desktop.desk;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.PathElement;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;

/**
 * A short straight scale of degrees with a thread that can be moved. A drag moves it coarsely, with Shift finely; the wheel and
 * the arrow keys go by a twentieth of a degree, with Shift by half a degree; a double click is nought.
 */
public final class FineScale extends Region {
    private static final double STEP = 0.05;
    private static final double FAR = 10;
    private static final double FINE = 0.1;
    private static final double HEIGHT = 24;
    private static final double MARGIN = 6;
    private static final double HALF_SPAN = 10;
    private static final double KEPT_IN_SIGHT = 9;

    /** Hears where the thread is moved to. */
    interface Listener {
        /** @param isHeld whether the hand is still at it */
        void moved(double degrees, boolean isHeld);

        /** The hand let go. */
        void letGo();
    }

    private final String name;
    private final double most;
    private final Listener listener;
    private final Path scale = new Path();
    private final Path thread = new Path();
    private double degrees;
    private double middle;
    private double lastX;
    private double held;

    /**
     * At nought.
     *
     * @param key of its name; its tip has the same with ".tip"
     * @param most how far it goes either way, in degrees
     */
    FineScale(String id, String key, double most, Listener listener) {
        this.name = Words.get(key);
        this.most = most;
        this.listener = listener;
        setId(id);
        getStyleClass().add("vernier");
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.SLIDER);
        setMinHeight(HEIGHT);
        setPrefHeight(HEIGHT);
        setMaxHeight(HEIGHT);
        Tooltip.install(this, Parts.tooltip(Words.get(key + ".tip")));
        scale.getStyleClass().add("vernier-scale");
        thread.getStyleClass().add("vernier-thread");
        getChildren().addAll(scale, thread);
        setOnMousePressed(this::take);
        setOnMouseDragged(this::drag);
        setOnMouseReleased(event -> listener.letGo());
        setOnScroll(event -> {
            double way = event.getDeltaY() + event.getDeltaX();
            if (way != 0) {
                move(degrees + Math.signum(way) * STEP, false);
                event.consume();
            }
        });
        setOnKeyPressed(event -> {
            int way = event.getCode() == KeyCode.LEFT ? -1 : event.getCode() == KeyCode.RIGHT ? 1 : 0;
            if (way != 0 && !event.isControlDown()) {
                move(degrees + way * (event.isShiftDown() ? FAR : 1) * STEP, false);
                event.consume();
            }
        });
    }

    void show(double newDegrees) {
        degrees = newDegrees;
        setAccessibleText(Words.get("scale.text", name, Words.number(degrees, 2)));
        requestLayout();
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
        listener.moved(within(Math.rint(wanted / STEP) * STEP), isHeld);
    }

    private double within(double value) {
        return Math.max(-most, Math.min(most, value));
    }

    private double perDegree() {
        return Math.max(1, getWidth() - 2 * MARGIN) / (2 * HALF_SPAN);
    }

    private double x(double value) {
        return Math.floor(getWidth() / 2 + (value - middle) * perDegree()) + 0.5;
    }

    @Override
    protected void layoutChildren() {
        // The scale moves on only when the thread would leave it.
        middle = Math.max(degrees - KEPT_IN_SIGHT, Math.min(degrees + KEPT_IN_SIGHT, 0));
        List<PathElement> ticks = new ArrayList<>();
        double foot = HEIGHT - 4.5;
        for (int at = (int) Math.ceil(middle - HALF_SPAN); at <= middle + HALF_SPAN; at++) {
            if (Math.abs(at) <= most) {
                double height = at == 0 ? 15 : at % 5 == 0 ? 9 : 5;
                ticks.add(new MoveTo(x(at), foot));
                ticks.add(new LineTo(x(at), foot - height));
            }
        }
        ticks.add(new MoveTo(MARGIN, foot));
        ticks.add(new LineTo(getWidth() - MARGIN, foot));
        scale.getElements().setAll(ticks);
        double at = x(degrees);
        thread.getElements().setAll(new MoveTo(at, 3), new LineTo(at, HEIGHT - 2));
    }

    @Override
    protected double computePrefWidth(double height) {
        return 120;
    }
}
