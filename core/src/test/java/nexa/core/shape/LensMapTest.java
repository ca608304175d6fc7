package nexa.core.shape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import nexa.core.Vectors;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class LensMapTest {
    static Stream<JsonNode> lensVectors() {
        return Vectors.cases("reshape/lens");
    }

    @ParameterizedTest
    @MethodSource("lensVectors")
    void straightensAsWorkedOutElsewhere(JsonNode given) {
        LensMap map = new LensMap(ReshapeVectors.lens(given).orElseThrow(), ReshapeVectors.photo(given));
        assertThat(map.unit()).isCloseTo(given.get("pixelsPerR").asDouble(), within(1e-6));
        assertThat(map.lightUnit()).isCloseTo(given.get("pixelsPerVignettingR").asDouble(), within(1e-6));
        assertThat(map.limit()).isCloseTo(given.get("limit").asDouble(), within(1e-6));
        for (JsonNode place : given.get("points")) {
            Point photo = Vectors.point(place.get("photo"));
            Optional<Point> straight = map.toStraight(photo);
            assertThat(straight.isEmpty()).isEqualTo(place.get("straight").isNull());
            straight.ifPresent(point -> {
                assertNear(point, Vectors.point(place.get("straight")), 1e-6);
                assertNear(map.toPhoto(point), photo, 1e-6);
            });
            assertNear(map.red(photo), Vectors.point(place.get("red")), 1e-6);
            assertNear(map.blue(photo), Vectors.point(place.get("blue")), 1e-6);
            assertThat(map.gain(photo)).isCloseTo(place.get("gain").asDouble(), within(1e-9));
        }
    }

    @Test
    void aLensThatIsNotPutRightLeavesEveryPointWhereItIs() {
        Lens none = new Lens(Optional.empty(), 1.5, 1, 1, 1, 0);
        LensMap map = new LensMap(none, new Size(6000, 4000));
        Random random = new Random(5);
        for (int i = 0; i < 200; i++) {
            Point photo = new Point(6000 * random.nextDouble(), 4000 * random.nextDouble());
            assertNear(map.toStraight(photo).orElseThrow(), photo, 1e-9);
            assertThat(map.red(photo)).isEqualTo(photo);
            assertThat(map.gain(photo)).isEqualTo(1);
        }
    }

    static void assertNear(Point actual, Point expected, double tolerance) {
        assertThat(actual.distance(expected))
                .as("%s beside %s", actual, expected)
                .isLessThan(tolerance);
    }
}
