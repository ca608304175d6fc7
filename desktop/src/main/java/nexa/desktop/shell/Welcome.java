package nexa.desktop.shell;

import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.input.DragEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;

/** The calm page without a shoot: opens a folder or photos, a recent shoot, the sample, or what is dropped on it. */
final class Welcome extends VBox {
    /** What the page can ask for. */
    interface Actions {
        void chooseFolder();

        void choosePhotos();

        void open(List<Path> paths);

        Optional<Runnable> sample();
    }

    Welcome(Actions actions, List<Path> recent) {
        getStyleClass().add("welcome");
        setAlignment(Pos.CENTER);
        VBox page = new VBox(10);
        page.setMaxWidth(520);
        page.setMaxHeight(Region.USE_PREF_SIZE);
        page.getChildren().add(Parts.label(Words.get("app.name"), "brand", "brand-large"));
        page.getChildren().add(Parts.label(Words.get("welcome.invite"), "welcome-invite"));
        HBox buttons = Parts.row(
                8,
                Parts.button("welcome.folder", actions::chooseFolder, "main-action"),
                Parts.button("welcome.photos", actions::choosePhotos));
        actions.sample().ifPresent(open -> buttons.getChildren().add(Parts.button("welcome.sample", open)));
        page.getChildren().add(buttons);
        page.getChildren().add(Parts.label(Words.get("welcome.promise"), "quiet"));
        if (!recent.isEmpty()) {
            page.getChildren().add(Parts.label(Words.get("welcome.recent"), "section-title", "welcome-recent"));
            recent.forEach(folder -> page.getChildren().add(recent(folder, actions)));
        }
        getChildren().add(page);
        setOnDragOver(this::accept);
        setOnDragDropped(event -> {
            actions.open(
                    event.getDragboard().getFiles().stream().map(File::toPath).toList());
            event.setDropCompleted(true);
        });
    }

    private static Button recent(Path folder, Actions actions) {
        Button button = Parts.named(String.valueOf(folder.getFileName()));
        button.getStyleClass().addAll("flat", "recent");
        button.setTooltip(Parts.tooltip(folder.toString()));
        button.setAccessibleHelp(folder.toString());
        button.setOnAction(event -> actions.open(List.of(folder)));
        return button;
    }

    private void accept(DragEvent event) {
        if (event.getDragboard().hasFiles()) {
            event.acceptTransferModes(TransferMode.COPY);
        }
    }
}
