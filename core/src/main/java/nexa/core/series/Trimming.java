package nexa.core.series;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.ShootDraft;
import nexa.core.shoot.Trim;

/**
 * Says what of photos does not count as picture. Their crops stay inside what remains; what was said of a crop is kept, so
 * that taking a trim away gives the crops as they were before.
 */
public final class Trimming {
    private Trimming() {}

    /** The shoot with a photo trimmed. */
    public static Shoot of(Shoot shoot, String file, Trim trim) {
        return of(shoot, Map.of(file, trim));
    }

    /**
     * The shoot with photos trimmed. Those that are not in it any more, or not read yet, are passed over, as are those
     * of which it would leave nothing.
     *
     * @param trims by file
     */
    public static Shoot of(Shoot shoot, Map<String, Trim> trims) {
        List<Photo> trimmed = new ArrayList<>();
        trims.forEach((file, trim) -> shoot.find(file)
                .filter(photo -> photo.pixels().isPresent())
                .map(photo -> photo.leaving(changed -> changed.withTrim(trim)))
                .ifPresent(trimmed::add));
        ShootDraft draft = shoot.draft();
        // The leads first: who follows keeps the crop it has now.
        trimmed.forEach(photo -> Leads.lying(draft, photo.file(), photo.orientation()));
        trimmed.forEach(said -> draft.change(
                said.file(), photo -> photo.withTrim(said.preparation().trim())));
        return draft.shoot();
    }
}
