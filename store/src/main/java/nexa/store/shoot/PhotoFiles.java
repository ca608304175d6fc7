package nexa.store.shoot;

import com.google.common.collect.Sets;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryIteratorException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import nexa.core.format.DeliveredFile;
import nexa.core.format.DeliveredLines;
import nexa.core.series.RawPairs;
import nexa.core.shoot.FileOrder;
import nexa.files.FileStamp;
import nexa.files.RegularFile;

/** Finds the photos in a folder by the endings of their names, without opening them. */
public final class PhotoFiles {
    /** The endings, in small letters. */
    public static final Set<String> ENDINGS = Sets.union(
                    Set.of("jpg", "jpeg", "png", "tif", "tiff", "webp"), RawPairs.RAW_ENDINGS)
            .immutableCopy();

    private PhotoFiles() {}

    /** Whether a file's name is that of a photo. Hidden files are none. */
    public static boolean isPhoto(String name) {
        int dot = name.lastIndexOf('.');
        return dot > 0
                && name.charAt(0) != '.'
                && ENDINGS.contains(name.substring(dot + 1).toLowerCase(Locale.ROOT));
    }

    /** Whether a folder has a file of this name. */
    static boolean isThere(Path folder, String name) {
        try {
            return Files.exists(folder.resolve(name));
        } catch (InvalidPathException e) {
            // A name that this system has no bytes for.
            return false;
        }
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

    /**
     * The names of the photos in a folder, not in the folders below it, by name. Files that a delivery of these very photos
     * put there are none.
     */
    public static List<String> in(Path folder) throws IOException {
        List<String> names = new ArrayList<>();
        DeliveredLines results = resultsIn(folder);
        try (DirectoryStream<Path> entries = Files.newDirectoryStream(folder)) {
            for (Path entry : entries) {
                String name = entry.getFileName().toString();
                if (isPhoto(name) && Files.isRegularFile(entry) && !isResult(entry, name, results)) {
                    names.add(name);
                }
            }
        } catch (DirectoryIteratorException e) {
            throw e.getCause();
        }
        names.sort(FileOrder.BY_NAME);
        return names;
    }

    /** The photos that {@link #in} lists, each with its stamp. */
    public static Map<String, FileStamp> stamps(Path folder) throws IOException {
        Map<String, FileStamp> stamps = new LinkedHashMap<>();
        for (String name : in(folder)) {
            stamp(folder, name).ifPresent(stamp -> stamps.put(name, stamp));
        }
        return stamps;
    }

    /** Empty for a file that went meanwhile, or whose name this system has no letters for. */
    private static Optional<FileStamp> stamp(Path folder, String name) {
        try {
            return FileStamp.of(folder.resolve(name));
        } catch (InvalidPathException e) {
            return Optional.empty();
        }
    }

    /** A file that somebody put in a result's place since is a photo. */
    private static boolean isResult(Path file, String name, DeliveredLines results) throws IOException {
        return !results.ofFile(name).isEmpty()
                && results.ofLength(name, Files.size(file))
                        .filter(line -> line.source().equals(Optional.of(DeliveredFile.SAME_FOLDER)))
                        .isPresent();
    }

    private static DeliveredLines resultsIn(Path folder) {
        try {
            String text = new String(
                    RegularFile.read(folder.resolve(DeliveredFile.LIST), DeliveredFile.LARGEST_LIST),
                    StandardCharsets.UTF_8);
            return DeliveredLines.of(text.lines()::iterator);
        } catch (IOException e) {
            // Without a list nothing was delivered here.
            return new DeliveredLines();
        }
    }
}
