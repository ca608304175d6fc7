package nexa.core.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.stream.LongStream;
import nexa.core.find.Certainty;
import nexa.core.find.FoundLevel;
import nexa.core.find.FoundLevels;
import nexa.core.format.Ask;
import nexa.core.format.Asks;
import nexa.core.format.Format;
import nexa.core.format.LengthUnit;
import nexa.core.format.OutputSize;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.message.Rejected;
import nexa.core.shape.Perspective;
import nexa.core.shape.SceneLines;
import nexa.core.shoot.Carry;
import nexa.core.shoot.Eyes;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Subject;
import nexa.core.shoot.Trim;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every thing that can be asked of a crop, at its bounds and away from them. */
class AskCheckTest {
    private static final Size SIZE = new Size(6000, 4000);
    private static final Crop CROP = new Crop(new Point(3000, 2000), new Size(4000, 2000));

    private static Photo photo() {
        return Photo.untouched("a.jpg").withPixels(new PixelSize(6000, 4000));
    }

    /** Whose circle is 300 pixels wide, at a place of the photo in pixels. */
    private static Photo withCircle(double x, double y) {
        return photo().withSubject(
                        Optional.of(new Subject(new Point(x / 6000, y / 4000), OptionalDouble.of(150.0 / 4000))));
    }

    private static Photo withBox(double left, double top, double right, double bottom) {
        Bounds box = new Bounds(new Point(left / 6000, top / 4000), new Point(right / 6000, bottom / 4000));
        return photo().withSubject(Optional.of(Subject.around(box.middle(), box, SIZE)));
    }

    private static Format format(Asks asks) {
        return Format.of("f", "F", Ratio.FREE).withAsks(asks);
    }

    private static List<AskCheck> checks(Photo photo, Asks asks, Crop crop) {
        PhotoCrop of = new PhotoCrop(photo, format(asks), PhotoCrop.State.OWN, crop, false, List.of());
        return AskCheck.of(of, SureLevels.NOT_LOOKED);
    }

    private static AskCheck check(Photo photo, Asks asks, Crop crop) {
        List<AskCheck> checks = checks(photo, asks, crop);
        assertThat(checks).hasSize(1);
        return checks.get(0);
    }

    private static boolean isMet(Photo photo, Asks asks, Crop crop) {
        AskCheck check = check(photo, asks, crop);
        assertThat(check.outcome().isKnown()).as(check.toString()).isTrue();
        return check.outcome() == AskCheck.Outcome.MET;
    }

    private static Asks share(double least, double most) {
        return Asks.NONE.withShare(Optional.of(new Asks.Share(least, most)));
    }

    private static Asks room(double room) {
        return Asks.NONE.withRoom(OptionalDouble.of(room));
    }

    @Test
    void aShareIsOfTheSubjectsDiameterOverTheShortSide() {
        Photo photo = withCircle(3000, 2000);
        assertThat(check(photo, share(0.1, 0.2), CROP).measured().get(0)).isCloseTo(0.15, within(1e-12));
        assertThat(isMet(photo, share(0.15, 0.2), CROP))
                .as("the least is enough")
                .isTrue();
        assertThat(isMet(photo, share(0.1, 0.15), CROP))
                .as("the most is not too much")
                .isTrue();
        assertThat(isMet(photo, share(0.1501, 0.2), CROP)).isFalse();
        assertThat(isMet(photo, share(0.1, 0.1499), CROP)).isFalse();
        Photo boxed = withBox(2800, 1500, 3200, 2400);
        assertThat(check(boxed, share(0.1, 0.2), CROP).measured().get(0))
                .as("a box by the root of its area")
                .isCloseTo(Math.sqrt(400 * 900) / 2000, within(1e-12));
    }

    @Test
    void aPlaceIsOfTheSubjectsPointGiveOrTakeAShareOfEachSide() {
        Asks middle = Asks.NONE.withPlace(Optional.of(new Point(0.5, 0.5))).withWithin(0.05);
        assertThat(isMet(withCircle(3200, 2100), middle, CROP)).isTrue();
        assertThat(isMet(withCircle(3202, 2000), middle, CROP)).isFalse();
        assertThat(isMet(withCircle(3000, 1898), middle, CROP)).isFalse();
        assertThat(check(withCircle(2000, 1500), middle, CROP).measured())
                .satisfies(at -> assertThat(at.get(0)).isCloseTo(0.25, within(1e-12)))
                .satisfies(at -> assertThat(at.get(1)).isCloseTo(0.25, within(1e-12)));
    }

    @Test
    void eyesAreMeasuredByTheirMiddleAndOthersHaveNone() {
        Asks third = Asks.NONE.withEyes(OptionalDouble.of(0.3)).withWithin(0.02);
        Subject facing = new Subject(new Point(0.5, 0.5), OptionalDouble.of(0.1))
                .withEyes(Optional.of(new Eyes(new Point(-0.05, -0.1), new Point(0.05, -0.1), Optional.empty())));
        Photo photo = photo().withSubject(Optional.of(facing));
        assertThat(check(photo, third, CROP).measured().get(0)).isCloseTo(0.3, within(1e-12));
        assertThat(isMet(photo, third, CROP)).isTrue();
        assertThat(check(withCircle(3000, 2000), third, CROP).outcome()).isEqualTo(AskCheck.Outcome.NO_EYES);
        assertThat(check(photo(), third, CROP).outcome()).isEqualTo(AskCheck.Outcome.NO_SUBJECT);
    }

    @Test
    void roomIsTheLeastFreeShareAndNoneIsAskedWhereTheSubjectEndsWithItsPhoto() {
        Photo photo = withBox(1200, 1100, 2000, 2000);
        assertThat(check(photo, room(0.05), CROP).measured().get(0)).isCloseTo(100.0 / 2000, within(1e-9));
        assertThat(isMet(photo, room(0.05), CROP)).isTrue();
        assertThat(isMet(photo, room(0.0501), CROP)).isFalse();
        assertThat(check(withBox(900, 1500, 2000, 2000), room(0), CROP)
                        .measured()
                        .get(0))
                .as("cut")
                .isCloseTo(-100.0 / 2000, within(1e-9));
        Crop all = new Crop(new Point(3000, 2000), new Size(6000, 4000));
        Photo standing = withBox(2000, 1000, 3000, 3950);
        assertThat(check(standing, room(0.1), all).measured().get(0))
                .as("below there is no more photo")
                .isCloseTo(1000.0 / 4000, within(1e-9));
        assertThat(isMet(withBox(2000, 1000, 3000, 3850), room(0.1), all))
                .as("that is not at the edge")
                .isFalse();
        AskCheck filling = check(withBox(10, 10, 5990, 3990), room(0.2), all);
        assertThat(filling.outcome()).isEqualTo(AskCheck.Outcome.MET);
        assertThat(filling.measured()).isEmpty();
    }

    @Test
    void theEdgeIsTheTrimsWhereThePhotoIsTrimmed() {
        Crop below = new Crop(new Point(3000, 2000), new Size(2000, 2000));
        Photo standing = withBox(2500, 1500, 3500, 2960).withTrim(new Trim(0, 0, 0, 0.25));
        assertThat(isMet(standing, room(0.2), below)).isTrue();
        assertThat(isMet(standing.withTrim(Trim.NONE), room(0.2), below)).isFalse();
    }

    @Test
    void withoutASubjectOrItsSizeNothingIsKnownAndOfNoneNothingIsAsked() {
        Asks all = share(0.1, 0.2).withPlace(Optional.of(new Point(0.5, 0.5))).withRoom(OptionalDouble.of(0.1));
        assertThat(checks(photo(), all, CROP))
                .extracting(AskCheck::outcome)
                .containsOnly(AskCheck.Outcome.NO_SUBJECT)
                .hasSize(3);
        Photo point = photo().withSubject(Optional.of(new Subject(new Point(0.5, 0.5), OptionalDouble.empty())));
        assertThat(checks(point, all, CROP))
                .extracting(AskCheck::outcome)
                .containsExactly(
                        AskCheck.Outcome.NO_SUBJECT_SIZE, AskCheck.Outcome.MET, AskCheck.Outcome.NO_SUBJECT_SIZE);
        assertThat(checks(photo().withSubject(Optional.empty()), all, CROP))
                .as("said to be about nothing")
                .isEmpty();
        assertThat(checks(withCircle(3000, 2000), Asks.NONE, CROP)).isEmpty();
    }

    private static List<AskCheck> levelOf(Photo photo, double most, SureLevels levels) {
        Format format = format(Asks.NONE.withLevel(OptionalDouble.of(most)));
        return AskCheck.of(new PhotoCrop(photo, format, PhotoCrop.State.OWN, CROP, false, List.of()), levels);
    }

    @Test
    void aLevelIsComparedWithWhatWasFoundSurely() {
        Photo photo = photo().withAngle(new Angle(1.5));
        FoundLevel sure = new FoundLevel(Certainty.SURE, FoundLevel.Reason.HORIZON, -2, 0.1, List.of());
        FoundLevels known = new FoundLevels(Map.of(photo.asLookedAt(), sure));
        AskCheck off = levelOf(photo, 0.5, known).get(0);
        assertThat(off.outcome()).isEqualTo(AskCheck.Outcome.MET);
        assertThat(off.measured().get(0)).isCloseTo(-0.5, within(1e-12));
        assertThat(levelOf(photo, 0.49, known).get(0).outcome()).isEqualTo(AskCheck.Outcome.MISSED);
        assertThat(levelOf(photo, 0.5, SureLevels.NOT_LOOKED).get(0).outcome()).isEqualTo(AskCheck.Outcome.NO_LEVEL);
        FoundLevels unsure =
                new FoundLevels(Map.of(photo.asLookedAt(), FoundLevel.notSure(FoundLevel.Reason.NOTHING_STRAIGHT)));
        assertThat(levelOf(photo, 0.5, unsure))
                .as("there is nothing to compare with")
                .isEmpty();
        Photo turned = photo.withPreparation(photo.preparation().turnedRight());
        assertThat(levelOf(turned, 0.5, known).get(0).outcome())
                .as("nobody looked at it so")
                .isEqualTo(AskCheck.Outcome.NO_LEVEL);
    }

    @Test
    void nothingBeyondThePhotoAndPixelsEnoughForThePaper() {
        Format format = format(Asks.NONE.withAllPhoto(true).withLeastPpi(OptionalDouble.of(200)));
        Format paper = format.withSize(new OutputSize.Print(20, 10, LengthUnit.IN, 300))
                .withReaches(true);
        PhotoCrop inside = new PhotoCrop(photo(), paper, PhotoCrop.State.OWN, CROP, false, List.of());
        assertThat(AskCheck.of(inside, SureLevels.NOT_LOOKED))
                .extracting(AskCheck::outcome)
                .containsExactly(AskCheck.Outcome.MET, AskCheck.Outcome.MET);
        Crop beyond = new Crop(new Point(600, 2000), new Size(2000, 1000));
        List<AskCheck> missed = AskCheck.of(inside.withCrop(beyond), SureLevels.NOT_LOOKED);
        assertThat(missed)
                .extracting(AskCheck::outcome)
                .containsExactly(AskCheck.Outcome.MISSED, AskCheck.Outcome.MISSED);
        assertThat(missed.get(0).measured().get(0)).isCloseTo(0.2, within(1e-6));
        assertThat(missed.get(1).measured().get(0)).isCloseTo(100, within(1e-6));
        PhotoCrop onScreen = new PhotoCrop(photo(), format, PhotoCrop.State.OWN, CROP, false, List.of());
        assertThat(AskCheck.of(onScreen, SureLevels.NOT_LOOKED))
                .as("what is not for paper has no pixels an inch")
                .extracting(AskCheck::ask)
                .containsExactly(Ask.ALL_PHOTO);
    }

    static LongStream seeds() {
        return LongStream.rangeClosed(1, 40);
    }

    /** Turned, reshaped and followed: what is measured is what the crop shows. */
    @ParameterizedTest
    @MethodSource("seeds")
    void whatIsMeasuredIsWhatTheCropShowsHoweverThePhotoLies(long seed) {
        Random random = new Random(seed);
        Photo lead = seeded("lead.jpg", random);
        Photo follower = seeded("follower.jpg", random);
        Asks asks = share(0.01, 3).withPlace(Optional.of(new Point(0.5, 0.5))).withRoom(OptionalDouble.of(0));
        Format format = Format.of("f", "F", Ratio.parse("4:3")).withAsks(asks);
        Shoot shoot = Shoot.of("", Shoot.Order.NAME, List.of(format), List.of(lead, follower));
        Crop first = new Crops(shoot).of(lead, format).crop();
        Shoot led = new Adjust(shoot, "lead.jpg", "f")
                .to(first.withSize(first.size().times(0.6)));
        Shoot carried = new CarryAcross("lead.jpg", "f", Set.of(Carry.values()), false, false)
                .to(led, List.of("follower.jpg"))
                .shoot();
        for (Photo photo : carried.photos()) {
            PhotoCrop crop = new Crops(carried).of(photo, carried.format("f"));
            List<AskCheck> checks = AskCheck.of(crop, SureLevels.NOT_LOOKED);
            Subject subject = photo.subject().orElseThrow();
            Size size = crop.crop().size();
            Point onScreen = photo.angle()
                    .toScreen(subject.in(photo.space()).minus(crop.crop().centre()));
            double diameter = 2 * subject.radiusIn(photo.space()).orElseThrow();
            assertThat(checks.get(0).measured().get(0)).isCloseTo(diameter / size.shortSide(), within(1e-9));
            assertThat(checks.get(1).measured().get(0)).isCloseTo(0.5 + onScreen.x() / size.width(), within(1e-9));
            assertThat(checks.get(1).measured().get(1)).isCloseTo(0.5 + onScreen.y() / size.height(), within(1e-9));
            boolean isCut = crop.warnings().contains(PhotoCrop.Warning.SUBJECT_CUT);
            assertThat(checks.get(2).outcome() == AskCheck.Outcome.MISSED)
                    .as("these subjects lie well inside their photos, so one without room is one that is cut")
                    .isEqualTo(isCut);
        }
    }

    private static Photo seeded(String file, Random random) {
        boolean isWide = random.nextBoolean();
        Photo photo = Photo.untouched(file)
                .withPixels(isWide ? new PixelSize(6000, 4000) : new PixelSize(4000, 6000))
                .withAngle(new Angle(random.nextDouble() * 20 - 10))
                .withSubject(Optional.of(new Subject(
                        new Point(0.3 + 0.4 * random.nextDouble(), 0.3 + 0.4 * random.nextDouble()),
                        OptionalDouble.of(0.05 + 0.1 * random.nextDouble()))));
        return random.nextInt(3) == 0
                ? photo.withPerspective(Optional.of(new Perspective(
                        random.nextDouble() * 10 - 5, random.nextDouble() * 6 - 3, 100, 1, 35, SceneLines.NONE)))
                : photo;
    }

    @Test
    void whatCannotBeAskedIsRefusedByItsName() {
        assertThatThrownBy(() -> new Asks.Share(0.7, 0.5)).isInstanceOf(Rejected.class);
        assertThatThrownBy(() -> new Asks.Share(0, 0.5)).isInstanceOf(Rejected.class);
        assertThatThrownBy(() -> new Asks.Share(0.5, Double.NaN)).isInstanceOf(Rejected.class);
        assertThatThrownBy(() -> room(0.5)).isInstanceOf(Rejected.class);
        assertThatThrownBy(() -> Asks.NONE.withLevel(OptionalDouble.of(-1))).isInstanceOf(Rejected.class);
        assertThatThrownBy(() -> Asks.NONE.withWithin(0)).isInstanceOf(Rejected.class);
        assertThatThrownBy(() -> Asks.NONE.withPlace(Optional.of(new Point(1.1, 0))))
                .isInstanceOf(Rejected.class);
        assertThatThrownBy(() -> Asks.NONE.withLeastPpi(OptionalDouble.of(1e9))).isInstanceOf(Rejected.class);
    }
}
