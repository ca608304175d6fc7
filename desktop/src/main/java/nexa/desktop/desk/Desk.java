package nexa.desktop.desk;

import java.util.List;
import javafx.scene.Node;
import nexa.core.series.PhotoCrop;

/** The desk below the picture: level, shape and colour of the photo, the guides, the crop in numbers, and its place in the set. */
public final class Desk {
    private final DeskRow node;
    private final LevelSection level;
    private final ShapeSection shape;
    private final ColourSection colour;
    private final GuideSection guides;
    private final CropSection crop;

    public Desk(
            LevelSection level,
            ShapeSection shape,
            ColourSection colour,
            GuideSection guides,
            CropSection crop,
            StepSection step) {
        this.level = level;
        this.shape = shape;
        this.colour = colour;
        this.guides = guides;
        this.crop = crop;
        this.node = new DeskRow(
                List.of(level.part(), shape.part(), colour.part()), List.of(guides.part(), crop.part(), step.part()));
    }

    public Node node() {
        return node;
    }

    public LevelSection level() {
        return level;
    }

    public GuideSection guides() {
        return guides;
    }

    public void show(PhotoCrop shown) {
        level.setEnabled(true);
        level.show(shown.photo().angle());
        shape.show(shown);
        colour.show(shown.photo().preparation().edge());
        crop.show(shown);
    }

    public void clear() {
        level.setEnabled(false);
        shape.clear();
        colour.clear();
        crop.clear();
    }
}
