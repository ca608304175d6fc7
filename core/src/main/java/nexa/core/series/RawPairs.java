package nexa.core.series;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import nexa.core.shoot.FileOrder;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;

/** Raw files and JPEGs of the same name, which are one photo with two files or two photos, as the shoot has it. */
public final class RawPairs {
    /** The endings of raw files, in small letters. */
    public static final Set<String> RAW_ENDINGS = Set.of(
            "3fr", "arw", "cr2", "cr3", "crw", "dcr", "dng", "erf", "fff", "iiq", "kdc", "mef", "mrw", "nef", "nrw",
            "orf", "pef", "raf", "rw2", "rwl", "sr2", "srf", "srw", "x3f");

    private static final Set<String> JPEG_ENDINGS = Set.of("jpg", "jpeg");

    private RawPairs() {}

    /**
     * The raw files that have a JPEG of the same name, whatever the case of letters, by that JPEG. Where there are several, the
     * first by name counts, and the others belong to nothing.
     */
    static Map<String, String> of(Collection<String> files) {
        List<String> byName = files.stream().sorted(FileOrder.BY_NAME).toList();
        Map<String, String> jpegs = new HashMap<>();
        byName.stream()
                .filter(file -> JPEG_ENDINGS.contains(ending(file)))
                .forEach(file -> jpegs.putIfAbsent(stem(file), file));
        Map<String, String> raws = new HashMap<>();
        byName.stream()
                .filter(file -> isRaw(file) && jpegs.containsKey(stem(file)))
                .forEach(file -> raws.putIfAbsent(jpegs.get(stem(file)), file));
        return raws;
    }

    /** Whether a file is raw, by its ending. */
    public static boolean isRaw(String file) {
        return RAW_ENDINGS.contains(ending(file));
    }

    private static String ending(String file) {
        return file.substring(file.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
    }

    private static String stem(String file) {
        return file.substring(0, Math.max(0, file.lastIndexOf('.'))).toLowerCase(Locale.ROOT);
    }

    /**
     * A shoot with all files that are there, each photo with the raw file that belongs to it. A raw photo that somebody has worked
     * on stays a photo of its own, and so its JPEG has none.
     *
     * @param there the files in the folder
     */
    public static Shoot withFiles(Shoot shoot, Collection<String> there) {
        boolean isTogether = shoot.pairs() == Shoot.Pairs.TOGETHER;
        Map<String, String> pairs = new HashMap<>(isTogether ? of(there) : Map.of());
        pairs.values()
                .removeIf(raw -> shoot.find(raw)
                        .filter(photo -> !photo.isUntouchedByHand())
                        .isPresent());
        Set<String> raws = Set.copyOf(pairs.values());
        List<Photo> photos = new ArrayList<>();
        Set<String> known = new HashSet<>(raws);
        for (Photo photo : shoot.photos()) {
            if (!raws.contains(photo.file())) {
                photos.add(paired(photo, pairs, isTogether));
                known.add(photo.file());
            }
        }
        for (String file : there) {
            if (known.add(file)) {
                photos.add(paired(Photo.untouched(file), pairs, isTogether));
            }
        }
        return shoot.withPhotos(photos);
    }

    /** A raw file that is not there any more still belongs to its photo. */
    private static Photo paired(Photo photo, Map<String, String> pairs, boolean isTogether) {
        Optional<String> found = Optional.ofNullable(pairs.get(photo.file()));
        return photo.withRaw(isTogether ? found.or(photo::raw) : Optional.empty());
    }
}
