package nexa.desktop.lens;

import java.util.List;
import java.util.stream.Collectors;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import nexa.core.message.Message;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;

/** Says where what is known of lenses comes from, and what of it was passed over. */
final class LensSource extends VBox {
    /** Each names its file; with more of them a list of lenses would not find room. */
    private static final int MOST_TOLD = 3;

    private final Label passedOver = Parts.label("", "small", "look");

    LensSource() {
        super(3);
        passedOver.setId("lenses-passed-over");
        passedOver.setWrapText(true);
        passedOver.managedProperty().bind(passedOver.visibleProperty());
        getChildren().addAll(passedOver, Parts.label(Words.get("lens.source"), "small", "quiet"));
        tell(List.of());
    }

    /** Says in a few lines what was passed over. */
    void tell(List<Message> told) {
        String lines = told.stream().limit(MOST_TOLD).map(Words::say).collect(Collectors.joining("\n"));
        int more = told.size() - MOST_TOLD;
        passedOver.setText(more > 0 ? lines + "\n" + Words.get("lens.toldMore", more) : lines);
        passedOver.setVisible(!told.isEmpty());
    }
}
