package nexa.store;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;

/**
 * Sees to it that only one window writes a shoot. The system lets go of the lock when a program ends, however it ends.
 *
 * <p>A program opens a lock's file only once: closing a second channel to it would let go of the first one's lock.
 */
final class ShootLock implements AutoCloseable {
    private static final Set<Path> HELD = new HashSet<>();

    private final Path file;
    private final FileChannel channel;

    private ShootLock(Path file, FileChannel channel) {
        this.file = file;
        this.channel = channel;
    }

    /**
     * Takes the lock; empty if another window has it, of this program or of another one.
     *
     * @throws IOException if the lock's file cannot be made
     */
    static Optional<ShootLock> take(Path file) throws IOException {
        Path real = file.getParent().toRealPath().resolve(file.getFileName());
        synchronized (HELD) {
            if (HELD.contains(real)) {
                return Optional.empty();
            }
            PlainFile.requireWritable(real);
            FileChannel channel = FileChannel.open(
                    real, StandardOpenOption.CREATE, StandardOpenOption.WRITE, LinkOption.NOFOLLOW_LINKS);
            if (isLocked(channel)) {
                HELD.add(real);
                return Optional.of(new ShootLock(real, channel));
            }
            channel.close();
            return Optional.empty();
        }
    }

    private static boolean isLocked(FileChannel channel) {
        try {
            FileLock lock = channel.tryLock();
            return lock != null;
        } catch (IOException e) {
            // File systems that know no locks are rare; working without one beats not working.
            return true;
        }
    }

    @Override
    public void close() {
        synchronized (HELD) {
            if (!channel.isOpen()) {
                return;
            }
            HELD.remove(file);
            try {
                channel.close();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }
}
