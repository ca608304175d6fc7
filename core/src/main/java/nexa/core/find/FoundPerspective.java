package nexa.core.find;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.geometry.Segment;
import nexa.core.level.LevelLine;
import nexa.core.shape.FromLines;
import nexa.core.shape.Perspective;
import nexa.core.shape.SceneLines;
import nexa.core.shoot.Photo;

/**
 * That uprights found in a photo run together, and how its perspective is put right by them. Never surer than likely: whether
 * what runs together is to be parallel, only the photographer knows.
 *
 * @param solved how the camera looked; empty where there is nothing to be put right
 * @param lines the uprights, as fractions of the photo
 */
public record FoundPerspective(Reason reason, Optional<FromLines.Solved> solved, SceneLines lines) implements Found {
    /** By what it was found, or why there is nothing. */
    public enum Reason {
        /** Uprights that run together. */
        UPRIGHTS,
        /** There are not two uprights. */
        NO_UPRIGHTS,
        /** Uprights are parallel, as far as can be told. */
        PARALLEL
    }

    /** What is found of a line's end is within so much, as a share of the photo's long side. */
    private static final double FOUND_WITHIN = 1.0 / 1000;

    /** What was found of a level may tell of uprights. */
    public static FoundPerspective of(FoundLevel level, Photo photo, OptionalDouble focal35) {
        List<Segment> found = level.lines().stream().map(LevelLine::segment).toList();
        SceneLines uprights = new SceneLines(
                SceneLines.sorted(found, photo.space(), photo.angle()).uprights(), List.of());
        FromLines solver = new FromLines(photo.size(), photo.preparation().lens(), focal35);
        if (uprights.uprights().size() < 2 || !(solver.solve(uprights) instanceof FromLines.Solved solved)) {
            return new FoundPerspective(Reason.NO_UPRIGHTS, Optional.empty(), SceneLines.NONE);
        }
        OptionalDouble off =
                solver.uncertainty(uprights, FOUND_WITHIN * photo.size().longSide());
        boolean runsTogether = off.isPresent() && Math.hypot(solved.tilt(), solved.swing()) > off.getAsDouble();
        return runsTogether
                ? new FoundPerspective(Reason.UPRIGHTS, Optional.of(solved), uprights)
                : new FoundPerspective(Reason.PARALLEL, Optional.empty(), SceneLines.NONE);
    }

    @Override
    public Certainty certainty() {
        return solved.isPresent() ? Certainty.LIKELY : Certainty.NOT_SURE;
    }

    /** The photo with its perspective put right. */
    Photo taken(Photo photo) {
        return solved.map(found -> {
                    Perspective before =
                            photo.preparation().perspective().orElseGet(() -> Perspective.none(found.focal35()));
                    return photo.withPerspective(Optional.of(before.by(found, lines)))
                            .withAngle(found.angle());
                })
                .orElse(photo);
    }
}
