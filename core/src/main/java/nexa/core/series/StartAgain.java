package nexa.core.series;

import java.util.Map;
import java.util.Set;
import nexa.core.geometry.Angle;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.QuarterTurn;
import nexa.core.shoot.Shoot;

/** Takes what was done to photos back to untouched. Marks stay. */
public final class StartAgain {
    private StartAgain() {}

    /** One crop, as if nothing had been said of it. A lead lets its followers go where they are. */
    public static Shoot crop(Shoot shoot, String file, String format) {
        return Leads.takeAway(shoot, file, format).with(file, photo -> photo.withEntry(format, CropEntry.UNTOUCHED));
    }

    /** The angle, as shot. */
    public static Shoot level(Shoot shoot, String file) {
        return shoot.with(file, photo -> photo.withAngle(Angle.NONE));
    }

    /** The angle, quarter turns, mirroring and the crops in every format. */
    public static Shoot photos(Shoot shoot, Set<String> files) {
        Shoot fresh = shoot;
        for (String file : files) {
            // The crops first: who follows keeps the crop it has now, not that of a lead turned or mirrored.
            for (Map.Entry<String, CropEntry> entry :
                    Map.copyOf(fresh.photo(file).crops()).entrySet()) {
                fresh = crop(fresh, file, entry.getKey());
            }
            if (fresh.photo(file).isMirrored()) {
                fresh = Reorient.MIRROR.apply(fresh, Set.of(file));
            }
            while (fresh.photo(file).turn() != QuarterTurn.NONE
                    && fresh.photo(file).pixels().isPresent()) {
                fresh = Reorient.RIGHT.apply(fresh, Set.of(file));
            }
            fresh = level(fresh, file);
        }
        return fresh;
    }

    /** Whether there is anything to take back. */
    public static boolean isUntouched(Photo photo) {
        return photo.angle().equals(Angle.NONE)
                && photo.turn() == QuarterTurn.NONE
                && !photo.isMirrored()
                && photo.crops().isEmpty();
    }
}
