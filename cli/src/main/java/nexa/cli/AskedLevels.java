package nexa.cli;

import java.io.PrintWriter;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import nexa.core.find.FoundLevel;
import nexa.core.find.FoundLevels;
import nexa.core.format.Format;
import nexa.core.series.SureLevels;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.work.Processors;
import nexa.store.user.KeptFindings;

/** Looks how photos lie level where a format asks for that; what was found before is not looked for again. */
final class AskedLevels {
    private AskedLevels() {}

    /**
     * What is known of a shoot's photos after looking, on all processors. Nothing is looked for where no format asks.
     *
     * @param formats the ids of those that count
     * @param err hears that it is looked
     */
    static SureLevels of(OpenedShoot opened, Collection<String> formats, PrintWriter err) {
        Set<String> counting = new HashSet<>(formats);
        boolean isAsked = opened.shoot().formats().stream()
                .filter(format -> counting.contains(format.id()))
                .map(Format::asks)
                .anyMatch(asks -> asks.level().isPresent());
        if (!isAsked) {
            return SureLevels.NOT_LOOKED;
        }
        List<Photo> photos = opened.shoot().photos().stream()
                .filter(photo -> photo.mark() != Mark.OUT && opened.reading().isReady(photo))
                .toList();
        err.println(NexaCommand.WORDS.get("cli.levels", photos.size()));
        KeptFindings kept = opened.findings();
        Map<Photo, FoundLevel> found = new ConcurrentHashMap<>();
        Processors.each(photos.size(), i -> find(opened, photos.get(i), kept, found));
        kept.save();
        return new FoundLevels(found);
    }

    /** One that cannot be read is passed over: whoever needs its pixels tells. */
    private static void find(OpenedShoot opened, Photo photo, KeptFindings kept, Map<Photo, FoundLevel> found) {
        try {
            opened.find(FoundLevel.class, photo, kept).ifPresent(level -> found.put(photo.asLookedAt(), level));
        } catch (PhotoProblem e) {
            found.remove(photo.asLookedAt());
        }
    }
}
