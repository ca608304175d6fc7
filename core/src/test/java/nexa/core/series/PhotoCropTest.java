package nexa.core.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import nexa.core.format.FileSpec;
import nexa.core.format.Format;
import nexa.core.format.FormatTurn;
import nexa.core.format.LengthUnit;
import nexa.core.format.OutputSize;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shoot.Carry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Subject;
import org.junit.jupiter.api.Test;

/** What a crop is, and what is to be known of it. */
class PhotoCropTest {
    private static final Format PAGE =
            Format.of("page", "Page", Ratio.of("4", "3")).withSize(new OutputSize.Print(16, 12, LengthUnit.CM, 254));
    private static final Format POST = Format.of("post", "Post", Ratio.of("4", "5"))
            .withTurn(FormatTurn.TALL)
            .withSize(new OutputSize.Pixels(1080, 1350));

    private static Photo photo(String file, int width, int height) {
        return Photo.untouched(file).withPixels(new PixelSize(width, height));
    }

    private static PhotoCrop crop(Format format, Photo photo) {
        Shoot shoot = Shoot.of("S", Shoot.Order.NAME, List.of(format), List.of(photo));
        return new Crops(shoot).of(photo, format);
    }

    @Test
    void anUntouchedCropIsTheLargestInTheMiddleLyingAsTheFormatSays() {
        PhotoCrop page = crop(PAGE, photo("a.jpg", 3000, 2000));
        assertThat(page.state()).isEqualTo(PhotoCrop.State.UNTOUCHED);
        assertThat(page.crop().centre()).isEqualTo(new Point(1500, 1000));
        assertThat(page.crop().size().width()).isCloseTo(2000 * 4 / 3.0, within(1e-9));
        assertThat(page.kept()).isCloseTo(2000 * 2000 * 4 / 3.0 / 6e6, within(1e-12));
        assertThat(crop(PAGE, photo("a.jpg", 2000, 3000)).crop().size().ratio()).isCloseTo(0.75, within(1e-12));
        assertThat(crop(POST, photo("a.jpg", 3000, 2000)).crop().size().ratio()).isCloseTo(0.8, within(1e-12));
    }

    @Test
    void paperTurnsWithTheCropAndGivesItsPixelsAnInch() {
        PhotoCrop wide = crop(PAGE, photo("a.jpg", 3200, 2400));
        assertThat(wide.output()).isEqualTo(new PixelSize(1600, 1200));
        assertThat(wide.ppi().orElseThrow()).isCloseTo(508, within(1e-9));
        assertThat(crop(PAGE, photo("a.jpg", 2400, 3200)).output()).isEqualTo(new PixelSize(1200, 1600));
        assertThat(crop(POST, photo("a.jpg", 3200, 2400)).ppi()).isEmpty();
    }

    @Test
    void tooFewPixelsAreToldAndEnlargedUnlessTheFormatNeverDoes() {
        Photo small = photo("a.jpg", 800, 600);
        PhotoCrop enlarged = crop(PAGE, small);
        assertThat(enlarged.warnings()).containsExactly(PhotoCrop.Warning.TOO_FEW_PIXELS);
        assertThat(enlarged.output()).isEqualTo(new PixelSize(1600, 1200));
        PhotoCrop own = crop(PAGE.withFile(FileSpec.usual("").withEnlarges(false)), small);
        assertThat(own.warnings()).containsExactly(PhotoCrop.Warning.TOO_FEW_PIXELS);
        assertThat(own.output()).isEqualTo(new PixelSize(800, 600));
        assertThat(own.asked()).isEqualTo(new PixelSize(1600, 1200));
    }

    @Test
    void halfAPixelLostInRoundingIsNotTooFew() {
        Format exact = Format.of("x", "X", Ratio.of("3", "2")).withSize(new OutputSize.Pixels(601, 401));
        assertThat(crop(exact, photo("a.jpg", 601, 401)).hasTooFewPixels()).isFalse();
        assertThat(crop(exact, photo("a.jpg", 598, 399)).hasTooFewPixels()).isTrue();
    }

    @Test
    void aSubjectIsCutWhenItsCircleReachesBeyondTheCrop() {
        Photo marked = photo("a.jpg", 3000, 2000);
        assertThat(subjectCut(marked, 0.5, 0.5, 0.3)).isFalse();
        assertThat(subjectCut(marked, 0.5, 0.5, 0.52)).isTrue();
        assertThat(subjectCut(marked, 0.02, 0.5, 0)).as("beside the crop").isTrue();
        assertThat(subjectCut(marked, 0.08, 0.5, 0)).isFalse();
        assertThat(subjectCut(marked, 0.08, 0.5, 0.1)).isTrue();
    }

    private static boolean subjectCut(Photo photo, double x, double y, double radius) {
        OptionalDouble circle = radius == 0 ? OptionalDouble.empty() : OptionalDouble.of(radius);
        Photo marked = photo.withSubject(Optional.of(new Subject(new Point(x, y), circle)));
        return crop(PAGE, marked).warnings().contains(PhotoCrop.Warning.SUBJECT_CUT);
    }

    @Test
    void beingInStepIsMeasuredBySubjectsWhereBothHaveOneElseByPlace() {
        Photo lead = photo("lead.jpg", 3000, 2000).withSubject(spot(0.5, 0.5, 0.2));
        Photo other = photo("other.jpg", 3000, 2000).withSubject(spot(0.55, 0.5, 0.2));
        Shoot shoot = Shoot.of("S", Shoot.Order.NAME, List.of(PAGE), List.of(lead, other));
        Crop tight = new Crop(new Point(1500, 1000), new Size(1600, 1200));
        Shoot led = Leads.make(new Adjust(shoot, "lead.jpg", "page").to(tight), "lead.jpg", "page");
        Shoot carried = new CarryAcross("lead.jpg", "page", Set.of(Carry.values()), false, false)
                .to(led, List.of("other.jpg"))
                .shoot();
        StepFromLead inStep = step(carried, "other.jpg");
        assertThat(inStep.place()).isEqualTo(StepFromLead.Place.SUBJECT);
        assertThat(inStep.distance()).isCloseTo(0, within(1e-9));

        Crop nudged = new Crops(carried)
                .of(carried.photo("other.jpg"), carried.format("page"))
                .crop();
        Crop moved = nudged.withCentre(nudged.centre().plus(new Point(0, -160)));
        StepFromLead off = step(new Adjust(carried, "other.jpg", "page").to(moved), "other.jpg");
        assertThat(off.off().y()).as("the subject lies lower in the crop").isCloseTo(160 / 1200.0, within(1e-9));
        assertThat(off.isOut()).isTrue();

        Shoot unmarked = carried.with("other.jpg", photo -> photo.withSubject(Optional.empty()));
        assertThat(step(unmarked, "other.jpg").place()).isEqualTo(StepFromLead.Place.CROP);
        assertThat(StepFromLead.of(new Crops(carried), carried.photo("lead.jpg"), carried.format("page")))
                .as("a lead is measured against nobody")
                .isEmpty();
    }

    @Test
    void whereNeitherIsMarkedWhatIsSeenInBothMeasuresThePosition() {
        Photo lead = photo("lead.jpg", 3000, 2000);
        Photo other = photo("other.jpg", 3000, 2000);
        Shoot shoot = Shoot.of("S", Shoot.Order.NAME, List.of(PAGE), List.of(lead, other));
        Crop tight = new Crop(new Point(1500, 1000), new Size(1600, 1200));
        Shoot led = Leads.make(new Adjust(shoot, "lead.jpg", "page").to(tight), "lead.jpg", "page");
        Shoot carried = new CarryAcross("lead.jpg", "page", Set.of(Carry.values()), false, false)
                .to(led, List.of("other.jpg"))
                .shoot();
        Map<String, Subject> seen = Map.of(
                "lead.jpg",
                spot(0.5, 0.5, 0.2).orElseThrow(),
                "other.jpg",
                spot(0.6, 0.5, 0.2).orElseThrow());
        StepFromLead byPlace = step(carried, "other.jpg");
        assertThat(byPlace.place()).isEqualTo(StepFromLead.Place.CROP);
        StepFromLead bySight = step(carried, "other.jpg", seen);
        assertThat(bySight.place()).isEqualTo(StepFromLead.Place.SEEN);
        assertThat(bySight.off().x()).as("300 px of 1600").isCloseTo(300 / 1600.0, within(1e-9));
        assertThat(bySight.tightness()).isEqualTo(byPlace.tightness());
        assertThat(step(carried, "other.jpg", Map.of("other.jpg", seen.get("other.jpg"))))
                .as("seen in one of them only")
                .isEqualTo(byPlace);
        Shoot marked = carried.with("lead.jpg", photo -> photo.withSubject(spot(0.5, 0.5, 0.2)));
        assertThat(step(marked, "other.jpg", seen).place()).isNotEqualTo(StepFromLead.Place.SEEN);
        Shoot aboutNothing = carried.with("other.jpg", photo -> photo.withSubject(Optional.empty()));
        assertThat(step(aboutNothing, "other.jpg", seen).place()).isNotEqualTo(StepFromLead.Place.SEEN);
    }

    private static Optional<Subject> spot(double x, double y, double radius) {
        return Optional.of(new Subject(new Point(x, y), OptionalDouble.of(radius)));
    }

    private static StepFromLead step(Shoot shoot, String file) {
        return step(shoot, file, Map.of());
    }

    private static StepFromLead step(Shoot shoot, String file, Map<String, Subject> seen) {
        return StepFromLead.of(new Crops(shoot), shoot.photo(file), shoot.format("page"), seen)
                .orElseThrow();
    }
}
