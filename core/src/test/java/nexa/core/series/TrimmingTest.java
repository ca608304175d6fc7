package nexa.core.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import nexa.core.format.Format;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shoot.Carry;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.QuarterTurn;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Trim;
import nexa.core.shoot.Tune;
import nexa.core.shoot.Wish;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TrimmingTest {
    private static final Format FEED = Format.of("feed", "Feed", Ratio.parse("4:5"));
    private static final Format AS_IS = Format.of("asis", "As is", Ratio.parse("photo"));
    private static final Format FREE = Format.of("free", "Free", Ratio.parse("free"));
    private static final List<Format> FORMATS = List.of(FEED, AS_IS, FREE);
    private static final PixelSize SCAN = new PixelSize(1500, 1100);
    private static final Bounds PRINT = new Bounds(new Point(110, 60), new Point(1310, 860));
    private static final Trim BORDER = Trim.leaving(PRINT, SCAN.size());

    /** The scan with its border trimmed. */
    private static Photo scan(String file) {
        return Photo.untouched(file).withPixels(SCAN).withTrim(BORDER);
    }

    /** The same picture without a border. */
    private static Photo print(String file) {
        return Photo.untouched(file).withPixels(new PixelSize(1200, 800));
    }

    private static Placement.Own own(Photo photo, Crop inPrint) {
        boolean isScan = photo.pixels().orElseThrow().equals(SCAN);
        Crop crop = isScan ? inPrint.withCentre(inPrint.centre().plus(PRINT.least())) : inPrint;
        return new Placement.Own(Wish.of(crop, photo.space()));
    }

    private static Placement.Follow follow(Tune tune) {
        return new Placement.Follow(tune, Set.of(Carry.values()), Optional.empty(), false);
    }

    private static Shoot shoot(Photo lead, Photo follower, double angle) {
        Shoot shoot = Shoot.of("", Shoot.Order.NAME, FORMATS, List.of(lead, follower));
        for (Format format : FORMATS) {
            Crop crop = new Crop(
                    new Point(430, 380), new Size(400, 400 / format.ratioFor(new Size(1200, 800), Orientation.WIDE)));
            shoot = shoot.with(
                    lead.file(),
                    photo -> photo.withAngle(new Angle(angle))
                            .withEntry(format.id(), CropEntry.UNTOUCHED.withPlacement(own(photo, crop))));
            shoot = shoot.with(
                    follower.file(),
                    photo -> photo.withAngle(new Angle(-angle))
                            .withEntry(
                                    format.id(), CropEntry.UNTOUCHED.withPlacement(follow(new Tune(0.3, 0.1, 0.9)))));
            shoot = Leads.make(shoot, lead.file(), format.id());
        }
        return shoot;
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 3, -11, 45})
    void whatRemainsTakesThePhotosPlace(double angle) {
        Shoot scans = shoot(scan("a.jpg"), scan("b.jpg"), angle);
        Shoot prints = shoot(print("a.jpg"), print("b.jpg"), angle);
        for (Format format : scans.formats()) {
            for (Photo photo : scans.photos()) {
                PhotoCrop trimmed = new Crops(scans).of(photo, format);
                PhotoCrop plain = new Crops(prints).of(prints.photo(photo.file()), format);
                assertSame(trimmed, plain);
                PhotoCrop untouched = new Crops(scans).of(photo.withEntry(format.id(), CropEntry.UNTOUCHED), format);
                PhotoCrop plainUntouched = new Crops(prints)
                        .of(prints.photo(photo.file()).withEntry(format.id(), CropEntry.UNTOUCHED), format);
                assertSame(untouched, plainUntouched);
            }
        }
    }

    private static void assertSame(PhotoCrop trimmed, PhotoCrop plain) {
        Point centre = plain.crop().centre().plus(PRINT.least());
        assertThat(trimmed.crop().centre().distance(centre)).isLessThan(1e-6);
        assertThat(trimmed.crop().size().width()).isCloseTo(plain.crop().size().width(), within(1e-6));
        assertThat(trimmed.crop().size().height()).isCloseTo(plain.crop().size().height(), within(1e-6));
        assertThat(trimmed.state()).isEqualTo(plain.state());
        assertThat(trimmed.isLimited()).isEqualTo(plain.isLimited());
        assertThat(trimmed.kept()).isCloseTo(plain.kept(), within(1e-9));
    }

    @Test
    void aCropIsAsItWasOnceTheTrimIsTakenAway() {
        Photo photo = Photo.untouched("a.jpg").withPixels(SCAN);
        Shoot shoot = Shoot.of("", Shoot.Order.NAME, FORMATS, List.of(photo));
        Crop wide = new Crop(new Point(300, 500), new Size(480, 600));
        shoot = shoot.with(
                "a.jpg",
                known -> known.withEntry(
                        "feed", CropEntry.UNTOUCHED.withPlacement(new Placement.Own(Wish.of(wide, known.space())))));
        Crop before = crop(shoot);
        Shoot trimmed = Trimming.of(shoot, "a.jpg", BORDER);
        assertThat(crop(trimmed).at(0, 0, Angle.NONE).x()).isCloseTo(110, within(1e-6));
        assertThat(crop(Trimming.of(trimmed, "a.jpg", Trim.NONE))).isEqualTo(before);
    }

    private static Crop crop(Shoot shoot) {
        return new Crops(shoot).of(shoot.photo("a.jpg"), FEED).crop();
    }

    @ParameterizedTest
    @ValueSource(strings = {"RIGHT", "LEFT", "HALF", "MIRROR", "MIRROR_DOWN"})
    void aTrimGoesWithThePictureWhenItIsTurnedOrMirrored(Reorient way) {
        Shoot shoot = shoot(scan("a.jpg"), scan("b.jpg"), 2);
        Shoot prints = shoot(print("a.jpg"), print("b.jpg"), 2);
        Photo turned = way.apply(shoot, Set.of("a.jpg")).photo("a.jpg");
        Photo plain = way.apply(prints, Set.of("a.jpg")).photo("a.jpg");
        assertThat(turned.remaining().size().width()).isCloseTo(plain.size().width(), within(1e-9));
        Crop trimmed =
                new Crops(way.apply(shoot, Set.of("a.jpg"))).of(turned, AS_IS).crop();
        Crop same =
                new Crops(way.apply(prints, Set.of("a.jpg"))).of(plain, AS_IS).crop();
        assertThat(trimmed.centre()
                        .distance(same.centre().plus(turned.remaining().least())))
                .isLessThan(1e-6);
    }

    @Test
    void theBorderLeftIsTheBorderAboveAfterAQuarterToTheRight() {
        Photo photo = Photo.untouched("a.jpg").withPixels(SCAN).withTrim(new Trim(0.2, 0, 0, 0));
        Shoot shoot = Shoot.of("", Shoot.Order.NAME, FORMATS, List.of(photo));
        Photo turned = Reorient.RIGHT.apply(shoot, Set.of("a.jpg")).photo("a.jpg");
        assertThat(turned.preparation().turn()).isEqualTo(QuarterTurn.RIGHT);
        assertThat(turned.preparation().trim()).isEqualTo(new Trim(0, 0.2, 0, 0));
        Photo mirrored = Reorient.MIRROR.apply(shoot, Set.of("a.jpg")).photo("a.jpg");
        assertThat(mirrored.preparation().trim()).isEqualTo(new Trim(0, 0, 0.2, 0));
    }

    @Test
    void aLeadThatATrimMakesTallLeadsTheTallOnes() {
        Shoot shoot = shoot(print("a.jpg"), print("b.jpg"), 0);
        Crop followed =
                new Crops(shoot).of(shoot.photo("b.jpg"), shoot.format("feed")).crop();
        Shoot after = Trimming.of(shoot, Map.of("a.jpg", new Trim(0.4, 0, 0.3, 0), "gone.jpg", BORDER));
        assertThat(after.format("feed").leads()).isEqualTo(Map.of(Orientation.TALL, "a.jpg"));
        // Where tall ones have a lead, it is taken away, and its followers stay where they are.
        Photo tall = Photo.untouched("c.jpg").withPixels(new PixelSize(800, 1200));
        Shoot two = Leads.make(
                shoot.withPhotos(List.of(shoot.photo("a.jpg"), shoot.photo("b.jpg"), tall)), "c.jpg", "feed");
        Shoot taken = Trimming.of(two, "a.jpg", new Trim(0.4, 0, 0.3, 0));
        assertThat(taken.format("feed").leads()).isEqualTo(Map.of(Orientation.TALL, "c.jpg"));
        PhotoCrop kept = new Crops(taken).of(taken.photo("b.jpg"), taken.format("feed"));
        assertThat(kept.state()).isEqualTo(PhotoCrop.State.OWN);
        assertThat(kept.crop().centre().distance(followed.centre())).isLessThan(1e-6);
    }
}
