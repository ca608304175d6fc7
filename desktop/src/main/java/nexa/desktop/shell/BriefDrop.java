package nexa.desktop.shell;

import java.io.File;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.input.DragEvent;
import javafx.scene.input.TransferMode;
import nexa.store.document.BriefDocument;

/** Takes a brief's file that is dropped anywhere on the window. */
final class BriefDrop {
    /** @param dropped hears of such a file */
    BriefDrop(Node window, Consumer<Path> dropped) {
        window.addEventFilter(DragEvent.DRAG_OVER, event -> {
            if (brief(event).isPresent()) {
                event.acceptTransferModes(TransferMode.COPY);
                event.consume();
            }
        });
        window.addEventFilter(
                DragEvent.DRAG_DROPPED,
                event -> brief(event).ifPresent(file -> {
                    dropped.accept(file);
                    event.setDropCompleted(true);
                    event.consume();
                }));
    }

    private static Optional<Path> brief(DragEvent event) {
        return event.getDragboard().getFiles().stream()
                .map(File::toPath)
                .filter(BriefDocument::isNamedSo)
                .findFirst();
    }
}
