package nexa.desktop.sheet;

import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.MenuButton;
import javafx.scene.layout.HBox;
import nexa.desktop.formats.AddFormat;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.desktop.session.WorkedOut;

/** A quiet line above the sheet of a new shoot: what to begin with. It goes once anything was done with a photo. */
final class FirstSteps {
    private final HBox node;

    /**
     * The line.
     *
     * @param formats adds formats
     * @param briefs shows the briefs
     * @param find looks for things in the photos
     */
    FirstSteps(AddFormat formats, Runnable briefs, Runnable find) {
        Button brief = Parts.smallButton("begin.brief", "begin-brief", briefs, "flat");
        MenuButton add = formats.node();
        add.setText(Words.get("begin.formats"));
        add.setId("begin-formats");
        add.getStyleClass().setAll("menu-button", "flat", "small-button");
        Button found = Parts.smallButton("begin.find", "begin-find", find, "flat");
        node = Parts.row(8, Parts.label(Words.get("begin.lead"), "quiet"), brief, add, found);
        node.getStyleClass().add("first-steps");
        node.managedProperty().bind(node.visibleProperty());
        node.setVisible(false);
    }

    Node node() {
        return node;
    }

    /** @param canChange whether anything can be done at all */
    void show(WorkedOut known, boolean canChange) {
        node.setVisible(canChange && !known.isBegun() && !known.now().photos().isEmpty());
    }
}
