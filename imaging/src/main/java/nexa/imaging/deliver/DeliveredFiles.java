package nexa.imaging.deliver;

import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import nexa.core.format.DeliveredFile;
import nexa.core.message.Message;
import nexa.core.message.Telling;

/**
 * What was delivered into a folder before, and from where, so that finished files are recognised after a stop or a crash. A
 * line is written before its file gets its name: a line without a file means nothing, and a file without a line, or with one
 * of another shoot, is somebody else's.
 */
final class DeliveredFiles {
    private static final int LARGEST = 64 * 1024 * 1024;

    private final Path destination;
    private final String source;
    /** By the name asked for: of this source, or of one that an earlier version did not say. */
    private final Map<String, DeliveredFile> entries = new HashMap<>();
    /** Whose each file is: the last one that was delivered under its name. */
    private final Map<String, DeliveredFile> owners = new HashMap<>();

    private DeliveredFiles(Path destination, String source) {
        this.destination = destination;
        this.source = source;
    }

    /**
     * Reads the list of a destination. Lines that are none, or were cut off by a crash, count for nothing.
     *
     * @param destination its real path
     * @param photos the real path of their folder
     * @throws NotRegular if there is something of the list's name that is no regular file
     */
    static DeliveredFiles in(Path destination, Path photos) throws IOException {
        DeliveredFiles delivered = new DeliveredFiles(destination, source(destination, photos));
        Path list = destination.resolve(DeliveredFile.LIST);
        requireRegularIfThere(list);
        if (Files.exists(list)) {
            try (InputStream in = Files.newInputStream(list)) {
                String text = new String(in.readNBytes(LARGEST), StandardCharsets.UTF_8);
                text.lines().map(DeliveredFile::parse).flatMap(Optional::stream).forEach(delivered::know);
            }
        }
        return delivered;
    }

    /** What is said of something that cannot be written over. */
    private static final class NotRegular extends IOException implements Telling {
        private static final long serialVersionUID = 1L;

        private final transient Message told;

        NotRegular(Path file) {
            super(file.toString());
            this.told = Message.of("destination.notRegular", file);
        }

        @Override
        public Message told() {
            return told;
        }
    }

    /** @throws NotRegular if there is something of a name of Nexa's own that is no regular file, a link for instance */
    static void requireRegularIfThere(Path file) throws IOException {
        if (Files.exists(file, LinkOption.NOFOLLOW_LINKS) && !Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS)) {
            throw new NotRegular(file);
        }
    }

    /** The folder of the photos: from the destination if that lies in it, so that both can be moved together. */
    private static String source(Path destination, Path photos) {
        if (destination.equals(photos)) {
            return DeliveredFile.SAME_FOLDER;
        }
        return destination.startsWith(photos)
                ? destination.relativize(photos).toString()
                : photos.toUri().toString();
    }

    private void know(DeliveredFile delivered) {
        owners.put(delivered.file(), delivered);
        boolean isOwn = delivered.source().map(source::equals).orElse(true);
        if (isOwn) {
            entries.put(delivered.name(), delivered);
        }
    }

    /** The file delivered under a name before, if it is still there just as it was made and would be made again so. */
    synchronized Optional<Path> finished(String name, String making) throws IOException {
        DeliveredFile entry = entries.get(name);
        Optional<Path> file = own(name, making).filter(made -> entry.making().equals(making));
        if (file.isPresent() && entry.source().isEmpty()) {
            // Now that it is known to be this shoot's, it says so from now on.
            note(name, file.get(), making, entry.length());
        }
        return file;
    }

    /**
     * The file delivered under a name before, made of whatever, if nobody has changed it since. A line of an earlier version,
     * which does not say whose it is, counts only if the file would be made again just so.
     */
    synchronized Optional<Path> own(String name, String making) throws IOException {
        DeliveredFile entry = entries.get(name);
        boolean isOwn = entry != null
                && entry.equals(owners.get(entry.file()))
                && (entry.source().isPresent() || entry.making().equals(making));
        if (!isOwn) {
            return Optional.empty();
        }
        Path file = destination.resolve(entry.file()).normalize();
        boolean isThere = Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS) && Files.size(file) == entry.length();
        // A list that somebody tampered with must not lead out of the destination.
        return isThere && file.toRealPath().startsWith(destination) ? Optional.of(file) : Optional.empty();
    }

    /** Notes a file that is about to get its name. */
    synchronized void note(String name, Path file, String making, long length) throws IOException {
        String actual = destination.relativize(file).toString();
        DeliveredFile delivered = new DeliveredFile(name, actual, making, length, Optional.of(source));
        know(delivered);
        try (FileChannel list = FileChannel.open(
                destination.resolve(DeliveredFile.LIST),
                StandardOpenOption.CREATE,
                StandardOpenOption.READ,
                StandardOpenOption.WRITE,
                LinkOption.NOFOLLOW_LINKS)) {
            // A crash may have cut the last line off: this one begins anew all the same.
            String start = endsCutOff(list) ? "\n" : "";
            list.position(list.size());
            ByteBuffer rest = StandardCharsets.UTF_8.encode(start + delivered.line() + "\n");
            while (rest.hasRemaining()) {
                list.write(rest);
            }
        }
    }

    private static boolean endsCutOff(FileChannel list) throws IOException {
        ByteBuffer last = ByteBuffer.allocate(1);
        return list.size() > 0 && list.read(last, list.size() - 1) == 1 && last.get(0) != '\n';
    }
}
