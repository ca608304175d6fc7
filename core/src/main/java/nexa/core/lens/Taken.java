package nexa.core.lens;

import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.shape.Lens;

/**
 * With what and how a photo was taken, as far as its file says so.
 *
 * @param maker of the camera
 * @param camera its model
 * @param lens its model
 * @param focal in millimetres
 * @param focal35 in millimetres on 36 × 24 mm
 * @param aperture the f-number
 * @param distance of what was photographed, in metres
 */
public record Taken(
        Optional<String> maker,
        Optional<String> camera,
        Optional<String> lens,
        OptionalDouble focal,
        OptionalDouble focal35,
        OptionalDouble aperture,
        OptionalDouble distance) {

    /** What no lens has, whatever a file says, is not known. */
    public Taken {
        focal = within(focal, 0, Focal.LONGEST);
        focal35 = within(focal35, 0, Double.MAX_VALUE);
        aperture = within(aperture, 0, Double.MAX_VALUE);
        distance = within(distance, 0, Double.MAX_VALUE);
    }

    private static OptionalDouble within(OptionalDouble said, double above, double most) {
        boolean isKnown = said.isPresent() && said.getAsDouble() > above && said.getAsDouble() <= most;
        return isKnown ? said : OptionalDouble.empty();
    }

    /** Of a photo that says nothing of it. */
    public static final Taken UNKNOWN = new Taken(
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty());

    /** The crop factor that the two focal lengths tell, where there are both and it is one. */
    OptionalDouble cropFactor() {
        if (focal.isEmpty() || focal35.isEmpty()) {
            return OptionalDouble.empty();
        }
        double told = focal35.getAsDouble() / focal.getAsDouble();
        return told >= Lens.LEAST_CROP_FACTOR && told <= Lens.MOST_CROP_FACTOR
                ? OptionalDouble.of(told)
                : OptionalDouble.empty();
    }
}
