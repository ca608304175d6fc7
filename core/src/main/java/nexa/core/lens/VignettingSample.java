package nexa.core.lens;

import java.util.List;
import nexa.core.geometry.Require;
import nexa.core.shape.LensProfile;

/**
 * How a lens darkened towards the edge in one measurement.
 *
 * @param focal in millimetres, above 0
 * @param aperture the f-number, above 0
 * @param distance of what was photographed, in metres, above 0
 * @param terms k₁, k₂, k₃ of {@link nexa.core.shape.LensProfile#vignetting}
 */
public record VignettingSample(double focal, double aperture, double distance, List<Double> terms) {
    /** What is less is nought. */
    private static final double LEAST = 1e-6;

    /** Polynomials through few measurements have large terms, larger than can be evened. */
    private static final double MOST = 1000;

    /** @throws IllegalArgumentException for values that are not above 0, and for terms that no lens has */
    public VignettingSample {
        Focal.requireLength(focal);
        if (!(aperture > LEAST && distance > LEAST)) {
            throw new IllegalArgumentException("aperture and distance are above 0: " + aperture + ", " + distance);
        }
        terms = List.copyOf(terms);
        if (terms.size() != LensProfile.LIGHT_TERMS) {
            throw new IllegalArgumentException("a darkening has 3 terms, but here are " + terms.size());
        }
        terms.forEach(term -> Require.within("term", term, -MOST, MOST));
    }
}
