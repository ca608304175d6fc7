package nexa.desktop.shell;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import nexa.desktop.parts.Parts;

/**
 * Lines at the foot of the window that say what happened and what can be done, until they are put away. What was said last
 * takes the place of what was said before; what must not be missed keeps its line.
 */
final class MessageBar extends VBox {
    private static final String LAST = "last";

    private final Map<String, HBox> lines = new LinkedHashMap<>();

    MessageBar() {
        refresh();
    }

    /** Says something until the next thing is said. */
    void say(String text) {
        put(LAST, text, Optional.empty());
    }

    /** Says something that stays until it is put away; saying it again says it once. */
    void keep(String text) {
        put(text, text, Optional.empty());
    }

    /**
     * Offers something until it is taken or put away. A newer offer of the same kind takes its place.
     *
     * @param key of the button's words; its name, and that of its words
     */
    void offer(String key, String text, Runnable action) {
        Button take = Parts.button(key, () -> {
            drop(key);
            action.run();
        });
        take.setId(key.replace('.', '-'));
        put(key, text, Optional.of(take));
    }

    /** Takes an offer back. */
    void drop(String key) {
        lines.remove(key);
        refresh();
    }

    /** Puts all lines away: they were of another shoot. */
    void clear() {
        lines.clear();
        refresh();
    }

    private void put(String key, String text, Optional<Button> action) {
        Label words = Parts.label(text, "message-words");
        words.setWrapText(true);
        words.setAccessibleRole(AccessibleRole.TEXT);
        words.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox line = new HBox(words);
        line.getStyleClass().add("message-bar");
        line.setAlignment(Pos.CENTER_LEFT);
        action.ifPresent(line.getChildren()::add);
        line.getChildren().add(Parts.button("message.dismiss", () -> drop(key)));
        line.getChildren().stream()
                .filter(Button.class::isInstance)
                .forEach(button -> ((Button) button).setMinWidth(Button.USE_PREF_SIZE));
        lines.put(key, line);
        refresh();
    }

    private void refresh() {
        getChildren().setAll(lines.values());
        setVisible(!lines.isEmpty());
        setManaged(!lines.isEmpty());
    }
}
