package nexa.desktop.desk;

import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;

/** Rows of a page, each with a scale, its number, and another number beside them. */
public final class ScaleGrid extends GridPane {
    public ScaleGrid() {
        setHgap(5);
        setVgap(2);
    }

    /**
     * Adds a row.
     *
     * @param key of the scale's name
     * @param otherKey of the other number's name
     */
    public void add(String key, FineScale scale, TextField number, String otherKey, TextField other) {
        GridPane.setHgrow(scale, Priority.ALWAYS);
        addRow(getRowCount(), label(key), scale, number, label(otherKey), other);
    }

    private static Label label(String key) {
        Label label = Parts.label(Words.get(key), "small", "quiet");
        label.setMinWidth(Region.USE_PREF_SIZE);
        return label;
    }
}
