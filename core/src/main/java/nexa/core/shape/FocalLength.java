package nexa.core.shape;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The focal length a photo was taken with, and how that is known.
 *
 * @param millimetres on 36 × 24 mm
 */
public record FocalLength(double millimetres, Source source) {
    /** How a focal length is known. */
    public enum Source {
        /** The photo's file says it. */
        FILE,
        /** The photographer said it. */
        TYPED,
        /** Lines that are square in the scene tell it. */
        LINES,
        /** Nothing tells it. */
        ASSUMED
    }

    /** By what share lengths that are the same may differ. */
    private static final double SAME = 1e-9;

    /** By how much lines correct what the file says. */
    private static final double CORRECTED = 1.25 + SAME;

    /**
     * What is known of a photo.
     *
     * @param said how its perspective is put right, if it is
     * @param inFile what its file says, in millimetres on 36 × 24 mm
     */
    public static FocalLength of(Optional<Perspective> said, OptionalDouble inFile) {
        FocalLength usual = inFile.isPresent()
                ? new FocalLength(within(inFile.getAsDouble()), Source.FILE)
                : new FocalLength(Perspective.ASSUMED, Source.ASSUMED);
        if (said.isEmpty() || near(said.get().focal35(), usual.millimetres(), 1 + SAME)) {
            return usual;
        }
        double now = said.get().focal35();
        boolean isByLines = said.get().lines().isBoth()
                && (usual.source() == Source.ASSUMED || near(now, usual.millimetres(), CORRECTED));
        return new FocalLength(now, isByLines ? Source.LINES : Source.TYPED);
    }

    /** What lines are solved with: what the file or the photographer says; empty where lines may tell it themselves. */
    public static OptionalDouble known(Optional<Perspective> said, OptionalDouble inFile) {
        FocalLength now = of(said, inFile);
        return switch (now.source()) {
            case FILE, TYPED -> OptionalDouble.of(now.millimetres());
            case LINES -> inFile.isPresent() ? OptionalDouble.of(within(inFile.getAsDouble())) : inFile;
            case ASSUMED -> OptionalDouble.empty();
        };
    }

    private static double within(double millimetres) {
        return Math.max(Perspective.SHORTEST, Math.min(Perspective.LONGEST, millimetres));
    }

    private static boolean near(double one, double other, double factor) {
        return Math.max(one, other) <= factor * Math.min(one, other);
    }
}
