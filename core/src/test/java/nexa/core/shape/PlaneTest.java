package nexa.core.shape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.Vectors;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shoot.Wish;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class PlaneTest {
    static Stream<JsonNode> planeVectors() {
        return Vectors.cases("reshape/plane");
    }

    static Stream<JsonNode> outlineVectors() {
        return Vectors.cases("reshape/outline");
    }

    static Stream<JsonNode> settleVectors() {
        return Vectors.cases("reshape/settle-in-outline");
    }

    static Stream<JsonNode> largestVectors() {
        return Vectors.cases("reshape/largest-in-outline");
    }

    static Stream<JsonNode> sceneVectors() {
        return Vectors.cases("reshape/stays-on-scene");
    }

    static Stream<JsonNode> turnedVectors() {
        return Vectors.cases("reshape/turned");
    }

    @ParameterizedTest
    @MethodSource("planeVectors")
    void mapsAsWorkedOutElsewhere(JsonNode given) {
        Plane plane = ReshapeVectors.plane(given);
        for (JsonNode place : given.get("points")) {
            Point photo = Vectors.point(place.get("photo"));
            LensMapTest.assertNear(plane.toPlane(photo), Vectors.point(place.get("plane")), 1e-6);
            assertThat(plane.scaleAt(photo)).isCloseTo(place.get("scale").asDouble(), within(1e-9));
            boolean isReached = place.get("reached").asBoolean();
            assertThat(plane.shows(photo)).isEqualTo(isReached);
            if (isReached) {
                LensMapTest.assertNear(plane.toPhoto(plane.toPlane(photo)), photo, 1e-6);
            }
        }
    }

    @ParameterizedTest
    @MethodSource("outlineVectors")
    void theOutlineIsAsWorkedOutElsewhere(JsonNode given) {
        Outline outline = ReshapeVectors.plane(given).outline();
        List<Point> expected = new ArrayList<>();
        given.get("outline").forEach(corner -> expected.add(Vectors.point(corner)));
        assertThat(outline.corners()).hasSameSizeAs(expected);
        for (Point corner : expected) {
            assertThat(outline.corners().stream()
                            .mapToDouble(corner::distance)
                            .min()
                            .orElseThrow())
                    .isLessThan(1e-4);
        }
        assertThat(outline.area())
                .isCloseTo(
                        given.get("area").asDouble(),
                        within(1e-8 * given.get("area").asDouble()));
    }

    @ParameterizedTest
    @MethodSource("settleVectors")
    void settlesAsWorkedOutElsewhere(JsonNode given) {
        Plane plane = ReshapeVectors.plane(given);
        Crop settled = plane.outline().settle(Vectors.crop(given.get("wish")));
        assertNear(settled, Vectors.crop(given.get("settled")));
        assertThat(plane.effective(settled)).isCloseTo(given.get("effective").asDouble(), within(1e-6));
    }

    @ParameterizedTest
    @MethodSource("largestVectors")
    void theLargestIsAsWorkedOutElsewhere(JsonNode given) {
        Outline outline = ReshapeVectors.plane(given).outline();
        double ratio = given.get("ratio").asDouble();
        assertThat(outline.largest(ratio).width())
                .isCloseTo(given.get("largestWidth").asDouble(), within(1e-5));
        assertNear(outline.untouched(ratio), Vectors.crop(given.get("untouched")));
    }

    /** One stored wish under several corrections. */
    @ParameterizedTest
    @MethodSource("sceneVectors")
    void aWishStaysOnItsScene(JsonNode given) {
        Size photo = ReshapeVectors.photo(given);
        Wish wish = wish(given.get("wish"));
        for (JsonNode step : given.get("steps")) {
            JsonNode reshape = step.get("reshape");
            Plane plane = new Plane(
                    photo,
                    ReshapeVectors.angle(given),
                    ReshapeVectors.lens(reshape),
                    ReshapeVectors.perspective(reshape));
            PhotoSpace space = new PhotoSpace(photo, plane);
            assertNear(wish.in(space), Vectors.crop(step.get("wishInPlane")));
            Crop crop = plane.outline().settle(wish.in(space));
            assertNear(crop, Vectors.crop(step.get("crop")));
            Wish stored = Wish.of(crop, space);
            Wish expected = wish(step.get("storedIfGestureEnds"));
            LensMapTest.assertNear(stored.centre(), expected.centre(), 1e-9);
            assertThat(stored.size().width()).isCloseTo(expected.size().width(), within(1e-9));
            assertThat(stored.size().height()).isCloseTo(expected.size().height(), within(1e-9));
        }
    }

    private static Wish wish(JsonNode given) {
        return new Wish(Vectors.point(given.get("centre")), Vectors.size(given.get("size")));
    }

    @ParameterizedTest
    @MethodSource("turnedVectors")
    void thePlaneTurnsAndMirrorsWithThePhoto(JsonNode given) {
        Optional<Perspective> before = ReshapeVectors.perspective(given.get("before"));
        Point point = Vectors.point(given.get("point"));
        LensMapTest.assertNear(
                ReshapeVectors.plane(given.get("before")).toPlane(point), Vectors.point(given.get("plane")), 1e-6);
        assertTurned(given.get("turnedClockwise"), before.map(Perspective::turnedRight));
        assertTurned(given.get("mirrored"), before.map(Perspective::mirrored));
    }

    private static void assertTurned(JsonNode turned, Optional<Perspective> perspective) {
        Plane plane = new Plane(
                ReshapeVectors.photo(turned), ReshapeVectors.angle(turned), ReshapeVectors.lens(turned), perspective);
        LensMapTest.assertNear(
                plane.toPlane(Vectors.point(turned.get("point"))), Vectors.point(turned.get("plane")), 1e-6);
    }

    private static void assertNear(Crop actual, Crop expected) {
        LensMapTest.assertNear(actual.centre(), expected.centre(), 1e-5);
        assertThat(actual.size().width()).isCloseTo(expected.size().width(), within(1e-5));
        assertThat(actual.size().height()).isCloseTo(expected.size().height(), within(1e-5));
    }

    @Test
    void nothingPutRightIsThePhotoItself() {
        Size photo = new Size(6000, 4000);
        Angle angle = new Angle(3);
        Plane plane = new Plane(photo, angle, Optional.empty(), Optional.empty());
        assertThat(plane.outline()).isEqualTo(new Outline(photo, angle));
        assertThat(plane.toPlane(new Point(17, 3999))).isEqualTo(new Point(17, 3999));
    }

    @Test
    void aSmallTiltMovesAFullWidthCropALittle() {
        Size photo = new Size(6000, 4000);
        Crop wish = new Crop(new Point(3000, 1600), new Size(6000, 3000));
        Crop before = new Outline(photo, Angle.NONE).settle(wish);
        Plane tilted = new Plane(
                photo,
                Angle.NONE,
                Optional.empty(),
                Optional.of(new Perspective(0.001, 0, 100, 1, 35, SceneLines.NONE)));
        Crop after = tilted.outline().settle(wish);
        assertThat(after.centre().distance(before.centre())).isLessThan(1);
        assertThat(after.size().width()).isCloseTo(before.size().width(), within(1.0));
    }

    /** Whatever the numbers are, crops lie inside an outline without dents. */
    @Test
    void extremeNumbersGiveACropInsideAConvexOutline() {
        for (Size photo : List.of(
                new Size(1, 1), new Size(3, 2), new Size(20_000, 50), new Size(50, 20_000), new Size(6000, 4000))) {
            for (double focal : new double[] {8, 35, 1200}) {
                for (double stretch : new double[] {0.5, 1, 2}) {
                    for (double degrees : new double[] {-45, 0, 45}) {
                        for (Point looked : List.of(new Point(60, 0), new Point(-42, 42), new Point(0, -60))) {
                            Perspective perspective =
                                    new Perspective(looked.x(), looked.y(), 100, stretch, focal, SceneLines.NONE);
                            assertCropsFit(
                                    new Plane(photo, new Angle(degrees), Optional.empty(), Optional.of(perspective)));
                        }
                    }
                }
            }
        }
    }

    private static void assertCropsFit(Plane plane) {
        Outline outline = plane.outline();
        double near = 1e-9
                * outline.corners().stream()
                        .mapToDouble(corner -> corner.distance(outline.middle()))
                        .max()
                        .orElseThrow();
        assertThat(outline.corners())
                .allMatch(corner -> outline.edges().stream().allMatch(edge -> edge.beyond(corner) <= near));
        for (double ratio : new double[] {0.1, 1, 7}) {
            Crop untouched = outline.untouched(ratio);
            assertThat(untouched.size().width()).isPositive();
            assertThat(outline.contains(untouched, Math.max(1e-6, near))).isTrue();
            assertThat(plane.effective(untouched)).isPositive();
            Crop wish = untouched.withCentre(untouched.centre().plus(new Point(5, -3)));
            assertThat(outline.contains(outline.settle(wish), Math.max(1e-6, near)))
                    .isTrue();
        }
    }
}
