package nexa.core.series;

import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.shape.FromLines;
import nexa.core.shape.Lens;
import nexa.core.shape.Perspective;
import nexa.core.shoot.Photo;

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
}
