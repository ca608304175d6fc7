package nexa.desktop.desk;

import com.google.common.primitives.Doubles;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.PathElement;
import javafx.scene.shape.Polygon;
import javafx.scene.text.Text;
import nexa.core.geometry.Angle;
import nexa.desktop.parts.Words;

/** A straight vernier with a plumb for the photo's angle. */
public final class Vernier extends DegreeScale {
    /** The finest step, in degrees. */
    public static final double STEP = 0.01;

    private static final double HEIGHT = 46;
    private static final double HALF_SPAN = 5;
    private static final double KEPT_IN_SIGHT = 4.5;
    private static final double SCALE_TOP = 20;

    private final Path scale = new Path();
    private final List<Text> numbers = new ArrayList<>();
    private final Polygon plumb = new Polygon(-5, 0, 5, 0, 0, 8);
    private final Path thread = new Path();
    private double middle;

    public Vernier(Listener listener) {
        super(STEP, Angle.MOST, listener);
        setId("vernier");
        setMinHeight(HEIGHT);
        setPrefHeight(HEIGHT);
        scale.getStyleClass().add("vernier-scale");
        plumb.getStyleClass().add("vernier-plumb");
        thread.getStyleClass().add("vernier-thread");
        getChildren().addAll(scale, thread, plumb);
    }

    @Override
    String words(double value) {
        return Words.get("level.text", Words.number(value, 2));
    }

    @Override
    double perDegree() {
        return Math.max(1, getWidth() - 16) / (2 * HALF_SPAN);
    }

    private double x(double value) {
        return Math.floor(getWidth() / 2 + (value - middle) * perDegree()) + 0.5;
    }

    @Override
    protected void layoutChildren() {
        // The scale moves on only when the plumb would leave it.
        middle = Doubles.constrainToRange(0, degrees() - KEPT_IN_SIGHT, degrees() + KEPT_IN_SIGHT);
        List<PathElement> ticks = new ArrayList<>();
        getChildren().removeAll(numbers);
        numbers.clear();
        int from = (int) Math.ceil((middle - HALF_SPAN) * 10);
        int to = (int) Math.floor((middle + HALF_SPAN) * 10);
        for (int tenth = from; tenth <= to; tenth++) {
            if (tenth % 2 != 0 && tenth % 5 != 0 || Math.abs(tenth) > Angle.MOST * 10) {
                continue;
            }
            boolean isWhole = tenth % 10 == 0;
            double x = x(tenth / 10.0);
            ticks.add(new MoveTo(x, HEIGHT - 4));
            ticks.add(new LineTo(x, HEIGHT - 4 - (isWhole ? 14 : tenth % 5 == 0 ? 9 : 6)));
            if (isWhole) {
                addNumber(tenth / 10, x);
            }
        }
        ticks.add(new MoveTo(8, HEIGHT - 3.5));
        ticks.add(new LineTo(getWidth() - 8, HEIGHT - 3.5));
        scale.getElements().setAll(ticks);
        double at = x(degrees());
        thread.getElements().setAll(new MoveTo(at, SCALE_TOP - 4), new LineTo(at, HEIGHT - 8));
        plumb.relocate(at - 5, HEIGHT - 9);
    }

    private void addNumber(int value, double x) {
        Text text = new Text(Words.number(value, 0));
        text.getStyleClass().add("vernier-number");
        text.setY(SCALE_TOP - 7);
        text.applyCss();
        text.setX(x - text.getLayoutBounds().getWidth() / 2);
        numbers.add(text);
        getChildren().add(text);
    }

    @Override
    protected double computePrefWidth(double height) {
        return 300;
    }
}
