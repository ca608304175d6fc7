package nexa.core.series;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import nexa.core.format.Format;
import nexa.core.format.OutputSize;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;
import nexa.core.shape.Perspective;
import nexa.core.shape.SceneLines;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Preparation;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Subject;
import nexa.core.shoot.Wish;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What is done to photos whose perspective is put right. */
class PerspectiveEditsTest {
    private static final Format FORMAT = Format.of("f", "F", Ratio.of("4", "5"));
    private static final SceneLines LINES = new SceneLines(
            List.of(
                    new Segment(new Point(0.2, 0.1), new Point(0.25, 0.9)),
                    new Segment(new Point(0.8, 0.1), new Point(0.75, 0.9))),
            List.of());
    private static final Perspective PERSPECTIVE = new Perspective(14, -6, 90, 1.2, 28, LINES);
    private static final Wish WISH = new Wish(new Point(0.55, 0.4), new Size(0.3, 0.5625));

    private static Photo photo(String file) {
        return Photo.untouched(file)
                .withPixels(new PixelSize(3000, 2000))
                .withAngle(new Angle(-3))
                .withSubject(Optional.of(new Subject(new Point(0.5, 0.45), OptionalDouble.of(0.1))))
                .withEntry("f", new CropEntry(new Placement.Own(WISH), Optional.empty(), false));
    }

    private static Photo reshaped(String file) {
        return photo(file).withPerspective(Optional.of(PERSPECTIVE));
    }

    private static Shoot shoot(Photo... photos) {
        return Shoot.of("S", Shoot.Order.NAME, List.of(FORMAT), List.of(photos));
    }

    private static PhotoCrop crop(Shoot shoot, String file) {
        return new Crops(shoot).of(shoot.photo(file), shoot.formats().get(0));
    }

    /** A place of the photo as it is seen, as a fraction of it before it was turned and mirrored. */
    private static Point unturned(Point seen, Photo photo) {
        Point at = new Point(
                seen.x() / photo.size().width(), seen.y() / photo.size().height());
        Preparation done = photo.preparation();
        if (done.isMirrored()) {
            at = new Point(1 - at.x(), at.y());
        }
        for (int turned = done.turn().degrees(); turned > 0; turned -= 90) {
            at = new Point(at.y(), 1 - at.x());
        }
        return at;
    }

    @ParameterizedTest
    @EnumSource(Reorient.class)
    void turnedAndMirroredItShowsTheSameScene(Reorient first) {
        Shoot before = shoot(reshaped("a.jpg"));
        List<Point> corners = crop(before, "a.jpg").photoCorners().stream()
                .map(corner -> unturned(corner, before.photo("a.jpg")))
                .toList();
        for (Reorient second : Reorient.values()) {
            for (Reorient third : Reorient.values()) {
                Shoot after = before;
                for (Reorient how : List.of(first, second, third)) {
                    after = how.apply(after, Set.of("a.jpg"));
                }
                Photo turned = after.photo("a.jpg");
                PhotoCrop now = crop(after, "a.jpg");
                for (Point corner : now.photoCorners()) {
                    Point at = unturned(corner, turned);
                    assertThat(corners).anyMatch(known -> known.distance(at) < 1e-9);
                }
                assertThat(now.effective().area())
                        .isCloseTo(crop(before, "a.jpg").effective().area(), near(1e-6));
            }
        }
    }

    private static Percentage near(double percent) {
        return Percentage.withPercentage(percent);
    }

    @Test
    void takenAwayItLeavesThePhotoAndItsCropAsTheyWere() {
        Shoot before = shoot(photo("a.jpg"));
        Shoot put = before.with("a.jpg", photo -> photo.withPerspective(Optional.of(PERSPECTIVE)));
        assertThat(crop(put, "a.jpg").crop()).isNotEqualTo(crop(before, "a.jpg").crop());
        Shoot again = StartAgain.perspective(put, Set.of("a.jpg"));
        assertThat(again.photo("a.jpg")).isEqualTo(before.photo("a.jpg"));
        assertThat(crop(again, "a.jpg").crop()).isEqualTo(crop(before, "a.jpg").crop());
    }

    @Test
    void slidInThePlaneTheCropKeepsItsSizeThere() {
        Shoot shoot = shoot(reshaped("a.jpg"));
        PhotoCrop shown = crop(shoot, "a.jpg");
        Crop slid = shown.crop().withCentre(shown.crop().centre().plus(new Point(40, -30)));
        Crop after = crop(new Adjust(shoot, "a.jpg", "f").slidTo(slid), "a.jpg").crop();
        assertThat(after.centre().distance(slid.centre())).isLessThan(1e-6);
        assertThat(after.size().area()).isCloseTo(slid.size().area(), near(1e-7));
    }

    @Test
    void givenToOthersItFitsHowTheyAreTurned() {
        Photo turned = Reorient.RIGHT.apply(Reorient.MIRROR.apply(photo("b.jpg"), List.of(FORMAT)), List.of(FORMAT));
        Shoot given = PerspectiveOnce.give(
                shoot(reshaped("a.jpg"), turned, Photo.untouched("unread.jpg")),
                "a.jpg",
                List.of("a.jpg", "b.jpg", "unread.jpg", "gone.jpg"));
        Photo straight =
                Reorient.MIRROR.apply(Reorient.LEFT.apply(given.photo("b.jpg"), List.of(FORMAT)), List.of(FORMAT));
        Perspective got = straight.preparation().perspective().orElseThrow();
        assertThat(got.tilt()).isEqualTo(14);
        assertThat(got.swing()).isEqualTo(-6);
        assertThat(got.lines()).isEqualTo(SceneLines.NONE);
        assertThat(given.photo("a.jpg")).isEqualTo(reshaped("a.jpg"));
        assertThat(given.photo("unread.jpg").isUntouched()).isTrue();
    }

    /** Where the plane is drawn out, its pixels are not the photo's. */
    @Test
    void warningsOfTooFewPixelsCountThePhotosOwn() {
        Format asked = FORMAT.withSize(new OutputSize.Pixels(900, 1125));
        Photo tilted = photo("a.jpg").withPerspective(Optional.of(new Perspective(30, 0, 100, 1, 24, SceneLines.NONE)));
        PhotoCrop crop = new Crops(shoot(tilted)).of(tilted, asked);
        assertThat(crop.crop().size().width()).isGreaterThan(900);
        assertThat(crop.effective().width()).isLessThan(900);
        assertThat(crop.hasTooFewPixels()).isTrue();
        assertThat(crop.warnings()).contains(PhotoCrop.Warning.TOO_FEW_PIXELS);
        PhotoCrop plain = new Crops(shoot(photo("a.jpg"))).of(photo("a.jpg"), asked);
        assertThat(plain.effective()).isEqualTo(plain.crop().size());
    }
}
