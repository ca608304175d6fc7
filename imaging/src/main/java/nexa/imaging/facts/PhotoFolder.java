package nexa.imaging.facts;

import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import nexa.files.FileStamp;
import nexa.imaging.decode.PhotoFile;
import nexa.imaging.decode.PhotoProblem;

/**
 * A folder of photos and what each of them says of itself: read once for whoever asks, and again once a photo's file has another
 * length or time.
 *
 * <p>May be used by several threads at once.
 */
public final class PhotoFolder {
    private record Known(FileStamp stamp, PhotoFacts facts) {}

    private final Path path;
    private final Map<String, Known> known = new ConcurrentHashMap<>();

    /** A folder of which nothing has been read. */
    public PhotoFolder(Path path) {
        this.path = path;
    }

    /** Where it lies. */
    public Path path() {
        return path;
    }

    /**
     * The file of a photo, or of its raw file.
     *
     * @throws PhotoProblem if its name is none that this system has letters for
     */
    public Path file(String name) throws PhotoProblem {
        return PhotoFile.of(path, name);
    }

    /**
     * What a photo says of itself.
     *
     * @throws PhotoProblem as {@link PhotoFacts#read}
     */
    public PhotoFacts facts(String name) throws PhotoProblem {
        Path file = file(name);
        Optional<FileStamp> now = FileStamp.of(file);
        Optional<PhotoFacts> before = Optional.ofNullable(known.get(name))
                .filter(one -> now.equals(Optional.of(one.stamp())))
                .map(Known::facts);
        if (before.isPresent()) {
            return before.get();
        }
        PhotoFacts read = PhotoFacts.read(file);
        // What was read while the file changed may be of neither state.
        now.filter(stamp -> now.equals(FileStamp.of(file))).ifPresent(stamp -> known.put(name, new Known(stamp, read)));
        return read;
    }

    /** Forgets what a photo says: it is to be read again, though its file may be the same. */
    public void forget(String name) {
        known.remove(name);
    }
}
