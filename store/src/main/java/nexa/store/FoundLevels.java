package nexa.store;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.find.Certainty;
import nexa.core.find.FoundLevel;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.level.LevelLine;
import nexa.core.message.EnumName;
import nexa.core.shoot.Photo;

/**
 * The levels found in a folder's photos, kept in the user's data so that looking again costs nothing. What is kept counts as
 * long as the file has its length and time, and what is done to the photo before is the same. Losing them loses nothing: what
 * cannot be read is as if it were not there.
 *
 * <p>May be used by several threads at once.
 */
public final class FoundLevels {
    /** Rises when levels are found another way: what another one found does not count. */
    private static final int FINDER = 1;

    private static final int MOST_PHOTOS = 10_000;
    private static final int MOST_FOLDERS = 64;
    private static final int MOST_BYTES = 16 * 1024 * 1024;
    private static final ObjectMapper JSON = new ObjectMapper();

    /** Something that finds a photo's level. */
    public interface Finding<E extends Exception> {
        /** Empty if it was given up. */
        Optional<FoundLevel> find() throws E;
    }

    private record Kept(FileStamp stamp, String preparation, FoundLevel level) {}

    private final Path folder;
    private final Path file;
    private final Map<String, Kept> kept = new LinkedHashMap<>();
    private boolean isChanged;

    private FoundLevels(Path folder, Path file) {
        this.folder = folder;
        this.file = file;
    }

    /** What was found in a folder before. */
    public static FoundLevels of(Path folder, UserData userData) {
        Path file = userData.found().resolve(Digest.of(folder.toString().getBytes(StandardCharsets.UTF_8)) + ".json");
        FoundLevels levels = new FoundLevels(folder, file);
        levels.read();
        return levels;
    }

    /**
     * The level found before, or what is found now. What is found while the file changes is not kept.
     *
     * @return empty if finding was given up
     * @throws E what finding throws
     */
    public <E extends Exception> Optional<FoundLevel> find(Photo photo, Finding<E> finding) throws E {
        Optional<FileStamp> stamp = stamp(photo);
        Optional<FoundLevel> before = stamp.flatMap(now -> get(photo, now));
        if (before.isPresent()) {
            return before;
        }
        Optional<FoundLevel> found = finding.find();
        if (found.isPresent() && stamp.isPresent() && stamp.equals(stamp(photo))) {
            keep(photo, stamp.get(), found.get());
        }
        return found;
    }

    private Optional<FileStamp> stamp(Photo photo) {
        try {
            BasicFileAttributes now = Files.readAttributes(folder.resolve(photo.file()), BasicFileAttributes.class);
            return Optional.of(new FileStamp(now.size(), now.lastModifiedTime()));
        } catch (IOException e) {
            // Whoever reads the photo itself is told.
            return Optional.empty();
        }
    }

    private static String preparation(Photo photo) {
        return photo.preparation().inPixels().fingerprint();
    }

    private synchronized Optional<FoundLevel> get(Photo photo, FileStamp now) {
        return Optional.ofNullable(kept.get(photo.file()))
                .filter(found ->
                        found.stamp().equals(now) && found.preparation().equals(preparation(photo)))
                .map(Kept::level);
    }

    private synchronized void keep(Photo photo, FileStamp stamp, FoundLevel level) {
        // What was found last is last; what was found first goes first.
        kept.remove(photo.file());
        kept.put(photo.file(), new Kept(stamp, preparation(photo), level));
        while (kept.size() > MOST_PHOTOS) {
            kept.remove(kept.keySet().iterator().next());
        }
        isChanged = true;
    }

    private void read() {
        try {
            JsonPlace root = JsonPlace.root(JSON.readTree(PlainFile.read(file, MOST_BYTES)));
            if (root.required("finder").whole() == FINDER) {
                for (JsonPlace photo : root.required("photos").list()) {
                    kept.put(photo.required("file").text(), kept(photo));
                }
            }
        } catch (IOException | JsonPlace.Misfit | RuntimeException e) {
            kept.clear();
        }
    }

    private static Kept kept(JsonPlace photo) throws JsonPlace.Misfit {
        List<LevelLine> lines = new ArrayList<>();
        for (JsonPlace line : photo.required("lines").list()) {
            List<JsonPlace> numbers = line.list(5);
            lines.add(new LevelLine(
                    new Segment(point(numbers.get(0), numbers.get(1)), point(numbers.get(2), numbers.get(3))),
                    numbers.get(4).number()));
        }
        FoundLevel level = new FoundLevel(
                photo.required("certainty").oneOf(Certainty.class),
                photo.required("reason").oneOf(FoundLevel.Reason.class),
                photo.required("lean").number(),
                photo.required("uncertainty").number(),
                lines);
        FileStamp stamp = new FileStamp(
                photo.required("length").count(),
                photo.required("modified").as(text -> FileTime.from(Instant.parse(text))));
        return new Kept(stamp, photo.required("preparation").text(), level);
    }

    private static Point point(JsonPlace x, JsonPlace y) throws JsonPlace.Misfit {
        return new Point(x.number(), y.number());
    }

    /** Keeps what was found for the next run of the program, as far as the user's data can be written. */
    public void save() {
        byte[] contents;
        synchronized (this) {
            if (!isChanged) {
                return;
            }
            isChanged = false;
            contents = json().toString().getBytes(StandardCharsets.UTF_8);
        }
        try {
            Files.createDirectories(file.getParent());
            AtomicFile.write(file, contents);
            leaveNewest();
        } catch (IOException e) {
            // It is found again then.
            return;
        }
    }

    private ObjectNode json() {
        ObjectNode root = JSON.createObjectNode().put("finder", FINDER);
        ArrayNode photos = root.putArray("photos");
        kept.forEach((name, found) -> {
            FoundLevel level = found.level();
            ObjectNode photo = photos.addObject()
                    .put("file", name)
                    .put("length", found.stamp().length())
                    .put("modified", found.stamp().modified().toInstant().toString())
                    .put("preparation", found.preparation())
                    .put("certainty", EnumName.of(level.certainty()))
                    .put("reason", EnumName.of(level.reason()))
                    .put("lean", level.lean())
                    .put("uncertainty", level.uncertainty());
            ArrayNode lines = photo.putArray("lines");
            for (LevelLine line : level.lines()) {
                Segment at = line.segment();
                lines.addArray()
                        .add(at.from().x())
                        .add(at.from().y())
                        .add(at.to().x())
                        .add(at.to().y())
                        .add(line.convergence());
            }
        });
        return root;
    }

    /** Of all folders those looked at last stay. */
    private void leaveNewest() throws IOException {
        List<Path> files;
        try (Stream<Path> all = Files.list(file.getParent())) {
            files = all.filter(one -> one.toString().endsWith(".json"))
                    .sorted(Comparator.comparing((Path one) -> one.toFile().lastModified())
                            .reversed())
                    .toList();
        }
        for (Path old : files.subList(Math.min(MOST_FOLDERS, files.size()), files.size())) {
            Files.deleteIfExists(old);
        }
    }
}
