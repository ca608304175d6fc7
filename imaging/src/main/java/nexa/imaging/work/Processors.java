package nexa.imaging.work;

import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.ForkJoinWorkerThread;
import java.util.function.IntConsumer;
import java.util.stream.IntStream;

/** Does things of the same kind on all processors at once, on threads of its own, which keep no program from ending. */
public final class Processors {
    private static final ForkJoinPool POOL =
            new ForkJoinPool(Runtime.getRuntime().availableProcessors(), Processors::thread, null, false);

    private Processors() {}

    private static ForkJoinWorkerThread thread(ForkJoinPool pool) {
        ForkJoinWorkerThread thread = ForkJoinPool.defaultForkJoinWorkerThreadFactory.newThread(pool);
        thread.setName("processors-" + thread.getPoolIndex());
        return thread;
    }

    /** Does all of a count of things, from 0, and waits for it. */
    public static void each(int count, IntConsumer doing) {
        POOL.submit(() -> IntStream.range(0, count).parallel().forEach(doing)).join();
    }
}
