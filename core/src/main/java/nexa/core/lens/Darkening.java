package nexa.core.lens;

import java.util.List;

/**
 * How a lens darkened towards the edge in one measurement.
 *
 * @param focal in millimetres, above 0
 * @param aperture the f-number, above 0
 * @param distance of what was photographed, in metres, above 0
 * @param terms k₁, k₂, k₃ of {@link nexa.core.shape.LensProfile#vignetting}
 */
public record Darkening(double focal, double aperture, double distance, List<Double> terms) {
    /** @throws IllegalArgumentException for values that are not above 0, and other than three terms */
    public Darkening {
        Focal.requireLength(focal);
        if (!(aperture > 0 && distance > 0)) {
            throw new IllegalArgumentException("aperture and distance are above 0: " + aperture + ", " + distance);
        }
        terms = List.copyOf(terms);
        if (terms.size() != 3) {
            throw new IllegalArgumentException("a darkening has 3 terms, but here are " + terms.size());
        }
    }
}
