package nexa.core.series;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import nexa.core.format.Format;
import nexa.core.format.Going;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;

/** Lets a format that {@linkplain Going#WAITS waits} go as soon as anything is done in it. */
public final class Begun {
    private Begun() {}

    /** The state after a change, with every format going in which the change made, led, carried or marked done a crop. */
    public static Shoot after(Shoot before, Shoot after) {
        boolean waits = after.formats().stream().anyMatch(format -> format.going() == Going.WAITS);
        if (!waits) {
            return after;
        }
        Set<String> begun = begun(before, after);
        List<Format> formats = after.formats().stream()
                .map(format -> begun.contains(format.id()) ? format.withGoing(Going.GOES) : format)
                .toList();
        return formats.equals(after.formats()) ? after : after.withFormats(formats);
    }

    private static Set<String> begun(Shoot before, Shoot after) {
        Set<String> begun = new HashSet<>();
        List<Format> waiting = after.formats().stream()
                .filter(format -> format.going() == Going.WAITS)
                .toList();
        for (Photo photo : after.photos()) {
            Photo was = before.find(photo.file()).orElse(photo);
            if (was != photo) {
                waiting.stream()
                        .map(Format::id)
                        .filter(id -> isDoneIn(was.entry(id), photo.entry(id)))
                        .forEach(begun::add);
            }
        }
        return begun;
    }

    /** Starting a crop again does nothing in its format. */
    private static boolean isDoneIn(CropEntry was, CropEntry is) {
        return !is.equals(was) && !is.equals(CropEntry.UNTOUCHED);
    }
}
