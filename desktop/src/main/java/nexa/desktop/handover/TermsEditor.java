package nexa.desktop.handover;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.TextFormatter;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import nexa.core.format.DeliveryTerms;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.store.user.KeptTerms;
import nexa.store.user.Preferences;

/** What goes with each file of a delivery; kept from one shoot to the next. */
final class TermsEditor {
    private final Preferences preferences;
    private final CheckBox camera = box("camera");
    private final CheckBox makerNotes = box("makerNotes");
    private final CheckBox place = box("place");
    private final CheckBox list = box("list");
    private final CheckBox replaces = box("replaces");
    private final TextField copyright = line("copyright");
    private final TextField creator = line("creator");
    private final VBox node;
    private boolean isShowing;

    TermsEditor(Preferences preferences) {
        this.preferences = preferences;
        refresh();
        // Where a photo was taken is part of what the camera noted, as is what its maker noted.
        place.disableProperty().bind(camera.selectedProperty().not());
        makerNotes.disableProperty().bind(camera.selectedProperty().not());
        for (CheckBox box : List.of(camera, makerNotes, place, list, replaces)) {
            box.selectedProperty().addListener(observed -> keep());
        }
        for (TextField line : List.of(copyright, creator)) {
            // What is pasted may be longer than any file has room for.
            line.setTextFormatter(new TextFormatter<>(
                    change -> change.getControlNewText().length() > DeliveryTerms.LONGEST_LINE ? null : change));
            line.textProperty().addListener(observed -> keep());
        }
        FlowPane data = new FlowPane(14, 6, camera, makerNotes, place);
        Label warning = Parts.label(Words.get("terms.makerNotes.warning"), "small", "look");
        warning.setId("terms-makerNotes-warning");
        warning.setWrapText(true);
        warning.setGraphic(Parts.triangle());
        warning.visibleProperty().bind(makerNotes.selectedProperty().and(camera.selectedProperty()));
        warning.managedProperty().bind(warning.visibleProperty());
        node = new VBox(6, data, warning, row("copyright", copyright), row("creator", creator), list, replaces);
    }

    /** Shows the terms as they are kept; a brief may have set others. */
    void refresh() {
        DeliveryTerms kept = KeptTerms.read(preferences);
        isShowing = true;
        camera.setSelected(kept.cameraData());
        makerNotes.setSelected(kept.makerNotes());
        place.setSelected(kept.place());
        list.setSelected(kept.list());
        replaces.setSelected(kept.replacesOwn());
        copyright.setText(kept.copyright());
        creator.setText(kept.creator());
        isShowing = false;
    }

    private static CheckBox box(String key) {
        CheckBox box = new CheckBox(Words.get("terms." + key));
        box.setId("terms-" + key);
        box.getStyleClass().add("small");
        Parts.explain(box, Words.get("terms." + key + ".tip"));
        return box;
    }

    private static TextField line(String key) {
        TextField line = new TextField();
        line.setId("terms-" + key);
        line.getStyleClass().addAll("number-field", "left-field");
        line.setPromptText(Words.get("terms." + key + ".none"));
        line.setAccessibleText(Words.get("terms." + key));
        line.setTooltip(Parts.tooltip(Words.get("terms." + key + ".tip")));
        HBox.setHgrow(line, Priority.ALWAYS);
        return line;
    }

    private static HBox row(String key, TextField line) {
        Label label = Parts.label(Words.get("terms." + key), "small", "quiet", "around-label");
        return Parts.row(6, label, line);
    }

    Node node() {
        return node;
    }

    DeliveryTerms get() {
        return new DeliveryTerms(
                replaces.isSelected(),
                camera.isSelected(),
                makerNotes.isSelected(),
                place.isSelected(),
                copyright.getText().strip(),
                creator.getText().strip(),
                list.isSelected());
    }

    private void keep() {
        if (!isShowing) {
            KeptTerms.keep(preferences, get());
        }
    }
}
