package nexa.desktop.tool.perspective;

import java.util.Optional;
import java.util.OptionalDouble;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import nexa.core.shape.FocalLength;
import nexa.core.shape.Perspective;
import nexa.desktop.desk.DegreeScale;
import nexa.desktop.desk.FineScale;
import nexa.desktop.desk.NumberFields;
import nexa.desktop.desk.ScaleGrid;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;

/** The page of the shape for a photo's perspective: by scales, by numbers, by lines. */
final class PerspectivePage {
    private final PerspectiveHand hand;
    private final FineScale tilt;
    private final FineScale swing;
    private final NumberFields numbers;
    private final TextField strength;
    private final Label source = Parts.label("", "small", "quiet");
    private final ToggleButton byLines;
    private final Button asShot;
    private final VBox node;
    private Optional<Perspective> shown = Optional.empty();
    private FocalLength shownFocal = FocalLength.of(Optional.empty(), OptionalDouble.empty());

    PerspectivePage(PerspectiveHand hand, LinesHand lines) {
        this.hand = hand;
        numbers = new NumberFields(hand::notANumber);
        tilt = new FineScale("tilt", "perspective.tilt", FineScale.Reach.degrees(Perspective.MOST), new Moving(true));
        swing = new FineScale(
                "swing", "perspective.swing", FineScale.Reach.degrees(Perspective.MOST), new Moving(false));
        TextField tiltNumber = numbers.add(
                "tilt-number",
                "perspective.tilt",
                4,
                () -> degrees(now().tilt()),
                degrees -> facedTo(degrees, now().swing()));
        TextField swingNumber = numbers.add(
                "swing-number",
                "perspective.swing",
                4,
                () -> degrees(now().swing()),
                degrees -> facedTo(now().tilt(), degrees));
        TextField stretch =
                numbers.add("stretch", "perspective.stretch", 3, () -> Words.number(now().stretch(), 2), hand::stretch);
        TextField focal = numbers.add(
                "focal-length",
                "perspective.focal",
                4,
                () -> Words.get("camera.focal", Words.number(shownFocal.millimetres(), 0)),
                hand::focalLength);
        strength = numbers.add(
                "strength",
                "perspective.strength",
                4,
                () -> Words.get("desk.percent.value", Words.number(now().strength(), 0)),
                hand::strength);
        byLines = Parts.toggle("perspective.byLines", "choice", "small-button");
        byLines.setId("by-lines");
        byLines.setMinWidth(Region.USE_PREF_SIZE);
        byLines.setOnAction(event -> lines.drawOrPutAway());
        asShot = Parts.smallButton("perspective.asShot", "perspective-as-shot", () -> {
            lines.putAway();
            hand.asShot();
        });
        ScaleGrid grid = new ScaleGrid();
        grid.add("perspective.tilt", tilt, tiltNumber, "perspective.stretch", stretch);
        grid.add("perspective.swing", swing, swingNumber, "perspective.focal", focal);
        HBox foot = Parts.row(
                5, byLines, Parts.label(Words.get("perspective.strength"), "small", "quiet"), strength, Parts.spacer());
        foot.getChildren().addAll(source, asShot);
        node = new VBox(4, grid, foot);
    }

    /** One of the scales is moved. */
    private final class Moving implements DegreeScale.Listener {
        private final boolean isTilt;

        Moving(boolean isTilt) {
            this.isTilt = isTilt;
        }

        @Override
        public void moved(double degrees, boolean isHeld) {
            hand.faced(isTilt ? degrees : now().tilt(), isTilt ? now().swing() : degrees, isHeld);
        }

        @Override
        public void letGo() {
            hand.letGo();
        }
    }

    private void facedTo(double newTilt, double newSwing) {
        if (!(Math.max(Math.abs(newTilt), Math.abs(newSwing)) <= Perspective.MOST)) {
            throw new IllegalArgumentException("a camera is not turned so far");
        }
        hand.faced(newTilt, newSwing, false);
        hand.letGo();
    }

    private Perspective now() {
        return shown.orElseGet(() -> Perspective.none(shownFocal.millimetres()));
    }

    private static String degrees(double value) {
        return Words.get("level.degrees", Words.number(value, 2));
    }

    Node node() {
        return node;
    }

    void show(Optional<Perspective> perspective, FocalLength focalLength) {
        shown = perspective;
        shownFocal = focalLength;
        tilt.show(now().tilt());
        swing.show(now().swing());
        numbers.show();
        strength.setDisable(now().tilt() == 0 && now().swing() == 0);
        source.setText(Words.of("focal.source", focalLength.source()));
        asShot.setDisable(perspective.isEmpty());
    }

    /** Whether the lines are being drawn, or shown. */
    void markByLines(boolean isOn) {
        byLines.setSelected(isOn);
    }

    void clear() {
        shown = Optional.empty();
        tilt.show(0);
        swing.show(0);
        numbers.clear();
        source.setText("");
    }
}
