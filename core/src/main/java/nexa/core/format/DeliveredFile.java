package nexa.core.format;

import java.util.List;
import java.util.Optional;

/**
 * A line of the list that remembers what was delivered into a folder.
 *
 * @param name the name inside the destination that was asked for
 * @param file the name inside the destination that it got
 * @param making what it was made of, in a few letters
 * @param length in bytes
 * @param source the folder of the photos: its URI, or where it lies from the destination; empty in lines of an earlier
 *     version
 */
public record DeliveredFile(String name, String file, String making, long length, Optional<String> source) {
    /** The list's name in the destination. */
    public static final String LIST = ".nexa-delivered";

    /** The source of what was delivered into the folder of its photos. */
    public static final String SAME_FOLDER = ".";

    private static final String GAP = "\t";

    /** Reads a line; empty for one that was cut off by a crash, or is none. */
    public static Optional<DeliveredFile> parse(String line) {
        List<String> parts = List.of(line.split(GAP, -1));
        boolean isLine =
                (parts.size() == 4 || parts.size() == 5) && parts.get(3).matches("[0-9]{1,18}");
        return isLine
                ? Optional.of(new DeliveredFile(
                        parts.get(0),
                        parts.get(1),
                        parts.get(2),
                        Long.parseLong(parts.get(3)),
                        parts.size() == 5 ? Optional.of(parts.get(4)) : Optional.empty()))
                : Optional.empty();
    }

    /** As {@link #parse} reads it. */
    public String line() {
        String start = String.join(GAP, name, file, making, String.valueOf(length));
        return source.map(folder -> start + GAP + folder).orElse(start);
    }
}
