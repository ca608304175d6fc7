package nexa.store;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Optional;

/** Sees to it that only one window writes a shoot. The system lets go of the lock when a program ends, however it ends. */
final class ShootLock implements AutoCloseable {
    private final FileChannel channel;

    private ShootLock(FileChannel channel) {
        this.channel = channel;
    }

    /**
     * Takes the lock; empty if another window has it.
     *
     * @throws IOException if the lock's file cannot be made
     */
    static Optional<ShootLock> take(Path file) throws IOException {
        Files.createDirectories(file.getParent());
        FileChannel channel = FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
        try {
            FileLock lock = channel.tryLock();
            if (lock != null) {
                return Optional.of(new ShootLock(channel));
            }
        } catch (OverlappingFileLockException e) {
            // Another window of this very program has it.
            channel.close();
            return Optional.empty();
        } catch (IOException e) {
            // File systems that know no locks are rare; working without one beats not working.
            return Optional.of(new ShootLock(channel));
        }
        channel.close();
        return Optional.empty();
    }

    @Override
    public void close() {
        try {
            channel.close();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
