package nexa.core.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import nexa.core.Vectors;
import nexa.core.crop.Tighten;
import nexa.core.format.Format;
import nexa.core.format.FormatTurn;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shape.PhotoSpace;
import nexa.core.shoot.Carry;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Subject;
import nexa.core.shoot.Wish;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class FollowTest {
    static Stream<JsonNode> cases() {
        return Vectors.cases("follow");
    }

    @ParameterizedTest
    @MethodSource("cases")
    void followsAsWorkedOutElsewhere(JsonNode given) {
        Shoot shoot = shoot(given);
        Crops crops = new Crops(shoot);
        Format format = shoot.formats().get(0);
        for (int i = 0; i < given.get("followers").size(); i++) {
            JsonNode expected = given.get("followers").get(i);
            PhotoCrop crop = crops.of(shoot.photos().get(i + 1), format);
            assertNear(crop.crop(), Vectors.crop(expected.get("crop")), 1e-6);
            assertThat(crop.isLimited()).isEqualTo(expected.get("limited").asBoolean());
        }
    }

    @ParameterizedTest
    @MethodSource("cases")
    void tuningByHandGivesTheCropThatWasShown(JsonNode given) {
        Shoot shoot = shoot(given);
        Format format = shoot.formats().get(0);
        for (Photo follower : shoot.photos().subList(1, shoot.photos().size())) {
            Crop shown = new Crops(shoot).of(follower, format).crop();
            double reach = follower.size().longSide();
            Crop nudged = Tighten.about(follower.outline(), shown, shown.at(0.3, 0.6, follower.angle()), 0.9);
            Shoot tuned = new Adjust(shoot, follower.file(), format.id()).to(nudged);
            PhotoCrop again = new Crops(tuned).of(tuned.photo(follower.file()), format);
            assertThat(again.state()).isEqualTo(PhotoCrop.State.TUNED);
            assertNear(again.crop(), nudged, 1e-9 * reach);
            assertThat(again.isLimited()).isFalse();
        }
    }

    private static Shoot shoot(JsonNode given) {
        JsonNode lead = given.get("lead");
        Size leadSize = Vectors.size(lead.get("photo"));
        CropEntry own = new CropEntry(
                new Placement.Own(Wish.of(Vectors.crop(lead.get("crop")), PhotoSpace.of(leadSize))), turn(lead), false);
        List<Photo> photos = new ArrayList<>();
        photos.add(photo("lead.jpg", lead, own));
        for (JsonNode follower : given.get("followers")) {
            Placement follow =
                    new Placement.Follow(Vectors.tune(follower), EnumSet.allOf(Carry.class), Optional.empty(), false);
            photos.add(photo(
                    "follower-" + photos.size() + ".jpg", follower, new CropEntry(follow, turn(follower), false)));
        }
        JsonNode ratio = given.get("format").get("ratio");
        Format format = Format.of(
                        "f",
                        "F",
                        ratio.isArray()
                                ? Ratio.of(ratio.get(0).asText(), ratio.get(1).asText())
                                : Ratio.parse(ratio.asText()))
                .withTurn(FormatTurn.valueOf(
                        given.get("format").get("turn").asText().toUpperCase(Locale.ROOT)))
                .withLeads(Map.of(leadSize.orientation(), "lead.jpg"));
        return Shoot.of("Cases", Shoot.Order.NAME, List.of(format), photos);
    }

    private static Photo photo(String file, JsonNode given, CropEntry entry) {
        Size size = Vectors.size(given.get("photo"));
        Photo photo = Photo.untouched(file)
                .withPixels(PixelSize.nearest(size))
                .withAngle(new Angle(given.get("angle").asDouble()))
                .withEntry("f", entry);
        if (given.get("subject").isNull()) {
            return photo;
        }
        Point at = Vectors.point(given.get("subject"));
        OptionalDouble radius = given.get("radius").isNull()
                ? OptionalDouble.empty()
                : OptionalDouble.of(given.get("radius").asDouble() / size.shortSide());
        return photo.withSubject(
                Optional.of(new Subject(new Point(at.x() / size.width(), at.y() / size.height()), radius)));
    }

    private static Optional<Orientation> turn(JsonNode given) {
        return given.get("turn").isNull()
                ? Optional.empty()
                : Optional.of(Orientation.valueOf(given.get("turn").asText().toUpperCase(Locale.ROOT)));
    }

    private static void assertNear(Crop actual, Crop expected, double tolerance) {
        assertThat(actual.centre().x()).isCloseTo(expected.centre().x(), within(tolerance));
        assertThat(actual.centre().y()).isCloseTo(expected.centre().y(), within(tolerance));
        assertThat(actual.size().width()).isCloseTo(expected.size().width(), within(tolerance));
        assertThat(actual.size().height()).isCloseTo(expected.size().height(), within(tolerance));
    }
}
