package nexa.desktop.tool.beyond;

import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import nexa.core.message.Rejected;
import nexa.core.series.FillPlan;
import nexa.core.series.Passing;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Beyond;
import nexa.core.shoot.Colour;
import nexa.desktop.parts.FormatWords;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;

/** Says in the stage's corner how much of a crop is not photo and how well that will pass, and offers what it is filled by. */
final class BeyondBar extends HBox {
    /** Keeps clear of the handle in the crop's corner, whether the crop is as wide as the stage or as high. */
    private static final double BESIDE_HANDLE = 44;

    private static final double ABOVE_HANDLE = 48;
    /** A colour that nobody has chosen yet. */
    private static final Colour USUAL = new Colour(0xEE, 0xEA, 0xE2);

    private final Consumer<Beyond> filled;
    private final Consumer<String> messages;
    private final Node mark = Parts.triangle();
    private final Label said = Parts.label("", "small");
    private final MenuButton fill = new MenuButton();
    private final TextField colour = new TextField();
    private Beyond beyond = Beyond.USUAL;

    /**
     * Nothing shown yet.
     *
     * @param filled hears what is to fill the crop shown
     * @param messages hears what the photographer is to be told
     */
    BeyondBar(Consumer<Beyond> filled, Consumer<String> messages) {
        this.filled = filled;
        this.messages = messages;
        setId("beyond-bar");
        getStyleClass().add("trace-bar");
        setAlignment(Pos.CENTER_LEFT);
        setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        setVisible(false);
        StackPane.setAlignment(this, Pos.BOTTOM_RIGHT);
        StackPane.setMargin(this, new Insets(0, BESIDE_HANDLE, ABOVE_HANDLE, 0));
        said.setId("beyond-said");
        fill.setId("beyond-fill");
        fill.setAccessibleText(Words.get("beyond.fill"));
        fill.setTooltip(Parts.tooltip(Words.get("beyond.fill.tip")));
        fill.getItems()
                .setAll(
                        Parts.item(
                                Words.of("beyond.by", Beyond.Fill.PICTURE),
                                () -> filled.accept(beyond.withFill(Beyond.Fill.PICTURE))),
                        Parts.item(
                                Words.of("beyond.by", Beyond.Fill.STRETCH),
                                () -> filled.accept(beyond.withFill(Beyond.Fill.STRETCH))),
                        Parts.item(
                                Words.get("beyond.by.edge"), () -> filled.accept(beyond.withColour(Optional.empty()))),
                        Parts.item(
                                Words.get("beyond.by.white"),
                                () -> filled.accept(beyond.withColour(Optional.of(Colour.WHITE)))),
                        Parts.item(
                                Words.get("beyond.by.colour"),
                                () -> filled.accept(beyond.withColour(Optional.of(USUAL)))));
        colour.setId("beyond-colour");
        colour.setPrefColumnCount(6);
        colour.getStyleClass().add("number-field");
        colour.setAccessibleText(Words.get("beyond.colour"));
        colour.setTooltip(Parts.tooltip(Words.get("beyond.colour.tip")));
        colour.setOnAction(event -> typed());
        getChildren().addAll(mark, said, fill, colour);
    }

    /** Shows how a crop reaches beyond its photo; nothing where it may not. */
    void show(PhotoCrop crop) {
        setVisible(crop.outline().isReaching());
        beyond = crop.photo().entry(crop.format().id()).beyond();
        boolean isChosen =
                beyond.fill() == Beyond.Fill.COLOUR && beyond.colour().isPresent();
        show(colour, isChosen);
        if (!colour.isFocused()) {
            colour.setText(beyond.colour().map(Colour::toString).orElse(""));
        }
        fill.setText(isChosen ? Words.get("beyond.by.chosen") : by(beyond.fill()));
        Optional<FillPlan> plan = FillPlan.of(crop);
        Optional<Passing> passing = plan.flatMap(Passing::of);
        show(mark, passing.filter(one -> one != Passing.PASSES).isPresent());
        said.setText(plan.map(one -> words(crop, one, passing)).orElse(Words.get("beyond.none")));
    }

    private void typed() {
        try {
            filled.accept(
                    beyond.withColour(Optional.of(Colour.parse(colour.getText().strip()))));
        } catch (Rejected e) {
            messages.accept(Words.wrong(e));
        }
    }

    private static String by(Beyond.Fill fill) {
        return fill == Beyond.Fill.COLOUR ? Words.get("beyond.by.edge") : Words.of("beyond.by", fill);
    }

    private static void show(Node node, boolean shown) {
        node.setVisible(shown);
        node.setManaged(shown);
    }

    private static String words(PhotoCrop crop, FillPlan plan, Optional<Passing> passing) {
        boolean isTooFar = plan.fill() != plan.beyond().fill();
        String limit = crop.isAtLimit() ? Words.get("beyond.limit") : isTooFar ? Words.get("beyond.tooFar") : "";
        return FormatWords.beyond(crop, passing) + limit;
    }
}
