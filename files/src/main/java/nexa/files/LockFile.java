package nexa.files;

import java.io.IOException;
import java.io.UncheckedIOException;
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

/**
 * A file that only one program, and one part of it, holds at a time. The system lets go of it when a program ends, however it
 * ends.
 *
 * <p>A program opens such a file only once: closing a second channel to it would let go of the first one's lock.
 */
public final class LockFile implements AutoCloseable {
    private static final Set<Path> HELD = new HashSet<>();

    private final Path file;
    private final FileChannel channel;

    private LockFile(Path file, FileChannel channel) {
        this.file = file;
        this.channel = channel;
    }

    /**
     * Takes it; empty if somebody else has it.
     *
     * @throws RegularFile.Refused if there is something else of its name
     * @throws IOException if it cannot be made
     */
    public static Optional<LockFile> take(Path file) throws IOException {
        Path real = file.getParent().toRealPath().resolve(file.getFileName());
        synchronized (HELD) {
            if (HELD.contains(real)) {
                return Optional.empty();
            }
            RegularFile.requireRegular(real);
            FileChannel channel = FileChannel.open(
                    real, StandardOpenOption.CREATE, StandardOpenOption.WRITE, LinkOption.NOFOLLOW_LINKS);
            Object opened = key(real);
            if (isLocked(channel) && opened != null && opened.equals(key(real))) {
                HELD.add(real);
                return Optional.of(new LockFile(real, channel));
            }
            channel.close();
            return Optional.empty();
        }
    }

    /** Who held it before may have taken the file away: then this one is of no use to anybody. */
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
            // File systems that know no locks are rare; working without one beats not working.
            return true;
        }
    }

    /** Takes the file away and lets go of it. */
    public void delete() throws IOException {
        try {
            Files.deleteIfExists(file);
        } finally {
            close();
        }
    }

    /** Lets go of it. */
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
