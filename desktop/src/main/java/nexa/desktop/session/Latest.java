package nexa.desktop.session;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;

/**
 * Works things out in the background, one at a time: of those asked for while one is being worked out only the latest is, and
 * only what was asked for last is heard of. Asked on the JavaFX thread, and heard there.
 */
public final class Latest<T> {
    private final Consumer<T> heard;
    private final AtomicReference<Runnable> waiting = new AtomicReference<>();
    private final AtomicBoolean isWorking = new AtomicBoolean();
    private long asked;

    /** @param heard hears what was worked out */
    public Latest(Consumer<T> heard) {
        this.heard = heard;
    }

    /** Asks for something, in place of whatever was asked for before. The work uses immutable values only. */
    public void ask(Supplier<T> work) {
        long number = ++asked;
        waiting.set(() -> {
            T found = work.get();
            Platform.runLater(() -> {
                if (number == asked) {
                    heard.accept(found);
                }
            });
        });
        if (isWorking.compareAndSet(false, true)) {
            CompletableFuture.runAsync(this::workOn);
        }
    }

    /** Nothing that was asked for so far is heard of any more. */
    public void forget() {
        asked++;
        waiting.set(null);
    }

    private void workOn() {
        do {
            try {
                for (Runnable next = waiting.getAndSet(null); next != null; next = waiting.getAndSet(null)) {
                    next.run();
                }
            } catch (RuntimeException e) {
                // A fault, to be told as any other of the window.
                Platform.runLater(() -> {
                    throw e;
                });
            } finally {
                isWorking.set(false);
            }
            // What came in between would otherwise wait for the next one.
        } while (waiting.get() != null && isWorking.compareAndSet(false, true));
    }
}
