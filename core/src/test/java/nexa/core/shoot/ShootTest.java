package nexa.core.shoot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import nexa.core.format.Format;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import org.junit.jupiter.api.Test;

class ShootTest {
    private static final Format PAGE = Format.of("page", "Page", Ratio.of("4", "3"));
    private static final Placement OWN = new Placement.Own(new Wish(new Point(0.5, 0.5), new Size(0.5, 0.5)));
    private static final Placement FOLLOWS =
            new Placement.Follow(Tune.NONE, Set.of(Carry.values()), Optional.empty(), false);

    private static Photo placed(String file, Placement placement) {
        return Photo.untouched(file).withEntry("page", new CropEntry(placement, Optional.empty(), false));
    }

    private static Shoot shoot(Map<Orientation, String> leads, Photo... photos) {
        return Shoot.of("S", Shoot.Order.NAME, List.of(PAGE.withLeads(leads)), List.of(photos));
    }

    @Test
    void aChangeMakesAnotherShootAndLeavesThisOne() {
        Shoot before = shoot(Map.of(), Photo.untouched("a.jpg"), Photo.untouched("b.jpg"));
        Shoot after = before.with("b.jpg", photo -> photo.withAngle(new Angle(2)));
        assertThat(before.photo("b.jpg").angle()).isEqualTo(Angle.NONE);
        assertThat(after.photo("b.jpg").angle()).isEqualTo(new Angle(2));
        assertThat(after.photo("a.jpg")).isSameAs(before.photo("a.jpg"));
        assertThat(after).isNotEqualTo(before);
        assertThat(after.with("b.jpg", photo -> photo.withAngle(Angle.NONE))).isEqualTo(before);
    }

    @Test
    void aShootSaysWhatWasSaidInAnotherStateOfItUnlessThatNeedsAPhotoItLacks() {
        Shoot before = shoot(Map.of(), Photo.untouched("a.jpg"), Photo.untouched("b.jpg"))
                .with("a.jpg", photo -> photo.withAngle(new Angle(2)));
        Shoot other = shoot(Map.of(Orientation.WIDE, "b.jpg"), placed("b.jpg", OWN), placed("c.jpg", FOLLOWS));
        Shoot said = before.saying(other).orElseThrow();
        assertThat(said.photos()).containsExactly(Photo.untouched("a.jpg"), placed("b.jpg", OWN));
        assertThat(said.formats()).isEqualTo(other.formats());
        assertThat(shoot(Map.of(), Photo.untouched("a.jpg")).saying(other)).isEmpty();
    }

    @Test
    void photosAreFoundByNameAlsoWhenTheOrderChanges() {
        Photo a = Photo.untouched("a.jpg");
        Photo b = Photo.untouched("b.jpg");
        Shoot turned = shoot(Map.of(), a, b).withPhotos(List.of(b, a));
        assertThat(turned.photos()).containsExactly(b, a);
        assertThat(turned.photo("a.jpg")).isSameAs(a);
        assertThat(turned.with("a.jpg", photo -> photo.withMark(Mark.OUT))
                        .photos()
                        .get(1)
                        .mark())
                .isEqualTo(Mark.OUT);
        assertThat(turned.find("c.jpg")).isEmpty();
        assertThatIllegalArgumentException()
                .isThrownBy(() -> turned.photo("c.jpg"))
                .withMessageContaining("c.jpg");
    }

    @Test
    void whatIsTwiceIsRefusedByName() {
        Photo a = Photo.untouched("a.jpg");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> shoot(Map.of(), a, a))
                .withMessageContaining("a.jpg is listed twice");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Shoot.of("S", Shoot.Order.NAME, List.of(PAGE, PAGE), List.of()))
                .withMessageContaining("\"page\" is used twice");
    }

    @Test
    void aLeadIsAListedPhotoWithItsOwnCropAndAFollowerNeedsOne() {
        Photo own = placed("a.jpg", OWN);
        Photo follows = placed("b.jpg", FOLLOWS);
        assertThat(shoot(Map.of(Orientation.WIDE, "a.jpg"), own, follows).photos())
                .hasSize(2);
        assertThatIllegalArgumentException()
                .isThrownBy(() -> shoot(Map.of(Orientation.WIDE, "c.jpg"), own))
                .withMessageContaining("c.jpg");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> shoot(Map.of(Orientation.WIDE, "b.jpg"), own, follows))
                .withMessageContaining("a crop of its own");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> shoot(Map.of(), own, follows))
                .withMessageContaining("has no lead");
    }

    @Test
    void photosListenToTheLeadOfTheirOwnOrientationElseToTheOther() {
        Photo wide = placed("w.jpg", OWN);
        Photo tall = placed("t.jpg", OWN);
        Shoot both = shoot(Map.of(Orientation.WIDE, "w.jpg", Orientation.TALL, "t.jpg"), wide, tall);
        assertThat(both.leadFor(both.format("page"), Orientation.TALL)).hasValue(tall);
        Shoot one = shoot(Map.of(Orientation.WIDE, "w.jpg"), wide, tall);
        assertThat(one.leadFor(one.format("page"), Orientation.TALL)).hasValue(wide);
        Shoot none = shoot(Map.of(), wide);
        assertThat(none.leadFor(none.format("page"), Orientation.WIDE)).isEmpty();
    }
}
