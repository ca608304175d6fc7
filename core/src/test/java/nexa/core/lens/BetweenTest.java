package nexa.core.lens;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import nexa.core.Vectors;
import nexa.core.shape.Distortion;
import nexa.core.shape.LateralChromaticAberration;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class BetweenTest {
    static Stream<JsonNode> lensBetweenVectors() {
        return Vectors.cases("reshape/lens-between");
    }

    @ParameterizedTest
    @MethodSource("lensBetweenVectors")
    void isAsWorkedOutElsewhere(JsonNode given) {
        double focal = given.get("focal").asDouble();
        List<AtFocal<Distortion>> distortion = new ArrayList<>();
        given.get("distortion")
                .forEach(one -> distortion.add(new AtFocal<>(
                        one.get(0).asDouble(), new Distortion(Distortion.Model.PTLENS, Vectors.numbers(one.get(1))))));
        List<AtFocal<LateralChromaticAberration>> colour = new ArrayList<>();
        given.get("colour").forEach(one -> colour.add(new AtFocal<>(one.get(0).asDouble(), fringes(one.get(1)))));
        List<VignettingSample> darkening = new ArrayList<>();
        given.get("vignetting")
                .forEach(one -> darkening.add(new VignettingSample(
                        one.get(0).asDouble(),
                        one.get(1).asDouble(),
                        one.get(2).asDouble(),
                        Vectors.numbers(one.get(3)))));

        JsonNode expected = given.get("at");
        assertNear(
                Between.distortion(distortion, focal).orElseThrow().terms(),
                Vectors.numbers(expected.get("distortion")));
        LateralChromaticAberration fringes = Between.fringes(colour, focal).orElseThrow();
        LateralChromaticAberration expectedFringes = fringes(expected.get("colour"));
        assertNear(fringes.red(), expectedFringes.red());
        assertNear(fringes.blue(), expectedFringes.blue());
        assertNear(
                Between.darkening(
                        darkening,
                        focal,
                        given.get("aperture").asDouble(),
                        given.get("distance").asDouble(),
                        given.get("span").asDouble()),
                Vectors.numbers(expected.get("vignetting")));
    }

    @Test
    void onlyTheFirstModelCounts() {
        Distortion first = new Distortion(Distortion.Model.POLY3, List.of(-0.02));
        Distortion other = new Distortion(Distortion.Model.PTLENS, List.of(0.1, 0.0, 0.0));
        assertThat(Between.distortion(List.of(new AtFocal<>(35, first), new AtFocal<>(50, other)), 50))
                .contains(first);
    }

    private static LateralChromaticAberration fringes(JsonNode terms) {
        List<Double> values = Vectors.numbers(terms);
        return new LateralChromaticAberration(
                List.of(values.get(0), values.get(2), values.get(4)),
                List.of(values.get(1), values.get(3), values.get(5)));
    }

    private static void assertNear(List<Double> actual, List<Double> expected) {
        assertThat(actual).hasSameSizeAs(expected);
        for (int i = 0; i < actual.size(); i++) {
            assertThat(actual.get(i)).isCloseTo(expected.get(i), within(1e-12));
        }
    }
}
