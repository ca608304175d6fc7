package nexa.desktop.desk;

import java.util.LinkedHashMap;
import java.util.Map;
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

/** The desk's part for a photo's shape: its lens, its perspective, and what of it counts as picture, a page each. */
public final class ShapeSection {
    private static final double WIDTH = 356;

    private final DeskPart part = new DeskPart("desk.shape");
    private final LensPage lens;
    private final PerspectivePage perspective;
    private final TrimPage trim;
    private final Function<Photo, LensPage.Told> told;
    private final Function<Photo, FocalLength> focalLength;
    private final Map<Node, ToggleButton> pages = new LinkedHashMap<>();
    private final VBox node;

    /**
     * Nothing shown yet.
     *
     * @param told what is known of the lens that took a photo
     * @param focalLength what is known of a photo's focal length
     */
    public ShapeSection(
            LensPage lens,
            PerspectivePage perspective,
            TrimPage trim,
            Function<Photo, LensPage.Told> told,
            Function<Photo, FocalLength> focalLength) {
        this.lens = lens;
        this.perspective = perspective;
        this.trim = trim;
        this.told = told;
        this.focalLength = focalLength;
        page("shape.lens", "page-lens", lens.node());
        page("shape.perspective", "page-perspective", perspective.node());
        page("shape.trim", "page-trim", trim.node());
        HBox head = new HBox(3, part.head(), Parts.spacer());
        head.getChildren().addAll(pages.values());
        head.setAlignment(Pos.CENTER_LEFT);
        StackPane place = new StackPane(pages.keySet().toArray(Node[]::new));
        place.setAlignment(Pos.TOP_LEFT);
        node = new VBox(5, head, place);
        node.getStyleClass().add("desk-section");
        node.setPrefWidth(TextSize.scaled(WIDTH));
        part.with(node, TextSize.scaled(WIDTH));
        open(perspective.node());
    }

    private void page(String key, String id, Node page) {
        ToggleButton button = Parts.toggle(key, "choice", "tiny");
        button.setId(id);
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setOnAction(event -> open(page));
        pages.put(page, button);
    }

    private void open(Node page) {
        pages.forEach((one, button) -> {
            one.setVisible(one == page);
            button.setSelected(one == page);
        });
    }

    DeskPart part() {
        return part;
    }

    void show(PhotoCrop crop) {
        node.setDisable(false);
        lens.show(crop.photo().preparation().lens(), told.apply(crop.photo()));
        perspective.show(crop.photo().preparation().perspective(), focalLength.apply(crop.photo()));
        trim.show(crop);
    }

    void clear() {
        node.setDisable(true);
        lens.clear();
        perspective.clear();
        trim.clear();
    }
}
