package nexa.imaging.deliver;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.UUID;

/**
 * A file that is written whole and forced to disk under a name that nobody can guess, before it is given its own by moving it;
 * what was not moved goes again.
 */
record UnnamedFile(Path path) implements AutoCloseable {

    /** Written into a folder. */
    static UnnamedFile in(Path folder, byte[] contents) throws IOException {
        UnnamedFile file = new UnnamedFile(folder.resolve(".nexa-" + UUID.randomUUID() + ".part"));
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

    @Override
    public void close() throws IOException {
        Files.deleteIfExists(path);
    }
}
