package nexa.core.series;

import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.shape.FromLines;
import nexa.core.shape.Lens;
import nexa.core.shape.Perspective;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.ShootDraft;

/** Puts the lens of photos right. Where a perspective was worked out from lines, the lens changes what they tell. */
public final class LensChange {
    private LensChange() {}

    /** A photo that has been read with its lens put right that way, and its perspective worked out again from its lines. */
    public static Photo apply(Photo photo, Optional<Lens> lens) {
        Photo changed = photo.withPreparation(photo.preparation().withLens(lens));
        Optional<Perspective> perspective = photo.preparation().perspective();
        if (perspective.isEmpty() || perspective.get().lines().isNone()) {
            return changed;
        }
        Perspective before = perspective.get();
        FromLines solver = new FromLines(photo.size(), lens, OptionalDouble.of(before.focal35()));
        // What lines told once they tell nearly again; where they do not, what they told stands.
        return solver.solve(before.lines()) instanceof FromLines.Solved solved
                ? changed.withPerspective(Optional.of(before.by(solved, before.lines())))
                        .withAngle(solved.angle())
                : changed;
    }

    /**
     * The shoot with the lenses of photos put right. Photos that are not in it, or not read yet, are passed over, as are those
     * of which it would leave nothing.
     */
    public static Shoot give(Shoot shoot, Map<String, Lens> lenses) {
        ShootDraft draft = shoot.draft();
        lenses.forEach((file, lens) -> {
            if (shoot.find(file).filter(Photo::isCroppable).isPresent()) {
                draft.change(file, photo -> photo.leaving(changed -> apply(changed, Optional.of(lens))));
            }
        });
        return draft.shoot();
    }
}
