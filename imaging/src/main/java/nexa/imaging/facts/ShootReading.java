package nexa.imaging.facts;

import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import nexa.core.lens.Taken;
import nexa.core.message.Message;
import nexa.core.shoot.FileOrder;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.raw.RawAvailability;

/**
 * What the photos of a shoot say of themselves.
 *
 * @param facts by file, for the photos that could be read
 * @param problems by file, for those that could not
 */
public record ShootReading(Map<String, PhotoFacts> facts, Map<String, PhotoProblem> problems) {
    private static final int MOST_NAMED = 3;

    public ShootReading {
        facts = Map.copyOf(facts);
        problems = Map.copyOf(problems);
    }

    /** With what and how a photo was taken, as far as its file says so and has been read. */
    public Taken taken(String file) {
        PhotoFacts known = facts.get(file);
        return known == null ? Taken.UNKNOWN : known.camera().taken();
    }

    /** As {@link #of(List, PhotoFolder)}, of all photos of a shoot, in a folder of which nothing has been read. */
    public static ShootReading of(Shoot shoot, Path folder) {
        return of(shoot.photos(), folder);
    }

    /** As {@link #of(List, PhotoFolder)}, in a folder of which nothing has been read. */
    public static ShootReading of(List<Photo> photos, Path folder) {
        return of(photos, new PhotoFolder(folder));
    }

    /** Reads photos' facts. Stops early, with what has been read, when the thread is interrupted. */
    public static ShootReading of(List<Photo> photos, PhotoFolder folder) {
        Map<String, PhotoFacts> facts = new LinkedHashMap<>();
        Map<String, PhotoProblem> problems = new LinkedHashMap<>();
        for (Photo photo : photos) {
            if (Thread.currentThread().isInterrupted()) {
                break;
            }
            try {
                PhotoFacts read = folder.facts(photo.file());
                facts.put(photo.file(), withRaw(read, photo, folder));
                read.requireWhole(folder.file(photo.file()));
            } catch (PhotoProblem | RuntimeException | StackOverflowError | OutOfMemoryError e) {
                // Whatever a photo throws is that photo's problem, and the others are read all the same.
                problems.put(photo.file(), PhotoProblem.of(photo.file(), e));
            }
        }
        return new ShootReading(facts, problems);
    }

    private static PhotoFacts withRaw(PhotoFacts read, Photo photo, PhotoFolder folder) throws PhotoProblem {
        return photo.raw().isEmpty()
                ? read
                : read.beside(RawAvailability.of(folder.file(photo.raw().get())));
    }

    /** How it stands with a photo's raw file; empty if it has none, or has not been read. */
    public Optional<RawAvailability> raw(Photo photo) {
        return Optional.ofNullable(facts.get(photo.file())).flatMap(PhotoFacts::raw);
    }

    /** Whether some of a photo's pixels are see-through, as far as these were looked at. */
    public boolean isSeeThrough(Photo photo) {
        return Optional.ofNullable(facts.get(photo.file()))
                .map(PhotoFacts::isSeeThrough)
                .orElse(false);
    }

    /** Nothing read yet. */
    public static ShootReading none() {
        return new ShootReading(Map.of(), Map.of());
    }

    /** This reading and a later one together: a photo that could be read then has no problem any more. */
    public ShootReading plus(ShootReading later) {
        Map<String, PhotoFacts> allFacts = new HashMap<>(facts);
        allFacts.putAll(later.facts);
        Map<String, PhotoProblem> allProblems = new HashMap<>(problems);
        allProblems.keySet().removeAll(later.facts.keySet());
        allProblems.putAll(later.problems);
        return new ShootReading(allFacts, allProblems);
    }

    /** Whether a photo has been read, or found unreadable. */
    public boolean has(Photo photo) {
        return facts.containsKey(photo.file()) || problems.containsKey(photo.file());
    }

    /** Whether a photo's size is known and it can be worked on. */
    public boolean isReady(Photo photo) {
        return !problems.containsKey(photo.file()) && photo.isCroppable();
    }

    /** Whether a photo cannot be worked on, and not just because it has not been read yet. */
    public boolean hasProblem(Photo photo) {
        return problems.containsKey(photo.file()) || leavesNothing(photo);
    }

    /** Whether a photo can be read, and what is done to it leaves nothing of it. */
    public boolean leavesNothing(Photo photo) {
        return !problems.containsKey(photo.file()) && photo.pixels().isPresent() && !photo.isCroppable();
    }

    /**
     * Why a photo cannot be worked on: what kept it from being read, or that what is done to it leaves nothing of it.
     *
     * @param document the shoot, its photos in the order of its document
     */
    public Optional<PhotoProblem> problem(Photo photo, Shoot document) {
        if (!leavesNothing(photo)) {
            return Optional.ofNullable(problems.get(photo.file()));
        }
        List<String> files = document.photos().stream().map(Photo::file).toList();
        return Optional.of(PhotoProblem.nothingLeft(photo.file(), files.indexOf(photo.file())));
    }

    /** What to say of photos of whose metadata some was passed over, if there are any. */
    public Optional<Message> passedOver() {
        List<String> cut = facts.entrySet().stream()
                .filter(one -> one.getValue().isCut())
                .map(Map.Entry::getKey)
                .sorted(FileOrder.BY_NAME)
                .toList();
        String names = cut.stream().limit(MOST_NAMED).collect(Collectors.joining(", "));
        return cut.isEmpty()
                ? Optional.empty()
                : Optional.of(Message.of("photo.passedOver", cut.size(), names, cut.size() - MOST_NAMED));
    }

    /** Whether this tells files of photos apart of which something is said by hand and that had no such identity yet. */
    public boolean identifies(Shoot shoot) {
        return shoot.photos().stream()
                .filter(photo -> !photo.isUntouchedByHand() && facts.containsKey(photo.file()))
                .anyMatch(photo -> !photo.identity()
                        .equals(Optional.of(facts.get(photo.file()).identity())));
    }

    /**
     * This reading with those photos read that are not yet, and those read again that had a problem, for it may have passed.
     * Stops early when the thread is interrupted.
     *
     * @param read hears of each photo
     */
    public ShootReading completed(List<Photo> photos, PhotoFolder folder, Runnable read) {
        List<ShootReading> news = new ArrayList<>();
        for (Photo photo : photos) {
            if (Thread.currentThread().isInterrupted()) {
                break;
            }
            if (!has(photo) || problems.containsKey(photo.file())) {
                news.add(of(List.of(photo), folder));
            }
            read.run();
        }
        Map<String, PhotoFacts> newFacts = new HashMap<>();
        Map<String, PhotoProblem> newProblems = new HashMap<>();
        news.forEach(one -> {
            newFacts.putAll(one.facts);
            newProblems.putAll(one.problems);
        });
        return plus(new ShootReading(newFacts, newProblems));
    }

    /**
     * The shoot with the photos' true sizes as far as they are read, in the order it has. Where nobody marked a subject, the
     * one the camera marked is taken.
     */
    public Shoot sized(Shoot shoot) {
        return shoot.draft()
                .changeAll(photo -> {
                    PhotoFacts read = facts.get(photo.file());
                    return read == null ? photo : read(photo, read);
                })
                .shoot();
    }

    private static Photo read(Photo photo, PhotoFacts facts) {
        boolean isSized = photo.pixels().equals(Optional.of(facts.pixels()))
                && photo.identity().equals(Optional.of(facts.identity()));
        Photo sized = isSized ? photo : photo.withPixels(facts.pixels()).withIdentity(facts.identity());
        // The camera's mark is told for the photo as it was stored upright.
        boolean takesSubject = photo.preparation().isUpright()
                && !photo.saysSubject()
                && facts.subject().isPresent();
        return takesSubject ? sized.withSubject(facts.subject()) : sized;
    }

    /** The shoot with the photos' true sizes, in the shoot's order. */
    public Shoot appliedTo(Shoot shoot) {
        List<Photo> photos = new ArrayList<>(sized(shoot).photos());
        Comparator<Photo> order = Comparator.comparing(Photo::file, FileOrder.BY_NAME);
        if (shoot.order() == Shoot.Order.TIME) {
            order = byTime(photos).thenComparing(order);
        }
        photos.sort(order);
        return shoot.withPhotos(photos);
    }

    /**
     * By the moments themselves if every dated photo tells its own; else by the cameras' clocks, since moments and clocks do
     * not compare. Photos without a date come last.
     */
    private Comparator<Photo> byTime(List<Photo> photos) {
        List<CaptureTime> times =
                photos.stream().flatMap(photo -> capturedAt(photo).stream()).toList();
        boolean areMoments = times.stream().allMatch(time -> time.instant().isPresent());
        return areMoments
                ? Comparator.comparing(
                        photo -> capturedAt(photo).flatMap(CaptureTime::instant).orElse(Instant.MAX))
                : Comparator.comparing(
                        photo -> capturedAt(photo).map(CaptureTime::local).orElse(LocalDateTime.MAX));
    }

    /** When a photo was taken, if it says so. */
    public Optional<CaptureTime> capturedAt(Photo photo) {
        return Optional.ofNullable(facts.get(photo.file())).flatMap(PhotoFacts::capturedAt);
    }
}
