package nexa.core.shape;

import java.util.List;
import nexa.core.geometry.Fingerprint;
import nexa.core.geometry.Require;

/**
 * How far a lens draws red and blue from where it draws green: at f(r) times the distance from the middle, f(r) =
 * v + c r + b r² with r in the calibration's units.
 *
 * @param red v, c, b
 * @param blue v, c, b
 */
public record LateralChromaticAberration(List<Double> red, List<Double> blue) {
    private static final double MOST = 10;

    /** @throws IllegalArgumentException for other than three terms each, NaN, and terms beyond ±10 */
    public LateralChromaticAberration {
        red = checked(red);
        blue = checked(blue);
    }

    private static List<Double> checked(List<Double> terms) {
        if (terms.size() != 3) {
            throw new IllegalArgumentException("a colour has 3 terms, but here are " + terms.size());
        }
        terms.forEach(term -> Require.within("term", term, -MOST, MOST));
        return List.copyOf(terms);
    }

    /** Red and blue off by the same share at any distance: the linear model. */
    public static LateralChromaticAberration linear(double red, double blue) {
        return new LateralChromaticAberration(List.of(red, 0.0, 0.0), List.of(blue, 0.0, 0.0));
    }

    /** See {@link Fingerprint}. */
    String fingerprint() {
        return Fingerprint.of("LateralChromaticAberration")
                .with("red", red, String::valueOf)
                .with("blue", blue, String::valueOf)
                .letters();
    }
}
