package nexa.core.shape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.stream.Stream;
import nexa.core.Vectors;
import nexa.core.geometry.Point;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class VignetteTest {
    static Stream<JsonNode> edgeVectors() {
        return Vectors.cases("reshape/edge");
    }

    @ParameterizedTest
    @MethodSource("edgeVectors")
    void darkensAsWorkedOutElsewhere(JsonNode given) {
        Vignette vignette =
                new Vignette(given.get("stops").asDouble(), given.get("middle").asDouble());
        assertThat(vignette.gain(Vectors.point(given.get("place"))))
                .isCloseTo(given.get("gain").asDouble(), within(1e-12));
    }

    @Test
    void cornersGetAllOfItTheMiddleNothingAndHalfIsReachedWhereSaid() {
        Vignette vignette = new Vignette(-2, 0.7);
        assertThat(vignette.gain(new Point(1, 0))).isCloseTo(0.25, within(1e-12));
        assertThat(vignette.gain(new Point(0.5, 0.5))).isEqualTo(1);
        assertThat(vignette.gain(new Point(0.85, 0.85))).isCloseTo(0.5, within(1e-12));
        assertThat(Vignette.NONE.gain(new Point(1, 1))).isEqualTo(1);
    }

    @ParameterizedTest
    @ValueSource(doubles = {-3.1, 3.1, Double.NaN})
    void moreThanThreeStopsAreRefused(double stops) {
        assertThatIllegalArgumentException().isThrownBy(() -> Vignette.NONE.withStops(stops));
    }
}
