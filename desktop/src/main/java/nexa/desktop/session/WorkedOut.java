package nexa.desktop.session;

import java.util.List;
import nexa.core.series.CropTable;
import nexa.core.shoot.Photo;

/**
 * A shoot as it stood at one moment, with what was worked out over all of it.
 *
 * @param now what it was worked out of
 * @param crops those of the photos shown that can be worked on, in the format worked in
 * @param tally where the work stands
 */
public record WorkedOut(ShootNow now, CropTable crops, Tally tally) {

    /** Works it out. Not for the JavaFX thread where there are many photos. */
    public static WorkedOut of(ShootNow now) {
        List<Photo> ready = now.photos().stream().filter(now::isReady).toList();
        CropTable crops = CropTable.of(now.shoot(), ready, now.format());
        return new WorkedOut(now, crops, Tally.of(now.shoot().formats(), crops));
    }

    /** Nothing, yet. */
    static WorkedOut nothing(ShootNow now) {
        return new WorkedOut(now, CropTable.of(now.shoot(), List.of(), now.format()), Tally.NONE);
    }
}
