package nexa.desktop.session;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;

/**
 * What changes a shoot, one after the other: where something is worked out in the background, what comes later waits for it,
 * so that each begins with what the one before came to. Everything is begun, and taken in, on the JavaFX thread.
 */
final class Turns {
    private final Executor workers;
    private final Deque<Runnable> waiting = new ArrayDeque<>();
    private Work<?> work;

    /** Something being worked out, and who takes it in. */
    private record Work<T>(CompletableFuture<T> result, Consumer<T> taken) {
        void take() {
            taken.accept(result.join());
        }
    }

    /** @param workers work things out in the background */
    Turns(Executor workers) {
        this.workers = workers;
    }

    /** Does something at once, or when what is being worked out has been taken in. */
    void now(Runnable action) {
        if (work == null) {
            action.run();
        } else {
            waiting.add(action);
        }
    }

    /**
     * Works something out in the background.
     *
     * @param begin takes what the work needs as it is by then, on the JavaFX thread
     */
    <T> void take(Supplier<Supplier<T>> begin, Consumer<T> taken) {
        now(() -> takeNext(true, begin, taken));
    }

    /** As {@link #take}, by what has its turn already: nothing comes in between. */
    <T> void takeNext(boolean inBackground, Supplier<Supplier<T>> begin, Consumer<T> taken) {
        Supplier<T> working = begin.get();
        if (!inBackground) {
            taken.accept(working.get());
            return;
        }
        Work<T> begun = new Work<>(CompletableFuture.supplyAsync(working, workers), taken);
        work = begun;
        begun.result()
                .whenComplete((result, problem) -> Platform.runLater(() -> {
                    if (work == begun) {
                        goOn();
                    }
                }));
    }

    private void goOn() {
        Work<?> done = work;
        work = null;
        try {
            done.take();
        } finally {
            while (work == null && !waiting.isEmpty()) {
                waiting.poll().run();
            }
        }
    }

    /** Waits until everything has had its turn. */
    void settle() {
        while (work != null) {
            goOn();
        }
    }
}
