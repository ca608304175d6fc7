package nexa.core.find;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import nexa.core.geometry.Angle;
import nexa.core.series.Trimming;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.ShootDraft;
import nexa.core.shoot.Trim;

/** Takes what was found: photos are turned to be level, trimmed, put right, and get their subjects. */
public final class TakeFound {
    private TakeFound() {}

    /** Whether a photo has such a thing already, so that it is not done again unless that is said. */
    public static boolean isDone(Photo photo, Class<? extends Found> what) {
        if (what == FoundLevel.class) {
            return !photo.angle().equals(Angle.NONE);
        }
        if (what == FoundTrim.class) {
            return !photo.preparation().trim().isNone();
        }
        if (what == FoundPerspective.class) {
            return photo.preparation().perspective().isPresent();
        }
        return what == FoundSubject.class && photo.saysSubject();
    }

    /** Whether something is taken unless something else is said: what is sure, of a photo that has none yet. */
    public static boolean isUsual(Photo photo, Found found) {
        return found.certainty() == Certainty.SURE && !isDone(photo, found.getClass());
    }

    /**
     * The shoot with what was found in its photos; those that are not in it any more are passed over,
     * as is what would leave nothing of a photo.
     *
     * @param found by file
     */
    public static Shoot of(Shoot shoot, Map<String, ? extends Collection<? extends Found>> found) {
        Map<String, Trim> trims = new LinkedHashMap<>();
        ShootDraft draft = shoot.draft();
        found.forEach((file, all) -> {
            if (shoot.find(file).isPresent()) {
                all.forEach(one -> {
                    draft.change(file, photo -> photo.leaving(changed -> taken(changed, one)));
                    if (one instanceof FoundTrim border) {
                        trims.put(file, border.trim());
                    }
                });
            }
        });
        return Trimming.of(draft.shoot(), trims);
    }

    private static Photo taken(Photo photo, Found found) {
        if (found instanceof FoundLevel level) {
            return photo.withAngle(level.angle(photo));
        }
        if (found instanceof FoundPerspective perspective) {
            return perspective.taken(photo);
        }
        return found instanceof FoundSubject subject ? photo.withSubject(subject.subject()) : photo;
    }
}
