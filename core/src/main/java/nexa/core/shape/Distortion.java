package nexa.core.shape;

import java.util.List;
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
        /** a r³ + b r² + c r + 1 − a − b − c, with terms a, b, c. */
        PTLENS(3),
        /** 1 − k + k r², with the term k. */
        POLY3(1),
        /** 1 + k₁ r² + k₂ r⁴, with terms k₁, k₂. */
        POLY5(2);

        private final int count;

        Model(int count) {
            this.count = count;
        }

        /** How many terms it has. */
        public int count() {
            return count;
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
        if (terms.size() != model.count) {
            throw new IllegalArgumentException(
                    "the model " + model + " has " + model.count + " terms, but here are " + terms.size());
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
}
