package nexa.imaging.deliver;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import nexa.files.LockFile;
import nexa.files.RegularFile;

/** Sees to it that one delivery at a time works on a destination, of this program or any other. */
final class DestinationLock {
    private static final String NAME = ".nexa-delivering";
    private static final long BETWEEN_TRIES = 100;

    private DestinationLock() {}

    /**
     * Waits for a destination; empty if that is given up before. Whoever has it deletes the file when done.
     *
     * @param destination its real path
     * @param givesUp asked again and again
     * @param waits called once if it has to be waited for
     * @throws IOException if nothing can be written there
     */
    static Optional<LockFile> await(Path destination, BooleanSupplier givesUp, Runnable waits) throws IOException {
        Path file = destination.resolve(NAME);
        Optional<LockFile> lock = take(file);
        if (lock.isEmpty()) {
            waits.run();
        }
        while (lock.isEmpty() && !givesUp.getAsBoolean()) {
            try {
                TimeUnit.MILLISECONDS.sleep(BETWEEN_TRIES);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return Optional.empty();
            }
            lock = take(file);
        }
        return lock;
    }

    private static Optional<LockFile> take(Path file) throws IOException {
        RegularFile.requireRegular(file, "destination.notRegular");
        return LockFile.take(file);
    }
}
