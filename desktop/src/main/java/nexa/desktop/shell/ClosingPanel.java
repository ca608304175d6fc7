package nexa.desktop.shell;

import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;

/** Asks what is to become of deliveries under way when the window is closed. */
final class ClosingPanel extends VBox {
    /** What can be answered. */
    interface Actions {
        void stay();

        void closeWhenDone();

        void stopAndClose();
    }

    ClosingPanel(int files, int finished, Actions actions) {
        super(14);
        getStyleClass().add("closing-panel");
        Label what = Parts.label(Words.get("closing.what", finished, files));
        what.setWrapText(true);
        Button stay = Parts.button("closing.stay", actions::stay);
        stay.setId("closing-stay");
        Button later = Parts.button("closing.later", actions::closeWhenDone, "main-action");
        later.setId("closing-later");
        Button stop = Parts.button("closing.stop", actions::stopAndClose);
        stop.setId("closing-stop");
        HBox answers = new HBox(8, Parts.spacer(), stay, stop, later);
        answers.setAlignment(Pos.CENTER_RIGHT);
        getChildren().addAll(Parts.label(Words.get("closing.title"), "page-title"), what, answers);
    }
}
