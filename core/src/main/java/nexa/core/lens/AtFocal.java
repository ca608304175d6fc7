package nexa.core.lens;

/**
 * What was measured of a lens at one focal length.
 *
 * @param focal in millimetres, above 0
 * @param terms of the model it was told in
 */
public record AtFocal<T>(double focal, T terms) {
    /** @throws IllegalArgumentException for a focal length that is none */
    public AtFocal {
        Focal.requireLength(focal);
    }
}
