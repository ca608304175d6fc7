package nexa.desktop.handover;

import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.DirectoryChooser;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;

/** Where the files go, and how much room there is. */
final class Destination {
    private final VBox node;
    private final Consumer<Path> chosen;
    private final Label words = Parts.label("", "destination");
    private final Label room = Parts.label("", "small", "quiet");

    /** @param chosen hears of another folder that was chosen */
    Destination(Consumer<Path> chosen) {
        this.chosen = chosen;
        Button change = Parts.button("handover.change", this::choose, "flat");
        change.setId("change-destination");
        change.setMinWidth(Region.USE_PREF_SIZE);
        HBox where = new HBox(8, words, change);
        where.getStyleClass().add("field");
        HBox.setHgrow(words, Priority.ALWAYS);
        words.setMaxWidth(Double.MAX_VALUE);
        node = new VBox(8, where, room);
    }

    Node node() {
        return node;
    }

    private void choose() {
        DirectoryChooser chooser = new DirectoryChooser();
        chooser.setTitle(Words.get("handover.where"));
        Optional.ofNullable(chooser.showDialog(node.getScene().getWindow()))
                .ifPresent(folder -> chosen.accept(folder.toPath()));
    }

    void show(Path folder) {
        words.setText(shortened(folder));
        Parts.tip(words, folder.toString());
    }

    private static String shortened(Path path) {
        String home = System.getProperty("user.home");
        String text = path.toString();
        return text.startsWith(home) ? "~" + text.substring(home.length()) : text;
    }

    /** @param bytes below 0 where nobody can tell */
    void showRoom(long bytes) {
        room.setText(bytes < 0 ? "" : Words.get("handover.room", ByteWords.of(bytes)));
    }
}
