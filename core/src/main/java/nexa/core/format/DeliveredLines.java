package nexa.core.format;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The lines of a list of delivered files that still count: of each file the last one of when it had its name, and those of
 * what was to come since. Not for several threads at once.
 */
public final class DeliveredLines {
    private final Map<String, List<DeliveredFile>> byFile = new HashMap<>();
    private final Map<String, Set<String>> filesByName = new HashMap<>();

    /** The lines of a list's text; those that are none, or were cut off by a crash, count for nothing. */
    public static DeliveredLines of(Iterable<String> text) {
        DeliveredLines lines = new DeliveredLines();
        text.forEach(line -> DeliveredFile.parse(line).ifPresent(lines::add));
        return lines;
    }

    /** Adds the latest line. */
    public void add(DeliveredFile line) {
        List<DeliveredFile> lines = byFile.computeIfAbsent(line.file(), file -> new ArrayList<>());
        if (line.isDone() && line.contents().isPresent()) {
            lines.clear();
        }
        lines.remove(line);
        lines.add(line);
        Set<String> files = filesByName.computeIfAbsent(line.name(), name -> new LinkedHashSet<>());
        files.remove(line.file());
        files.add(line.file());
    }

    /** The lines of a file, the latest first. */
    public List<DeliveredFile> ofFile(String file) {
        return latestFirst(byFile.getOrDefault(file, List.of()));
    }

    /** The files that were delivered, or to be, under a name that was asked for; the latest first. */
    public List<String> filesOf(String name) {
        return latestFirst(new ArrayList<>(filesByName.getOrDefault(name, Set.of())));
    }

    private static <T> List<T> latestFirst(List<T> values) {
        List<T> turned = new ArrayList<>(values);
        Collections.reverse(turned);
        return turned;
    }

    /** The latest line of a file of this length. */
    public Optional<DeliveredFile> ofLength(String file, long length) {
        return ofFile(file).stream().filter(line -> line.length() == length).findFirst();
    }
}
