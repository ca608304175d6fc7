package nexa.desktop.desk;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Tooltip;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.PathElement;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;

/** A short straight scale of degrees with a thread that is moved. */
final class FineScale extends DegreeScale {
    private static final double STEP = 0.05;
    private static final double HEIGHT = 24;
    private static final double WIDTH = 120;
    private static final double MARGIN = 6;
    private static final double HALF_SPAN = 10;
    private static final double KEPT_IN_SIGHT = 9;

    private final String name;
    private final double most;
    private final Path scale = new Path();
    private final Path thread = new Path();
    private double middle;

    /**
     * At nought.
     *
     * @param key of its name; its tip has the same with ".tip"
     * @param most how far it goes either way, in degrees
     */
    FineScale(String id, String key, double most, Listener listener) {
        super(STEP, most, listener);
        this.name = Words.get(key);
        this.most = most;
        setId(id);
        setMinHeight(HEIGHT);
        setPrefHeight(HEIGHT);
        setMaxHeight(HEIGHT);
        Tooltip.install(this, Parts.tooltip(Words.get(key + ".tip")));
        scale.getStyleClass().add("vernier-scale");
        thread.getStyleClass().add("vernier-thread");
        getChildren().addAll(scale, thread);
    }

    @Override
    String words(double value) {
        return Words.get("scale.text", name, Words.number(value, 2));
    }

    @Override
    double perDegree() {
        return Math.max(1, getWidth() - 2 * MARGIN) / (2 * HALF_SPAN);
    }

    private double x(double value) {
        return Math.floor(getWidth() / 2 + (value - middle) * perDegree()) + 0.5;
    }

    @Override
    protected void layoutChildren() {
        // The scale moves on only when the thread would leave it.
        middle = Math.max(degrees() - KEPT_IN_SIGHT, Math.min(degrees() + KEPT_IN_SIGHT, 0));
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
        double at = x(degrees());
        thread.getElements().setAll(new MoveTo(at, 3), new LineTo(at, HEIGHT - 2));
    }

    @Override
    protected double computePrefWidth(double height) {
        return WIDTH;
    }
}
