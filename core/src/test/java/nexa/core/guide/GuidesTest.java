package nexa.core.guide;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.stream.Stream;
import nexa.core.Vectors;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

class GuidesTest {
    private static final Size CROP = new Size(300, 200);

    static Stream<JsonNode> cases() {
        return Vectors.cases("guides");
    }

    @ParameterizedTest
    @MethodSource("cases")
    void thirdsLieWhereTheyShould(JsonNode given) {
        assertDivides(given, GuideKind.THIRDS, "thirds");
    }

    @ParameterizedTest
    @MethodSource("cases")
    void goldenSectionsLieWhereTheyShould(JsonNode given) {
        assertDivides(given, GuideKind.GOLDEN, "goldenSections");
    }

    private static void assertDivides(JsonNode given, GuideKind kind, String name) {
        Size crop = Vectors.size(given.get("crop"));
        List<Segment> lines = lines(kind, Way.UNTURNED, crop);
        assertThat(lines).hasSize(4);
        for (int i = 0; i < 2; i++) {
            Segment upright = lines.get(i);
            double x = given.get(name).get("x").get(i).asDouble();
            assertThat(upright.from().x()).isCloseTo(x, within(1e-9));
            assertThat(upright.to().x()).isCloseTo(x, within(1e-9));
            assertThat(upright.length()).isEqualTo(crop.height());
            Segment level = lines.get(i + 2);
            double y = given.get(name).get("y").get(i).asDouble();
            assertThat(level.from().y()).isCloseTo(y, within(1e-9));
            assertThat(level.length()).isEqualTo(crop.width());
        }
    }

    @ParameterizedTest
    @MethodSource("cases")
    void diagonalsLeaveEachCornerAtHalfARightAngle(JsonNode given) {
        List<Segment> lines = lines(GuideKind.DIAGONALS, Way.UNTURNED, Vectors.size(given.get("crop")));
        for (int i = 0; i < 4; i++) {
            JsonNode line = given.get("diagonals").get(i);
            assertNear(lines.get(i), Vectors.segment(line.get(0), line.get(1)));
        }
    }

    @ParameterizedTest
    @MethodSource("cases")
    void trianglesStandSquareOnTheDiagonal(JsonNode given) {
        List<Segment> lines = lines(GuideKind.TRIANGLES, Way.UNTURNED, Vectors.size(given.get("crop")));
        JsonNode triangles = given.get("triangles");
        JsonNode diagonal = triangles.get("diagonal");
        assertNear(lines.get(0), Vectors.segment(diagonal.get(0), diagonal.get(1)));
        for (int i = 0; i < 2; i++) {
            Point foot = Vectors.point(triangles.get("feet").get(i));
            assertThat(lines.get(i + 1).to().distance(foot)).isLessThan(1e-9);
        }
    }

    @ParameterizedTest
    @MethodSource("cases")
    void theSpiralWindsIntoItsEye(JsonNode given) {
        Size crop = Vectors.size(given.get("crop"));
        List<Segment> lines = lines(GuideKind.SPIRAL, Way.UNTURNED, crop);
        Point eye = new Point(
                given.get("spiralEye").get("x").asDouble(),
                given.get("spiralEye").get("y").asDouble());
        assertThat(lines.get(0).from().distance(new Point(0, crop.height()))).isLessThan(1e-9);
        assertThat(lines.get(lines.size() - 1).to().distance(eye)).isLessThan(0.02 * crop.longSide());
        double highest = lines.stream().mapToDouble(line -> line.to().y()).min().orElseThrow();
        assertThat(highest).as("it touches the top edge").isCloseTo(0, within(1e-9));
        for (int i = 1; i < lines.size(); i++) {
            assertThat(lines.get(i).from())
                    .as("without a gap")
                    .isEqualTo(lines.get(i - 1).to());
        }
    }

    @ParameterizedTest
    @EnumSource(Way.class)
    void aTrueSpiralKeepsItsProportionInsideTheCrop(Way way) {
        for (Size crop : List.of(CROP, CROP.swapped(), new Size(200, 200))) {
            List<Segment> lines = lines(GuideKind.TRUE_SPIRAL, way, crop);
            double across = spread(lines.stream().map(line -> line.to().x()).toList());
            double down = spread(
                    Stream.concat(Stream.of(lines.get(0).from()), lines.stream().map(Segment::to))
                            .map(Point::y)
                            .toList());
            assertThat(Math.max(across, down) / Math.min(across, down)).isCloseTo(1.618, within(0.02));
            assertThat(lines).allSatisfy(line -> {
                assertThat(line.to().x()).isBetween(-1e-9, crop.width() + 1e-9);
                assertThat(line.to().y()).isBetween(-1e-9, crop.height() + 1e-9);
            });
        }
    }

    private static double spread(List<Double> values) {
        return values.stream().max(Double::compare).orElseThrow()
                - values.stream().min(Double::compare).orElseThrow();
    }

    @Test
    void theEightWaysOfASpiralDiffer() {
        assertThat(GuideKind.SPIRAL.ways())
                .extracting(way -> lines(GuideKind.SPIRAL, way, CROP))
                .doesNotHaveDuplicates();
        Way way = Way.UNTURNED;
        for (int i = 0; i < 8; i++) {
            way = GuideKind.SPIRAL.after(way);
        }
        assertThat(way).isEqualTo(Way.UNTURNED);
        assertThat(GuideKind.THIRDS.after(Way.UNTURNED)).isEqualTo(Way.UNTURNED);
    }

    @Test
    void mirroredTrianglesHaveTheOtherDiagonal() {
        Segment diagonal = lines(GuideKind.TRIANGLES, Way.MIRRORED, CROP).get(0);
        assertNear(diagonal, new Segment(new Point(300, 200), new Point(0, 0)));
    }

    @Test
    void rabatmentPutsASquareOnEachShortSide() {
        assertThat(lines(GuideKind.RABATMENT, Way.UNTURNED, CROP))
                .extracting(line -> line.from().x())
                .containsExactly(200.0, 100.0);
        assertThat(lines(GuideKind.RABATMENT, Way.UNTURNED, CROP.swapped()))
                .extracting(line -> line.from().y())
                .containsExactly(200.0, 100.0);
        assertThat(lines(GuideKind.RABATMENT, Way.UNTURNED, new Size(5, 5))).isEmpty();
    }

    @Test
    void theArmatureJoinsCornersWithMiddlesOfFarSides() {
        List<Segment> lines = lines(GuideKind.ARMATURE, Way.UNTURNED, CROP);
        assertThat(lines).hasSize(10).doesNotHaveDuplicates();
        assertThat(lines).contains(new Segment(new Point(0, 0), new Point(300, 100)));
        assertThat(lines).contains(new Segment(new Point(300, 200), new Point(150, 0)));
    }

    @Test
    void aGridHasItsLinesEachWayWithinBounds() {
        assertThat(GuideKind.GRID.laid(Way.UNTURNED, 5).lines(CROP)).hasSize(10);
        assertThat(GuideKind.GRID.laid(Way.UNTURNED, 1).lines(CROP)).hasSize(4);
        assertThat(GuideKind.GRID.laid(Way.UNTURNED, 99).lines(CROP)).hasSize(48);
    }

    @Test
    void anotherFormatsOutlineLiesInTheMiddleAsTheCropLies() {
        Nested tall = Nested.in(CROP.swapped(), "square", 1);
        assertThat(tall.size()).isEqualTo(new Size(200, 200));
        assertThat(tall.corner()).isEqualTo(new Point(0, 50));
        assertThat(Nested.in(CROP.swapped(), "page", 4 / 3.0).size().ratio()).isCloseTo(0.75, within(1e-12));
    }

    private static List<Segment> lines(GuideKind kind, Way way, Size crop) {
        return kind.laid(way, 3).lines(crop);
    }

    private static void assertNear(Segment is, Segment should) {
        assertThat(is.from().distance(should.from())).isLessThan(1e-9);
        assertThat(is.to().distance(should.to())).isLessThan(1e-9);
    }
}
