package nexa.desktop.sheet;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.layout.HBox;
import nexa.desktop.session.ShootSession;
import nexa.desktop.shell.Parts;

/** Shows a row of the sheet. Its prints are kept and filled anew as the sheet scrolls. */
final class SheetCell extends ListCell<SheetRow> {
    private final ShootSession session;
    private final Runnable openEasel;
    private final HBox prints = new HBox(SheetRow.GAP);
    private final List<Print> pool = new ArrayList<>();
    private final Label name = Parts.label("", "lane-name");
    private final Label counts = Parts.label("", "quiet");
    private final HBox heading = new HBox(12, name, counts);
    private final Label note = Parts.label("", "quiet");

    SheetCell(ShootSession session, Runnable openEasel) {
        this.session = session;
        this.openEasel = openEasel;
        heading.getStyleClass().add("lane-heading");
        note.setWrapText(true);
        getStyleClass().add("sheet-row");
        setText(null);
    }

    @Override
    protected void updateItem(SheetRow row, boolean empty) {
        super.updateItem(row, empty);
        if (empty || !(row instanceof SheetRow.Prints)) {
            pool.forEach(Print::clear);
        }
        if (empty) {
            setGraphic(null);
        } else if (row instanceof SheetRow.Heading lane) {
            name.setText(lane.name());
            counts.setText(lane.counts());
            setGraphic(heading);
        } else if (row instanceof SheetRow.Prints line) {
            show(line);
            setGraphic(prints);
        } else if (row instanceof SheetRow.Note sentence) {
            note.setText(sentence.words());
            setGraphic(note);
        }
    }

    private void show(SheetRow.Prints line) {
        while (pool.size() < line.files().size()) {
            pool.add(new Print(session, openEasel));
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
