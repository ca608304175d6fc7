package nexa.core.series;

import java.util.HashMap;
import java.util.Map;
import nexa.core.format.Format;
import nexa.core.geometry.Crop;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Shoot;

/** Keeps "done" true: a follower that its lead has moved has to be looked at again. */
public final class Done {
    private static final double MOVED = 1e-6;

    private Done() {}

    /** The state after a change, with followers that a lead moved no longer done. */
    public static Shoot after(Shoot before, Shoot after) {
        Map<String, Photo> moved = new HashMap<>();
        for (Format format : after.formats()) {
            boolean isNews = before.formats().stream().anyMatch(old -> old.id().equals(format.id()))
                    && format.leads().values().stream()
                            .anyMatch(lead -> !before.find(lead).equals(after.find(lead)));
            if (isNews) {
                addMoved(before, after, format.id(), moved);
            }
        }
        return moved.isEmpty() ? after : after.withChanged(moved);
    }

    private static void addMoved(Shoot before, Shoot after, String format, Map<String, Photo> moved) {
        Crops then = new Crops(before);
        Crops now = new Crops(after);
        for (Photo photo : after.photos()) {
            CropEntry entry = photo.entry(format);
            Photo was = before.find(photo.file()).orElse(photo);
            boolean isLeft = entry.isDone()
                    && entry.placement() instanceof Placement.Follow
                    && entry.equals(was.entry(format))
                    && photo.pixels().isPresent()
                    && was.pixels().isPresent();
            if (isLeft && isMoved(then.of(was, before.format(format)), now.of(photo, after.format(format)))) {
                Photo known = moved.getOrDefault(photo.file(), photo);
                moved.put(photo.file(), known.withEntry(format, entry.withDone(false)));
            }
        }
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
