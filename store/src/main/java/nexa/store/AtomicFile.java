package nexa.store;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.UUID;

/**
 * Writes a file so that at every moment either the old or the new contents are there, whole. A link of the file's name is
 * replaced, never written through; the temporary file is made anew under a name that nobody can guess.
 */
final class AtomicFile {
    private AtomicFile() {}

    static void write(Path file, byte[] contents) throws IOException {
        Path temporary = file.resolveSibling(".nexa-" + UUID.randomUUID() + ".tmp");
        try {
            try (FileChannel channel =
                    FileChannel.open(temporary, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE)) {
                writeAll(channel, contents);
                channel.force(true);
            }
            Files.move(temporary, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        } finally {
            Files.deleteIfExists(temporary);
        }
    }

    static void writeAll(FileChannel channel, byte[] contents) throws IOException {
        ByteBuffer rest = ByteBuffer.wrap(contents);
        while (rest.hasRemaining()) {
            channel.write(rest);
        }
    }
}
