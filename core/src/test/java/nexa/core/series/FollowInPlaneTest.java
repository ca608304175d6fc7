package nexa.core.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.EnumSet;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import nexa.core.Vectors;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shape.PhotoSpace;
import nexa.core.shape.Plane;
import nexa.core.shape.ReshapeVectors;
import nexa.core.shoot.Carry;
import nexa.core.shoot.Subject;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Leads and followers whose photos are reshaped. */
class FollowInPlaneTest {
    private static final double PIXELS = 1e-5;

    static Stream<JsonNode> cases() {
        return Vectors.cases("reshape/follow-in-plane");
    }

    @ParameterizedTest
    @MethodSource("cases")
    void followsAsWorkedOutElsewhere(JsonNode given) {
        double ratio = given.get("ratio").asDouble();
        JsonNode lead = given.get("lead");
        Outline outline = ReshapeVectors.plane(lead).outline();
        Pattern pattern = Pattern.of(outline, Vectors.crop(lead.get("crop")), spot(lead), false);
        JsonNode expected = given.get("pattern");
        assertThat(pattern.cover()).isCloseTo(expected.get("cover").asDouble(), within(1e-9));
        assertThat(pattern.place().x()).isCloseTo(expected.get("px").asDouble(), within(1e-8));
        assertThat(pattern.place().y()).isCloseTo(expected.get("py").asDouble(), within(1e-8));
        for (JsonNode follower : given.get("followers")) {
            Follower.Result result = new Follower(
                            pattern,
                            ReshapeVectors.plane(follower).outline(),
                            ratio,
                            spot(follower),
                            EnumSet.allOf(Carry.class),
                            Optional.empty())
                    .resolve(Vectors.tune(follower));
            Crop crop = Vectors.crop(follower.get("crop"));
            assertThat(result.crop().centre().distance(crop.centre())).isLessThan(PIXELS);
            assertThat(result.crop().size().width()).isCloseTo(crop.size().width(), within(PIXELS));
            assertThat(result.isLimited()).isEqualTo(follower.get("limited").asBoolean());
        }
    }

    private static Optional<SubjectSpot> spot(JsonNode given) {
        if (given.get("subject").isNull()) {
            return Optional.empty();
        }
        Size photo = ReshapeVectors.photo(given);
        Plane plane = ReshapeVectors.plane(given);
        Point at = Vectors.point(given.get("subject"));
        OptionalDouble radius = given.get("radius").isNull()
                ? OptionalDouble.empty()
                : OptionalDouble.of(given.get("radius").asDouble() / photo.shortSide());
        Subject subject = new Subject(new Point(at.x() / photo.width(), at.y() / photo.height()), radius);
        PhotoSpace space = new PhotoSpace(photo, plane);
        return Optional.of(SubjectSpot.of(subject, space));
    }
}
