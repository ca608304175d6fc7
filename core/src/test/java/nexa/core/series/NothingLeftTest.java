package nexa.core.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import nexa.core.format.Format;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shape.Lens;
import nexa.core.shape.Perspective;
import nexa.core.shape.SceneLines;
import nexa.core.shoot.Carry;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Trim;
import nexa.core.shoot.Tune;
import nexa.core.shoot.Wish;
import org.junit.jupiter.api.Test;

/** A trim may leave just what a lens or a perspective does not show. */
class NothingLeftTest {
    private static final Format FEED = Format.of("feed", "Feed", Ratio.parse("4:5"));
    private static final PixelSize WIDE = new PixelSize(6000, 4000);
    private static final Trim LEFT_TENTH = new Trim(0, 0, 0.9, 0);
    private static final Trim RIGHT_TENTH = new Trim(0.9, 0, 0, 0);
    private static final Perspective STRONG = new Perspective(0, 60, 100, 1, 24, SceneLines.NONE);

    private static Photo photo(String file) {
        return Photo.untouched(file).withPixels(WIDE);
    }

    private static Photo turned(Photo photo, Perspective perspective) {
        return photo.withPerspective(Optional.of(perspective));
    }

    /** Of a photo one of the two tenths is beyond the plane, and the other is not. */
    private static Trim beyond() {
        boolean isLeft = !turned(photo("a.jpg"), STRONG).withTrim(LEFT_TENTH).isCroppable();
        assertThat(turned(photo("a.jpg"), STRONG)
                        .withTrim(isLeft ? RIGHT_TENTH : LEFT_TENTH)
                        .isCroppable())
                .isTrue();
        return isLeft ? LEFT_TENTH : RIGHT_TENTH;
    }

    private static Shoot shoot(Photo... photos) {
        return Shoot.of("a", Shoot.Order.NAME, List.of(FEED), List.of(photos));
    }

    @Test
    void aTrimOfWhichNothingIsLeftIsNotGivenWhileTheOthersAre() {
        Shoot before = shoot(turned(photo("a.jpg"), STRONG), photo("b.jpg"));
        Shoot after = Trimming.of(before, Map.of("a.jpg", beyond(), "b.jpg", beyond()));
        assertThat(after.photo("a.jpg")).isEqualTo(before.photo("a.jpg"));
        assertThat(after.photo("b.jpg").preparation().trim()).isEqualTo(beyond());
    }

    @Test
    void aPerspectiveIsGivenToThosePhotosOfWhichSomethingStays() {
        Shoot before = shoot(turned(photo("a.jpg"), STRONG), photo("b.jpg").withTrim(beyond()), photo("c.jpg"));
        Shoot after = PerspectiveOnce.give(before, "a.jpg", List.of("b.jpg", "c.jpg"));
        assertThat(PerspectiveOnce.leavesNothingOf(before, "a.jpg", List.of("b.jpg", "c.jpg")))
                .isEqualTo(1);
        assertThat(after.photo("b.jpg")).isEqualTo(before.photo("b.jpg"));
        assertThat(after.photo("c.jpg").preparation().perspective()).contains(STRONG);
    }

    @Test
    void followersOfALeadOfWhichNothingIsLeftAreUntouchedUntilItsTrimIsTakenAway() {
        Placement lead = new Placement.Own(new Wish(new Point(0.4, 0.5), new Size(0.2, 0.375)));
        CropEntry follows = CropEntry.UNTOUCHED.withPlacement(
                new Placement.Follow(Tune.NONE, Set.of(Carry.values()), Optional.empty(), false));
        Photo led = turned(photo("a.jpg"), STRONG).withEntry("feed", CropEntry.UNTOUCHED.withPlacement(lead));
        Format withLead = FEED.withLeads(Map.of(led.orientation(), "a.jpg"));
        Shoot good = Shoot.of(
                "a",
                Shoot.Order.NAME,
                List.of(withLead),
                List.of(led, photo("b.jpg").withEntry("feed", follows)));
        Shoot bad = good.with("a.jpg", photo -> photo.withTrim(beyond()));

        assertThat(new Crops(bad).of(bad.photo("b.jpg"), withLead).state()).isEqualTo(PhotoCrop.State.UNTOUCHED);
        Shoot mended = Trimming.of(bad, "a.jpg", Trim.NONE);
        assertThat(mended).isEqualTo(good);
        assertThat(new Crops(mended).of(mended.photo("b.jpg"), withLead).state())
                .isEqualTo(PhotoCrop.State.FOLLOW);
    }

    @Test
    void whatIsSaidOfSuchAPhotoIsKeptAndItCanStartAgain() {
        Photo bad = turned(photo("a.jpg"), STRONG).withTrim(beyond()).withMark(Mark.SELECT);
        assertThatThrownBy(bad::outline).isInstanceOf(IllegalArgumentException.class);
        Shoot shoot = shoot(bad, photo("b.jpg"));
        assertThat(Reorient.RIGHT.apply(shoot, Set.of("a.jpg", "b.jpg")).photo("a.jpg"))
                .isEqualTo(bad);
        Photo fresh = StartAgain.photos(shoot, Set.of("a.jpg")).photo("a.jpg");
        assertThat(fresh.isCroppable()).isTrue();
        assertThat(fresh.mark()).isEqualTo(Mark.SELECT);
    }

    @Test
    void whateverIsCroppableHasCrops() {
        Random random = new Random(29);
        int without = 0;
        for (int i = 0; i < 4000; i++) {
            double across = Trim.MOST * Math.max(0.5, random.nextDouble());
            double down = Trim.MOST * Math.max(0.5, random.nextDouble());
            double left = across * random.nextInt(3) / 2;
            double top = down * random.nextInt(3) / 2;
            double way = random.nextDouble() * 2 * Math.PI;
            Photo photo = photo("a.jpg")
                    .withTrim(new Trim(left, top, across - left, down - top))
                    .withAngle(new Angle(random.nextInt(91) - 45));
            if (random.nextInt(4) > 0) {
                double most = 60 - random.nextInt(20);
                photo = turned(
                        photo,
                        new Perspective(
                                most * Math.sin(way),
                                most * Math.cos(way),
                                100,
                                1,
                                8 + random.nextInt(40),
                                SceneLines.NONE));
            }
            if (random.nextInt(3) == 0) {
                photo = photo.withPreparation(
                        photo.preparation().withLens(Optional.of(Lens.byHand(random.nextInt(201) - 100))));
            }
            if (!photo.isCroppable()) {
                without++;
                continue;
            }
            Crop crop = new Crops(shoot(photo)).of(photo, FEED).crop();
            assertThat(crop.size().area()).as("%s", photo.preparation()).isPositive();
            assertThat(photo.outline().contains(crop, 1e-3))
                    .as("%s", photo.preparation())
                    .isTrue();
        }
        assertThat(without).as("both kinds are met").isBetween(20, 3000);
    }
}
