package nexa.desktop.shell;

import java.util.List;
import java.util.function.ToIntFunction;
import javafx.stage.Stage;
import nexa.desktop.parts.Overlays;
import nexa.desktop.parts.Words;
import nexa.desktop.session.Deliveries;
import nexa.desktop.session.RunningDelivery;

/** Whether the window may close: while a delivery goes on it asks first, and closes itself when it may. */
final class ClosingQuestion implements ClosingPanel.Actions {
    private final Stage stage;
    private final Deliveries deliveries;
    private final Overlays overlays;
    private final MessageBar messages;
    private boolean closesWhenDelivered;

    ClosingQuestion(Stage stage, Deliveries deliveries, Overlays overlays, MessageBar messages) {
        this.stage = stage;
        this.deliveries = deliveries;
        this.overlays = overlays;
        this.messages = messages;
    }

    /** Asks if a delivery goes on. */
    boolean mayClose() {
        if (deliveries.running().isEmpty()) {
            return true;
        }
        int files = sum(RunningDelivery.Progress::total);
        int finished = sum(RunningDelivery.Progress::finished);
        overlays.show(new ClosingPanel(files, finished, this));
        return false;
    }

    private int sum(ToIntFunction<RunningDelivery.Progress> count) {
        return deliveries.running().stream()
                .mapToInt(one -> count.applyAsInt(one.progressProperty().get()))
                .sum();
    }

    @Override
    public void stay() {
        closesWhenDelivered = false;
        overlays.close();
    }

    @Override
    public void closeWhenDone() {
        closesWhenDelivered = true;
        overlays.close();
        messages.say(Words.get("closing.waits"));
        closeIfDelivered();
    }

    @Override
    public void stopAndClose() {
        closeWhenDone();
        deliveries.stopAll();
    }

    private void closeIfDelivered() {
        List<RunningDelivery> running = deliveries.running();
        if (closesWhenDelivered && running.isEmpty()) {
            stage.close();
        } else if (closesWhenDelivered) {
            running.get(0).outcomeProperty().addListener((observed, before, now) -> closeIfDelivered());
        }
    }
}
