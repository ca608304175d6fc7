package nexa.desktop.tool.crop;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import nexa.core.crop.TypedCrop;
import nexa.core.crop.TypedCrop.Field;
import nexa.core.message.EnumName;
import nexa.core.series.AskCheck;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Edit;
import nexa.desktop.desk.DeskPart;
import nexa.desktop.desk.TypedLength;
import nexa.desktop.parts.AskWords;
import nexa.desktop.parts.FormatWords;
import nexa.desktop.parts.Overlays;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.TextSize;
import nexa.desktop.parts.Words;
import nexa.desktop.tool.Easel;

/** The desk's part for the crop in numbers: in pixels or per cent of the photo, and what comes out. */
final class CropSection {
    private static final double WIDTH = 250;

    private final Easel easel;
    private final Map<Field, TextField> fields = new EnumMap<>(Field.class);
    private final ToggleButton inPercent;
    private final Label output = Parts.label("", "small");
    private final Label detail = Parts.label("", "small", "quiet");
    private final Label asked = Parts.label("", "small", "look");
    private final DeskPart part = new DeskPart("desk.crop");
    private Optional<PhotoCrop> shown = Optional.empty();

    CropSection(Easel easel) {
        this.easel = easel;
        inPercent = Parts.toggle("desk.percent", "choice", "tiny");
        inPercent.setId("in-percent");
        inPercent.setOnAction(event -> refill());
        GridPane grid = new GridPane();
        grid.setHgap(6);
        grid.setVgap(4);
        add(grid, Field.WIDTH, "desk.width", 0, 0);
        add(grid, Field.LEFT, "desk.left", 2, 0);
        add(grid, Field.HEIGHT, "desk.height", 0, 1);
        add(grid, Field.TOP, "desk.top", 2, 1);
        asked.setId("not-as-asked");
        asked.setMinWidth(0);
        HBox heading = Parts.row(6, part.head(), asked, Parts.spacer(), inPercent);
        Button print = Parts.button("desk.print", this::printHelp, "small-button");
        print.setId("print-help");
        HBox foot = Parts.row(6, new VBox(0, output, detail), Parts.spacer(), print);
        VBox node = new VBox(5, heading, grid, foot);
        node.getStyleClass().add("desk-section");
        part.with(node, TextSize.scaled(WIDTH));
    }

    private void add(GridPane grid, Field field, String key, int column, int row) {
        TextField text = Parts.numberField(
                "number-" + EnumName.of(field), 5, Words.get(key), Words.get("desk.number.tip"), this::refill);
        text.setOnAction(event -> typed(field, text.getText()));
        fields.put(field, text);
        grid.add(Parts.label(Words.get(key), "small", "quiet"), column, row);
        grid.add(text, column + 1, row);
    }

    private void typed(Field field, String text) {
        shown.ifPresent(crop -> {
            OptionalDouble pixels = new TypedLength(crop, field, inPercent.isSelected()).pixels(text);
            if (pixels.isPresent()) {
                typed(field, pixels.getAsDouble());
            } else {
                easel.tell(Words.get("desk.notALength", text));
            }
            refill();
        });
    }

    /** A length in the photo's pixels was typed. */
    private void typed(Field field, double pixels) {
        easel.gestures().finish();
        easel.session().crop().ifPresent(crop -> {
            boolean keepsRatio = !crop.format().ratio().isFree();
            TypedCrop.Typed typed = TypedCrop.type(crop.outline(), crop.crop(), field, pixels, keepsRatio);
            easel.gestures().commit(Edit.Kind.TYPE, typed.crop());
            easel.say(typed.isLimited() ? Words.get("desk.limited") : "");
        });
        easel.stage().requestFocus();
    }

    private void printHelp() {
        easel.gestures().finish();
        Overlays overlays = easel.overlays();
        easel.session().crop().ifPresent(crop -> overlays.show(new PrintHelp(crop, overlays::close)));
    }

    DeskPart part() {
        return part;
    }

    void show(PhotoCrop crop) {
        shown = Optional.of(crop);
        fields.forEach((field, text) -> {
            if (!text.isFocused()) {
                fill(crop, field, text);
            }
        });
        output.setText(FormatWords.shortOutput(crop));
        detail.setText(FormatWords.detail(crop));
        List<AskCheck> checks = AskCheck.of(crop, easel.session().levels());
        boolean isOff = checks.stream().anyMatch(check -> check.outcome() == AskCheck.Outcome.MISSED);
        String off = AskWords.said(checks);
        asked.setText(AskWords.inShort(checks));
        asked.setGraphic(isOff ? Parts.triangle() : null);
        asked.setAccessibleText(off);
        Parts.style(asked, "small", isOff ? "look" : "quiet");
        Parts.tip(asked, off.isEmpty() ? "" : Words.get("desk.notAsAsked", off));
        Parts.style(detail, "small", crop.hasTooFewPixels() ? "look" : "quiet");
    }

    private void refill() {
        shown.ifPresent(crop -> fields.forEach((field, text) -> fill(crop, field, text)));
    }

    private void fill(PhotoCrop crop, Field field, TextField text) {
        double pixels = TypedCrop.value(crop.outline(), crop.crop(), field);
        double whole = TypedLength.whole(crop, field);
        text.setText(
                inPercent.isSelected()
                        ? Words.get("desk.percent.value", Words.number(100 * pixels / whole, 1))
                        : Words.number(pixels, 0));
    }

    void clear() {
        shown = Optional.empty();
        fields.values().forEach(TextField::clear);
        output.setText("");
        detail.setText("");
        asked.setText("");
        asked.setGraphic(null);
    }
}
