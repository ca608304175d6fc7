package nexa.imaging.pictures;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import nexa.core.format.Format;
import nexa.core.shoot.Photo;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.facts.PhotoFacts;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.facts.ShootReading;
import nexa.imaging.raw.RawAvailability;
import nexa.imaging.work.Processors;

/**
 * Looks for what only the pixels of photos tell and is to be known before these are delivered: whether a raw file's pixels are
 * those of its photo, and whether anything is see-through.
 */
public final class PixelLook {
    private PixelLook() {}

    /** Those of some photos, which go in some formats, of which there is something to look for, by what is known of them. */
    public static List<Photo> wanted(Stream<Photo> photos, ShootReading reading, Collection<Format> formats) {
        return photos.distinct()
                .filter(photo -> {
                    PhotoFacts facts = reading.facts().get(photo.file());
                    return facts != null
                            && (wantsRaw(photo, facts, formats)
                                    || facts.stored().mayBeSeeThrough());
                })
                .toList();
    }

    private static boolean wantsRaw(Photo photo, PhotoFacts facts, Collection<Format> formats) {
        return facts.raw().equals(Optional.of(RawAvailability.READY))
                && formats.stream().anyMatch(photo::wantsRaw);
    }

    /**
     * What is known of a photo after looking.
     *
     * @throws PhotoProblem if the photo, or its raw file, cannot be read
     */
    public static PhotoFacts of(PhotoFolder folder, Photo photo, PhotoFacts facts, Collection<Format> formats)
            throws PhotoProblem {
        PhotoPixels pixels = new PhotoPixels(folder, photo);
        boolean isLike = !wantsRaw(photo, facts, formats)
                || pixels.isLikeRaw(folder.file(photo.raw().orElse(photo.file())));
        return facts.looked(isLike, pixels.isSeeThrough());
    }

    /**
     * A reading after looking at some photos, on all processors. Those that cannot be read are passed over: whoever needs
     * their pixels tells.
     */
    public static ShootReading of(
            PhotoFolder folder, Collection<Photo> photos, ShootReading reading, Collection<Format> formats) {
        Map<String, PhotoFacts> looked = new ConcurrentHashMap<>();
        List<Photo> wanted = wanted(photos.stream(), reading, formats);
        Processors.each(wanted.size(), i -> {
            Photo photo = wanted.get(i);
            try {
                looked.put(photo.file(), of(folder, photo, reading.facts().get(photo.file()), formats));
            } catch (PhotoProblem e) {
                looked.remove(photo.file());
            }
        });
        Map<String, PhotoFacts> facts = new HashMap<>(reading.facts());
        facts.putAll(looked);
        return new ShootReading(facts, reading.problems());
    }
}
