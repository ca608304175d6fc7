package nexa.core.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.stream.LongStream;
import nexa.core.crop.Slide;
import nexa.core.crop.Tighten;
import nexa.core.format.Format;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Point;
import nexa.core.shoot.Carry;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Subject;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** One crop carried across wide, tall, square and panorama photos. */
class CarryTest {
    private static final int[][] SIZES = {{6000, 4000}, {4000, 6000}, {3000, 3000}, {9000, 3000}, {2400, 1600}};

    private static Shoot shoot(long seed) {
        Random random = new Random(seed);
        List<Photo> photos = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            int[] sides = SIZES[i % SIZES.length];
            Photo photo = Photo.untouched(i + ".jpg")
                    .withPixels(new PixelSize(sides[0], sides[1]))
                    .withAngle(new Angle(random.nextDouble() * 12 - 6));
            boolean hasSubject = random.nextInt(3) > 0;
            OptionalDouble radius =
                    random.nextBoolean() ? OptionalDouble.of(0.05 + 0.1 * random.nextDouble()) : OptionalDouble.empty();
            Point at = new Point(0.3 + 0.4 * random.nextDouble(), 0.3 + 0.4 * random.nextDouble());
            photos.add(hasSubject ? photo.withSubject(Optional.of(new Subject(at, radius))) : photo);
        }
        return Shoot.of("Mixed", Shoot.Order.NAME, List.of(Format.of("page", "Page", Ratio.parse("4:3"))), photos);
    }

    private static Shoot led(Shoot shoot) {
        Photo lead = shoot.photo("0.jpg");
        Crop first = crop(shoot, "0.jpg").crop();
        Crop tight = Tighten.about(lead.outline(), first, first.at(0.4, 0.5, lead.angle()), 0.7);
        return new Adjust(shoot, "0.jpg", "page").to(tight);
    }

    private static CarryAcross all(boolean takesBack) {
        return new CarryAcross("0.jpg", "page", EnumSet.allOf(Carry.class), false, takesBack);
    }

    private static List<String> files(Shoot shoot) {
        return shoot.photos().stream().map(Photo::file).toList();
    }

    private static PhotoCrop crop(Shoot shoot, String file) {
        return new Crops(shoot).of(shoot.photo(file), shoot.format("page"));
    }

    static LongStream seeds() {
        return LongStream.rangeClosed(1, 30);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void everyFollowerLiesInsideInItsRatioAndLimitedOnesAreReported(long seed) {
        Shoot shoot = led(shoot(seed));
        CarryAcross.Outcome outcome = all(false).to(shoot, files(shoot));
        assertThat(outcome.followers()).isEqualTo(39);
        assertThat(outcome.tall()).isEqualTo(8);
        Crops crops = new Crops(outcome.shoot());
        for (Photo photo : outcome.shoot().photos()) {
            PhotoCrop crop = crops.of(photo, outcome.shoot().format("page"));
            assertThat(photo.outline().contains(crop.crop(), 1e-6)).isTrue();
            double ratio = photo.orientation() == Orientation.WIDE ? 4 / 3.0 : 0.75;
            assertThat(crop.crop().size().ratio()).isCloseTo(ratio, within(1e-9));
            assertThat(outcome.limited().contains(photo.file())).isEqualTo(crop.isLimited());
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void aTuneStaysWhenTheLeadMoves(long seed) {
        Shoot carried = all(false).to(led(shoot(seed)), files(shoot(seed))).shoot();
        Photo follower = carried.photo("4.jpg");
        Crop nudged = Slide.by(follower.outline(), crop(carried, "4.jpg").crop(), new Point(25, -10));
        Shoot tuned = new Adjust(carried, "4.jpg", "page").to(nudged);
        var tune = ((Placement.Follow) tuned.photo("4.jpg").entry("page").placement()).tune();
        Photo lead = tuned.photo("0.jpg");
        Shoot moved = new Adjust(tuned, "0.jpg", "page")
                .to(Slide.by(lead.outline(), crop(tuned, "0.jpg").crop(), new Point(-120, 60)));
        assertThat(((Placement.Follow) moved.photo("4.jpg").entry("page").placement()).tune())
                .isEqualTo(tune);
        assertThat(crop(moved, "4.jpg").state()).isEqualTo(crop(tuned, "4.jpg").state());
    }

    @Test
    void ownAndTunedCropsAreLeftOrTakenBackAsAsked() {
        Shoot shoot = led(shoot(5));
        Crop own = Tighten.about(
                shoot.photo("3.jpg").outline(), crop(shoot, "3.jpg").crop(), new Point(4000, 1500), 0.5);
        Shoot withOwn = new Adjust(shoot, "3.jpg", "page").to(own);
        CarryAcross.Outcome left = all(false).to(withOwn, files(withOwn));
        assertThat(left.left()).containsExactly("3.jpg");
        assertThat(crop(left.shoot(), "3.jpg").state()).isEqualTo(PhotoCrop.State.OWN);
        CarryAcross.Outcome taken = all(true).to(withOwn, files(withOwn));
        assertThat(taken.left()).isEmpty();
        assertThat(crop(taken.shoot(), "3.jpg").state()).isEqualTo(PhotoCrop.State.FOLLOW);
    }

    @Test
    void theAngleIsCopiedOnlyWhenAsked() {
        Shoot shoot = led(shoot(6));
        CarryAcross with = new CarryAcross("0.jpg", "page", EnumSet.allOf(Carry.class), true, false);
        assertThat(with.to(shoot, List.of("5.jpg")).shoot().photo("5.jpg").angle())
                .isEqualTo(shoot.photo("0.jpg").angle());
        assertThat(all(false).to(shoot, List.of("5.jpg")).shoot().photo("5.jpg").angle())
                .isEqualTo(shoot.photo("5.jpg").angle());
    }

    @Test
    void carryingTightnessAloneKeepsTheFollowersPlace() {
        Shoot shoot = led(shoot(7));
        CarryAcross tight = new CarryAcross("0.jpg", "page", EnumSet.of(Carry.TIGHTNESS), false, false);
        Crop before = crop(shoot, "5.jpg").crop();
        Crop after = crop(tight.to(shoot, List.of("5.jpg")).shoot(), "5.jpg").crop();
        assertThat(after.centre().distance(before.centre())).isLessThan(1e-6);
        assertThat(after.size().width()).isLessThan(before.size().width());
    }

    @Test
    void lettingGoAndFollowingAgainWithItsTuneChangesNothingOnScreen() {
        Shoot carried = all(false).to(led(shoot(8)), files(shoot(8))).shoot();
        Crop before = crop(carried, "10.jpg").crop();
        Shoot free = Leads.letGo(carried, Set.of("10.jpg"), "page");
        Shoot again = CarryAcross.againTuned(free, Set.of("10.jpg"), "page");
        assertThat(again.photo("10.jpg").entry("page").placement()).isInstanceOf(Placement.Follow.class);
        assertThat(crop(again, "10.jpg").crop().centre().distance(before.centre()))
                .isLessThan(1e-6);
    }

    @Test
    void aFollowerThatFollowsIsInStepAndATunedOneIsOutByItsNudge() {
        Shoot shoot = led(shoot(9));
        Photo lead = shoot.photo("0.jpg");
        Shoot same = shoot.with(
                "5.jpg",
                photo -> photo.withPixels(lead.pixels().orElseThrow())
                        .withAngle(lead.angle())
                        .withSubject(lead.subject()));
        Shoot carried = all(false).to(same, List.of("5.jpg")).shoot();
        StepFromLead step = step(carried, "5.jpg");
        assertThat(step.distance()).isLessThan(1e-6);
        assertThat(step.isOut()).isFalse();

        Crop now = crop(carried, "5.jpg").crop();
        Crop tighter = now.withSize(now.size().times(0.8));
        StepFromLead out = step(new Adjust(carried, "5.jpg", "page").to(tighter), "5.jpg");
        assertThat(out.tightness()).isCloseTo(0.25, within(1e-6));
        assertThat(out.isOut()).isTrue();

        Shoot back = CarryAcross.again(new Adjust(carried, "5.jpg", "page").to(tighter), Set.of("5.jpg"), "page");
        assertThat(step(back, "5.jpg").isOut()).isFalse();
    }

    private static StepFromLead step(Shoot shoot, String file) {
        return StepFromLead.of(new Crops(shoot), shoot.photo(file), shoot.format("page"))
                .orElseThrow();
    }

    @Test
    void aFollowerMovedByItsLeadIsNoLongerDone() {
        Shoot carried = all(false).to(led(shoot(10)), files(shoot(10))).shoot();
        Shoot done = carried.with(
                "5.jpg", photo -> photo.withEntry("page", photo.entry("page").withDone(true)));
        Photo lead = done.photo("0.jpg");
        Shoot moved = new Adjust(done, "0.jpg", "page")
                .to(Slide.by(lead.outline(), crop(done, "0.jpg").crop(), new Point(-80, 40)));
        assertThat(Done.after(done, moved).photo("5.jpg").entry("page").isDone())
                .isFalse();
        Shoot marked = done.with("0.jpg", photo -> photo.withMark(Mark.SELECT));
        assertThat(Done.after(done, marked).photo("5.jpg").entry("page").isDone())
                .as("a lead that is only marked moves nobody")
                .isTrue();
    }

    @Test
    void aCropThatCutsItsSubjectNeedsALook() {
        Shoot shoot = shoot(11)
                .with(
                        "0.jpg",
                        photo -> photo.withAngle(Angle.NONE)
                                .withSubject(Optional.of(new Subject(new Point(0.1, 0.5), OptionalDouble.of(0.1)))));
        assertThat(NeedsLook.of(new Crops(shoot), crop(shoot, "0.jpg"))).contains(NeedsLook.SUBJECT_CUT);
        Shoot inside = shoot.with(
                "0.jpg",
                photo -> photo.withSubject(Optional.of(new Subject(new Point(0.5, 0.5), OptionalDouble.of(0.1)))));
        assertThat(NeedsLook.of(new Crops(inside), crop(inside, "0.jpg"))).doesNotContain(NeedsLook.SUBJECT_CUT);
    }
}
