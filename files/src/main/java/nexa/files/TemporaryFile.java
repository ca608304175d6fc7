package nexa.files;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.UUID;

/**
 * A file that is written whole and forced to disk under a name that nobody can guess, before it is given its own by moving it;
 * what was not moved goes again.
 */
public final class TemporaryFile implements AutoCloseable {
    private static final String BEFORE = ".nexa-";
    private static final String DELIVERED = ".part";

    /** The names of those that are to be delivered, as a pattern of a folder's files. */
    public static final String PATTERN_OF_DELIVERED = BEFORE + "*" + DELIVERED;

    private final Path path;
    private final byte[] contents;

    private TemporaryFile(Path path, byte[] contents) {
        this.path = path;
        this.contents = contents;
    }

    /**
     * One that is to be delivered, written into a folder.
     *
     * @throws IOException if it cannot be written; nothing of it is left then
     */
    public static TemporaryFile toDeliver(Path folder, byte[] contents) throws IOException {
        return write(folder.resolve(BEFORE + UUID.randomUUID() + DELIVERED), contents);
    }

    /**
     * Puts contents in a file's place, so that at every moment either the old or the new ones are there, whole. A link of the
     * file's name is replaced, never written through.
     */
    public static void replace(Path file, byte[] contents) throws IOException {
        try (TemporaryFile written = write(file.resolveSibling(BEFORE + UUID.randomUUID() + ".tmp"), contents)) {
            written.replace(file);
        }
    }

    private static TemporaryFile write(Path path, byte[] contents) throws IOException {
        TemporaryFile file = new TemporaryFile(path, contents);
        try (FileChannel channel = FileChannel.open(path, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE)) {
            LineFile.writeAll(channel, contents);
            // The name comes last, so the contents have to be there first.
            channel.force(true);
        } catch (IOException e) {
            file.close();
            throw e;
        }
        return file;
    }

    public Path path() {
        return path;
    }

    /** In bytes. */
    public long length() {
        return contents.length;
    }

    /** Of its contents; see {@link Digest}. Worked out when it is asked for. */
    public String digest() {
        return Digest.of(contents);
    }

    /**
     * Gives it a name that another file may have; whenever that is looked at, one of the two is there, whole.
     *
     * @throws AtomicMoveNotSupportedException where the file system cannot do that
     */
    public void replace(Path named) throws IOException {
        Files.move(path, named, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    }

    /** As {@link #replace(Path)}, or where the file system cannot do that, in two steps. */
    public void replaceAnyway(Path named) throws IOException {
        try {
            replace(named);
        } catch (AtomicMoveNotSupportedException e) {
            Files.move(path, named, StandardCopyOption.REPLACE_EXISTING);
        }
    }

    @Override
    public void close() throws IOException {
        Files.deleteIfExists(path);
    }
}
