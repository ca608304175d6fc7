package nexa.desktop.session;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.util.Duration;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.facts.PhotoFacts;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.facts.ShootReading;
import nexa.imaging.pictures.PictureLibrary;

/** Reads what the photos say of themselves, in the background, and lets the shoot learn from it. */
final class PhotoReading {
    private final PhotoFolder folder;
    private final PresentShoot shoot;
    private final PictureLibrary pictures;
    private final Consumer<Boolean> finished;
    private final ReadOnlyObjectWrapper<ShootReading> reading = new ReadOnlyObjectWrapper<>(ShootReading.none());
    private final List<FactsReader> readers = new ArrayList<>();
    /** Whether what was read tells photos apart that their document does not tell apart yet. */
    private boolean identifies;

    /**
     * Nothing read yet.
     *
     * @param finished hears that all that was asked for has been read, and whether that tells photos apart that were not
     *     told apart before
     */
    PhotoReading(PhotoFolder folder, PresentShoot shoot, PictureLibrary pictures, Consumer<Boolean> finished) {
        this.folder = folder;
        this.shoot = shoot;
        this.pictures = pictures;
        this.finished = finished;
        pictures.onFailure(this::addProblem);
    }

    ReadOnlyObjectProperty<ShootReading> property() {
        return reading.getReadOnlyProperty();
    }

    ShootReading now() {
        return reading.get();
    }

    boolean isReady(Photo asked) {
        return reading.get().isReady(asked);
    }

    boolean hasProblem(Photo asked) {
        return reading.get().hasProblem(asked);
    }

    /** The photos whose files are not there. */
    Set<String> missing() {
        return reading.get().problems().entrySet().stream()
                .filter(problem -> problem.getValue().reason() == PhotoProblem.Reason.MISSING)
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
    }

    void read(List<Photo> photos) {
        FactsReader reader = new FactsReader(
                folder,
                photos,
                pictures::whenIdle,
                (part, isLast, goOn) -> Platform.runLater(() -> learn(part, isLast, () -> afterShowing(goOn))));
        readers.add(reader);
        reader.begin();
    }

    /** Reads photos again, since what kept them from being read may have passed, or their files have changed. */
    void readAgain(Set<String> files) {
        List<Photo> photos = shoot.get().photos().stream()
                .filter(photo -> files.contains(photo.file()))
                .toList();
        files.forEach(folder::forget);
        files.forEach(pictures::forget);
        if (!photos.isEmpty()) {
            read(photos);
        }
    }

    /** Takes in what was read of photos elsewhere. */
    void learn(ShootReading read) {
        learn(read, true, () -> {});
    }

    /** A moment counted in frames, so it begins when the frame being worked on is done. */
    private static void afterShowing(Runnable action) {
        PauseTransition shown = new PauseTransition(Duration.millis(120));
        shown.setOnFinished(event -> action.run());
        shown.play();
    }

    /** What was read, and the shoot with it. */
    private record Learned(ShootReading reading, Shoot shoot, boolean identifies) {}

    private void learn(ShootReading part, boolean isLast, Runnable then) {
        shoot.turns()
                .take(
                        () -> {
                            ShootReading before = reading.get();
                            Shoot now = shoot.get();
                            return () -> {
                                ShootReading all = before.plus(part);
                                Shoot learned = isLast ? all.appliedTo(now) : part.sized(now);
                                return new Learned(all, learned, part.identifies(now));
                            };
                        },
                        learned -> {
                            reading.set(learned.reading());
                            identifies |= learned.identifies();
                            shoot.set(learned.shoot());
                            if (isLast) {
                                finish();
                            }
                            then.run();
                        });
    }

    private void finish() {
        boolean isNews = identifies;
        identifies = false;
        finished.accept(isNews);
    }

    /** What only shows when the pixels are read. */
    private void addProblem(Photo broken, PhotoProblem problem) {
        shoot.turns().now(() -> addProblems(Map.of(broken.file(), problem)));
    }

    /** Photos have turned out not to be readable. */
    void addProblems(Map<String, PhotoProblem> problems) {
        reading.set(reading.get().plus(new ShootReading(Map.of(), problems)));
    }

    /** More is known of a photo, unless its file is another one by now. */
    void know(String file, PhotoFacts more) {
        shoot.turns().now(() -> {
            PhotoFacts read = reading.get().facts().get(file);
            if (read != null && read.identity().equals(more.identity())) {
                reading.set(reading.get().plus(new ShootReading(Map.of(file, more), Map.of())));
            }
        });
    }

    void stop() {
        readers.forEach(FactsReader::stop);
    }
}
