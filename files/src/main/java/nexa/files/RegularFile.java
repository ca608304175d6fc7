package nexa.files;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import nexa.core.message.Message;
import nexa.core.message.Telling;

/**
 * Reads files of which nobody knows what they are: only regular ones are opened, since a pipe would keep one waiting and a
 * device never end, and none is read beyond its bound.
 */
public final class RegularFile {
    private RegularFile() {}

    /** What is said of a file that is not read. */
    public static final class Refused extends IOException implements Telling {
        private static final long serialVersionUID = 1L;

        private final transient Message told;

        public Refused(String key, Object... values) {
            this(Message.of(key, values));
        }

        private Refused(Message told) {
            super(told.toString());
            this.told = told;
        }

        @Override
        public Message told() {
            return told;
        }
    }

    /**
     * All bytes of a file.
     *
     * @param most how many there may be
     * @throws NoSuchFileException if there is no such file
     * @throws Refused if it is no regular file or has more bytes
     */
    public static byte[] read(Path file, int most) throws IOException {
        if (!Files.exists(file)) {
            throw new NoSuchFileException(file.toString());
        }
        // Once: the file may come and go while it is asked about.
        BasicFileAttributes attributes = Files.readAttributes(file, BasicFileAttributes.class);
        if (!attributes.isRegularFile()) {
            throw new Refused("file.notRegular");
        }
        if (attributes.size() > most) {
            throw new Refused("file.tooLarge", attributes.size());
        }
        try (InputStream in = Files.newInputStream(file)) {
            byte[] bytes = in.readNBytes(most);
            if (in.read() >= 0) {
                throw new Refused("file.grownTooLarge");
            }
            return bytes;
        }
    }

    /**
     * Sees to it that a file can be written in place.
     *
     * @throws Refused if there is something else of its name: a link, a folder, a pipe
     */
    public static void requireRegular(Path file) throws IOException {
        requireRegular(file, "file.namedNotRegular");
    }

    /** As {@link #requireRegular(Path)}, with other words for what is refused: their key, of which the file is the value. */
    public static void requireRegular(Path file, String key) throws IOException {
        if (Files.exists(file, LinkOption.NOFOLLOW_LINKS) && !Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS)) {
            throw new Refused(key, file);
        }
    }
}
