package nexa.core.series;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import nexa.core.format.Format;
import nexa.core.geometry.Crop;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.ShootDraft;

/**
 * Keeps "done" true: a follower that its lead has moved, and any crop that its format has changed, has to be looked at
 * again.
 */
public final class Done {
    private static final double MOVED = 1e-6;

    private Done() {}

    /** The state after a change, with crops that a lead or their format moved no longer done. */
    public static Shoot after(Shoot before, Shoot after) {
        Map<String, Photo> moved = new HashMap<>();
        for (Format format : after.formats()) {
            Optional<Format> was = before.formats().stream()
                    .filter(old -> old.id().equals(format.id()))
                    .findFirst();
            boolean isReshaped = was.isPresent() && !hasSameShape(was.get(), format);
            boolean isNews = was.isPresent()
                    && format.leads().values().stream()
                            .anyMatch(lead -> !before.find(lead).equals(after.find(lead)));
            if (isReshaped || isNews) {
                addMoved(before, after, format.id(), isReshaped, moved);
            }
        }
        if (moved.isEmpty()) {
            return after;
        }
        ShootDraft draft = after.draft();
        moved.values().forEach(draft::put);
        return draft.shoot();
    }

    private static boolean hasSameShape(Format was, Format is) {
        return was.ratio().equals(is.ratio()) && was.turn() == is.turn();
    }

    private static void addMoved(
            Shoot before, Shoot after, String format, boolean isReshaped, Map<String, Photo> moved) {
        Crops then = new Crops(before);
        Crops now = new Crops(after);
        for (Photo photo : after.photos()) {
            CropEntry entry = photo.entry(format);
            Photo was = before.find(photo.file()).orElse(photo);
            boolean isLeft = entry.isDone()
                    && (isReshaped || isLeftFollowing(entry, was.entry(format)))
                    && photo.isCroppable()
                    && was.isCroppable();
            if (isLeft && isMoved(then.of(was, before.format(format)), now.of(photo, after.format(format)))) {
                Photo known = moved.getOrDefault(photo.file(), photo);
                moved.put(photo.file(), known.withEntry(format, entry.withDone(false)));
            }
        }
    }

    /** Whether a follower was not itself what the hand was at. */
    private static boolean isLeftFollowing(CropEntry is, CropEntry was) {
        return is.placement() instanceof Placement.Follow && is.equals(was);
    }

    private static boolean isMoved(PhotoCrop then, PhotoCrop now) {
        Crop was = then.crop();
        Crop is = now.crop();
        double most = Math.max(
                was.centre().distance(is.centre()),
                Math.max(
                        Math.abs(was.size().width() - is.size().width()),
                        Math.abs(was.size().height() - is.size().height())));
        return most > MOVED * now.photo().size().longSide();
    }
}
