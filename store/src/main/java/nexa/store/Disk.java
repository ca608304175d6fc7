package nexa.store;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;

/** How a shoot's files are written; tests stand in one that fails. */
class Disk {
    /** Puts contents in a file's place, whole or not at all. */
    void replace(Path file, byte[] contents) throws IOException {
        AtomicFile.write(file, contents);
    }

    /** Adds a line to a file and forces it to disk. What could not be added whole is taken away again. */
    void appendLine(Path file, byte[] contents) throws IOException {
        PlainFile.requireWritable(file);
        try (FileChannel channel = FileChannel.open(
                file,
                StandardOpenOption.CREATE,
                StandardOpenOption.READ,
                StandardOpenOption.WRITE,
                LinkOption.NOFOLLOW_LINKS)) {
            long length = channel.size();
            boolean endsCutOff = endsCutOff(channel);
            channel.position(length);
            try {
                // A crash may have cut the last line off: this one begins anew all the same.
                if (endsCutOff) {
                    AtomicFile.writeAll(channel, new byte[] {'\n'});
                }
                AtomicFile.writeAll(channel, contents);
                channel.force(false);
            } catch (IOException e) {
                channel.truncate(length);
                throw e;
            }
        }
    }

    private static boolean endsCutOff(FileChannel channel) throws IOException {
        ByteBuffer last = ByteBuffer.allocate(1);
        return channel.size() > 0 && channel.read(last, channel.size() - 1) == 1 && last.get(0) != '\n';
    }
}
