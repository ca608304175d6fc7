package nexa.imaging.work;

import com.google.common.util.concurrent.ThreadFactoryBuilder;
import java.util.PriorityQueue;
import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;

/**
 * Work done in the background, so much at once.
 *
 * <p>Everything asked for is numbered: the more urgent comes first, of equally urgent things the latest, so that what is on the
 * screen now is done before what has scrolled by; only what is done when idle is done in the order asked. What is cancelled
 * before its turn costs nothing. Things are weighed in bytes: what would need too much memory beside the others waits until
 * they are done, and so does what comes after it.
 */
public final class WorkQueue implements AutoCloseable {
    /** For work that needs little memory. */
    public static final long LIGHT = 0;

    private final Executor workers;
    private final Runnable stop;
    private final int atOnce;
    private final long bytesAtOnce;
    private final PriorityQueue<Ticket> waiting = new PriorityQueue<>();
    private long numbers;
    private int running;
    private long bytesInWork;
    private boolean isClosed;

    /**
     * A queue whose work an executor does.
     *
     * @param atOnce the most things worked on at once
     * @param bytesAtOnce the most they weigh together; what weighs more is worked on alone
     */
    public WorkQueue(Executor workers, int atOnce, long bytesAtOnce) {
        this(workers, () -> {}, atOnce, bytesAtOnce);
    }

    private WorkQueue(Executor workers, Runnable stop, int atOnce, long bytesAtOnce) {
        this.workers = workers;
        this.stop = stop;
        this.atOnce = atOnce;
        this.bytesAtOnce = bytesAtOnce;
    }

    /** A queue with threads of its own, which end when it is closed and keep no program from ending. */
    public static WorkQueue withThreads(String name, int threads, long bytesAtOnce) {
        // What is to begin in the moment in which the queue is closed is wanted by nobody.
        ExecutorService pool = new ThreadPoolExecutor(
                threads,
                threads,
                0,
                TimeUnit.SECONDS,
                new LinkedBlockingQueue<>(),
                new ThreadFactoryBuilder().setNameFormat(name).setDaemon(true).build(),
                new ThreadPoolExecutor.DiscardPolicy());
        return new WorkQueue(pool, pool::shutdownNow, threads, bytesAtOnce);
    }

    /**
     * Asks for something. After the queue was closed nothing is done any more.
     *
     * @param bytes about as much memory as it needs while it is worked on, or {@link #LIGHT}
     */
    public Ticket add(Urgency urgency, long bytes, Ticket.Work work) {
        Ticket ticket;
        synchronized (this) {
            ticket = new Ticket(++numbers, urgency, bytes, work);
            if (isClosed) {
                ticket.cancel();
                return ticket;
            }
            waiting.add(ticket);
        }
        begin();
        return ticket;
    }

    /** Has one more thing worked on, if there may be one more. */
    private void begin() {
        synchronized (this) {
            if (running >= atOnce || first() == null) {
                return;
            }
            running++;
        }
        workers.execute(this::workOn);
    }

    /** Does one thing after the other, each the most urgent by then. */
    private void workOn() {
        try {
            for (Ticket next = next(); next != null; next = next()) {
                try {
                    next.run();
                } finally {
                    end(next);
                }
            }
        } finally {
            synchronized (this) {
                running--;
            }
            // What came in between, or what a fault left, would otherwise wait for the next one.
            begin();
        }
    }

    /** The most urgent thing that is still wanted; null if there is none, or no room for it beside the others. */
    private synchronized Ticket first() {
        while (!waiting.isEmpty() && waiting.peek().isCancelled()) {
            waiting.poll();
        }
        Ticket first = waiting.peek();
        boolean hasRoom = first != null && (bytesInWork == 0 || bytesInWork + first.bytes() <= bytesAtOnce);
        return hasRoom ? first : null;
    }

    private synchronized Ticket next() {
        Ticket next = first();
        if (next != null) {
            bytesInWork += next.bytes();
            waiting.poll();
        }
        return next;
    }

    private void end(Ticket done) {
        synchronized (this) {
            bytesInWork -= done.bytes();
        }
        // There may be room for more than this worker takes next.
        begin();
    }

    /** Begins nothing more; nothing that was asked for is wanted any more. */
    @Override
    public void close() {
        synchronized (this) {
            isClosed = true;
            waiting.forEach(Ticket::cancel);
            waiting.clear();
        }
        stop.run();
    }
}
