package nexa.core.find;

import java.util.Map;
import nexa.core.geometry.Angle;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;

/** Takes found levels: each photo is turned to be level. */
public final class TakeLevels {
    private TakeLevels() {}

    /** Whether a photo was levelled already, so that it is not done again unless that is said. */
    public static boolean isLevelled(Photo photo) {
        return !photo.angle().equals(Angle.NONE);
    }

    /** Whether a found level is taken unless something else is said: a sure one of a photo that nobody levelled. */
    public static boolean isUsual(Photo photo, FoundLevel found) {
        return found.certainty() == Certainty.SURE && !isLevelled(photo);
    }

    /**
     * The shoot with photos levelled; those that are not in it any more are passed over.
     *
     * @param levels by file, none of them not sure
     */
    public static Shoot of(Shoot shoot, Map<String, FoundLevel> levels) {
        return shoot.draft()
                .changeAll(photo -> {
                    FoundLevel found = levels.get(photo.file());
                    return found == null ? photo : photo.withAngle(found.angle());
                })
                .shoot();
    }
}
