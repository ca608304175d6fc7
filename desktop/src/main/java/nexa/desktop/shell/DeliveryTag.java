package nexa.desktop.shell;

import java.util.ArrayList;
import java.util.List;
import javafx.beans.InvalidationListener;
import javafx.beans.WeakInvalidationListener;
import javafx.scene.control.Button;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.desktop.session.Deliveries;
import nexa.desktop.session.RunningDelivery;

/** How far the deliveries under way are, whatever is in front; a click leads to them. Not there when there are none. */
final class DeliveryTag extends Button {
    private final Deliveries deliveries;
    private final InvalidationListener changed = observed -> refresh();
    private final WeakInvalidationListener weak = new WeakInvalidationListener(changed);
    private final List<RunningDelivery> heard = new ArrayList<>();

    DeliveryTag(Deliveries deliveries, Runnable show) {
        this.deliveries = deliveries;
        setId("delivery-tag");
        getStyleClass().addAll("delivery-tag");
        Parts.explain(this, Words.get("deliver.tag.tip"));
        setOnAction(event -> show.run());
        setMinWidth(USE_PREF_SIZE);
        deliveries.all().addListener(weak);
        refresh();
    }

    private void refresh() {
        for (RunningDelivery one : deliveries.all()) {
            if (!heard.contains(one)) {
                heard.add(one);
                one.progressProperty().addListener(weak);
                one.outcomeProperty().addListener(weak);
            }
        }
        List<RunningDelivery> running = deliveries.running();
        setVisible(!running.isEmpty());
        setManaged(!running.isEmpty());
        int finished = 0;
        int total = 0;
        for (RunningDelivery one : running) {
            finished += one.progressProperty().get().finished();
            total += one.progressProperty().get().total();
        }
        setText(Words.get("deliver.tag", finished, total));
    }
}
