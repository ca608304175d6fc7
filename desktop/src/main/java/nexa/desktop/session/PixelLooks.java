package nexa.desktop.session;

import java.nio.file.Path;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import nexa.core.format.Format;
import nexa.core.shoot.FileIdentity;
import nexa.core.shoot.Photo;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.facts.PhotoFacts;
import nexa.imaging.pictures.PixelLook;
import nexa.imaging.work.Urgency;
import nexa.imaging.work.WorkQueue;

/**
 * Looks in the background for what only the pixels of photos tell and is said of them before they go; each photo
 * once.
 */
final class PixelLooks {
    private final Path folder;
    private final PhotoReading reading;
    /** Of its own, of one: raw files take seconds, and no picture is to wait for that. */
    private final WorkQueue queue = WorkQueue.withThreads("looks", 1, Long.MAX_VALUE);

    private final ReadOnlyIntegerWrapper left = new ReadOnlyIntegerWrapper();
    /** By what was asked for; empty while it is being looked for, and where that was not possible. */
    private final Map<Asked, Optional<PhotoFacts>> known = new HashMap<>();

    /** A photo's file, and whether its raw file is of interest too. */
    private record Asked(String file, FileIdentity identity, boolean wantsRaw) {}

    PixelLooks(Path folder, PhotoReading reading) {
        this.folder = folder;
        this.reading = reading;
    }

    /** How many photos there still are to be looked at. */
    ReadOnlyIntegerProperty leftProperty() {
        return left.getReadOnlyProperty();
    }

    /** Looks at photos that may go in some formats, if that was not done yet. */
    void look(Collection<Photo> photos, List<Format> formats) {
        Map<String, PhotoFacts> again = new HashMap<>();
        for (Photo photo : PixelLook.wanted(photos.stream(), reading.now(), formats)) {
            PhotoFacts facts = reading.now().facts().get(photo.file());
            if (reading.hasProblem(photo)) {
                continue;
            }
            Asked asked =
                    new Asked(photo.file(), facts.identity(), formats.stream().anyMatch(photo::wantsRaw));
            if (known.containsKey(asked)) {
                known.get(asked)
                        .filter(looked -> !looked.equals(facts))
                        .ifPresent(looked -> again.put(photo.file(), looked));
            } else {
                known.put(asked, Optional.empty());
                left.set(left.get() + 1);
                queue.add(Urgency.IDLE, WorkQueue.LIGHT, ticket -> look(photo, facts, formats, asked));
            }
        }
        reading.know(again);
    }

    /** In the background. */
    private void look(Photo photo, PhotoFacts facts, List<Format> formats, Asked asked) {
        Optional<PhotoFacts> looked = looked(photo, facts, formats);
        Platform.runLater(() -> {
            known.put(asked, looked);
            left.set(left.get() - 1);
            looked.filter(news -> !news.equals(facts)).ifPresent(news -> reading.know(Map.of(photo.file(), news)));
        });
    }

    private Optional<PhotoFacts> looked(Photo photo, PhotoFacts facts, List<Format> formats) {
        try {
            return Optional.of(PixelLook.of(folder, photo, facts, formats));
        } catch (PhotoProblem e) {
            // Whoever needs its pixels tells.
            return Optional.empty();
        }
    }

    /** What is not looked at yet is not wanted any more. */
    void stop() {
        queue.close();
    }
}
