package nexa.core.lens;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import nexa.core.shape.Distortion;
import nexa.core.shape.LateralChromaticAberration;

/**
 * What a lens does between its measurements; after the published way of the open lens data. Over focal length a term runs along
 * a spline of cubic Hermite pieces, most of them times the focal length; beyond the ends it stays as it is there. VignettingSample,
 * which depends on three things, is a mean that near measurements decide.
 */
final class Between {
    private static final double WEIGHT = -3.5;
    /** So near a measurement it is that one. */
    private static final double SAME = 1e-4;

    private static final double FARTHEST = 1;
    private static final double APERTURES = 4;
    private static final double DISTANCES = 0.1;

    private Between() {}

    /** Only what was told in the model of the first measurement counts. */
    static Optional<Distortion> distortion(List<AtFocal<Distortion>> measured, double focal) {
        if (measured.isEmpty()) {
            return Optional.empty();
        }
        Distortion.Model model = measured.get(0).terms().model();
        List<AtFocal<List<Double>>> alike = measured.stream()
                .filter(one -> one.terms().model() == model)
                .map(one -> new AtFocal<>(one.focal(), one.terms().terms()))
                .toList();
        List<Double> terms = new ArrayList<>();
        for (int i = 0; i < alike.get(0).terms().size(); i++) {
            int term = i;
            terms.add(spline(alike, focal, true, list -> list.get(term)));
        }
        return Optional.of(new Distortion(model, terms));
    }

    static Optional<LateralChromaticAberration> fringes(
            List<AtFocal<LateralChromaticAberration>> measured, double focal) {
        return measured.isEmpty()
                ? Optional.empty()
                : Optional.of(new LateralChromaticAberration(
                        colour(measured, focal, LateralChromaticAberration::red),
                        colour(measured, focal, LateralChromaticAberration::blue)));
    }

    private static List<Double> colour(
            List<AtFocal<LateralChromaticAberration>> measured,
            double focal,
            Function<LateralChromaticAberration, List<Double>> which) {
        return List.of(
                spline(measured, focal, false, terms -> which.apply(terms).get(0)),
                spline(measured, focal, true, terms -> which.apply(terms).get(1)),
                spline(measured, focal, true, terms -> which.apply(terms).get(2)));
    }

    /** @param isTimesFocal whether it is the term times the focal length that runs along the spline */
    private static <T> double spline(
            List<AtFocal<T>> measured, double focal, boolean isTimesFocal, Function<T, Double> term) {
        List<AtFocal<T>> sorted = measured.stream()
                .sorted(Comparator.comparingDouble(AtFocal::focal))
                .toList();
        int last = sorted.size() - 1;
        if (focal <= sorted.get(0).focal()) {
            return term.apply(sorted.get(0).terms());
        }
        if (focal >= sorted.get(last).focal()) {
            return term.apply(sorted.get(last).terms());
        }
        int next = 0;
        while (sorted.get(next).focal() <= focal) {
            next++;
        }
        double[] values = sorted.stream()
                .mapToDouble(one -> term.apply(one.terms()) * (isTimesFocal ? one.focal() : 1))
                .toArray();
        double share = (focal - sorted.get(next - 1).focal())
                / (sorted.get(next).focal() - sorted.get(next - 1).focal());
        return hermite(values, next - 1, share) / (isTimesFocal ? focal : 1);
    }

    private static double hermite(double[] values, int at, double t) {
        double from = values[at];
        double to = values[at + 1];
        double begin = at > 0 ? (to - values[at - 1]) / 2 : to - from;
        double end = at + 2 < values.length ? (values[at + 2] - from) / 2 : to - from;
        double t2 = t * t;
        double t3 = t2 * t;
        return (2 * t3 - 3 * t2 + 1) * from + (t3 - 2 * t2 + t) * begin + (3 * t2 - 2 * t3) * to + (t3 - t2) * end;
    }

    /**
     * The three terms of the darkening; empty where nothing was measured near enough.
     *
     * @param span what counts as far in focal lengths, in millimetres; less than 1 counts as 1
     */
    static List<Double> darkening(
            List<VignettingSample> measured, double focal, double aperture, double distance, double span) {
        double[] sum = new double[3];
        double weights = 0;
        double nearest = Double.POSITIVE_INFINITY;
        for (VignettingSample one : measured) {
            double q = Math.hypot(
                    (focal - one.focal()) / Math.max(1, span),
                    Math.hypot(
                            APERTURES / aperture - APERTURES / one.aperture(),
                            DISTANCES / distance - DISTANCES / one.distance()));
            if (q < SAME) {
                return one.terms();
            }
            nearest = Math.min(nearest, q);
            double weight = Math.pow(q, WEIGHT);
            weights += weight;
            for (int i = 0; i < sum.length; i++) {
                sum[i] += weight * one.terms().get(i);
            }
        }
        return nearest > FARTHEST ? List.of() : List.of(sum[0] / weights, sum[1] / weights, sum[2] / weights);
    }
}
