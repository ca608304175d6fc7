package nexa.desktop.shell;

import java.util.List;
import java.util.concurrent.CompletableFuture;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.imaging.find.TrainedModels;

/** All keys, laid over the window until any key or click. */
final class KeysPage extends StackPane {
    private static final List<String> LEFT = List.of(
            "formats",
            "step",
            "enter",
            "turn",
            "slide",
            "tighten",
            "largest",
            "reach",
            "draw",
            "trace",
            "find",
            "propose",
            "turnPhoto",
            "quarter",
            "subject",
            "carry");
    private static final List<String> RIGHT = List.of(
            "guides", "guide", "mat", "holds", "zoom", "bare", "whole", "without", "marks", "undo", "views", "keys");

    private final Label models = Parts.label(Words.get("keys.models"), "small", "quiet");

    KeysPage(Runnable close) {
        getStyleClass().add("keys-veil");
        HBox columns = new HBox(40, column(LEFT), column(RIGHT));
        VBox page = new VBox(
                14,
                Parts.label(Words.get("keys.title"), "page-title"),
                columns,
                Parts.label(Words.get("keys.mouse"), "quiet", "keys-mouse"),
                Parts.label(Words.get("lens.source"), "small", "quiet"),
                models);
        models.setManaged(false);
        models.setVisible(false);
        // Looked for elsewhere: that reads files.
        CompletableFuture.supplyAsync(TrainedModels.OWN::areComplete)
                .thenAccept(areComplete -> Platform.runLater(() -> {
                    models.setManaged(!areComplete);
                    models.setVisible(!areComplete);
                }));
        page.getStyleClass().add("keys-page");
        page.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        ((Label) page.getChildren().get(2)).setWrapText(true);
        ScrollPane scroll = Parts.scroll(new StackPane(page));
        scroll.setFitToHeight(true);
        getChildren().add(scroll);
        setFocusTraversable(true);
        setAccessibleText(Words.get("keys.title"));
        setOnMouseClicked(event -> close.run());
        // A filter: where there is not room for all, the keys that scroll are the pane's.
        addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            boolean isPart = event.getCode() == KeyCode.SHIFT || event.getCode() == KeyCode.CONTROL;
            if (!isPart && !event.getCode().isNavigationKey()) {
                close.run();
                event.consume();
            }
        });
    }

    private static Node column(List<String> keys) {
        GridPane grid = new GridPane();
        grid.setHgap(14);
        grid.setVgap(7);
        for (int row = 0; row < keys.size(); row++) {
            HBox caps = Parts.row(4);
            for (String cap : Words.get("keys." + keys.get(row) + ".caps").split("  ")) {
                caps.getChildren().add(Parts.label(cap, "key-cap"));
            }
            grid.addRow(row, caps, Parts.label(Words.get("keys." + keys.get(row))));
        }
        return grid;
    }
}
