package nexa.imaging.raw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DeltaE2000Test {
    /** Of the pairs that the paper gives, those that try each of its cases. */
    @ParameterizedTest
    @CsvSource({
        "50, 2.6772, -79.7751, 50, 0, -82.7485, 2.0425",
        "50, -1.3802, -84.2814, 50, 0, -82.7485, 1.0000",
        "50, 0, 0, 50, -1, 2, 2.3669",
        "50, 2.49, -0.001, 50, -2.49, 0.0009, 7.1792",
        "50, 2.49, -0.001, 50, -2.49, 0.0011, 7.2195",
        "50, -0.001, 2.49, 50, 0.0009, -2.49, 4.8045",
        "50, 2.5, 0, 73, 25, -18, 27.1492",
        "60.2574, -34.0099, 36.2677, 60.4626, -34.1751, 39.4387, 1.2644",
        "22.7233, 20.0904, -46.694, 23.0331, 14.973, -42.5619, 2.0373",
        "2.0776, 0.0795, -1.135, 0.9033, -0.0636, -0.5514, 0.9082"
    })
    void agreesWithThePublishedPairs(
            double l1, double a1, double b1, double l2, double a2, double b2, double expected) {
        double[] one = {l1, a1, b1};
        double[] other = {l2, a2, b2};
        assertThat(DeltaE2000.between(one, other)).isCloseTo(expected, within(1e-4));
        assertThat(DeltaE2000.between(other, one)).isCloseTo(expected, within(1e-4));
    }

    @Test
    void whiteIsTheLightestAndHasNoColour() {
        assertThat(DeltaE2000.lab(1, 1, 1)[0]).isCloseTo(100, within(1e-6));
        assertThat(DeltaE2000.lab(1, 1, 1)[1]).isCloseTo(0, within(0.05));
        assertThat(DeltaE2000.lab(0, 0, 0)).containsExactly(new double[] {0, 0, 0}, within(1e-9));
    }
}
