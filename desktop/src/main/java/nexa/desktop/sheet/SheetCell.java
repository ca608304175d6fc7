package nexa.desktop.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;
import org.fxmisc.flowless.Cell;

/** Shows a row of the sheet. Its prints are kept and filled anew as the sheet scrolls. */
final class SheetCell implements Cell<SheetRow, StackPane> {
    private final ShootSession session;
    private final SheetPhoto.Actions actions;
    private final Consumer<List<String>> chooseLane;
    private final HBox prints = new HBox(SheetRow.GAP);
    private final List<SheetPhoto> pool = new ArrayList<>();
    private final Label name = Parts.label("", "lane-name");
    private final Label counts = Parts.label("", "quiet");
    private final Button choose = new Button();
    private final HBox heading = new HBox(12, name, counts, Parts.spacer(), choose);
    private final Label note = Parts.label("", "quiet");
    private final StackPane node = new StackPane();

    SheetCell(ShootSession session, SheetPhoto.Actions actions, Consumer<List<String>> chooseLane) {
        this.session = session;
        this.actions = actions;
        this.chooseLane = chooseLane;
        heading.getStyleClass().add("lane-heading");
        choose.getStyleClass().addAll("flat", "lane-choose");
        Parts.explain(choose, Words.get("lane.choose.tip"));
        note.setWrapText(true);
        node.getStyleClass().add("sheet-row");
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
    public void updateItem(SheetRow row) {
        if (row instanceof SheetRow.Heading lane) {
            name.setText(lane.name());
            counts.setText(lane.counts());
            choose.setText(Words.get("lane.choose", lane.files().size()));
            choose.setOnAction(event -> chooseLane.accept(lane.files()));
            node.getChildren().setAll(heading);
        } else if (row instanceof SheetRow.Photos line) {
            show(line);
            node.getChildren().setAll(prints);
        } else if (row instanceof SheetRow.Note sentence) {
            note.setText(sentence.words());
            node.getChildren().setAll(note);
        }
    }

    /** Shows the same photos as they are now. */
    void again() {
        prints.getChildren().forEach(print -> ((SheetPhoto) print).again());
    }

    /** Out of sight: what its prints still wait for is not read any more. */
    @Override
    public void reset() {
        pool.forEach(SheetPhoto::clear);
    }

    private void show(SheetRow.Photos line) {
        while (pool.size() < line.files().size()) {
            pool.add(new SheetPhoto(session, actions));
        }
        for (int i = 0; i < pool.size(); i++) {
            if (i < line.files().size()) {
                pool.get(i).show(line.files().get(i), line.size());
            } else {
                pool.get(i).clear();
            }
        }
        prints.getChildren().setAll(pool.subList(0, line.files().size()));
    }
}
