package nexa.imaging.deliver;

import com.google.common.hash.Hashing;
import java.io.IOException;
import java.nio.ByteBuffer;
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
 *
 * @param digest of its contents: SHA-256, in hexadecimal digits
 */
record UnnamedFile(Path path, long length, String digest) implements AutoCloseable {

    /** Written into a folder. */
    static UnnamedFile in(Path folder, byte[] contents) throws IOException {
        UnnamedFile file = new UnnamedFile(
                folder.resolve(".nexa-" + UUID.randomUUID() + ".part"),
                contents.length,
                Hashing.sha256().hashBytes(contents).toString());
        try (FileChannel channel =
                FileChannel.open(file.path, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE)) {
            ByteBuffer rest = ByteBuffer.wrap(contents);
            while (rest.hasRemaining()) {
                channel.write(rest);
            }
            // The name comes last, so the contents have to be there first.
            channel.force(false);
        } catch (IOException e) {
            file.close();
            throw e;
        }
        return file;
    }

    /** Gives it a name that another file has; whenever that is looked at, one of the two is there, whole. */
    void replace(Path named) throws IOException {
        try {
            Files.move(path, named, StandardCopyOption.ATOMIC_MOVE);
        } catch (AtomicMoveNotSupportedException e) {
            Files.move(path, named, StandardCopyOption.REPLACE_EXISTING);
        }
    }

    @Override
    public void close() throws IOException {
        Files.deleteIfExists(path);
    }
}
