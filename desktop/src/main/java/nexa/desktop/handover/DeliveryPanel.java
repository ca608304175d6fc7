package nexa.desktop.handover;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import nexa.core.format.DeliveryTerms;
import nexa.desktop.shell.Parts;
import nexa.desktop.shell.Words;
import nexa.imaging.deliver.Delivery;
import nexa.imaging.deliver.DeliveryPlan;

/** Runs a delivery in the background and shows how it gets on and what came of it. */
final class DeliveryPanel {
    private final Label title = Parts.label("", "section-title");
    private final ProgressBar bar = new ProgressBar(0);
    private final Label count = Parts.label("");
    private final Label detail = Parts.label("", "small", "quiet");
    private final ToggleButton pause = Parts.toggle("deliver.pause", "choice");
    private final Button stop;
    private final VBox node;
    private volatile Delivery delivery;
    private volatile boolean isStopped;
    private boolean isRunning;
    private long began;
    private long pausedAt;
    private Runnable ended = () -> {};

    DeliveryPanel() {
        stop = Parts.button("deliver.stop", this::stop);
        stop.setId("stop-delivery");
        pause.setId("pause-delivery");
        pause.setOnAction(event -> setPaused(pause.isSelected()));
        bar.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(bar, Priority.ALWAYS);
        HBox line = new HBox(12, title, bar, count, pause, stop);
        line.setAlignment(Pos.CENTER_LEFT);
        detail.setWrapText(true);
        detail.setId("delivery-detail");
        node = new VBox(9, line, detail);
        node.getStyleClass().add("card");
        node.setVisible(false);
    }

    Node node() {
        return node;
    }

    boolean isRunning() {
        return isRunning;
    }

    void onEnd(Runnable action) {
        ended = action;
    }

    /** @param planning works out the plan, in the background */
    void start(Supplier<DeliveryPlan> planning, Path source, Path destination, DeliveryTerms terms) {
        isRunning = true;
        began = System.nanoTime();
        pausedAt = 0;
        delivery = null;
        isStopped = false;
        node.setVisible(true);
        stop.setVisible(true);
        stop.setDisable(false);
        pause.setVisible(true);
        setPaused(false);
        bar.setProgress(0);
        count.setText("");
        detail.setText(Words.get("deliver.keeps"));
        Thread runner = new Thread(() -> run(planning.get(), source, destination, terms), "delivery run");
        runner.setDaemon(true);
        runner.start();
    }

    private void run(DeliveryPlan plan, Path source, Path destination, DeliveryTerms terms) {
        Delivery begun = new Delivery(
                plan,
                source,
                destination,
                terms,
                (finished, total, name) -> Platform.runLater(() -> show(finished, total, name)));
        delivery = begun;
        if (isStopped) {
            begun.stop();
        }
        String words;
        try {
            Delivery.Result result = begun.run(Runtime.getRuntime().availableProcessors());
            words = outcome(result, plan.files().size(), destination);
        } catch (IOException e) {
            words = Words.get("deliver.noFolder", destination, e.getMessage());
        }
        String said = words;
        Platform.runLater(() -> end(said));
    }

    private static String outcome(Delivery.Result result, int total, Path destination) {
        StringBuilder words = new StringBuilder();
        int written = result.written().size() + result.kept().size();
        if (result.gaveUp().isPresent()) {
            words.append(Words.get("deliver.gaveUp", result.gaveUp().get(), written, total));
        } else if (result.wasStopped()) {
            words.append(Words.get("deliver.stopped", written, total));
        } else {
            words.append(Words.get("deliver.finished", written, destination));
        }
        if (!result.kept().isEmpty()) {
            words.append(' ').append(Words.get("deliver.kept", result.kept().size()));
        }
        for (Delivery.Failure failure : result.failures()) {
            words.append('\n').append(Words.get("deliver.failed", failure.item().name(), failure.reason()));
        }
        return words.toString();
    }

    private void show(int finished, int total, String name) {
        bar.setProgress(total == 0 ? 0 : (double) finished / total);
        count.setText(Words.get("deliver.count", finished, total) + left(finished, total));
        detail.setText(name.isEmpty() ? Words.get("deliver.keeps") : name + "   " + Words.get("deliver.keeps"));
    }

    /** How long it will take yet, once enough is done to tell. */
    private String left(int finished, int total) {
        double seconds = (System.nanoTime() - began) / 1e9;
        if (seconds < 3 || finished == 0 || finished == total) {
            return "";
        }
        long left = Math.round(seconds / finished * (total - finished));
        return left >= 90 ? Words.get("deliver.minutes", Math.round(left / 60.0)) : Words.get("deliver.seconds", left);
    }

    private void setPaused(boolean isPaused) {
        pause.setSelected(isPaused);
        pause.setText(Words.get(isPaused ? "deliver.goOn" : "deliver.pause"));
        title.setText(Words.get(isPaused ? "deliver.paused" : "deliver.title"));
        Optional.ofNullable(delivery).ifPresent(running -> running.setPaused(isPaused));
        // The time spent waiting says nothing of the time that is left.
        if (isPaused) {
            pausedAt = System.nanoTime();
        } else if (pausedAt != 0) {
            began += System.nanoTime() - pausedAt;
            pausedAt = 0;
        }
    }

    private void end(String words) {
        isRunning = false;
        stop.setVisible(false);
        pause.setVisible(false);
        title.setText(Words.get("deliver.done"));
        detail.setText(words);
        ended.run();
    }

    void stop() {
        isStopped = true;
        Optional.ofNullable(delivery).ifPresent(Delivery::stop);
        stop.setDisable(true);
    }
}
