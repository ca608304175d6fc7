package nexa.desktop.handover;

import java.util.Locale;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import nexa.core.format.Format;
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
    private final Runnable changed;
    private final Label only = Parts.label("", "small", "look");
    private final VBox node;
    private Which which = Which.ALL_BUT_OUT;

    WhichPhotos(ShootSession session, Runnable changed) {
        this.session = session;
        this.changed = changed;
        only.setId("only-opened");
        only.setWrapText(true);
        only.setGraphic(Parts.triangle());
        node = new VBox(8, row(), only);
    }

    Node node() {
        return node;
    }

    private HBox row() {
        HBox row = new HBox(4);
        ToggleGroup group = new ToggleGroup();
        for (Which each : Which.values()) {
            String key = "which." + each.name().toLowerCase(Locale.ROOT);
            ToggleButton button = Parts.toggle(key, "choice");
            button.setId(key.replace('.', '-'));
            button.setToggleGroup(group);
            button.setSelected(each == which);
            button.setOnAction(event -> {
                button.setSelected(true);
                which = each;
                changed.run();
            });
            row.getChildren().add(button);
        }
        return row;
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
                which == Which.SELECTS,
                which == Which.DONE,
                session.only());
    }
}
