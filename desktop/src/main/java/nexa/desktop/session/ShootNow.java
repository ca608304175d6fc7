package nexa.desktop.session;

import java.util.List;
import nexa.core.format.Format;
import nexa.core.series.SureLevels;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.facts.ShootReading;

/**
 * A shoot as it stands at one moment, for what is worked out over all of it in the background.
 *
 * @param photos that are shown, in the shoot's order
 * @param format the one worked in
 * @param levels what is known of how the photos lie level
 */
public record ShootNow(Shoot shoot, List<Photo> photos, ShootReading reading, Format format, SureLevels levels) {

    /** Whether a photo's size is known and it can be worked on. */
    public boolean isReady(Photo photo) {
        return reading.isReady(photo);
    }

    /** Whether a photo was found unreadable, or nothing is left of it. */
    public boolean hasProblem(Photo photo) {
        return reading.hasProblem(photo);
    }
}
