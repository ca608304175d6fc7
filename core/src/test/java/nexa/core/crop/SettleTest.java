package nexa.core.crop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.stream.Stream;
import nexa.core.RandomCases;
import nexa.core.Vectors;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class SettleTest {
    static Stream<JsonNode> settleVectors() {
        return Vectors.cases("settle");
    }

    static Stream<JsonNode> largestVectors() {
        return Vectors.cases("largest");
    }

    static Stream<RandomCases.Case> randomCases() {
        return RandomCases.of(500);
    }

    @ParameterizedTest
    @MethodSource("settleVectors")
    void settlesAsWorkedOutElsewhere(JsonNode given) {
        Outline outline = Vectors.outline(given);
        Crop settled = outline.settle(Vectors.crop(given.get("wish")));
        Crop expected = Vectors.crop(given.get("settled"));
        assertNear(settled, expected, 1e-6);
        List<Point> corners = settled.corners(outline.angle());
        for (int i = 0; i < 4; i++) {
            assertThat(corners.get(i)
                            .distance(Vectors.point(given.get("corners").get(i))))
                    .isLessThan(1e-6);
        }
    }

    @ParameterizedTest
    @MethodSource("largestVectors")
    void findsTheLargestAsWorkedOutElsewhere(JsonNode given) {
        Size largest = Vectors.outline(given).largest(given.get("ratio").asDouble());
        Size expected = Vectors.size(given.get("largest"));
        assertThat(largest.width()).isCloseTo(expected.width(), within(1e-6));
        assertThat(largest.height()).isCloseTo(expected.height(), within(1e-6));
    }

    @ParameterizedTest
    @MethodSource("randomCases")
    void liesInThePhotoAndKeepsItsShape(RandomCases.Case given) {
        Crop wish = new Crop(
                RandomCases.anywhere(given.outline(), given.random()),
                given.crop().size().times(3 * given.random().nextDouble() + 0.01));
        Crop settled = given.outline().settle(wish);
        assertThat(given.outline().contains(settled, 1e-6)).isTrue();
        assertThat(settled.size().ratio())
                .isCloseTo(wish.size().ratio(), within(1e-9 * wish.size().ratio()));
        assertNear(
                given.outline().settle(settled),
                settled,
                1e-9 * given.outline().photo().longSide());
    }

    @ParameterizedTest
    @MethodSource("randomCases")
    void movesByNoMoreThanNeeded(RandomCases.Case given) {
        Point wished = RandomCases.anywhere(given.outline(), given.random());
        Crop settled = given.outline().settle(given.crop().withCentre(wished));
        double moved = settled.centre().distance(wished);
        for (int i = 0; i < 50; i++) {
            Crop other = given.crop().withCentre(RandomCases.anywhere(given.outline(), given.random()));
            if (given.outline().contains(other, 0)) {
                assertThat(moved).isLessThanOrEqualTo(other.centre().distance(wished) + 1e-9);
            }
        }
    }

    static void assertNear(Crop actual, Crop expected, double tolerance) {
        assertThat(actual.centre().distance(expected.centre())).isLessThanOrEqualTo(tolerance);
        assertThat(actual.size().width()).isCloseTo(expected.size().width(), within(tolerance));
        assertThat(actual.size().height()).isCloseTo(expected.size().height(), within(tolerance));
    }
}
