package nexa.desktop.easel;

import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import nexa.core.format.FileSpec;
import nexa.desktop.shell.Parts;
import nexa.desktop.shell.Words;

/** The part of the format editor for the files: kind, quality, colours, folder and name. */
final class FileEditor {
    private final Supplier<FileSpec> now;
    private final Consumer<FileSpec> change;
    private final ComboBox<String> kind = new ComboBox<>();
    private final ComboBox<String> colour = new ComboBox<>();
    private final TextField quality = field("file-quality", "file.quality", 3);
    private final TextField folder = field("file-folder", "editor.folder", 9);
    private final TextField name = field("file-name", "file.name", 17);

    /**
     * An editor of a format's files.
     *
     * @param change takes what they are to be
     */
    FileEditor(Supplier<FileSpec> now, Consumer<FileSpec> change) {
        this.now = now;
        this.change = change;
        for (FileSpec.Type each : FileSpec.Type.values()) {
            kind.getItems().add(Words.of("type", each));
        }
        for (FileSpec.Colour each : FileSpec.Colour.values()) {
            colour.getItems().add(Words.of("colour", each));
        }
        kind.setId("file-kind");
        kind.setAccessibleText(Words.get("editor.file"));
        colour.setAccessibleText(Words.get("file.colour"));
        fill();
        kind.setOnAction(event -> take());
        colour.setOnAction(event -> take());
        for (TextField field : List.of(quality, folder, name)) {
            field.setOnAction(event -> take());
            field.focusedProperty().addListener((observed, before, isFocused) -> {
                if (!isFocused) {
                    take();
                }
            });
        }
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

    Node kindRow() {
        HBox row = new HBox(6, kind, Parts.label(Words.get("file.quality"), "quiet"), quality, colour);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    Node nameRow() {
        HBox row = new HBox(6, folder, Parts.label("/"), name);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private void fill() {
        FileSpec spec = now.get();
        kind.getSelectionModel().select(spec.type().ordinal());
        colour.getSelectionModel().select(spec.colour().ordinal());
        quality.setText(String.valueOf(spec.quality()));
        quality.setDisable(spec.type() != FileSpec.Type.JPEG);
        folder.setText(spec.folder());
        name.setText(spec.name());
    }

    /** Takes what is there if it can be used; else what was there comes back. */
    private void take() {
        try {
            FileSpec asked = new FileSpec(
                    FileSpec.Type.values()[kind.getSelectionModel().getSelectedIndex()],
                    Integer.parseInt(quality.getText().strip()),
                    FileSpec.Colour.values()[colour.getSelectionModel().getSelectedIndex()],
                    folder.getText().strip(),
                    name.getText().strip());
            if (!asked.equals(now.get())) {
                change.accept(asked);
            }
        } catch (IllegalArgumentException e) {
            name.setAccessibleHelp(e.getMessage());
        }
        fill();
    }
}
