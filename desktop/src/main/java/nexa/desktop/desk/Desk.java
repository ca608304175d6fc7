package nexa.desktop.desk;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import nexa.core.series.PhotoCrop;
import nexa.desktop.parts.Parts;

/**
 * The desk below the picture: the level, the guides, the crop in numbers, and its place in the set. Where there is no room for
 * all side by side, the last ones share a place: their headings stand there, and one of them is open.
 */
public final class Desk {
    /** What the headings of a shared place take more than a part's own title. */
    private static final double HEADINGS = 40;

    private final List<DeskPart> parts;
    private final Pane node = new Row();
    private final LevelSection level;
    private final GuideSection guides;
    private final CropSection crop;
    private DeskPart open;
    /** How many parts stand beside the shared place; all of them where there is none. */
    private int beside = -1;

    public Desk(LevelSection level, GuideSection guides, CropSection crop, StepSection last) {
        this.level = level;
        this.guides = guides;
        this.crop = crop;
        this.parts = List.of(level.part(), guides.part(), crop.part(), last.part());
        this.open = guides.part();
        node.getStyleClass().add("desk");
        node.getChildren().addAll(parts.stream().map(DeskPart::node).toList());
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
        crop.show(shown);
    }

    public void clear() {
        level.setEnabled(false);
        crop.clear();
    }

    /** Shows as many parts side by side as there is room for. */
    private void arrange(int newBeside) {
        if (newBeside == beside) {
            return;
        }
        beside = newBeside;
        List<DeskPart> folded = folded();
        if (!folded.isEmpty() && !folded.contains(open)) {
            open = folded.get(0);
        }
        parts.stream().filter(part -> !folded.contains(part)).forEach(DeskPart::showTitle);
        openOneOf(folded);
    }

    private List<DeskPart> folded() {
        return beside >= parts.size() ? List.of() : parts.subList(beside, parts.size());
    }

    private void openOneOf(List<DeskPart> folded) {
        for (DeskPart part : folded) {
            part.showHeadings(headings(folded, part));
        }
        parts.forEach(part -> part.node().setVisible(!folded.contains(part) || part == open));
        node.requestLayout();
    }

    /** The headings of the parts that share a place; the open one's is chosen. */
    private List<Node> headings(List<DeskPart> folded, DeskPart shown) {
        List<Node> headings = new ArrayList<>();
        for (DeskPart part : folded) {
            ToggleButton heading = Parts.toggle(part.key(), "choice", "tiny", "desk-heading");
            heading.setId(part.key().replace('.', '-'));
            heading.setSelected(part == shown);
            heading.setMinWidth(Region.USE_PREF_SIZE);
            heading.setOnAction(event -> {
                open = part;
                openOneOf(folded);
                part.focusHeading();
            });
            headings.add(heading);
        }
        return headings;
    }

    /** Lays the parts out; the last one side by side takes what room is left. */
    private final class Row extends Pane {
        @Override
        protected double computeMinWidth(double height) {
            return 0;
        }

        @Override
        protected void layoutChildren() {
            double width = getWidth();
            arrange(fitting(width));
            List<DeskPart> folded = folded();
            double x = 0;
            for (int i = 0; i < parts.size(); i++) {
                Region part = parts.get(i).node();
                boolean isLast = i == parts.size() - 1 || folded.contains(parts.get(i));
                double taken = isLast ? width - x : parts.get(i).width();
                part.resizeRelocate(x, 1, taken, getHeight() - 1);
                x += isLast ? 0 : taken;
            }
        }

        private int fitting(double width) {
            double all = parts.stream().mapToDouble(DeskPart::width).sum();
            if (all <= width) {
                return parts.size();
            }
            for (int i = parts.size() - 2; i > 1; i--) {
                double sideBySide = parts.subList(0, i).stream()
                        .mapToDouble(DeskPart::width)
                        .sum();
                double widest = parts.subList(i, parts.size()).stream()
                        .mapToDouble(DeskPart::width)
                        .max()
                        .orElse(0);
                if (sideBySide + widest + HEADINGS <= width) {
                    return i;
                }
            }
            return 1;
        }
    }
}
