package nexa.imaging.work;

import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.Supplier;

/**
 * Works things out in the background, one at a time: of those asked for while one is being worked out only the latest is, and
 * only what was asked for last is heard of. Asked on one thread, and heard there.
 */
public final class LatestOnly<T> {
    private final WorkQueue queue;
    private final Executor hearing;
    private final Consumer<T> heard;
    private Ticket last = Ticket.NONE;

    /**
     * Nothing is asked for yet.
     *
     * @param workers do the work
     * @param hearing brings what was worked out to the thread on which it is asked for
     * @param heard hears what was worked out
     */
    public LatestOnly(Executor workers, Executor hearing, Consumer<T> heard) {
        this.queue = new WorkQueue(workers, 1, Long.MAX_VALUE);
        this.hearing = hearing;
        this.heard = heard;
    }

    /** Asks for something, in place of whatever was asked for before. The work uses immutable values only. */
    public void ask(Supplier<T> work) {
        forget();
        last = queue.add(Urgency.NOW, WorkQueue.LIGHT, ticket -> workOut(work, ticket));
    }

    private void workOut(Supplier<T> work, Ticket ticket) {
        try {
            T found = work.get();
            hearing.execute(() -> {
                if (!ticket.isCancelled()) {
                    heard.accept(found);
                }
            });
        } catch (RuntimeException e) {
            // A fault, to be told as any other of that thread.
            hearing.execute(() -> {
                throw e;
            });
        }
    }

    /** Nothing that was asked for so far is heard of any more. */
    public void forget() {
        last.cancel();
    }
}
