package nexa.imaging.deliver;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.HashSet;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;

/** Sees to it that one delivery at a time works on a destination, of this program or any other. */
final class DestinationLock implements AutoCloseable {
    private static final String NAME = ".nexa-delivering";
    private static final Set<Path> HELD = new HashSet<>();
    private static final long BETWEEN_TRIES = 100;

    private final Path destination;
    private final FileChannel channel;

    private DestinationLock(Path destination, FileChannel channel) {
        this.destination = destination;
        this.channel = channel;
    }

    /**
     * Waits for a destination; empty if that is given up before.
     *
     * @param destination its real path
     * @param givesUp asked again and again
     * @param waits called once if it has to be waited for
     * @throws IOException if nothing can be written there
     */
    static Optional<DestinationLock> await(Path destination, BooleanSupplier givesUp, Runnable waits)
            throws IOException {
        Optional<DestinationLock> lock = take(destination);
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
            lock = take(destination);
        }
        return lock;
    }

    private static Optional<DestinationLock> take(Path destination) throws IOException {
        synchronized (HELD) {
            // A program must not open the file twice: closing the second one would let go of the first one's lock.
            if (HELD.contains(destination)) {
                return Optional.empty();
            }
            Path file = destination.resolve(NAME);
            DeliveredFiles.requireRegularIfThere(file);
            FileChannel channel = FileChannel.open(
                    file, StandardOpenOption.CREATE, StandardOpenOption.WRITE, LinkOption.NOFOLLOW_LINKS);
            Object opened = key(file);
            if (isLocked(channel) && opened != null && Objects.equals(opened, key(file))) {
                HELD.add(destination);
                return Optional.of(new DestinationLock(destination, channel));
            }
            channel.close();
            return Optional.empty();
        }
    }

    /** Who held it before takes the file away: then this one is of no use to anybody. */
    private static Object key(Path file) throws IOException {
        try {
            BasicFileAttributes attributes =
                    Files.readAttributes(file, BasicFileAttributes.class, LinkOption.NOFOLLOW_LINKS);
            return Objects.requireNonNullElse(attributes.fileKey(), file);
        } catch (NoSuchFileException e) {
            return null;
        }
    }

    private static boolean isLocked(FileChannel channel) {
        try {
            FileLock lock = channel.tryLock();
            return lock != null;
        } catch (IOException e) {
            // File systems that know no locks are rare; delivering without one beats not delivering.
            return true;
        }
    }

    @Override
    public void close() throws IOException {
        synchronized (HELD) {
            HELD.remove(destination);
            try (channel) {
                Files.deleteIfExists(destination.resolve(NAME));
            }
        }
    }
}
