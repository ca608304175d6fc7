package nexa.core.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Set;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shape.PhotoSpace;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Quarter turns and mirroring take crops along. */
class ReorientTest extends ChangedShoot {
    @ParameterizedTest
    @EnumSource(Reorient.class)
    void anOwnCropShowsTheSamePartOfTheSceneAfterwards(Reorient how) {
        Shoot turned = how.apply(shoot, Set.of("own.jpg"));
        Crop before = crop(shoot, "own.jpg");
        Crop after = crop(turned, "own.jpg");
        Photo photo = turned.photo("own.jpg");
        boolean isQuarter = how == Reorient.RIGHT || how == Reorient.LEFT;
        assertThat(after.size().width())
                .isCloseTo(isQuarter ? before.size().height() : before.size().width(), within(1e-6));
        Point subjectBefore = before.placeOf(
                shoot.photo("own.jpg").subject().orElseThrow().in(PhotoSpace.of(new Size(4000, 3000))), new Angle(3));
        Point subjectAfter = after.placeOf(photo.subject().orElseThrow().in(photo.space()), photo.angle());
        Point expected = switch (how) {
            case RIGHT -> new Point(1 - subjectBefore.y(), subjectBefore.x());
            case LEFT -> new Point(subjectBefore.y(), 1 - subjectBefore.x());
            case HALF -> new Point(1 - subjectBefore.x(), 1 - subjectBefore.y());
            case MIRROR -> new Point(1 - subjectBefore.x(), subjectBefore.y());
            case MIRROR_DOWN -> new Point(subjectBefore.x(), 1 - subjectBefore.y());
        };
        assertThat(subjectAfter.distance(expected)).isLessThan(1e-9);
    }

    @Test
    void fourQuartersMirroringTwiceAndLeftAfterRightGiveTheShootAgain() {
        Set<String> all = Set.of("wide.jpg", "tall.jpg", "own.jpg", "lead.jpg");
        Shoot around = shoot;
        for (int i = 0; i < 4; i++) {
            around = Reorient.RIGHT.apply(around, all);
        }
        assertNear(around);
        assertNear(Reorient.MIRROR.apply(Reorient.MIRROR.apply(shoot, all), all));
        assertNear(Reorient.LEFT.apply(Reorient.RIGHT.apply(shoot, all), all));
        assertNear(Reorient.MIRROR_DOWN.apply(Reorient.MIRROR_DOWN.apply(shoot, all), all));
        assertNear(Reorient.MIRROR_DOWN.apply(Reorient.MIRROR.apply(Reorient.HALF.apply(shoot, all), all), all));
    }

    @Test
    void aLeadTurnedAQuarterLeadsOnIfItsNewOrientationIsFree() {
        Shoot turned = Reorient.RIGHT.apply(shoot, Set.of("lead.jpg"));
        assertThat(turned.format("page").leads()).isEqualTo(Map.of(Orientation.TALL, "lead.jpg"));
        assertThat(state(turned, "wide.jpg")).isEqualTo(PhotoCrop.State.FOLLOW);
    }

    @Test
    void aLeadTurnedIntoATakenOrientationLetsItsFollowersStayWhereTheyAre() {
        Shoot both = Leads.make(shoot, "tall.jpg", "page");
        Shoot turned = Reorient.RIGHT.apply(both, Set.of("lead.jpg"));
        assertThat(turned.format("page").leads()).isEqualTo(Map.of(Orientation.TALL, "tall.jpg"));
        assertThat(state(turned, "wide.jpg")).isEqualTo(PhotoCrop.State.OWN);
        assertSame(crop(turned, "wide.jpg"), crop(both, "wide.jpg"));
    }

    @Test
    void turningAPhotoAndBackGivesTheFirstCropExactly() {
        Crop before = crop(shoot, "own.jpg");
        Shoot turned = shoot.with("own.jpg", photo -> photo.withAngle(new Angle(31)));
        assertThat(turned.photo("own.jpg").outline().settle(crop(turned, "own.jpg")))
                .isEqualTo(crop(turned, "own.jpg"));
        assertThat(crop(turned.with("own.jpg", photo -> photo.withAngle(new Angle(3))), "own.jpg"))
                .isEqualTo(before);
    }

    private void assertNear(Shoot again) {
        assertThat(again)
                .usingRecursiveComparison()
                .withComparatorForType((a, b) -> Math.abs(a - b) < 1e-12 ? 0 : 1, Double.class)
                .isEqualTo(shoot);
    }
}
