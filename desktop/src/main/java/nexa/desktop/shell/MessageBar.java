package nexa.desktop.shell;

import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;

/** A line at the foot of the window that says what happened and what can be done, until it is put away. */
final class MessageBar extends HBox {
    private final Label words = Parts.label("", "message-words");

    MessageBar() {
        getStyleClass().add("message-bar");
        setAlignment(Pos.CENTER_LEFT);
        words.setWrapText(true);
        words.setAccessibleRole(AccessibleRole.TEXT);
        HBox.setHgrow(words, Priority.ALWAYS);
        words.setMaxWidth(Double.MAX_VALUE);
        getChildren().addAll(words, Parts.button("message.dismiss", this::hide));
        hide();
    }

    void say(String text) {
        words.setText(text);
        setVisible(true);
        setManaged(true);
    }

    private void hide() {
        setVisible(false);
        setManaged(false);
    }
}
