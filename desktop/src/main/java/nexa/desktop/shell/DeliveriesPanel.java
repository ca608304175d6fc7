package nexa.desktop.shell;

import java.util.List;
import java.util.Optional;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import nexa.desktop.handover.DeliveryPanel;
import nexa.desktop.parts.Parts;
import nexa.desktop.session.RunningDelivery;

/** The deliveries under way of shoots that are not open. */
final class DeliveriesPanel extends VBox {
    DeliveriesPanel(List<RunningDelivery> deliveries, Runnable close) {
        super(12);
        getStyleClass().add("deliveries-panel");
        HBox foot = new HBox(Parts.spacer(), Parts.closeButton(close));
        for (RunningDelivery delivery : deliveries) {
            DeliveryPanel panel = new DeliveryPanel();
            panel.show(Optional.of(delivery));
            getChildren().addAll(Parts.label(delivery.title(), "page-title"), panel.node());
        }
        getChildren().add(foot);
    }
}
