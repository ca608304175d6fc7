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

/** A short straight scale with a thread that is moved. */
public final class FineScale extends DegreeScale {
    private static final double HEIGHT = 24;
    private static final double WIDTH = 120;
    private static final double MARGIN = 6;
    private static final int TICKS = 10;
    private static final double KEPT_IN_SIGHT = 0.9;

    /**
     * What a scale tells.
     *
     * @param most how far it goes either way
     * @param step the finest
     * @param halfSpan so much of it is in sight on either side of its middle
     */
    public record Reach(double most, double step, double halfSpan) {
        /** Of degrees. */
        public static Reach degrees(double most) {
            return new Reach(most, 0.05, 10);
        }
    }

    private final String name;
    private final Reach reach;
    private final Path scale = new Path();
    private final Path thread = new Path();
    private double middle;

    /**
     * At nought.
     *
     * @param key of its name; its tip has the same with ".tip"
     */
    public FineScale(String id, String key, Reach reach, Listener listener) {
        super(reach.step(), reach.most(), listener);
        this.name = Words.get(key);
        this.reach = reach;
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
        return Math.max(1, getWidth() - 2 * MARGIN) / (2 * reach.halfSpan());
    }

    private double x(double value) {
        return Math.floor(getWidth() / 2 + (value - middle) * perDegree()) + 0.5;
    }

    @Override
    protected void layoutChildren() {
        // The scale moves on only when the thread would leave it.
        double kept = reach.most() > reach.halfSpan() ? KEPT_IN_SIGHT * reach.halfSpan() : reach.halfSpan();
        middle = Math.max(degrees() - kept, Math.min(degrees() + kept, 0));
        List<PathElement> ticks = new ArrayList<>();
        double foot = HEIGHT - 4.5;
        double apart = reach.halfSpan() / TICKS;
        for (int i = (int) Math.ceil(middle / apart) - TICKS; i * apart <= middle + reach.halfSpan(); i++) {
            if (Math.abs(i * apart) <= reach.most()) {
                double height = i == 0 ? 15 : i % 5 == 0 ? 9 : 5;
                ticks.add(new MoveTo(x(i * apart), foot));
                ticks.add(new LineTo(x(i * apart), foot - height));
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
