package nexa.store;

import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;

/** Finds the photos in a folder by the endings of their names, without opening them. */
public final class PhotoFiles {
    /** The endings, in small letters. */
    public static final Set<String> ENDINGS = Set.of("jpg", "jpeg", "png", "tif", "tiff", "webp");

    private static final Comparator<String> BY_NAME =
            String.CASE_INSENSITIVE_ORDER.thenComparing(Comparator.naturalOrder());

    private PhotoFiles() {}

    /** Whether a file's name is that of a photo. Hidden files are none. */
    public static boolean isPhoto(String name) {
        int dot = name.lastIndexOf('.');
        return dot > 0
                && name.charAt(0) != '.'
                && ENDINGS.contains(name.substring(dot + 1).toLowerCase(Locale.ROOT));
    }

    /** The folders in a folder, hidden ones left out, by name; none if it cannot be read. */
    static List<Path> foldersIn(Path folder) {
        try (Stream<Path> entries = Files.list(folder)) {
            return entries.filter(Files::isDirectory)
                    .filter(entry -> !entry.getFileName().toString().startsWith("."))
                    .sorted()
                    .toList();
        } catch (IOException e) {
            return List.of();
        }
    }

    /** The names of the photos in a folder, not in the folders below it, by name. */
    static List<String> in(Path folder) throws IOException {
        List<String> names = new ArrayList<>();
        try (DirectoryStream<Path> entries = Files.newDirectoryStream(folder)) {
            for (Path entry : entries) {
                String name = entry.getFileName().toString();
                if (isPhoto(name) && Files.isRegularFile(entry)) {
                    names.add(name);
                }
            }
        }
        names.sort(BY_NAME);
        return names;
    }
}
