package nexa.desktop.handover;

import java.nio.file.Path;
import java.util.Optional;
import javafx.beans.InvalidationListener;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.desktop.session.RunningDelivery;
import nexa.imaging.deliver.Delivery;

/** Shows how a delivery gets on and what came of it, and lets it pause and stop. */
public final class DeliveryPanel {
    private final Label title = Parts.label("", "section-title");
    private final ProgressBar bar = new ProgressBar(0);
    private final Label count = Parts.label("");
    private final Label detail = Parts.label("", "small", "quiet");
    private final ToggleButton pause = Parts.toggle("deliver.pause", "choice");
    private final Button stop;
    private final VBox node;
    private final InvalidationListener changed = observed -> refresh();
    private Optional<RunningDelivery> shown = Optional.empty();

    public DeliveryPanel() {
        stop = Parts.button("deliver.stop", () -> shown.ifPresent(RunningDelivery::stop));
        stop.setId("stop-delivery");
        pause.setId("pause-delivery");
        pause.setOnAction(event -> shown.ifPresent(running -> running.setPaused(pause.isSelected())));
        title.setMinWidth(Label.USE_PREF_SIZE);
        count.setMinWidth(Label.USE_PREF_SIZE);
        bar.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(bar, Priority.ALWAYS);
        HBox line = Parts.row(12, title, bar, count, pause, stop);
        detail.setWrapText(true);
        detail.setId("delivery-detail");
        node = new VBox(9, line, detail);
        node.getStyleClass().add("card");
        node.setVisible(false);
    }

    public Node node() {
        return node;
    }

    /** Shows a delivery from now on, or none. */
    public void show(Optional<RunningDelivery> delivery) {
        shown.ifPresent(before -> {
            before.progressProperty().removeListener(changed);
            before.outcomeProperty().removeListener(changed);
        });
        shown = delivery;
        delivery.ifPresent(now -> {
            now.progressProperty().addListener(changed);
            now.outcomeProperty().addListener(changed);
        });
        refresh();
    }

    private void refresh() {
        node.setVisible(shown.isPresent());
        shown.ifPresent(delivery -> {
            boolean isRunning = delivery.isRunning();
            RunningDelivery.Progress now = delivery.progressProperty().get();
            stop.setVisible(isRunning);
            pause.setVisible(isRunning);
            pause.setDisable(now.phase() == RunningDelivery.Phase.READING);
            pause.setSelected(now.isPaused());
            pause.setText(Words.get(now.isPaused() ? "deliver.goOn" : "deliver.pause"));
            title.setText(title(now));
            bar.setProgress(now.total() == 0 ? 0 : (double) now.finished() / now.total());
            count.setText(Words.get("deliver.count", now.finished(), now.total()) + left(delivery, now));
            detail.setText(delivery.outcomeProperty()
                    .get()
                    .map(outcome -> words(outcome, delivery.destination()))
                    .orElse(
                            now.name().isEmpty()
                                    ? Words.get("deliver.keeps")
                                    : now.name() + "   " + Words.get("deliver.keeps")));
        });
    }

    private static String title(RunningDelivery.Progress now) {
        boolean isPaused = now.isPaused() && now.phase() != RunningDelivery.Phase.ENDED;
        return isPaused ? Words.get("deliver.paused") : Words.of("deliver.phase", now.phase());
    }

    /** How long it will take yet, once enough is done to tell. */
    private static String left(RunningDelivery delivery, RunningDelivery.Progress now) {
        double seconds = delivery.seconds();
        boolean isTooEarly = seconds < 3 || now.finished() == 0 || now.finished() == now.total();
        if (isTooEarly || now.phase() != RunningDelivery.Phase.WRITING) {
            return "";
        }
        long left = Math.round(seconds / now.finished() * (now.total() - now.finished()));
        return left >= 90 ? Words.get("deliver.minutes", Math.round(left / 60.0)) : Words.get("deliver.seconds", left);
    }

    private static String words(RunningDelivery.Outcome outcome, Path destination) {
        if (outcome.problem().isPresent()) {
            return Words.say(outcome.problem().get());
        }
        return outcome.result()
                .map(result -> words(result, outcome.files(), destination))
                .orElse(Words.get("deliver.stopped", 0, outcome.files()));
    }

    private static String words(Delivery.Result result, int total, Path destination) {
        StringBuilder words = new StringBuilder();
        int written = result.written().size() + result.kept().size();
        if (result.gaveUp().isPresent()) {
            words.append(Words.get("deliver.gaveUp", Words.say(result.gaveUp().get()), written, total));
        } else if (result.wasStopped()) {
            words.append(Words.get("deliver.stopped", written, total));
        } else {
            words.append(Words.get("deliver.finished", written, destination));
        }
        if (!result.kept().isEmpty()) {
            words.append(' ').append(Words.get("deliver.kept", result.kept().size()));
        }
        result.anew().ifPresent(anew -> words.append('\n').append(Words.say(anew)));
        result.unlisted()
                .ifPresent(reason -> words.append('\n').append(Words.get("deliver.unlisted", Words.say(reason))));
        for (Delivery.Failure failure : result.failures()) {
            words.append('\n').append(Words.get("deliver.failed", failure.item().name(), Words.say(failure.reason())));
        }
        return words.toString();
    }
}
