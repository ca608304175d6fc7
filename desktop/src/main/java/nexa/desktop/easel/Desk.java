package nexa.desktop.easel;

import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import nexa.core.series.PhotoCrop;

/** The desk below the picture: the level, the guides, the crop in numbers, and its place in the set. */
final class Desk {
    private final HBox node = new HBox();
    private final LevelSection level;
    private final GuideSection guides;
    private final CropSection crop;

    Desk(LevelSection level, GuideSection guides, CropSection crop, Node last) {
        this.level = level;
        this.guides = guides;
        this.crop = crop;
        node.getStyleClass().add("desk");
        node.getChildren().addAll(level.node(), guides.node(), crop.node(), last);
        HBox.setHgrow(last, Priority.ALWAYS);
    }

    Node node() {
        return node;
    }

    LevelSection level() {
        return level;
    }

    GuideSection guides() {
        return guides;
    }

    void show(PhotoCrop shown) {
        level.setEnabled(true);
        level.show(shown.photo().angle());
        crop.show(shown);
    }

    void clear() {
        level.setEnabled(false);
        crop.clear();
    }
}
