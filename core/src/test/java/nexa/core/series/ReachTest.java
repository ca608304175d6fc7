package nexa.core.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import nexa.core.format.Format;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.message.Rejected;
import nexa.core.shape.Margins;
import nexa.core.shoot.Beyond;
import nexa.core.shoot.Carry;
import nexa.core.shoot.Colour;
import nexa.core.shoot.EdgeTexture;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Subject;
import nexa.core.shoot.Trim;
import org.junit.jupiter.api.Test;

/** Crops that reach beyond their photos, and how that is filled. */
class ReachTest {
    private static final Format PLAIN = Format.of("f", "F", Ratio.of("1", "1"));
    private static final Crop OUT = new Crop(new Point(2500, 1000), new Size(1600, 1600));
    private static final Subject SUBJECT = new Subject(new Point(0.5, 0.5), OptionalDouble.of(0.2));

    private static Photo photo(String file) {
        return Photo.untouched(file).withPixels(new PixelSize(3000, 2000));
    }

    private static Shoot shoot(Format format) {
        return Shoot.of("S", Shoot.Order.NAME, List.of(format), List.of(photo("a.jpg"), photo("b.jpg")));
    }

    private static PhotoCrop crop(Shoot shoot, String file) {
        return new Crops(shoot).of(shoot.photo(file), shoot.format("f"));
    }

    /** In which a crop reaches beyond the right side by a tenth of the photo. */
    private static Shoot out(Format format) {
        Shoot may = format.reaches() ? shoot(format) : Reach.let(shoot(format), "a.jpg", "f", true);
        return new Adjust(may, "a.jpg", "f").to(OUT);
    }

    private static Shoot filled(Beyond beyond) {
        return Reach.fill(out(PLAIN), "a.jpg", "f", beyond);
    }

    private static EdgeTexture texture(Photo photo, double right, double others) {
        Double[] values = Collections.nCopies(16, others).toArray(Double[]::new);
        for (int i = 0; i < EdgeTexture.DEPTHS; i++) {
            values[Trim.Side.RIGHT.ordinal() * EdgeTexture.DEPTHS + i] = right;
        }
        return new EdgeTexture(photo.preparation().beforeShape(), List.of(values));
    }

    @Test
    void whatIsNotPhotoIsToldAndWhatIsKeptIsNoMoreThanThereIs() {
        PhotoCrop out = crop(out(PLAIN), "a.jpg");
        assertThat(out.crop()).isEqualTo(OUT);
        assertThat(out.beyond()).isCloseTo(300.0 / 1600, within(1e-12));
        assertThat(out.margins()).isEqualTo(new Margins(0, 0, 300, 0));
        assertThat(out.kept()).isCloseTo(1300.0 * 1600 / 6e6, within(1e-12));
        assertThat(out.isAtLimit()).isFalse();
        Shoot further = new Adjust(out(PLAIN), "a.jpg", "f").to(new Crop(new Point(3000, 1000), new Size(1600, 1600)));
        assertThat(crop(further, "a.jpg").isAtLimit()).isTrue();
        assertThat(crop(further, "a.jpg").crop().centre()).isEqualTo(new Point(2600, 1000));
    }

    @Test
    void keptInsideAgainTheCropSettlesAndComesBackWhenItMayReachAgain() {
        Shoot inside = Reach.let(out(PLAIN), "a.jpg", "f", false);
        assertThat(crop(inside, "a.jpg").crop().centre()).isEqualTo(new Point(2200, 1000));
        assertThat(crop(inside, "a.jpg").beyond()).isZero();
        assertThat(Reach.let(inside, "a.jpg", "f", true)).isEqualTo(out(PLAIN));
    }

    @Test
    void aFormatMayAllowItForAllUnlessACropSaysOtherwise() {
        Format reaching = PLAIN.withReaches(true);
        assertThat(crop(out(reaching), "a.jpg").crop()).isEqualTo(OUT);
        assertThat(out(reaching).photo("a.jpg").entry("f").reaches()).isEmpty();
        Shoot not = Reach.let(out(reaching), "a.jpg", "f", false);
        assertThat(crop(not, "a.jpg").beyond()).isZero();
        assertThat(crop(shoot(reaching), "b.jpg").beyond()).as("untouched").isZero();
    }

    @Test
    void followersReachOnlyWhereTheirFormatAllowsIt() {
        CarryAcross carry = new CarryAcross("a.jpg", "f", Set.of(Carry.values()), false, true);
        PhotoCrop limited = crop(carry.to(out(PLAIN), Set.of("b.jpg")).shoot(), "b.jpg");
        assertThat(limited.isLimited()).isTrue();
        assertThat(limited.beyond()).isZero();
        PhotoCrop reaching =
                crop(carry.to(out(PLAIN.withReaches(true)), Set.of("b.jpg")).shoot(), "b.jpg");
        assertThat(reaching.isLimited()).isFalse();
        assertThat(reaching.crop().centre().distance(OUT.centre())).isLessThan(1e-6);
    }

    @Test
    void carryingKeepsWhatWasSaidOfAPhotosOwnEdge() {
        Shoot said = Reach.let(Reach.fill(out(PLAIN), "b.jpg", "f", white()), "b.jpg", "f", true);
        Shoot carried = new CarryAcross("a.jpg", "f", Set.of(Carry.values()), false, true)
                .to(said, Set.of("b.jpg"))
                .shoot();
        assertThat(carried.photo("b.jpg").entry("f").beyond()).isEqualTo(white());
        assertThat(crop(carried, "b.jpg").beyond()).isPositive();
    }

    private static Beyond white() {
        return Beyond.USUAL.withColour(Optional.of(Colour.WHITE));
    }

    @Test
    void howItWillPassIsToldByTheSidesThatAreReachedAndOnlyOnceTheyAreRead() {
        Shoot out = out(PLAIN);
        assertThat(crop(out, "a.jpg").passing()).isEmpty();
        Shoot calm = out.with("a.jpg", photo -> photo.withTexture(texture(photo, 2, 9)));
        assertThat(crop(calm, "a.jpg").passing()).contains(Passing.PASSES);
        assertThat(NeedsLook.of(new Crops(calm), crop(calm, "a.jpg"))).doesNotContain(NeedsLook.FILL_SHOWS);
        Shoot busy = out.with("a.jpg", photo -> photo.withTexture(texture(photo, 7, 1)));
        assertThat(crop(busy, "a.jpg").passing()).contains(Passing.SHOWS);
        assertThat(NeedsLook.of(new Crops(busy), crop(busy, "a.jpg"))).contains(NeedsLook.FILL_SHOWS);
        Shoot turned = Reorient.MIRROR.apply(busy, Set.of("a.jpg"));
        assertThat(crop(turned, "a.jpg").beyond()).isCloseTo(0.1875, within(1e-9));
        assertThat(crop(turned, "a.jpg").passing())
                .as("its sides lie elsewhere now")
                .isEmpty();
    }

    @Test
    void aChosenColourIsNotJudgedAndAStretchIsByHowFarItGoes() {
        assertThat(crop(filled(white()), "a.jpg").passing()).isEmpty();
        Shoot stretched = filled(Beyond.USUAL.withFill(Beyond.Fill.STRETCH));
        Shoot atSide = stretched.with(
                "a.jpg",
                photo -> photo.withSubject(Optional.of(new Subject(new Point(0.9, 0.5), OptionalDouble.of(0.1)))));
        assertThat(FillPlan.of(crop(atSide, "a.jpg")).orElseThrow().fill())
                .as("300 px more of 100 are too far")
                .isEqualTo(Beyond.Fill.PICTURE);
        Crop less = new Crop(new Point(2400, 1000), new Size(1600, 1600));
        PhotoCrop near = crop(new Adjust(stretched, "a.jpg", "f").to(less), "a.jpg");
        assertThat(FillPlan.of(near).orElseThrow().stretch().orElseThrow().most())
                .isCloseTo(1 + 1.2 * 200 / 1200, within(1e-12));
        assertThat(near.passing()).contains(Passing.PASSES);
        assertThat(crop(stretched, "a.jpg").passing()).contains(Passing.LOOK);
    }

    @Test
    void theSubjectIsNeverStretchedAndWhatIsSparedGoesWithThePhoto() {
        Shoot marked = filled(Beyond.USUAL.withFill(Beyond.Fill.STRETCH))
                .with("a.jpg", photo -> photo.withSubject(Optional.of(SUBJECT)));
        Crop near = new Crop(new Point(2400, 1000), new Size(1600, 1600));
        FillPlan plan = FillPlan.of(crop(new Adjust(marked, "a.jpg", "f").to(near), "a.jpg"))
                .orElseThrow();
        Point rim = new Point(1500 + 400, 1000);
        assertThat(plan.stretch().orElseThrow().toPhoto(rim)).isEqualTo(rim);
        assertThat(plan.stretch().orElseThrow().toPhoto(new Point(1950, 1000)).x())
                .isLessThan(1950);
        Subject spared = new Subject(new Point(0.9, 0.25), OptionalDouble.of(0.1));
        Shoot said = filled(Beyond.USUAL.withSpared(Optional.of(spared)));
        Shoot turned = Reorient.RIGHT.apply(said, Set.of("a.jpg"));
        assertThat(turned.photo("a.jpg")
                        .entry("f")
                        .beyond()
                        .spared()
                        .orElseThrow()
                        .at())
                .isEqualTo(new Point(0.75, 0.9));
    }

    @Test
    void turningBackGivesTheCropBeyondTheEdgeAgain() {
        Shoot turned = out(PLAIN).with("a.jpg", photo -> photo.withAngle(new Angle(20)));
        assertThat(crop(turned, "a.jpg").beyond()).isPositive();
        Shoot back = turned.with("a.jpg", photo -> photo.withAngle(Angle.NONE));
        assertThat(crop(back, "a.jpg").crop()).isEqualTo(OUT);
    }

    @Test
    void aColourIsReadAndWrittenAndAnythingElseIsRejected() {
        assertThat(Colour.parse("#F4f1ea")).isEqualTo(new Colour(0xf4, 0xf1, 0xea));
        assertThat(new Colour(0xf4, 0xf1, 0x0a)).hasToString("#f4f10a");
        for (String wrong : List.of("red", "#fff", "#12345g", "", "f4f1ea", "#f4f1ea0")) {
            assertThatThrownBy(() -> Colour.parse(wrong)).isInstanceOf(Rejected.class);
        }
    }
}
