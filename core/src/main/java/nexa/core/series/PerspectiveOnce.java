package nexa.core.series;

import java.util.Collection;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.shape.Perspective;
import nexa.core.shape.SceneLines;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Preparation;
import nexa.core.shoot.QuarterTurn;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.ShootDraft;

/**
 * Puts the perspective of photos right as that of another one is, for a camera that did not move. It is given once: what is
 * done to that photo later changes no other.
 */
public final class PerspectiveOnce {
    private PerspectiveOnce() {}

    /**
     * The shoot with photos put right as one of it is. Those that are not in it, or not read yet, are passed over, as
     * are those of which it would leave nothing.
     *
     * @param from the file of the photo that is put right
     * @param files of the others
     */
    public static Shoot give(Shoot shoot, String from, Collection<String> files) {
        Preparation given = upright(shoot.photo(from).preparation());
        ShootDraft draft = shoot.draft();
        ready(shoot, from, files).forEach(photo -> draft.put(photo.leaving(changed -> given(changed, given))));
        return draft.shoot();
    }

    /** How many photos would be passed over since it would leave nothing of them. */
    public static int leavesNothingOf(Shoot shoot, String from, Collection<String> files) {
        Preparation given = upright(shoot.photo(from).preparation());
        return (int) ready(shoot, from, files)
                .filter(photo -> !given(photo, given).isCroppable())
                .count();
    }

    private static Stream<Photo> ready(Shoot shoot, String from, Collection<String> files) {
        return files.stream()
                .filter(file -> !file.equals(from))
                .flatMap(file -> shoot.find(file).stream())
                .filter(Photo::isCroppable);
    }

    /** A photo with another one's perspective, seen the way the photo is. */
    private static Photo given(Photo photo, Preparation asStored) {
        Preparation now = photo.preparation();
        Preparation seen = asStored;
        while (seen.turn() != now.turn()) {
            seen = seen.turnedRight();
        }
        if (now.isMirrored()) {
            seen = seen.mirrored();
        }
        return photo.withPreparation(now.withPerspective(seen.perspective()));
    }

    /** The perspective as it would be of the photo unturned. The lines belong to one photo alone. */
    private static Preparation upright(Preparation preparation) {
        Optional<Perspective> without = preparation.perspective().map(said -> said.withLines(SceneLines.NONE));
        Preparation seen = preparation.withPerspective(without);
        if (seen.isMirrored()) {
            seen = seen.mirrored();
        }
        while (seen.turn() != QuarterTurn.NONE) {
            seen = seen.turnedRight();
        }
        return seen;
    }
}
