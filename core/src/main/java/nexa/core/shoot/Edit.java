package nexa.core.shoot;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.format.Format;

/**
 * A named step from one shoot to the next and back.
 *
 * <p>Laws: {@code e.inverse().applyTo(e.applyTo(shoot))} is {@code shoot} for every shoot the edit was made for; an edit
 * between equal shoots {@linkplain #isIdentity() changes nothing}. What is read of a photo (its pixels) is no part of an
 * edit, so undoing never forgets it.
 *
 * @param kind what was done
 * @param where the format in which it was done, if it was in one
 * @param before the photos that change, as they were
 * @param after the same photos, as they are then
 * @param formatsBefore the formats as they were, if they change
 * @param formatsAfter the formats as they are then, if they change
 */
public record Edit(
        Kind kind,
        Optional<String> where,
        List<Photo> before,
        List<Photo> after,
        Optional<List<Format>> formatsBefore,
        Optional<List<Format>> formatsAfter) {

    /** What can be done, for its name in the history. */
    public enum Kind {
        SLIDE,
        RESIZE,
        TIGHTEN,
        TURN_CROP,
        LARGEST,
        DRAW,
        TYPE,
        PUT_ON_GUIDE,
        LEVEL,
        TRIM,
        LENS,
        PERSPECTIVE,
        EDGE,
        REACH,
        FILL,
        TAKE_FOUND,
        PROPOSAL,
        TURN_PHOTO,
        MIRROR,
        START_AGAIN,
        SUBJECT,
        MARK,
        DONE,
        LEAD,
        CARRY,
        LET_GO,
        STEP,
        RENAME,
        GO_ON_WITH,
        FORMAT,
        ASKS,
        BRIEF
    }

    /** The step between two states of a shoot that have the same photos. */
    public static Edit between(Kind kind, Optional<String> where, Shoot before, Shoot after) {
        List<Photo> old = new ArrayList<>();
        List<Photo> changed = new ArrayList<>();
        for (int i = 0; i < before.photos().size(); i++) {
            Photo was = before.photos().get(i);
            Photo is = after.photos().get(i);
            if (was != is && !was.equals(is)) {
                old.add(was);
                changed.add(is);
            }
        }
        boolean sameFormats = before.formats().equals(after.formats());
        return new Edit(
                kind,
                where,
                List.copyOf(old),
                List.copyOf(changed),
                sameFormats ? Optional.empty() : Optional.of(before.formats()),
                sameFormats ? Optional.empty() : Optional.of(after.formats()));
    }

    public boolean isIdentity() {
        return after.isEmpty() && formatsAfter.isEmpty();
    }

    /** The edit that takes this one back. */
    public Edit inverse() {
        return new Edit(kind, where, after, before, formatsAfter, formatsBefore);
    }

    public Shoot applyTo(Shoot shoot) {
        ShootDraft draft = shoot.draft();
        for (Photo said : after) {
            draft.change(said.file(), photo -> photo.saying(said));
        }
        formatsAfter.ifPresent(draft::withFormats);
        return draft.shoot();
    }
}
