package nexa.imaging.deliver;

import java.util.concurrent.locks.Condition;
import java.util.concurrent.locks.ReentrantLock;

/** Holds work up while it is set. */
final class Pause {
    private final ReentrantLock lock = new ReentrantLock();
    private final Condition goesOn = lock.newCondition();
    private boolean isSet;

    void set(boolean isSetNow) {
        lock.lock();
        try {
            isSet = isSetNow;
            goesOn.signalAll();
        } finally {
            lock.unlock();
        }
    }

    /** Returns when it is not set, at once or after a while. */
    void await() {
        lock.lock();
        try {
            while (isSet) {
                goesOn.awaitUninterruptibly();
            }
        } finally {
            lock.unlock();
        }
    }
}
