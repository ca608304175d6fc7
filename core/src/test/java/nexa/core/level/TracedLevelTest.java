package nexa.core.level;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import nexa.core.Vectors;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class TracedLevelTest {
    static Stream<JsonNode> one() {
        return Vectors.cases("level");
    }

    static Stream<JsonNode> several() {
        return Vectors.cases("level-several");
    }

    @ParameterizedTest
    @MethodSource("one")
    void levelsOneLineAsWorkedOutElsewhere(JsonNode given) {
        Angle angle = TracedLevel.of(Vectors.segment(given.get("from"), given.get("to")));
        assertThat(angle.degrees()).isCloseTo(given.get("angle").asDouble(), within(1e-9));
    }

    @ParameterizedTest
    @MethodSource("several")
    void levelsSeveralLinesAsWorkedOutElsewhere(JsonNode given) {
        List<Segment> lines = new ArrayList<>();
        given.get("lines").forEach(line -> lines.add(Vectors.segment(line.get(0), line.get(1))));
        assertThat(TracedLevel.of(lines).degrees()).isCloseTo(given.get("angle").asDouble(), within(1e-9));
    }

    @Test
    void refusesALineWithoutLengthSayingWhereItIs() {
        Point there = new Point(12, 34);
        assertThatIllegalArgumentException()
                .isThrownBy(() -> TracedLevel.of(new Segment(there, there)))
                .withMessageContaining("12.0, 34.0");
    }
}
