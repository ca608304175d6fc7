package nexa.files;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;

/** A file to which lines are added, each whole or not at all. */
public final class LineFile {
    private LineFile() {}

    /**
     * Adds a line, which begins anew where a crash has cut the last one off. What could not be added whole is taken away again.
     *
     * @param line without its end
     * @param isForced whether it is on disk when this returns
     * @throws IOException if it cannot be added, or if there is something else than a file of this name
     */
    public static void add(Path file, String line, boolean isForced) throws IOException {
        try (FileChannel channel = FileChannel.open(
                file,
                StandardOpenOption.CREATE,
                StandardOpenOption.READ,
                StandardOpenOption.WRITE,
                LinkOption.NOFOLLOW_LINKS)) {
            long length = channel.size();
            String start = endsCutOff(channel) ? "\n" : "";
            channel.position(length);
            try {
                writeAll(channel, (start + line + "\n").getBytes(StandardCharsets.UTF_8));
                if (isForced) {
                    channel.force(false);
                }
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

    static void writeAll(FileChannel channel, byte[] contents) throws IOException {
        ByteBuffer rest = ByteBuffer.wrap(contents);
        while (rest.hasRemaining()) {
            channel.write(rest);
        }
    }
}
