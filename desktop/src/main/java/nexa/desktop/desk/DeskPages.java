package nexa.desktop.desk;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.TextSize;

/** A part of the desk of several pages, each with its heading, of which one is open. */
public final class DeskPages {
    private static final double WIDTH = 356;

    private final DeskPart part;
    private final Map<Node, ToggleButton> pages = new LinkedHashMap<>();

    /**
     * A part with its pages.
     *
     * @param key of the part's title in the bundle
     * @param open the page that is open first
     */
    public DeskPages(String key, List<DeskPage> all, DeskPage open) {
        part = new DeskPart(key);
        all.forEach(this::add);
        HBox head = Parts.row(3, part.head(), Parts.spacer());
        head.getChildren().addAll(pages.values());
        StackPane place = new StackPane(pages.keySet().toArray(Node[]::new));
        place.setAlignment(Pos.TOP_LEFT);
        VBox node = new VBox(5, head, place);
        node.getStyleClass().add("desk-section");
        node.setPrefWidth(TextSize.scaled(WIDTH));
        part.with(node, TextSize.scaled(WIDTH));
        open(open.node());
    }

    private void add(DeskPage page) {
        ToggleButton button = Parts.toggle(page.key(), "choice", "tiny");
        button.setId(page.id());
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setOnAction(event -> open(page.node()));
        pages.put(page.node(), button);
    }

    private void open(Node page) {
        pages.forEach((one, button) -> {
            one.setVisible(one == page);
            button.setSelected(one == page);
        });
    }

    public DeskPart part() {
        return part;
    }
}
