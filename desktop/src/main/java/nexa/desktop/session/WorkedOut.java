package nexa.desktop.session;

import java.util.List;
import nexa.core.format.Format;
import nexa.core.series.CropTable;
import nexa.core.series.SureLevels;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.facts.ShootReading;

/**
 * A shoot as it stood at one moment, with what was worked out over all of it.
 *
 * @param now what it was worked out of
 * @param crops those of the photos shown that can be worked on, in the format worked in
 * @param tally where the work stands
 * @param isBegun whether anything was done with any photo
 */
public record WorkedOut(ShootNow now, CropTable crops, Tally tally, boolean isBegun) {

    /** Works it out. Not for the JavaFX thread where there are many photos. */
    public static WorkedOut of(ShootNow now) {
        List<Photo> ready = now.photos().stream().filter(now::isReady).toList();
        CropTable crops = CropTable.of(now.shoot(), ready, now.format(), now.levels());
        boolean isBegun = now.shoot().photos().stream().anyMatch(photo -> !photo.isUntouchedByHand());
        return new WorkedOut(now, crops, Tally.of(now.shoot().formats(), crops), isBegun);
    }

    /** Nothing, yet. */
    static WorkedOut nothing(Shoot shoot) {
        Format format = shoot.formats().get(0);
        ShootNow now = new ShootNow(shoot, List.of(), ShootReading.none(), format, SureLevels.NOT_LOOKED);
        return new WorkedOut(now, CropTable.of(shoot, List.of(), format, now.levels()), Tally.NONE, true);
    }
}
