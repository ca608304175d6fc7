package nexa.core.shape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import nexa.core.Vectors;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class FromLinesTest {
    private static final Size PHOTO = new Size(6000, 4000);

    static Stream<JsonNode> cases() {
        return Vectors.cases("reshape/perspective-lines");
    }

    @ParameterizedTest
    @MethodSource("cases")
    void solvesAsWorkedOutElsewhere(JsonNode given) {
        Size photo = ReshapeVectors.photo(given);
        OptionalDouble focal = given.get("focal35").isNull()
                ? OptionalDouble.empty()
                : OptionalDouble.of(given.get("focal35").asDouble());
        SceneLines lines = new SceneLines(lines(given.get("uprights"), photo), lines(given.get("levels"), photo));
        FromLines.Answer answer = new FromLines(photo, ReshapeVectors.lens(given), focal).solve(lines);
        if (given.has("refused")) {
            String why = given.get("refused").asText().toUpperCase(Locale.ROOT).replace('-', '_');
            assertThat(answer).isEqualTo(new FromLines.Refused(FromLines.Reason.valueOf(why)));
        } else {
            JsonNode expected = given.get("solved");
            FromLines.Solved solved = (FromLines.Solved) answer;
            assertThat(solved.tilt()).isCloseTo(expected.get("tilt").asDouble(), within(1e-7));
            assertThat(solved.swing()).isCloseTo(expected.get("swing").asDouble(), within(1e-7));
            assertThat(solved.angle().degrees()).isCloseTo(expected.get("angle").asDouble(), within(1e-7));
            assertThat(solved.focal35()).isCloseTo(expected.get("focal35").asDouble(), within(1e-7));
            assertThat(solved.off()).isCloseTo(expected.get("off").asDouble(), within(1e-7));
        }
    }

    private static List<Segment> lines(JsonNode given, Size photo) {
        List<Segment> lines = new ArrayList<>();
        given.forEach(line -> lines.add(stored(Vectors.segment(line.get(0), line.get(1)), photo)));
        return lines;
    }

    private static Segment stored(Segment line, Size photo) {
        return new Segment(
                new Point(line.from().x() / photo.width(), line.from().y() / photo.height()),
                new Point(line.to().x() / photo.width(), line.to().y() / photo.height()));
    }

    /** What lines give makes these very lines upright and level in the plane. */
    @Test
    void theLinesComeOutUprightAndLevel() {
        Perspective truth = new Perspective(11, -6, 100, 1, 24, SceneLines.NONE);
        Angle angle = new Angle(-2.5);
        Plane plane = new Plane(PHOTO, angle, Optional.empty(), Optional.of(truth));
        List<Segment> uprights = new ArrayList<>();
        List<Segment> levels = new ArrayList<>();
        for (double far : new double[] {-1200, 900}) {
            uprights.add(drawn(plane, angle, new Point(far, -900), new Point(far, 1000)));
            levels.add(drawn(plane, angle, new Point(-1400, far * 0.7), new Point(1300, far * 0.7)));
        }
        SceneLines lines = new SceneLines(uprights, levels);
        FromLines.Solved solved =
                (FromLines.Solved) new FromLines(PHOTO, Optional.empty(), OptionalDouble.of(24)).solve(lines);
        assertThat(solved.off()).isCloseTo(0, within(1e-6));
        assertThat(solved.tilt()).isCloseTo(11, within(1e-6));
        assertThat(solved.swing()).isCloseTo(-6, within(1e-6));
        assertThat(solved.angle().degrees()).isCloseTo(-2.5, within(1e-6));
    }

    /** A line that lies upright or level on screen in the plane, as it is drawn in the photo. */
    private static Segment drawn(Plane plane, Angle angle, Point from, Point to) {
        Point middle = PHOTO.middle();
        return stored(
                new Segment(
                        plane.toPhoto(middle.plus(angle.toPhoto(from))), plane.toPhoto(middle.plus(angle.toPhoto(to)))),
                PHOTO);
    }

    @Test
    void nothingIsToldByNoLines() {
        assertThat(new FromLines(PHOTO, Optional.empty(), OptionalDouble.empty()).solve(SceneLines.NONE))
                .isEqualTo(new FromLines.Refused(FromLines.Reason.ONE_LINE));
    }
}
