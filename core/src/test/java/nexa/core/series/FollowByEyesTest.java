package nexa.core.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import nexa.core.format.Format;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;
import nexa.core.shoot.Carry;
import nexa.core.shoot.Eyes;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Subject;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Persons followed by their eyes. */
class FollowByEyesTest {
    private static final Format PAGE = Format.of("page", "Page", Ratio.parse("4:5"));
    private static final Crop LEADS = new Crop(new Point(1500, 900), new Size(960, 1200));

    /** A body, and eyes about a place so far apart, in pixels. */
    private static Photo photo(String file, Point body, Point eyes, double apart, double nose) {
        Photo photo = Photo.untouched(file).withPixels(new PixelSize(3000, 2000));
        Size size = photo.size();
        Bounds box = new Bounds(
                fraction(body.minus(new Point(250, 500)), size), fraction(body.plus(new Point(250, 500)), size));
        Point half = new Point(apart / 2, 0);
        Subject subject = Subject.around(box.middle(), box, size);
        Point one = eyes.minus(half);
        return photo.withSubject(Optional.of(subject.withEyes(Optional.of(new Eyes(
                fraction(one, size).minus(subject.at()),
                fraction(eyes.plus(half), size).minus(subject.at()),
                Optional.of(
                        fraction(one.plus(new Point(nose * apart, 60)), size).minus(subject.at())))))));
    }

    private static Photo photo(String file, Point body, Point eyes, double apart) {
        return photo(file, body, eyes, apart, 0.5);
    }

    private static Point fraction(Point inPhoto, Size size) {
        return new Point(inPhoto.x() / size.width(), inPhoto.y() / size.height());
    }

    private static Shoot carried(Photo lead, Photo follower) {
        Shoot shoot = Shoot.of("S", Shoot.Order.NAME, List.of(PAGE), List.of(lead, follower));
        Shoot led = Leads.make(new Adjust(shoot, lead.file(), "page").to(LEADS), lead.file(), "page");
        return new CarryAcross(lead.file(), "page", Set.of(Carry.values()), false, false)
                .to(led, List.of(follower.file()))
                .shoot();
    }

    private static Crop crop(Shoot shoot, String file) {
        return new Crops(shoot).of(shoot.photo(file), shoot.format("page")).crop();
    }

    private static StepFromLead step(Shoot shoot, String file) {
        return StepFromLead.of(new Crops(shoot), shoot.photo(file), shoot.format("page"))
                .orElseThrow();
    }

    /** Where the middle of the eyes lies in the crop, and how far they are apart in it. */
    private static double[] eyes(Shoot shoot, String file) {
        Photo photo = shoot.photo(file);
        Crop crop = crop(shoot, file);
        Segment eyes = photo.subject().orElseThrow().eyesIn(photo.space()).orElseThrow();
        Point place = crop.placeOf(eyes.middle(), photo.angle());
        return new double[] {place.x(), place.y(), eyes.length() / crop.size().shortSide()};
    }

    @ParameterizedTest
    @CsvSource({"0, false", "7, false", "-12, true"})
    void theMiddleOfTheEyesAndTheWayBetweenThemAreTheLeads(double angle, boolean isMirrored) {
        Photo lead = photo("lead.jpg", new Point(1500, 1100), new Point(1520, 700), 200);
        Photo plain = photo("other.jpg", new Point(1300, 1000), new Point(1400, 800), 180)
                .withAngle(new Angle(angle));
        Shoot shoot = Shoot.of("S", Shoot.Order.NAME, List.of(PAGE), List.of(plain));
        Photo other =
                isMirrored ? Reorient.MIRROR.apply(shoot, Set.of("other.jpg")).photo("other.jpg") : plain;
        Shoot carried = carried(lead, other);
        double[] expected = eyes(carried, "lead.jpg");
        assertThat(eyes(carried, "other.jpg")).containsExactly(expected, within(1e-9));
        assertThat(step(carried, "other.jpg").place()).isEqualTo(StepFromLead.Place.EYES);
        assertThat(step(carried, "other.jpg").isByEyesApart()).isTrue();
        assertThat(step(carried, "other.jpg").distance()).isLessThan(1e-9);
    }

    @ParameterizedTest
    @CsvSource({"200, 0.3, 200, 0.5", "200, 0.5, 200, 0.7", "200, 0.5, 110, 0.5"})
    void whoLooksAsideOrIsSmallIsAsLargeAsItsBodySays(
            double leadApart, double leadNose, double otherApart, double otherNose) {
        Photo lead = photo("lead.jpg", new Point(1500, 1100), new Point(1520, 700), leadApart, leadNose);
        Photo other = photo("other.jpg", new Point(1300, 1000), new Point(1400, 800), otherApart, otherNose);
        Shoot carried = carried(lead, other);
        assertThat(crop(carried, "other.jpg").size().width())
                .isCloseTo(LEADS.size().width(), within(1e-9));
        assertThat(eyes(carried, "other.jpg")[1])
                .as("the eyes lie where the lead's do all the same")
                .isCloseTo(eyes(carried, "lead.jpg")[1], within(1e-9));
        assertThat(step(carried, "other.jpg").isByEyesApart()).isFalse();
    }

    @Test
    void whereOneOfThemHasNoEyesTheSubjectsAreFollowed() {
        Photo lead = photo("lead.jpg", new Point(1500, 1100), new Point(1520, 700), 200);
        Photo other = photo("other.jpg", new Point(1300, 1000), new Point(1400, 800), 200);
        Photo without = other.withSubject(other.subject().map(subject -> subject.withEyes(Optional.empty())));
        Shoot carried = carried(lead, without);
        Crop crop = crop(carried, "other.jpg");
        assertThat(crop.placeOf(new Point(1300, 1000), Angle.NONE)
                        .distance(LEADS.placeOf(new Point(1500, 1100), Angle.NONE)))
                .isLessThan(1e-9);
        assertThat(step(carried, "other.jpg").place()).isEqualTo(StepFromLead.Place.SUBJECT);
    }

    @Test
    void eyesThatLieHigherInTheCropAreOutOfStepByThat() {
        Photo lead = photo("lead.jpg", new Point(1500, 1100), new Point(1520, 700), 200);
        Photo other = photo("other.jpg", new Point(1300, 1000), new Point(1400, 800), 200);
        Shoot carried = carried(lead, other);
        Crop crop = crop(carried, "other.jpg");
        Crop lower = crop.withCentre(crop.centre().plus(new Point(0, 120)));
        StepFromLead step = step(new Adjust(carried, "other.jpg", "page").to(lower), "other.jpg");
        assertThat(step.off().y()).isCloseTo(-120 / 1200.0, within(1e-9));
        assertThat(step.isOut()).isTrue();
    }

    @Test
    void aBodyThatIsCutIsASubjectThatIsCutThoughItsCircleIsNot() {
        Photo person = photo("a.jpg", new Point(1500, 1000), new Point(1500, 700), 200);
        Shoot shoot = Shoot.of("S", Shoot.Order.NAME, List.of(PAGE), List.of(person));
        Crop around = new Crop(new Point(1500, 1000), new Size(832, 1040));
        Crop tighter = new Crop(new Point(1500, 1000), new Size(768, 960));
        double radius = person.subject().orElseThrow().radiusIn(person.space()).orElseThrow();
        assertThat(2 * radius).as("the circle fits into both").isLessThan(768);
        assertThat(isCut(new Adjust(shoot, "a.jpg", "page").to(around))).isFalse();
        assertThat(isCut(new Adjust(shoot, "a.jpg", "page").to(tighter))).isTrue();
    }

    @Test
    void aBodyThatThePhotoItselfEndsAtIsNotCutByTheLargestCrop() {
        Photo photo = Photo.untouched("a.jpg").withPixels(new PixelSize(3001, 1999));
        Bounds box = new Bounds(new Point(0.37, 0), new Point(0.61, 1));
        Photo person = photo.withSubject(Optional.of(Subject.around(box.middle(), box, photo.size())));
        for (Photo lying : List.of(
                person,
                person.withPreparation(person.preparation().withMirrored(true)).withSubject(person.subject()))) {
            assertThat(isCut(Shoot.of("S", Shoot.Order.NAME, List.of(PAGE), List.of(lying))))
                    .isFalse();
        }
        assertThat(isCut(new Adjust(Shoot.of("S", Shoot.Order.NAME, List.of(PAGE), List.of(person)), "a.jpg", "page")
                        .to(new Crop(new Point(1470, 1000), new Size(1596, 1995)))))
                .isTrue();
    }

    private static boolean isCut(Shoot shoot) {
        return new Crops(shoot)
                .of(shoot.photo("a.jpg"), shoot.format("page"))
                .warnings()
                .contains(PhotoCrop.Warning.SUBJECT_CUT);
    }
}
