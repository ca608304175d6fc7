package nexa.desktop.session;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import nexa.core.format.Format;
import nexa.core.shoot.Photo;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.facts.PhotoFacts;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.pictures.PixelLook;
import nexa.imaging.work.Urgency;
import nexa.imaging.work.WorkQueue;

/** Looks in the background for what only the pixels of photos tell and is said of them before they go. */
final class PixelLooks {
    private final PhotoFolder folder;
    private final PhotoReading reading;
    /** Of its own, of one: raw files take seconds, and no picture is to wait for that. */
    private final WorkQueue queue = WorkQueue.withThreads("looks", 1, Long.MAX_VALUE);

    private final ReadOnlyIntegerWrapper left = new ReadOnlyIntegerWrapper();
    /** By file: what was known of the photos that were looked at when that was asked for, then what is known since. */
    private final Map<String, Looked> looks = new HashMap<>();

    /** @param wantsRaw whether its raw file was of interest too */
    private record Looked(PhotoFacts facts, boolean wantsRaw) {
        boolean tells(PhotoFacts now, boolean wantsRawNow) {
            return facts.equals(now) && (wantsRaw || !wantsRawNow);
        }
    }

    PixelLooks(PhotoFolder folder, PhotoReading reading) {
        this.folder = folder;
        this.reading = reading;
    }

    /** How many photos there still are to be looked at. */
    ReadOnlyIntegerProperty leftProperty() {
        return left.getReadOnlyProperty();
    }

    /** Looks at photos that may go in some formats, if that was not done since their files were read. */
    void look(Collection<Photo> photos, List<Format> formats) {
        for (Photo photo : PixelLook.wanted(photos.stream(), reading.now(), formats)) {
            PhotoFacts facts = reading.now().facts().get(photo.file());
            boolean wantsRaw = formats.stream().anyMatch(photo::wantsRaw);
            Looked before = looks.get(photo.file());
            if (!reading.hasProblem(photo) && (before == null || !before.tells(facts, wantsRaw))) {
                looks.put(photo.file(), new Looked(facts, wantsRaw));
                left.set(left.get() + 1);
                queue.add(Urgency.IDLE, WorkQueue.LIGHT, ticket -> look(photo, facts, formats, wantsRaw));
            }
        }
    }

    /** In the background. */
    private void look(Photo photo, PhotoFacts facts, List<Format> formats, boolean wantsRaw) {
        PhotoFacts known = looked(photo, facts, formats);
        Platform.runLater(() -> {
            looks.put(photo.file(), new Looked(known, wantsRaw));
            left.set(left.get() - 1);
            if (!known.equals(facts)) {
                reading.know(photo.file(), known);
            }
        });
    }

    private PhotoFacts looked(Photo photo, PhotoFacts facts, List<Format> formats) {
        try {
            return PixelLook.of(folder, photo, facts, formats);
        } catch (PhotoProblem e) {
            // Whoever needs its pixels tells.
            return facts;
        }
    }

    /** What is not looked at yet is not wanted any more. */
    void stop() {
        queue.close();
    }
}
