package nexa.core.series;

import java.util.Map;
import java.util.Optional;
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
     * The shoot with photos trimmed. Those that are not in it any more, or not read yet, are passed over.
     *
     * @param trims by file
     */
    public static Shoot of(Shoot shoot, Map<String, Trim> trims) {
        ShootDraft draft = shoot.draft();
        // The leads first: who follows keeps the crop it has now.
        trims.forEach((file, trim) -> read(shoot, file)
                .ifPresent(
                        photo -> Leads.lying(draft, file, photo.withTrim(trim).orientation())));
        trims.forEach((file, trim) ->
                read(shoot, file).ifPresent(known -> draft.change(file, photo -> photo.withTrim(trim))));
        return draft.shoot();
    }

    private static Optional<Photo> read(Shoot shoot, String file) {
        return shoot.find(file).filter(photo -> photo.pixels().isPresent());
    }
}
