package nexa.desktop.formats;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import nexa.core.format.Format;
import nexa.core.format.LengthUnit;
import nexa.core.format.OutputSize;
import nexa.core.format.Paper;
import nexa.core.format.Ratio;
import nexa.desktop.parts.FormatWords;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;

/** The part of the format editor for the size its files come out at: none, pixels, or paper. */
final class SizeEditor {
    private static final double USUAL_PPI = 300;

    private final Supplier<Format> now;
    private final ComboBox<String> kind = new ComboBox<>();
    private final TextField width = numberField("format-width", "editor.width");
    private final TextField height = numberField("format-height", "editor.height");
    private final TextField ppi = numberField("format-ppi", "editor.ppi");
    private final HBox sizes = new HBox(6);
    private final HBox kindRow;
    private boolean isFilling;

    /**
     * An editor of a format's size.
     *
     * @param typed hears that another size may have been typed
     * @param chosen takes a size of another kind
     * @param paper takes a paper's ratio and size
     */
    SizeEditor(Supplier<Format> now, Runnable typed, Consumer<OutputSize> chosen, BiConsumer<Ratio, OutputSize> paper) {
        this.now = now;
        kind.setId("format-size");
        kind.setAccessibleText(Words.get("editor.size"));
        kind.getItems()
                .addAll(
                        Words.get("editor.cropped"),
                        Words.get("editor.pixels"),
                        Words.get("editor.edge"),
                        Words.get("editor.paper", Words.get("unit.cm")),
                        Words.get("editor.paper", Words.get("unit.mm")),
                        Words.get("editor.paper", Words.get("unit.in")));
        kind.setOnAction(event -> {
            int asked = kind.getSelectionModel().getSelectedIndex();
            if (!isFilling && asked != kindOf(now.get().size())) {
                chosen.accept(startingSize(now.get(), asked));
            }
        });
        for (TextField field : List.of(width, height, ppi)) {
            field.setOnAction(event -> typed.run());
            field.focusedProperty().addListener((observed, before, isFocused) -> {
                if (!isFocused && !isFilling) {
                    typed.run();
                }
            });
        }
        sizes.setAlignment(Pos.CENTER_LEFT);
        kindRow = new HBox(6, kind, papers(paper));
    }

    private static TextField numberField(String id, String key) {
        TextField field = new TextField();
        field.setId(id);
        field.setPrefColumnCount(5);
        field.getStyleClass().add("number-field");
        field.setAccessibleText(Words.get(key));
        field.setTooltip(Parts.tooltip(Words.get(key)));
        return field;
    }

    private MenuButton papers(BiConsumer<Ratio, OutputSize> paper) {
        MenuButton menu = new MenuButton(Words.get("editor.papers"));
        menu.setId("format-papers");
        menu.setTooltip(Parts.tooltip(Words.get("editor.papers.tip")));
        for (Paper each : Paper.COMMON) {
            MenuItem item = new MenuItem(FormatWords.paper(each));
            item.setOnAction(event -> {
                double resolution = now.get().size() instanceof OutputSize.Print print ? print.ppi() : USUAL_PPI;
                OutputSize size = new OutputSize.Print(each.longSide(), each.shortSide(), each.unit(), resolution);
                paper.accept(Ratio.of(Words.plain(each.longSide()), Words.plain(each.shortSide())), size);
            });
            menu.getItems().add(item);
        }
        return menu;
    }

    Node kindRow() {
        return kindRow;
    }

    Node sizeRow() {
        return sizes;
    }

    /** Shows the format's size as it is. */
    void fill() {
        isFilling = true;
        OutputSize size = now.get().size();
        kind.getSelectionModel().select(kindOf(size));
        List<Node> parts = new ArrayList<>();
        if (size instanceof OutputSize.Pixels pixels) {
            width.setText(String.valueOf(pixels.width()));
            height.setText(String.valueOf(pixels.height()));
            parts.addAll(List.of(width, Parts.label("×"), height, Parts.label("px", "quiet")));
        } else if (size instanceof OutputSize.LongEdge edge) {
            width.setText(String.valueOf(edge.pixels()));
            parts.addAll(List.of(width, Parts.label("px", "quiet")));
        } else if (size instanceof OutputSize.Print print) {
            width.setText(Words.plain(print.width()));
            height.setText(Words.plain(print.height()));
            ppi.setText(Words.plain(print.ppi()));
            parts.addAll(List.of(
                    width,
                    Parts.label("×"),
                    height,
                    Parts.label(Words.of("unit", print.unit()), "quiet"),
                    ppi,
                    Parts.label("ppi", "quiet")));
        }
        sizes.getChildren().setAll(parts);
        isFilling = false;
    }

    private static int kindOf(OutputSize size) {
        if (size instanceof OutputSize.Pixels) {
            return 1;
        }
        if (size instanceof OutputSize.LongEdge) {
            return 2;
        }
        return size instanceof OutputSize.Print print ? 3 + print.unit().ordinal() : 0;
    }

    /** A size of the chosen kind to begin with, in the format's ratio. */
    private static OutputSize startingSize(Format format, int kind) {
        double shape = format.ratio().isFixed() ? format.ratio().value() : 1.5;
        return switch (kind) {
            case 1 -> pixels(shape);
            case 2 -> new OutputSize.LongEdge(2048);
            case 3 -> print(shape, 20, LengthUnit.CM);
            case 4 -> print(shape, 200, LengthUnit.MM);
            case 5 -> print(shape, 8, LengthUnit.IN);
            default -> new OutputSize.AsCropped();
        };
    }

    private static OutputSize pixels(double shape) {
        return shape >= 1
                ? new OutputSize.Pixels(1600, (int) Math.round(1600 / shape))
                : new OutputSize.Pixels((int) Math.round(1600 * shape), 1600);
    }

    private static OutputSize print(double shape, double longSide, LengthUnit unit) {
        return shape >= 1
                ? new OutputSize.Print(longSide, rounded(longSide / shape), unit, USUAL_PPI)
                : new OutputSize.Print(rounded(longSide * shape), longSide, unit, USUAL_PPI);
    }

    private static double rounded(double length) {
        return Math.rint(length * 100) / 100;
    }

    /**
     * The size as it is typed.
     *
     * @throws IllegalArgumentException if something typed is no number, or out of range
     */
    OutputSize typed() {
        OutputSize size = now.get().size();
        if (size instanceof OutputSize.Pixels) {
            return new OutputSize.Pixels(whole(width), whole(height));
        }
        if (size instanceof OutputSize.LongEdge) {
            return new OutputSize.LongEdge(whole(width));
        }
        if (size instanceof OutputSize.Print print) {
            return new OutputSize.Print(decimal(width), decimal(height), print.unit(), decimal(ppi));
        }
        return size;
    }

    private static int whole(TextField field) {
        return (int) Math.round(decimal(field));
    }

    private static double decimal(TextField field) {
        String text = field.getText().strip().replace(',', '.').replace("\u2009", "");
        try {
            return Double.parseDouble(text);
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException(Words.get("editor.notANumber", field.getText()), e);
        }
    }

    /** A size taken along to another ratio: the width stays and the height follows. */
    static OutputSize fitted(OutputSize size, Ratio ratio) {
        if (!ratio.isFixed()) {
            return size;
        }
        if (size instanceof OutputSize.Pixels pixels) {
            return new OutputSize.Pixels(pixels.width(), (int) Math.round(pixels.width() / ratio.value()));
        }
        if (size instanceof OutputSize.Print print) {
            return new OutputSize.Print(
                    print.width(), rounded(print.width() / ratio.value()), print.unit(), print.ppi());
        }
        return size;
    }
}
