package nexa.desktop.desk;

import java.util.List;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import nexa.core.series.PhotoCrop;
import nexa.core.shape.FocalLength;
import nexa.core.shoot.Photo;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.TextSize;

/** The desk's part for a photo's shape: its perspective on one page, what of it counts as picture on another. */
public final class ShapeSection {
    private static final double WIDTH = 356;

    private final DeskPart part = new DeskPart("desk.shape");
    private final PerspectivePage perspective;
    private final TrimPage trim;
    private final Function<Photo, FocalLength> focalLength;
    private final ToggleButton toPerspective;
    private final ToggleButton toTrim;
    private final VBox node;

    /** @param focalLength what is known of a photo's focal length */
    public ShapeSection(PerspectivePage perspective, TrimPage trim, Function<Photo, FocalLength> focalLength) {
        this.perspective = perspective;
        this.trim = trim;
        this.focalLength = focalLength;
        this.toPerspective = page("shape.perspective", "page-perspective", perspective.node());
        this.toTrim = page("shape.trim", "page-trim", trim.node());
        HBox head = new HBox(3, part.head(), Parts.spacer(), toPerspective, toTrim);
        head.setAlignment(Pos.CENTER_LEFT);
        StackPane pages = new StackPane(perspective.node(), trim.node());
        pages.setAlignment(Pos.TOP_LEFT);
        node = new VBox(5, head, pages);
        node.getStyleClass().add("desk-section");
        node.setPrefWidth(TextSize.scaled(WIDTH));
        part.with(node, TextSize.scaled(WIDTH));
        open(perspective.node());
    }

    private ToggleButton page(String key, String id, Node page) {
        ToggleButton button = Parts.toggle(key, "choice", "tiny");
        button.setId(id);
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setOnAction(event -> open(page));
        return button;
    }

    private void open(Node page) {
        for (Node one : List.of(perspective.node(), trim.node())) {
            one.setVisible(one == page);
        }
        toPerspective.setSelected(page == perspective.node());
        toTrim.setSelected(page == trim.node());
    }

    DeskPart part() {
        return part;
    }

    void show(PhotoCrop crop) {
        node.setDisable(false);
        perspective.show(crop.photo().preparation().perspective(), focalLength.apply(crop.photo()));
        trim.show(crop);
    }

    void clear() {
        node.setDisable(true);
        perspective.clear();
        trim.clear();
    }
}
