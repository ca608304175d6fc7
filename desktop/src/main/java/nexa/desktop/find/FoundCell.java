package nexa.desktop.find;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.imaging.pictures.PictureLibrary;
import org.fxmisc.flowless.Cell;

/** Shows a row of what was found; its prints are filled anew as the list scrolls. */
final class FoundCell implements Cell<FoundList.Row, StackPane> {
    private final PictureLibrary library;
    private final FoundPrint.Actions actions;
    private final Label heading = Parts.label("", "section-title");
    private final Label count = Parts.label("", "quiet");
    private final HBox head = new HBox(10, heading, count);
    private final HBox prints = new HBox(10);
    private final List<FoundPrint> pool = new ArrayList<>();
    private final StackPane node = new StackPane();

    FoundCell(PictureLibrary library, FoundPrint.Actions actions) {
        this.library = library;
        this.actions = actions;
        head.setAlignment(Pos.BASELINE_LEFT);
        node.getStyleClass().add("found-row");
        node.setAlignment(Pos.CENTER_LEFT);
    }

    @Override
    public StackPane getNode() {
        return node;
    }

    @Override
    public boolean isReusable() {
        return true;
    }

    @Override
    public void updateItem(FoundList.Row row) {
        if (row instanceof FoundList.Row.Heading group) {
            heading.setText(Words.of("find.group", group.group()));
            count.setText(String.valueOf(group.count()));
            node.getChildren().setAll(head);
        } else if (row instanceof FoundList.Row.Photos line) {
            show(line.photos());
            node.getChildren().setAll(prints);
        }
    }

    private void show(List<FoundPhoto> photos) {
        while (pool.size() < photos.size()) {
            pool.add(new FoundPrint(library, actions));
        }
        for (int i = 0; i < pool.size(); i++) {
            if (i < photos.size()) {
                pool.get(i).show(photos.get(i));
            } else {
                pool.get(i).clear();
            }
        }
        prints.getChildren().setAll(pool.subList(0, photos.size()));
    }

    /** Shows what is ticked now. */
    void again() {
        prints.getChildren().forEach(print -> ((FoundPrint) print).again());
    }

    @Override
    public void reset() {
        pool.forEach(FoundPrint::clear);
    }
}
