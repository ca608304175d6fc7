package nexa.desktop.handover;

import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import nexa.core.format.Format;
import nexa.desktop.parts.Choices;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;
import nexa.imaging.deliver.DeliveryPlan;

/** Which photos go; of photos opened alone, only these. */
final class WhichPhotos {
    private enum Which {
        ALL_BUT_OUT,
        SELECTS,
        DONE
    }

    private final ShootSession session;
    private final Label only = Parts.label("", "small", "look");
    private final VBox node;
    private final Choices<Which> which;

    WhichPhotos(ShootSession session, Runnable changed) {
        this.session = session;
        only.setId("only-opened");
        only.setWrapText(true);
        only.setGraphic(Parts.triangle());
        which = new Choices<>("which", Which.ALL_BUT_OUT, chosen -> changed.run());
        HBox row = new HBox(4);
        row.getChildren().addAll(which.buttons());
        node = new VBox(8, row, only);
    }

    Node node() {
        return node;
    }

    void show() {
        only.setText(session.only()
                .map(files -> Words.get("handover.only", files.size()))
                .orElse(""));
        only.setVisible(session.only().isPresent());
        only.setManaged(session.only().isPresent());
    }

    /** What goes: these photos in the formats that go. */
    DeliveryPlan.Choice choice() {
        return new DeliveryPlan.Choice(
                session.shoot().formats().stream()
                        .filter(Format::goes)
                        .map(Format::id)
                        .collect(Collectors.toSet()),
                which.chosen() == Which.SELECTS,
                which.chosen() == Which.DONE,
                session.only());
    }
}
