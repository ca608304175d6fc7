package nexa.imaging.deliver;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What was delivered into a folder before, so that finished files are recognised after a stop or a crash. A line is written
 * before its file gets its name: a line without a file means nothing, and a file without a line is somebody else's.
 */
final class DeliveredFiles {
    /** The list's name in the destination. */
    static final String NAME = ".nexa-delivered";

    private static final String GAP = "\t";

    /** One file delivered: as what, under which name, made of what, how long. */
    private record Entry(String actualName, String making, long length) {}

    private final Path destination;
    private final Map<String, Entry> entries = new HashMap<>();

    private DeliveredFiles(Path destination) {
        this.destination = destination;
    }

    /** Reads the list of a destination. Lines that were cut off by a crash count for nothing. */
    static DeliveredFiles in(Path destination) throws IOException {
        DeliveredFiles delivered = new DeliveredFiles(destination);
        try {
            for (String line : Files.readAllLines(destination.resolve(NAME))) {
                List<String> parts = List.of(line.split(GAP));
                if (parts.size() == 4 && parts.get(3).matches("[0-9]{1,18}")) {
                    delivered.entries.put(
                            parts.get(0), new Entry(parts.get(1), parts.get(2), Long.parseLong(parts.get(3))));
                }
            }
        } catch (NoSuchFileException e) {
            delivered.entries.clear();
        }
        return delivered;
    }

    /** The file delivered for an item before, if it is still there just as it was made. */
    synchronized Optional<Path> finished(DeliveryPlan.Item item, String making) throws IOException {
        return own(item).filter(file -> entries.get(item.name()).making().equals(making));
    }

    /** The file delivered for an item before, made of whatever, if nobody has changed it since. */
    synchronized Optional<Path> own(DeliveryPlan.Item item) throws IOException {
        Entry entry = entries.get(item.name());
        if (entry == null) {
            return Optional.empty();
        }
        Path file = destination.resolve(entry.actualName()).normalize();
        // A list that somebody tampered with must not lead out of the destination.
        boolean isInside = file.startsWith(destination.normalize());
        boolean isThere = isInside && Files.isRegularFile(file) && Files.size(file) == entry.length();
        return isThere ? Optional.of(file) : Optional.empty();
    }

    /** Notes a file that is about to get its name. */
    synchronized void note(DeliveryPlan.Item item, Path file, String making, long length) throws IOException {
        String actual = destination.relativize(file).toString();
        entries.put(item.name(), new Entry(actual, making, length));
        String line = String.join(GAP, item.name(), actual, making, String.valueOf(length)) + "\n";
        Files.writeString(
                destination.resolve(NAME),
                line,
                StandardCharsets.UTF_8,
                StandardOpenOption.CREATE,
                StandardOpenOption.APPEND);
    }
}
