package nexa.core.lens;

import java.util.Optional;
import java.util.OptionalDouble;

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

    /** Of a photo that says nothing of it. */
    public static final Taken UNKNOWN = new Taken(
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty());

    /** The crop factor that the two focal lengths tell, where there are both. */
    OptionalDouble cropFactor() {
        return focal.isPresent() && focal35.isPresent() && focal.getAsDouble() > 0
                ? OptionalDouble.of(focal35.getAsDouble() / focal.getAsDouble())
                : OptionalDouble.empty();
    }
}
