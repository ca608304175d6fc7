package nexa.imaging.work;

/** Something asked of a {@link WorkQueue}. */
public final class Ticket implements Comparable<Ticket> {
    /** A ticket for nothing. */
    public static final Ticket NONE = new Ticket(0, Urgency.IDLE, 0, ticket -> {});

    /** Something to do. */
    public interface Work {
        /** Does it, looking now and then whether it is still wanted. */
        void run(Ticket ticket);
    }

    private final long number;
    private final Urgency urgency;
    private final long bytes;
    private final Work work;
    private boolean isBegun;
    private boolean isCancelled;

    Ticket(long number, Urgency urgency, long bytes, Work work) {
        this.number = number;
        this.urgency = urgency;
        this.bytes = bytes;
        this.work = work;
    }

    long bytes() {
        return bytes;
    }

    /** It is not wanted any more. What has begun may be finished; who waits for it hears nothing. */
    public synchronized void cancel() {
        isCancelled = true;
    }

    /** It is not wanted any more unless it has begun. */
    public synchronized void drop() {
        isCancelled |= !isBegun;
    }

    public synchronized boolean isCancelled() {
        return isCancelled;
    }

    void run() {
        synchronized (this) {
            if (isCancelled) {
                return;
            }
            isBegun = true;
        }
        work.run(this);
    }

    /** The sooner one comes first. */
    @Override
    public int compareTo(Ticket other) {
        if (urgency != other.urgency) {
            return urgency.compareTo(other.urgency);
        }
        int byNumber = Long.compare(number, other.number);
        return urgency == Urgency.IDLE ? byNumber : -byNumber;
    }

    @Override
    public boolean equals(Object other) {
        return this == other;
    }

    @Override
    public int hashCode() {
        return Long.hashCode(number);
    }
}
