package nexa.desktop.tool.lens;

import java.util.List;
import java.util.Optional;
import java.util.function.DoubleConsumer;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import nexa.core.shape.Lens;
import nexa.core.shape.LensProfile;
import nexa.desktop.desk.DegreeScale;
import nexa.desktop.desk.FineScale;
import nexa.desktop.desk.NumberFields;
import nexa.desktop.desk.ScaleGrid;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;

/** The page of the shape for a photo's lens: which it is, and how much of what it did is taken out. */
final class LensPage {
    private static final double PERCENT = 100;

    private final LensHand hand;
    private final Label name = Parts.name("small");
    private final Button putRight;
    private final Button asShot;
    private final FineScale bending;
    private final FineScale bulge;
    private final NumberFields numbers;
    private final List<Node> amounts;
    private final VBox node;
    private Optional<Lens> shown = Optional.empty();

    LensPage(LensHand hand, BentLines bent) {
        this.hand = hand;
        this.numbers = new NumberFields(hand::notANumber);
        name.setId("lens-name");
        name.setMinWidth(0);
        name.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(name, Priority.ALWAYS);
        putRight = Parts.smallButton("lens.putRight", "lens-put-right", hand::putRight);
        asShot = Parts.smallButton("lens.asShot", "lens-as-shot", hand::asShot);
        asShot.managedProperty().bind(asShot.visibleProperty());
        putRight.managedProperty().bind(putRight.visibleProperty());
        Button byLines = Parts.smallButton("lens.byLines", "lens-by-lines", bent::toggle);
        HBox head = new HBox(
                5,
                name,
                byLines,
                Parts.smallButton("lens.choose", "lens-choose-other", hand::choose),
                putRight,
                asShot);
        head.setAlignment(Pos.CENTER_LEFT);
        bending = new FineScale(
                "lens-distortion",
                "lens.distortion",
                new FineScale.Reach(PERCENT, 1, PERCENT),
                moving((lens, value) -> lens.withDistortion(1 + value / PERCENT)));
        bulge = new FineScale(
                "lens-bulge",
                "lens.bulge",
                new FineScale.Reach(Lens.MOST_BULGE, 1, Lens.MOST_BULGE),
                moving(Lens::withBulge));
        TextField distortion = amount("distortion", now -> now.distortion(), Lens::withDistortion);
        TextField colour = amount("colour", now -> now.colour(), Lens::withColour);
        TextField vignetting = amount("vignetting", now -> now.vignetting(), Lens::withVignetting);
        TextField bulgeNumber = numbers.add(
                "lens-bulge-number",
                "lens.bulge",
                4,
                () -> Words.number(now().bulge(), 0),
                value -> set(lens -> lens.withBulge(value)));
        amounts = List.of(bending, distortion, colour, vignetting);
        ScaleGrid grid = new ScaleGrid();
        grid.add("lens.distortion", bending, distortion, "lens.colour", colour);
        grid.add("lens.bulge", bulge, bulgeNumber, "lens.vignetting", vignetting);
        node = new VBox(4, head, grid);
    }

    /** Something of a lens set to a number. */
    private interface Setting {
        Lens of(Lens lens, double value);
    }

    /** Something of a lens that is a number. */
    private interface Getting {
        double of(Lens lens);
    }

    private TextField amount(String what, Getting getting, Setting setting) {
        DoubleConsumer typed = value -> set(lens -> setting.of(lens, value / PERCENT));
        return numbers.add(
                "lens-" + what + "-number",
                "lens." + what,
                4,
                () -> Words.get("desk.percent.value", Words.number(PERCENT * getting.of(now()), 0)),
                typed);
    }

    private DegreeScale.Listener moving(Setting setting) {
        return new DegreeScale.Listener() {
            @Override
            public void moved(double value, boolean isHeld) {
                hand.change(lens -> setting.of(lens, value), isHeld);
            }

            @Override
            public void letGo() {
                hand.letGo();
            }
        };
    }

    private void set(UnaryOperator<Lens> change) {
        hand.change(change, false);
        hand.letGo();
    }

    private Lens now() {
        return shown.orElse(Lens.byHand(0));
    }

    Node node() {
        return node;
    }

    /** @param told what is known of the lens that took the photo */
    void show(Optional<Lens> lens, LensHand.Told told) {
        shown = lens;
        Optional<String> right = lens.flatMap(Lens::profile).map(LensProfile::name);
        name.setText(right.orElse(told.words()));
        Parts.tip(name, name.getText());
        boolean isPutRight = lens.isPresent();
        putRight.setVisible(!isPutRight);
        putRight.setDisable(!told.isKnown());
        asShot.setVisible(isPutRight);
        amounts.forEach(one -> one.setDisable(right.isEmpty()));
        bending.show(PERCENT * (now().distortion() - 1));
        bulge.show(now().bulge());
        numbers.show();
    }

    void clear() {
        shown = Optional.empty();
        name.setText("");
        numbers.clear();
    }
}
