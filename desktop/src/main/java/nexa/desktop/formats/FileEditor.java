package nexa.desktop.formats;

import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import nexa.core.format.FileSpec;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;

/** The part of the format editor for the files: kind, quality, depth, colours, enlarging, folder and name. */
final class FileEditor {
    private static final List<String> WORDS = List.of("shoot", "photo", "format", "number", "date", "size");

    private final Supplier<FileSpec> now;
    private final Consumer<FileSpec> change;
    private final Function<FileSpec, String> example;
    private final ComboBox<String> kind = choice("file-kind", "editor.file", "type", FileSpec.Type.values());
    private final ComboBox<String> colour = choice("file-colour", "file.colour", "colour", FileSpec.Colour.values());
    private final ComboBox<String> sampling =
            choice("file-sampling", "file.sampling", "sampling", FileSpec.Sampling.values());
    private final ComboBox<String> depth = choice("file-depth", "file.depth", "depth", FileSpec.Depth.values());
    private final ComboBox<String> source = choice("file-source", "file.source", "source", FileSpec.Source.values());
    private final ToggleButton enlarges = Parts.toggle("file.enlarges", "choice", "small-button");
    private final TextField quality = field("file-quality", "file.quality", 3);
    private final TextField folder = field("file-folder", "editor.folder", 9);
    private final TextField name = field("file-name", "file.name", 22);
    private final Label shown = Parts.label("", "small", "quiet");
    private final HBox kindRow = row();
    private final HBox colourRow = row(colour, source, enlarges);
    private final HBox nameRow = row(folder, Parts.label("/"), name);
    private final HBox wordRow = row(Parts.label(Words.get("file.words"), "small", "quiet"));
    private boolean isFilling;

    /**
     * An editor of a format's files.
     *
     * @param hasTwoFiles whether there are photos with a raw file beside them, so that it matters whose pixels are taken
     * @param change takes what they are to be
     * @param example the name that a file would have
     */
    FileEditor(
            Supplier<FileSpec> now,
            boolean hasTwoFiles,
            Consumer<FileSpec> change,
            Function<FileSpec, String> example) {
        this.now = now;
        this.change = change;
        this.example = example;
        source.setVisible(hasTwoFiles || now.get().source() != FileSpec.Source.PHOTO);
        source.managedProperty().bind(source.visibleProperty());
        source.setTooltip(Parts.tooltip(Words.get("file.source.tip")));
        enlarges.setId("file-enlarges");
        enlarges.setOnAction(event -> take());
        for (ComboBox<String> box : List.of(kind, colour, sampling, depth, source)) {
            box.setOnAction(event -> take());
        }
        for (TextField field : List.of(quality, folder, name)) {
            field.setOnAction(event -> take());
            field.focusedProperty().addListener((observed, before, isFocused) -> {
                if (!isFocused) {
                    take();
                }
            });
        }
        name.textProperty().addListener(observed -> showExample());
        folder.textProperty().addListener(observed -> showExample());
        WORDS.forEach(word -> wordRow.getChildren().add(chip(word)));
        fill();
    }

    private static <E extends Enum<E>> ComboBox<String> choice(String id, String key, String prefix, E[] values) {
        ComboBox<String> box = new ComboBox<>();
        for (E each : values) {
            box.getItems().add(Words.of(prefix, each));
        }
        box.setId(id);
        box.setAccessibleText(Words.get(key));
        return box;
    }

    private static TextField field(String id, String key, int columns) {
        TextField field = new TextField();
        field.setId(id);
        field.setPrefColumnCount(columns);
        field.getStyleClass().addAll("number-field", "left-field");
        field.setAccessibleText(Words.get(key));
        field.setTooltip(Parts.tooltip(Words.get(key + ".tip")));
        return field;
    }

    private static HBox row(Node... parts) {
        return Parts.row(6, parts);
    }

    /** Puts a word into the name where the caret is. */
    private Button chip(String word) {
        Button button = new Button(Words.get("word." + word));
        button.getStyleClass().addAll("chip", "tiny");
        button.setId("word-" + word);
        // The caret would be lost with the focus.
        button.setFocusTraversable(false);
        Parts.explain(button, Words.get("file.word.tip", Words.get("word." + word)));
        button.setOnAction(event -> {
            name.insertText(name.getCaretPosition(), "{" + word + "}");
            take();
        });
        return button;
    }

    Node kindRow() {
        return kindRow;
    }

    Node colourRow() {
        return colourRow;
    }

    Node nameRow() {
        return nameRow;
    }

    Node wordRow() {
        return wordRow;
    }

    Node example() {
        return shown;
    }

    private void fill() {
        isFilling = true;
        FileSpec spec = now.get();
        kind.getSelectionModel().select(spec.type().ordinal());
        colour.getSelectionModel().select(spec.colour().ordinal());
        sampling.getSelectionModel().select(spec.sampling().ordinal());
        depth.getSelectionModel().select(spec.depth().ordinal());
        source.getSelectionModel().select(spec.source().ordinal());
        enlarges.setSelected(spec.enlarges());
        quality.setText(String.valueOf(spec.quality()));
        folder.setText(spec.folder());
        name.setText(spec.name());
        kindRow.getChildren()
                .setAll(
                        spec.type() == FileSpec.Type.JPEG
                                ? List.of(kind, Parts.label(Words.get("file.quality"), "quiet"), quality, sampling)
                                : List.of(kind, depth));
        isFilling = false;
        showExample();
    }

    /** The name as it is being typed, filled in. */
    private void showExample() {
        if (isFilling) {
            return;
        }
        try {
            shown.setText(Words.get("file.example", example.apply(typed())));
            Parts.style(shown, "small", "quiet");
        } catch (IllegalArgumentException e) {
            shown.setText(Words.wrong(e));
            Parts.style(shown, "small", "look");
        }
    }

    private FileSpec typed() {
        return new FileSpec(
                FileSpec.Type.values()[kind.getSelectionModel().getSelectedIndex()],
                Integer.parseInt(quality.getText().strip()),
                FileSpec.Sampling.values()[sampling.getSelectionModel().getSelectedIndex()],
                FileSpec.Depth.values()[depth.getSelectionModel().getSelectedIndex()],
                FileSpec.Colour.values()[colour.getSelectionModel().getSelectedIndex()],
                enlarges.isSelected(),
                FileSpec.Source.values()[source.getSelectionModel().getSelectedIndex()],
                folder.getText().strip(),
                name.getText().strip());
    }

    /** Takes what is there if it can be used; else it stays to be mended, and what is wrong is said below it. */
    private void take() {
        if (isFilling) {
            return;
        }
        try {
            FileSpec asked = typed();
            if (!asked.equals(now.get())) {
                change.accept(asked);
            }
            fill();
        } catch (IllegalArgumentException e) {
            showExample();
        }
    }
}
