package nexa.core.shape;

import java.util.List;
import nexa.core.geometry.Fingerprint;
import nexa.core.geometry.Require;

/**
 * How far off a lens draws: a point that belongs at a distance r from the middle is drawn at r · g(r), in the calibration's
 * units. The models and their terms are those of the open lens data.
 *
 * @param terms as many as the model has
 */
public record Distortion(Model model, List<Double> terms) {
    /** The usual polynomials g. */
    public enum Model {
        /** a r³ + b r² + c r + 1 − a − b − c. */
        PTLENS("a", "b", "c"),
        /** 1 − k₁ + k₁ r². */
        POLY3("k1"),
        /** 1 + k₁ r² + k₂ r⁴. */
        POLY5("k1", "k2");

        private final List<String> termNames;

        Model(String... termNames) {
            this.termNames = List.of(termNames);
        }

        /** What the open lens data calls its terms, in their order. */
        public List<String> termNames() {
            return termNames;
        }
    }

    private static final double MOST = 10;
    /** What is drawn smaller than that in the middle is no lens. */
    private static final double LEAST_AT_MIDDLE = 0.625;

    private static final double MOST_AT_MIDDLE = 1 + 3 * MOST;

    /**
     * @throws IllegalArgumentException for another number of terms than the model has, NaN, terms beyond ±10, and
     *     terms with which less than ⅝ of the size is drawn in the middle
     */
    public Distortion {
        terms = List.copyOf(terms);
        if (terms.size() != model.termNames.size()) {
            throw new IllegalArgumentException(
                    "the model " + model + " has " + model.termNames.size() + " terms, but here are " + terms.size());
        }
        terms.forEach(term -> Require.within("term", term, -MOST, MOST));
        Require.within("sizeAtMiddle", polynomial(model, terms).at(0), LEAST_AT_MIDDLE, MOST_AT_MIDDLE);
    }

    /** g as a polynomial in r. */
    Polynomial polynomial() {
        return polynomial(model, terms);
    }

    private static Polynomial polynomial(Model model, List<Double> terms) {
        return switch (model) {
            case PTLENS ->
                new Polynomial(
                        1 - terms.get(0) - terms.get(1) - terms.get(2), terms.get(2), terms.get(1), terms.get(0));
            case POLY3 -> new Polynomial(1 - terms.get(0), 0, terms.get(0));
            case POLY5 -> new Polynomial(1, 0, terms.get(0), 0, terms.get(1));
        };
    }

    /** See {@link Fingerprint}. */
    String fingerprint() {
        return Fingerprint.of("Distortion")
                .with("model", model.name())
                .with("terms", terms, String::valueOf)
                .letters();
    }
}
