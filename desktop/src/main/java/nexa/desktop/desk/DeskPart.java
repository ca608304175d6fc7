package nexa.desktop.desk;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;

/** A part of the desk, whose title makes room for the headings of others where they share a place. */
public final class DeskPart {
    private final String key;
    private final Label title;
    private final HBox head = new HBox(3);
    private Region node;
    private double narrowest;
    /** What it takes with its own title; it must not depend on whose headings stand there. */
    private double usual = -1;

    /** @param key of its title in the bundle */
    public DeskPart(String key) {
        this.key = key;
        this.title = Parts.label(Words.get(key), "section-title");
        title.setMinWidth(Region.USE_PREF_SIZE);
        head.setAlignment(Pos.CENTER_LEFT);
        showTitle();
    }

    /** Where its title stands; to be laid into the part. */
    public HBox head() {
        return head;
    }

    /**
     * The part itself.
     *
     * @param newNarrowest the least width it needs, whatever is written in it
     */
    public DeskPart with(Region newNode, double newNarrowest) {
        node = newNode;
        narrowest = newNarrowest;
        return this;
    }

    String key() {
        return key;
    }

    Region node() {
        return node;
    }

    /** The width it needs. */
    double width() {
        if (usual < 0) {
            usual = node.prefWidth(-1);
        }
        return Math.max(narrowest, usual);
    }

    void showTitle() {
        head.getChildren().setAll(title);
    }

    void showHeadings(List<Node> headings) {
        head.getChildren().setAll(headings);
    }

    /** After its heading was pressed, the same one in its own row of headings has the focus. */
    void focusHeading() {
        head.getChildren().stream()
                .filter(heading -> heading instanceof ToggleButton toggle && toggle.isSelected())
                .forEach(Node::requestFocus);
    }
}
