package nexa.desktop.sheet;

import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import nexa.core.format.Format;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Subscriptions;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;
import nexa.desktop.session.Tally;

/** At the right of the sheet: how far each format is, and what needs a look. */
final class SheetPanel {
    private final ShootSession session;
    private final VBox content = new VBox(8);
    private final ScrollPane node = Parts.scroll(content);
    private final GridPane progress = new GridPane();
    private final LooksList looks;
    private final ChosenPanel chosen;
    private final Subscriptions subscriptions = new Subscriptions();

    SheetPanel(ShootSession session, ChosenPanel chosen, LooksList looks, Consumer<Path> openFolder) {
        this.session = session;
        this.looks = looks;
        this.chosen = chosen;
        node.getStyleClass().add("side-panel");
        progress.setHgap(10);
        progress.setVgap(9);
        ColumnConstraints names = new ColumnConstraints(80, 104, 104);
        ColumnConstraints bars = new ColumnConstraints();
        bars.setHgrow(Priority.ALWAYS);
        progress.getColumnConstraints().addAll(names, bars, new ColumnConstraints(22));
        looks.node().getStyleClass().add("panel-gap");
        content.getStyleClass().add("side-content");
        content.getChildren().addAll(Parts.label(Words.get("panel.progress"), "section-title"), progress);
        chosen.node().getStyleClass().add("panel-gap");
        content.getChildren().addAll(chosen.node(), looks.node());
        offerFolders(openFolder);
        subscriptions.listen(session.workedOutProperty(), this::refresh);
    }

    /** The sheet has come to the front. */
    void shown() {
        refresh();
        chosen.refresh();
        looks.refresh();
    }

    Node node() {
        return node;
    }

    /** Folders in this one are offered, not swallowed: they may be shoots of their own. */
    private void offerFolders(Consumer<Path> openFolder) {
        List<Path> folders = session.foldersBelow();
        if (folders.isEmpty()) {
            return;
        }
        VBox list = new VBox(2);
        for (Path folder : folders) {
            Button button = Parts.named(folder.getFileName().toString());
            button.getStyleClass().addAll("flat", "look-entry");
            button.setMaxWidth(Double.MAX_VALUE);
            button.setAlignment(Pos.TOP_LEFT);
            Parts.explain(button, Words.get("panel.folder.tip", folder.toString()));
            button.setOnAction(event -> openFolder.accept(folder));
            list.getChildren().add(button);
        }
        content.getChildren().addAll(Parts.label(Words.get("panel.folders"), "section-title", "panel-gap"), list);
    }

    private void refresh() {
        if (node.getScene() == null) {
            return;
        }
        Tally now = session.workedOutProperty().get().tally();
        progress.getChildren().clear();
        int row = 0;
        for (Format format : session.workedOutProperty().get().now().shoot().formats()) {
            int done = now.done(format.id());
            Label name = Parts.label(format.name());
            name.setWrapText(true);
            ProgressBar bar = new ProgressBar(now.ready() == 0 ? 0 : (double) done / now.ready());
            bar.setMaxWidth(Double.MAX_VALUE);
            bar.setAccessibleText(Words.get("panel.done", format.name(), done, now.ready()));
            Label count = Parts.label(String.valueOf(done), "number");
            progress.addRow(row++, name, bar, count);
        }
    }

    void dispose() {
        chosen.dispose();
        looks.dispose();
        subscriptions.dispose();
    }
}
