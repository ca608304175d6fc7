package nexa.core.format;

import java.util.List;
import java.util.Optional;

/**
 * A line of the list that remembers what was delivered into a folder. Two are written of a file: one before it gets its name,
 * one when it has it; so whatever happens between the two, what lies there is told by one of them.
 *
 * @param name the name inside the destination that was asked for
 * @param file the name inside the destination that it got
 * @param contentKey what it was made of, in a few letters
 * @param length in bytes
 * @param source the folder of the photos: its URI, or where it lies from the destination; empty in lines of an earlier
 *     version
 * @param contents what is known of its contents; empty in lines of an earlier version, which wrote one before it got its name
 */
public record DeliveredFile(
        String name,
        String file,
        String contentKey,
        long length,
        Optional<String> source,
        Optional<Contents> contents) {
    /** The list's name in the destination. */
    public static final String LIST = ".nexa-delivered";

    /** No list has more bytes. */
    public static final int LARGEST_LIST = 256 * 1024 * 1024;

    /** The source of what was delivered into the folder of its photos. */
    public static final String SAME_FOLDER = ".";

    private static final String GAP = "\t";
    private static final int PARTS = 11;

    /** How far a file has come. */
    public enum Phase {
        /** It is whole, and is about to get its name. */
        COMING,
        /** It has its name. */
        DONE
    }

    /**
     * What is known of a file's contents.
     *
     * @param steps the versions of all that makes files, when it was made
     * @param digest SHA-256, in hexadecimal digits
     * @param modified the time that its file says, as ISO 8601 has it
     * @param pixels whose pixels it has, in words
     * @param look how different a raw file's pixels look from the camera's picture, as a number, "" if that is not known
     */
    public record Contents(Phase phase, String steps, String digest, String modified, String pixels, String look) {
        /** The same at another phase. */
        public Contents at(Phase newPhase) {
            return new Contents(newPhase, steps, digest, modified, pixels, look);
        }
    }

    /** Reads a line; empty for one that was cut off by a crash, or is none. */
    public static Optional<DeliveredFile> parse(String line) {
        List<String> parts = List.of(line.split(GAP, -1));
        int count = parts.size();
        boolean isLine = count == 4 || count == 5 || count == PARTS;
        // No file system has a name with that letter, and asking for one would fail.
        if (!isLine || line.indexOf('\0') >= 0 || !parts.get(3).matches("[0-9]{1,18}")) {
            return Optional.empty();
        }
        try {
            return Optional.of(new DeliveredFile(
                    parts.get(0),
                    parts.get(1),
                    parts.get(2),
                    Long.parseLong(parts.get(3)),
                    count > 4 ? Optional.of(parts.get(4)) : Optional.empty(),
                    count == PARTS ? Optional.of(contents(parts.subList(5, PARTS))) : Optional.empty()));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    private static Contents contents(List<String> parts) {
        return new Contents(
                Phase.valueOf(parts.get(5)), parts.get(0), parts.get(1), parts.get(2), parts.get(3), parts.get(4));
    }

    /** As {@link #parse} reads it. */
    public String line() {
        String start = String.join(GAP, name, file, contentKey, String.valueOf(length));
        return start
                + source.map(folder -> GAP + folder).orElse("")
                + contents.map(known -> GAP
                                + String.join(
                                        GAP,
                                        known.steps(),
                                        known.digest(),
                                        known.modified(),
                                        known.pixels(),
                                        known.look(),
                                        // Last, so that a line that was cut off is none.
                                        known.phase().name()))
                        .orElse("");
    }

    /** Whether the file had its name when the line was written, as far as is known. */
    public boolean isDone() {
        return contents.map(known -> known.phase() == Phase.DONE).orElse(true);
    }

    /** The same file at another phase. */
    public DeliveredFile at(Phase phase) {
        return new DeliveredFile(name, file, contentKey, length, source, contents.map(known -> known.at(phase)));
    }
}
