package nexa.desktop.lineup;

import com.google.common.primitives.Doubles;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;
import nexa.core.format.Format;
import nexa.core.series.CropTable;
import nexa.core.series.StepFromLead;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.PhotoNames;
import nexa.desktop.parts.TextSize;
import nexa.desktop.parts.Words;

/**
 * The spread of the set, a dot a photo on each line, with the tolerance as a band behind. Photos that are measured by their eyes have
 * lines of their own.
 */
final class Spread extends Pane {
    private static final double ROW = TextSize.scaled(23);
    private static final double LABEL = TextSize.scaled(112);
    private static final double WIDTH = 190;
    /** How many tolerances a line reaches to either side. */
    private static final double REACH = 3.5;

    private static final double DOT = 4;

    private final Consumer<String> choose;
    private int rows;

    Spread(Consumer<String> choose) {
        this.choose = choose;
    }

    void show(List<CropTable.Row> entries, Format.Tolerance tolerance, String current) {
        getChildren().clear();
        List<CropTable.Row> measured = entries.stream()
                .filter(entry -> entry.follows() && entry.step().isPresent())
                .toList();
        ToDoubleFunction<StepFromLead> height = step -> step.off().y() / tolerance.position();
        ToDoubleFunction<StepFromLead> tightness = step -> step.tightness() / tolerance.tightness();
        Map<Boolean, List<CropTable.Row>> byEyes = split(measured, StepFromLead::isByEyes);
        Map<Boolean, List<CropTable.Row>> byEyesApart = split(measured, StepFromLead::isByEyesApart);
        rows = 0;
        rowUnlessEmpty("lineup.eyes", byEyes.get(true), height, current);
        rowUnlessOther("lineup.height", byEyes, height, current);
        rowUnlessEmpty("lineup.eyesApart", byEyesApart.get(true), tightness, current);
        rowUnlessOther("lineup.tightness", byEyesApart, tightness, current);
        row("lineup.across", measured, step -> step.off().x() / tolerance.position(), current);
        setMinSize(LABEL + WIDTH + 10, rows * ROW + 4);
        setPrefSize(LABEL + WIDTH + 10, rows * ROW + 4);
    }

    private static Map<Boolean, List<CropTable.Row>> split(List<CropTable.Row> entries, Predicate<StepFromLead> isSo) {
        return entries.stream()
                .collect(Collectors.partitioningBy(
                        entry -> isSo.test(entry.step().orElseThrow())));
    }

    private void rowUnlessEmpty(
            String key, List<CropTable.Row> entries, ToDoubleFunction<StepFromLead> measure, String current) {
        if (!entries.isEmpty()) {
            row(key, entries, measure, current);
        }
    }

    /** The row of those that are not measured by eyes, unless all are. */
    private void rowUnlessOther(
            String key,
            Map<Boolean, List<CropTable.Row>> byEyes,
            ToDoubleFunction<StepFromLead> measure,
            String current) {
        if (byEyes.get(true).isEmpty() || !byEyes.get(false).isEmpty()) {
            row(key, byEyes.get(false), measure, current);
        }
    }

    private void row(String key, List<CropTable.Row> entries, ToDoubleFunction<StepFromLead> measure, String current) {
        double y = rows * ROW + ROW / 2;
        rows++;
        Label label = Parts.label(Words.get(key), "small", "quiet");
        label.relocate(0, y - 9);
        double middle = LABEL + WIDTH / 2;
        double unit = WIDTH / 2 / REACH;
        Rectangle band = new Rectangle(middle - unit, y - 8, 2 * unit, 16);
        band.getStyleClass().add("spread-band");
        Line line = new Line(LABEL, y, LABEL + WIDTH, y);
        line.getStyleClass().add("spread-line");
        getChildren().addAll(label, band, line);
        // Crops that lie at the same place share a dot: thousands of dots on one another would show no more.
        Map<Long, CropTable.Row> dots = new LinkedHashMap<>();
        for (CropTable.Row entry : entries) {
            double value = measure.applyAsDouble(entry.step().orElseThrow());
            long place = Math.round(unit * Doubles.constrainToRange(value, -REACH, REACH));
            boolean isHere = entry.file().equals(current);
            dots.merge(place, entry, (first, next) -> isHere ? next : first);
        }
        dots.forEach((place, entry) -> getChildren().add(dot(middle + place, y, entry, measure, current)));
    }

    private Circle dot(
            double x, double y, CropTable.Row entry, ToDoubleFunction<StepFromLead> measure, String current) {
        Circle dot = new Circle(x, y, DOT);
        dot.getStyleClass().add("spread-dot");
        double value = measure.applyAsDouble(entry.step().orElseThrow());
        if (entry.isOut() && Math.abs(value) > 1) {
            dot.getStyleClass().add("out-dot");
        }
        if (entry.file().equals(current)) {
            dot.getStyleClass().add("here");
        }
        dot.setAccessibleText(PhotoNames.base(entry.file()));
        dot.setOnMouseClicked(event -> choose.accept(entry.file()));
        return dot;
    }
}
