package nexa.desktop.desk;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.Region;
import nexa.desktop.parts.Parts;

/**
 * A place of the desk. Where several parts share it, their headings stand at its top left and one of them is open; a part
 * alone has its title there.
 */
final class DeskPlace {
    /** What the headings take more than a part's own title. */
    private static final double HEADINGS = 40;

    private final List<DeskPart> parts;
    private final Consumer<DeskPart> opened;
    private DeskPart open;

    /**
     * A place with some parts.
     *
     * @param open which of them is open first; the first, if it is none of them
     * @param opened hears that another one has been opened
     */
    DeskPlace(List<DeskPart> parts, DeskPart open, Consumer<DeskPart> opened) {
        this.parts = List.copyOf(parts);
        this.opened = opened;
        this.open = parts.contains(open) ? open : parts.get(0);
        show();
    }

    /** The width it needs, whichever part is open. */
    double width() {
        return width(parts);
    }

    /** The width that its parts need if their own heads have room for the headings of all. */
    double widthOfParts() {
        return parts.stream().mapToDouble(DeskPart::width).max().orElse(0);
    }

    /** The width that parts need in one place. */
    static double width(List<DeskPart> parts) {
        double widest = parts.stream().mapToDouble(DeskPart::width).max().orElse(0);
        return parts.size() == 1 ? widest : widest + HEADINGS;
    }

    /** Lays all parts out at the same spot. */
    void lay(double x, double y, double width, double height) {
        parts.forEach(part -> part.node().resizeRelocate(x, y, width, height));
    }

    private void show() {
        for (DeskPart part : parts) {
            part.node().setVisible(part == open);
            if (parts.size() == 1) {
                part.showTitle();
            } else {
                part.showHeadings(headings(part));
            }
        }
    }

    /** The headings of all parts, as they stand in one of them; its own is chosen. */
    private List<Node> headings(DeskPart in) {
        List<Node> headings = new ArrayList<>();
        for (DeskPart part : parts) {
            ToggleButton heading = Parts.toggle(part.key(), "choice", "tiny", "desk-heading");
            heading.setId(part.key().replace('.', '-'));
            heading.setSelected(part == in);
            heading.setMinWidth(Region.USE_PREF_SIZE);
            heading.setOnAction(event -> open(part));
            headings.add(heading);
        }
        return headings;
    }

    private void open(DeskPart part) {
        open = part;
        show();
        part.focusHeading();
        opened.accept(part);
    }
}
