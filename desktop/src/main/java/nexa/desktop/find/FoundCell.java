package nexa.desktop.find;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import nexa.core.message.EnumName;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.imaging.pictures.PictureLibrary;
import org.fxmisc.flowless.Cell;

/** Shows a row of what was found; its prints are filled anew as the list scrolls. */
final class FoundCell implements Cell<FoundList.Row, StackPane> {
    private final PictureLibrary library;
    private final FoundPrint.Actions actions;
    private final Function<String, String> formatName;
    private final Label heading = Parts.label("", "section-title");
    private final Label count = Parts.label("", "quiet");
    private final CheckBox all = new CheckBox();
    private final HBox head = Parts.row(8, all, heading, count);
    private final HBox prints = new HBox(10);
    private final List<FoundPrint> pool = new ArrayList<>();
    private final StackPane node = new StackPane();
    /** What the heading's tick is for. */
    private List<FoundPhoto.Key> group = List.of();

    /** @param formatName the name of a format, by its id */
    FoundCell(PictureLibrary library, FoundPrint.Actions actions, Function<String, String> formatName) {
        this.library = library;
        this.actions = actions;
        this.formatName = formatName;
        all.managedProperty().bind(all.visibleProperty());
        Parts.explain(all, Words.get("find.group.tip"));
        all.setOnAction(event -> actions.setTicked(group, all.isSelected()));
        heading.setOnMouseClicked(event -> all.fire());
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
            show(group);
            node.getChildren().setAll(head);
        } else if (row instanceof FoundList.Row.Photos line) {
            show(line.photos());
            node.getChildren().setAll(prints);
        }
    }

    private void show(FoundList.Row.Heading of) {
        String words = Words.of("find.group", of.group());
        heading.setText(
                of.format().isEmpty() ? words : Words.get("find.group.in", formatName.apply(of.format()), words));
        count.setText(String.valueOf(of.count()));
        group = of.takeable();
        all.setVisible(!group.isEmpty());
        all.setId("all-" + EnumName.of(of.group()) + (of.format().isEmpty() ? "" : "-" + of.format()));
        all.setAccessibleText(heading.getText());
        showTicks();
    }

    /** All of a group, some of it or none. */
    private void showTicks() {
        long ticked = group.stream().filter(actions::isTicked).count();
        all.setIndeterminate(ticked > 0 && ticked < group.size());
        all.setSelected(ticked == group.size());
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
        showTicks();
    }

    @Override
    public void reset() {
        pool.forEach(FoundPrint::clear);
    }
}
