package nexa.core.series;

import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.shape.Stretch;
import nexa.core.shoot.Beyond;

/** How well what is filled beyond a photo's edge will pass for photo. */
public enum Passing {
    /** It should pass. */
    PASSES,
    /** It should be looked at. */
    LOOK,
    /** It will show. */
    SHOWS;

    /** Below this busyness fills passed in most pictures that were tried, and above the next one they showed in most. */
    private static final double CALM = 4;

    private static final double BUSY = 6;

    /** How a fill will pass; empty where nobody can tell: before the photo's edges are read, and of a colour that was chosen. */
    public static Optional<Passing> of(FillPlan plan) {
        if (plan.stretch().isPresent()) {
            return Optional.of(plan.stretch().get().most() <= Stretch.SILENT ? PASSES : LOOK);
        }
        if (plan.fill() == Beyond.Fill.COLOUR && plan.beyond().colour().isPresent()) {
            return Optional.empty();
        }
        OptionalDouble busiest = plan.photo()
                .texture()
                .filter(texture ->
                        texture.seen().equals(plan.photo().preparation().beforeShape()))
                .map(texture ->
                        texture.busiest(plan.margins(), plan.photo().remaining().size()))
                .orElse(OptionalDouble.empty());
        return busiest.isPresent() ? Optional.of(of(busiest.getAsDouble())) : Optional.empty();
    }

    private static Passing of(double busyness) {
        if (busyness < CALM) {
            return PASSES;
        }
        return busyness <= BUSY ? LOOK : SHOWS;
    }
}
