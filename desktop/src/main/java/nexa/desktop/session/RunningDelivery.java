package nexa.desktop.session;

import com.google.common.base.Stopwatch;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;
import java.util.function.IntConsumer;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import nexa.core.format.DeliveryTerms;
import nexa.core.message.Message;
import nexa.core.message.Telling;
import nexa.imaging.deliver.Delivery;
import nexa.imaging.deliver.DeliveryPlan;
import nexa.imaging.deliver.DeliveryProblem;
import nexa.imaging.facts.PhotoFolder;

/**
 * A delivery under way, behind whatever view is in front. It belongs to the window: neither leaving the view nor putting the
 * shoot away ends it.
 */
public final class RunningDelivery {
    /** What a delivery is at. */
    public enum Phase {
        /** Photos that have not been read yet are read first: names and sizes depend on them. */
        READING,
        /** Another delivery works on the same destination. */
        WAITING,
        WRITING,
        ENDED
    }

    /**
     * How a delivery gets on.
     *
     * @param finished of the photos to read, or the files to write
     * @param name of the file finished last, or empty
     */
    public record Progress(Phase phase, int finished, int total, String name, boolean isPaused) {
        private Progress with(Phase newPhase) {
            return new Progress(newPhase, finished, total, name, isPaused);
        }
    }

    /**
     * What came of it: a result, or a problem, or neither if it was stopped before it began.
     *
     * @param files how many there were to be
     */
    public record Outcome(int files, Optional<Delivery.Result> result, Optional<Message> problem) {}

    /** Works out what is delivered, in the background. */
    public interface Planning {
        /**
         * The plan.
         *
         * @param read hears how many photos have been read so far
         */
        DeliveryPlan plan(IntConsumer read);
    }

    /**
     * What is asked for.
     *
     * @param title the shoot's
     * @param words for what the list of the files tells
     */
    record Order(
            String title, PhotoFolder photos, Path destination, DeliveryTerms terms, Function<Message, String> words) {}

    private final Order order;
    private final ReadOnlyObjectWrapper<Progress> progress;
    private final ReadOnlyObjectWrapper<Optional<Outcome>> outcome = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final Thread thread;
    private final Stopwatch working;
    private volatile Delivery delivery;
    private volatile boolean isStopped;

    /**
     * Begins.
     *
     * @param unread how many photos there are to read
     * @param working counts the time it works; not started yet
     */
    RunningDelivery(Order order, int unread, Stopwatch working, Planning planning) {
        this.order = order;
        this.working = working.start();
        this.progress = new ReadOnlyObjectWrapper<>(new Progress(Phase.READING, 0, unread, "", false));
        this.thread = new Thread(() -> run(planning), "delivery run");
        thread.setDaemon(true);
        thread.start();
    }

    private void run(Planning planning) {
        Outcome came;
        try {
            DeliveryPlan plan = planning.plan(read -> later(Phase.READING, read, -1, ""));
            came = isStopped ? new Outcome(plan.files().size(), Optional.empty(), Optional.empty()) : deliver(plan);
        } catch (DeliveryProblem | RuntimeException | OutOfMemoryError | StackOverflowError e) {
            came = new Outcome(0, Optional.empty(), Optional.of(Telling.of(e)));
        }
        Outcome ended = came;
        Platform.runLater(() -> {
            progress.set(progress.get().with(Phase.ENDED));
            outcome.set(Optional.of(ended));
        });
    }

    private Outcome deliver(DeliveryPlan plan) throws DeliveryProblem {
        int total = plan.files().size();
        Delivery.Progress told = new Delivery.Progress() {
            @Override
            public void advanced(int finished, int all, String name) {
                later(Phase.WRITING, finished, all, name);
            }

            @Override
            public void waits() {
                later(Phase.WAITING, 0, total, "");
            }
        };
        Delivery begun = new Delivery(plan, order.photos(), order.destination(), order.terms(), order.words(), told);
        delivery = begun;
        later(Phase.WRITING, 0, total, "");
        if (isStopped) {
            begun.stop();
        }
        Delivery.Result result = begun.run(Runtime.getRuntime().availableProcessors());
        return new Outcome(total, Optional.of(result), Optional.empty());
    }

    /** @param total below 0 for the same as before */
    private void later(Phase phase, int finished, int total, String name) {
        Platform.runLater(() -> {
            Progress now = progress.get();
            progress.set(new Progress(phase, finished, total < 0 ? now.total() : total, name, now.isPaused()));
        });
    }

    /** The shoot's. */
    public String title() {
        return order.title();
    }

    /** The folder of the photos. */
    public Path source() {
        return order.photos().path();
    }

    public Path destination() {
        return order.destination();
    }

    public ReadOnlyObjectProperty<Progress> progressProperty() {
        return progress.getReadOnlyProperty();
    }

    /** What came of it, once it has ended. */
    public ReadOnlyObjectProperty<Optional<Outcome>> outcomeProperty() {
        return outcome.getReadOnlyProperty();
    }

    public boolean isRunning() {
        return outcome.get().isEmpty();
    }

    /** How long it has worked so far, in seconds, without the time it was paused. */
    public double seconds() {
        return working.elapsed(TimeUnit.MILLISECONDS) / 1e3;
    }

    /** Begins no further file until it is to go on. */
    public void setPaused(boolean isPaused) {
        Optional.ofNullable(delivery).ifPresent(running -> running.setPaused(isPaused));
        if (isPaused && working.isRunning()) {
            working.stop();
        } else if (!isPaused && !working.isRunning()) {
            working.start();
        }
        Progress now = progress.get();
        progress.set(new Progress(now.phase(), now.finished(), now.total(), now.name(), isPaused));
    }

    /** Begins no further file. Those being written are finished. */
    public void stop() {
        isStopped = true;
        Optional.ofNullable(delivery).ifPresentOrElse(Delivery::stop, thread::interrupt);
    }
}
