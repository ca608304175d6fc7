package nexa.store.user;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.find.Found;
import nexa.core.find.FoundTrim;
import nexa.core.message.EnumName;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Preparation;
import nexa.files.Digest;
import nexa.files.FileStamp;
import nexa.files.RegularFile;
import nexa.files.TemporaryFile;
import nexa.store.json.JsonPlace;
import nexa.store.json.ValidationError;

/**
 * What was found in a folder's photos, kept in the user's data so that looking again costs nothing. What is kept counts as
 * long as the file has its length and time, and what is done to the photo before is the same. Losing them loses nothing: what
 * cannot be read is as if it were not there.
 *
 * <p>May be used by several threads at once.
 */
public final class KeptFindings {
    private static final int MOST = 30_000;
    private static final int MOST_FOLDERS = 64;
    private static final int MOST_BYTES = 16 * 1024 * 1024;
    private static final ObjectMapper JSON = new ObjectMapper();

    /** Something that finds what is asked for in a photo. */
    public interface Finding<T extends Found, E extends Exception> {
        /** Empty if it was given up. */
        Optional<T> find() throws E;
    }

    private record Key(String file, FoundKind what) {}

    private record Kept(FileStamp stamp, String preparation, Found found) {}

    private final Path folder;
    private final Path file;
    private final Map<Key, Kept> kept = new LinkedHashMap<>();
    private boolean isChanged;

    private KeptFindings(Path folder, Path file) {
        this.folder = folder;
        this.file = file;
    }

    /** What was found in a folder before. */
    public static KeptFindings of(Path folder, UserData userData) {
        Path file = userData.found().resolve(Digest.of(folder.toString().getBytes(StandardCharsets.UTF_8)) + ".json");
        KeptFindings levels = new KeptFindings(folder, file);
        levels.read();
        return levels;
    }

    /**
     * What was found before, or what is found now. What is found while the file changes is not kept.
     *
     * @return empty if finding was given up
     * @throws E what finding throws
     */
    public <T extends Found, E extends Exception> Optional<T> find(Class<T> what, Photo photo, Finding<T, E> finding)
            throws E {
        Optional<FileStamp> stamp = FileStamp.of(folder.resolve(photo.file()));
        Optional<T> before = stamp.flatMap(now -> get(what, photo, now));
        if (before.isPresent()) {
            return before;
        }
        Optional<T> found = finding.find();
        if (found.isPresent() && stamp.isPresent() && stamp.equals(FileStamp.of(folder.resolve(photo.file())))) {
            keep(
                    new Key(photo.file(), FoundKind.of(what)),
                    new Kept(stamp.get(), preparation(what, photo), found.get()));
        }
        return found;
    }

    /** What was done to the photo before it is looked at: all but its shape; a border is looked for in all of it. */
    private static String preparation(Class<? extends Found> what, Photo photo) {
        Preparation done = photo.preparation();
        return (what == FoundTrim.class ? done.inPixels() : done.beforeShape()).fingerprint();
    }

    private synchronized <T extends Found> Optional<T> get(Class<T> what, Photo photo, FileStamp now) {
        return Optional.ofNullable(kept.get(new Key(photo.file(), FoundKind.of(what))))
                .filter(found ->
                        found.stamp().equals(now) && found.preparation().equals(preparation(what, photo)))
                .map(Kept::found)
                .map(what::cast);
    }

    private synchronized void keep(Key key, Kept found) {
        // What was found last is last; what was found first goes first.
        kept.remove(key);
        kept.put(key, found);
        while (kept.size() > MOST) {
            kept.remove(kept.keySet().iterator().next());
        }
        isChanged = true;
    }

    private void read() {
        try {
            JsonPlace root = JsonPlace.root(JSON.readTree(RegularFile.read(file, MOST_BYTES)));
            if (root.required("finder").whole() == Found.FINDER) {
                root.required("photos").list().forEach(this::read);
            }
        } catch (IOException | ValidationError | RuntimeException e) {
            kept.clear();
        }
    }

    /** One that says what nothing can find is passed over; it is found again. */
    private void read(JsonPlace photo) {
        try {
            kept.put(key(photo), kept(photo));
        } catch (ValidationError | RuntimeException e) {
            isChanged = true;
        }
    }

    private static Key key(JsonPlace photo) throws ValidationError {
        return new Key(photo.required("file").text(), photo.required("what").oneOf(FoundKind.class));
    }

    private static Kept kept(JsonPlace photo) throws ValidationError {
        FileStamp stamp = new FileStamp(
                photo.required("length").count(),
                photo.required("modified").as(text -> FileTime.from(Instant.parse(text))));
        Found found = key(photo).what().read(photo);
        return new Kept(stamp, photo.required("preparation").text(), found);
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
            TemporaryFile.replace(file, contents);
            leaveNewest();
        } catch (IOException e) {
            // It is found again then.
            return;
        }
    }

    private ObjectNode json() {
        ObjectNode root = JSON.createObjectNode().put("finder", Found.FINDER);
        ArrayNode photos = root.putArray("photos");
        kept.forEach((key, found) -> {
            ObjectNode photo = photos.addObject()
                    .put("file", key.file())
                    .put("what", EnumName.of(key.what()))
                    .put("length", found.stamp().length())
                    .put("modified", found.stamp().modified().toInstant().toString())
                    .put("preparation", found.preparation());
            photo.setAll(key.what().write(found.found()));
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
