package nexa.core.guide;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.stream.Stream;
import nexa.core.Vectors;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class GuidesTest {
    static Stream<JsonNode> cases() {
        return Vectors.cases("guides");
    }

    @ParameterizedTest
    @MethodSource("cases")
    void thirdsLieWhereTheyShould(JsonNode given) {
        Size crop = Vectors.size(given.get("crop"));
        List<Segment> lines = Divisions.THIRDS.lines(crop);
        assertThat(lines).hasSize(4);
        for (int i = 0; i < 2; i++) {
            Segment upright = lines.get(i);
            double x = given.get("thirds").get("x").get(i).asDouble();
            assertThat(upright.from().x()).isCloseTo(x, within(1e-9));
            assertThat(upright.to().x()).isCloseTo(x, within(1e-9));
            assertThat(upright.length()).isEqualTo(crop.height());
            Segment level = lines.get(i + 2);
            double y = given.get("thirds").get("y").get(i).asDouble();
            assertThat(level.from().y()).isCloseTo(y, within(1e-9));
            assertThat(level.length()).isEqualTo(crop.width());
        }
    }
}
