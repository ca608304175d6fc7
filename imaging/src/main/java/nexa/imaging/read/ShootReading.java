package nexa.imaging.read;

import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import nexa.core.shoot.Photo;
import nexa.core.shoot.QuarterTurn;
import nexa.core.shoot.Shoot;

/**
 * What the photos of a shoot say of themselves.
 *
 * @param facts by file, for the photos that could be read
 * @param problems by file, for those that could not
 */
public record ShootReading(Map<String, PhotoFacts> facts, Map<String, PhotoProblem> problems) {

    public ShootReading {
        facts = Map.copyOf(facts);
        problems = Map.copyOf(problems);
    }

    /** Reads every photo's facts. Stops early, with what has been read, when the thread is interrupted. */
    public static ShootReading of(Shoot shoot, Path folder) {
        return of(shoot.photos(), folder);
    }

    /** As {@link #of(Shoot, Path)}, of some photos. */
    public static ShootReading of(List<Photo> photos, Path folder) {
        Map<String, PhotoFacts> facts = new LinkedHashMap<>();
        Map<String, PhotoProblem> problems = new LinkedHashMap<>();
        for (Photo photo : photos) {
            if (Thread.currentThread().isInterrupted()) {
                break;
            }
            try {
                Path file = folder.resolve(photo.file());
                PhotoFacts read = PhotoFacts.read(file);
                facts.put(photo.file(), read);
                if (!read.isWhole(file)) {
                    throw new PhotoProblem(photo.file(), PhotoProblem.Reason.CUT_OFF);
                }
            } catch (PhotoProblem e) {
                problems.put(photo.file(), e);
            }
        }
        return new ShootReading(facts, problems);
    }

    /** Nothing read yet. */
    public static ShootReading none() {
        return new ShootReading(Map.of(), Map.of());
    }

    /** This reading and another one together. */
    public ShootReading plus(ShootReading other) {
        Map<String, PhotoFacts> allFacts = new HashMap<>(facts);
        allFacts.putAll(other.facts);
        Map<String, PhotoProblem> allProblems = new HashMap<>(problems);
        allProblems.putAll(other.problems);
        return new ShootReading(allFacts, allProblems);
    }

    /**
     * The shoot with the photos' true sizes as far as they are read, in the order it has. Where nobody marked a subject, the
     * one the camera marked is taken.
     */
    public Shoot sized(Shoot shoot) {
        List<Photo> photos = new ArrayList<>();
        for (Photo photo : shoot.photos()) {
            PhotoFacts read = facts.get(photo.file());
            photos.add(read == null ? photo : read(photo, read));
        }
        return shoot.withPhotos(photos);
    }

    private static Photo read(Photo photo, PhotoFacts facts) {
        boolean isSized = photo.pixels().equals(Optional.of(facts.pixels()));
        Photo sized = isSized ? photo : photo.withPixels(facts.pixels());
        // The camera's mark is told for the photo as it was stored upright.
        boolean isAsStored = photo.turn() == QuarterTurn.NONE && !photo.isMirrored();
        boolean takesSubject =
                isAsStored && photo.subject().isEmpty() && facts.subject().isPresent();
        return takesSubject ? sized.withSubject(facts.subject()) : sized;
    }

    /** The shoot with the photos' true sizes, in the shoot's order. */
    public Shoot appliedTo(Shoot shoot) {
        List<Photo> photos = new ArrayList<>(sized(shoot).photos());
        Comparator<Photo> order = Comparator.comparing(Photo::file, String.CASE_INSENSITIVE_ORDER);
        if (shoot.order() == Shoot.Order.TIME) {
            order = Comparator.<Photo, LocalDateTime>comparing(
                            photo -> capturedAt(photo).orElse(LocalDateTime.MAX))
                    .thenComparing(order);
        }
        photos.sort(order);
        return shoot.withPhotos(photos);
    }

    /** When a photo was taken, if it says so. */
    public Optional<LocalDateTime> capturedAt(Photo photo) {
        return Optional.ofNullable(facts.get(photo.file())).flatMap(PhotoFacts::capturedAt);
    }
}
