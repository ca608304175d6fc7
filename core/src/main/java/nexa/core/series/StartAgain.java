package nexa.core.series;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import nexa.core.format.Format;
import nexa.core.geometry.Angle;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Preparation;
import nexa.core.shoot.QuarterTurn;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.ShootDraft;

/** Takes what was done to photos back to untouched. Marks stay. */
public final class StartAgain {
    private StartAgain() {}

    /** One crop, as if nothing had been said of it. A lead lets its followers go where they are. */
    public static Shoot crop(Shoot shoot, String file, String format) {
        ShootDraft draft = shoot.draft();
        Leads.takeAway(draft, file, format);
        return draft.change(file, photo -> photo.withEntry(format, CropEntry.UNTOUCHED))
                .shoot();
    }

    /** The angle, as shot. */
    public static Shoot level(Shoot shoot, String file) {
        return shoot.with(file, photo -> photo.withAngle(Angle.NONE));
    }

    /** The perspective of photos, as shot; their angles stay. */
    public static Shoot perspective(Shoot shoot, Set<String> files) {
        return shoot.draft()
                .change(files, photo -> photo.withPerspective(Optional.empty()))
                .shoot();
    }

    /** The angle, quarter turns, mirroring, the trim, the lens, the perspective, the edge and the crops in every format. */
    public static Shoot photos(Shoot shoot, Set<String> files) {
        ShootDraft fresh = shoot.draft().change(files, StartAgain::photo);
        // Who followed one of them and does not start again keeps the crop it has.
        for (Format format : shoot.formats()) {
            for (String lead : format.leads().values()) {
                if (files.contains(lead)) {
                    Leads.takeAway(fresh, lead, format.id());
                }
            }
        }
        return fresh.shoot();
    }

    private static Photo photo(Photo photo) {
        Photo fresh = photo;
        for (String format : photo.crops().keySet()) {
            fresh = fresh.withEntry(format, CropEntry.UNTOUCHED);
        }
        // By turning, so that the subject stays on what it marks.
        if (fresh.preparation().isMirrored()) {
            fresh = Reorient.MIRROR.apply(fresh, List.of());
        }
        while (fresh.preparation().turn() != QuarterTurn.NONE) {
            fresh = Reorient.RIGHT.apply(fresh, List.of());
        }
        return fresh.withPreparation(Preparation.NONE);
    }

    /** Whether there is anything to take back. */
    public static boolean isUntouched(Photo photo) {
        return photo.preparation().isNone() && photo.crops().isEmpty();
    }
}
