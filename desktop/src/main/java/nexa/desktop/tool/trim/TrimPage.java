package nexa.desktop.tool.trim;

import java.util.Collection;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import nexa.core.crop.TypedCrop.Field;
import nexa.core.format.PixelSize;
import nexa.core.message.EnumName;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Trim;
import nexa.desktop.desk.TypedLength;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;

/** The page of the shape for what of a photo does not count as picture. */
final class TrimPage {
    private final TrimHand hand;
    private final Map<Trim.Side, TextField> fields = new EnumMap<>(Trim.Side.class);
    private final Label remaining = Parts.label("", "small", "quiet");
    private final Button untrim;
    private final VBox node;
    private Optional<PhotoCrop> shown = Optional.empty();

    TrimPage(TrimHand hand) {
        this.hand = hand;
        Button find = Parts.smallButton("trim.find", "find-border", hand::findBorder);
        untrim = Parts.smallButton("trim.none", "untrim", () -> hand.trimmed(Trim.NONE));
        GridPane grid = new GridPane();
        grid.setHgap(6);
        grid.setVgap(4);
        add(grid, Trim.Side.LEFT, 0, 0);
        add(grid, Trim.Side.RIGHT, 2, 0);
        add(grid, Trim.Side.TOP, 0, 1);
        add(grid, Trim.Side.BOTTOM, 2, 1);
        HBox foot = Parts.row(6, remaining, Parts.spacer(), untrim, find);
        node = new VBox(5, grid, foot);
    }

    Node node() {
        return node;
    }

    private void add(GridPane grid, Trim.Side side, int column, int row) {
        String name = Words.of("trim.side", side);
        TextField text =
                Parts.numberField("trim-" + EnumName.of(side), 6, name, Words.get("trim.side.tip"), this::refill);
        text.setOnAction(event -> typed(side, text.getText()));
        fields.put(side, text);
        grid.add(Parts.label(Words.of("trim.side", side), "small", "quiet"), column, row);
        grid.add(text, column + 1, row);
    }

    /** The fields of its four sides. */
    Collection<? extends Node> fields() {
        return fields.values();
    }

    private void typed(Trim.Side side, String text) {
        shown.ifPresent(crop -> {
            Field along = side.isUpright() ? Field.LEFT : Field.TOP;
            OptionalDouble pixels = new TypedLength(crop, along, false).pixels(text);
            if (pixels.isPresent()) {
                double share = pixels.getAsDouble() / TypedLength.whole(crop, along);
                hand.trimmed(crop.photo().preparation().trim().with(side, share));
            } else {
                hand.notALength(text);
            }
            refill();
        });
    }

    void show(PhotoCrop crop) {
        shown = Optional.of(crop);
        fields.forEach((side, text) -> {
            if (!text.isFocused()) {
                fill(crop, side, text);
            }
        });
        boolean isTrimmed = !crop.photo().preparation().trim().isNone();
        PixelSize left = PixelSize.nearest(crop.photo().remaining().size());
        remaining.setText(Words.get(isTrimmed ? "trim.remaining" : "trim.all", left.width(), left.height()));
        untrim.setDisable(!isTrimmed);
    }

    private void refill() {
        shown.ifPresent(crop -> fields.forEach((side, text) -> fill(crop, side, text)));
    }

    private static void fill(PhotoCrop crop, Trim.Side side, TextField text) {
        double whole = TypedLength.whole(crop, side.isUpright() ? Field.LEFT : Field.TOP);
        text.setText(Words.get(
                "trim.pixels", Words.number(crop.photo().preparation().trim().at(side) * whole, 0)));
    }

    void clear() {
        shown = Optional.empty();
        fields.values().forEach(TextField::clear);
        remaining.setText("");
    }
}
