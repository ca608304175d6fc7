package nexa.core.find;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Subject;
import nexa.core.shoot.Trim;
import nexa.core.shoot.Trim.Side;
import org.junit.jupiter.api.Test;

/** What is believed of what was measured, and what taking it does. */
class TakeFoundTest {
    private static final Subject SPOT = Subject.around(
            new Point(0.3, 0.4), new Bounds(new Point(0.2, 0.3), new Point(0.4, 0.5)), new Size(600, 400));
    private static final FoundSubject SURE = new FoundSubject(FoundSubject.Named.STANDS_OUT, Optional.of(SPOT), 0.8);
    private static final FoundTrim BORDER =
            new FoundTrim(FoundTrim.Reason.PLAIN_SIDES, new Trim(0.1, 0.1, 0.1, 0.1), 0.95);

    private static Photo photo(String file) {
        return Photo.untouched(file).withPixels(new PixelSize(600, 400));
    }

    @Test
    void onlyWhatIsSureIsUsualAndNothingThatWasSaidByHand() {
        assertThat(TakeFound.isUsual(photo("a.jpg"), SURE)).isTrue();
        FoundSubject likely = new FoundSubject(FoundSubject.Named.STANDS_OUT, Optional.of(SPOT), 0.4);
        assertThat(TakeFound.isUsual(photo("a.jpg"), likely)).isFalse();
        assertThat(TakeFound.isUsual(photo("a.jpg").withSubject(Optional.of(SPOT)), SURE))
                .isFalse();
        assertThat(TakeFound.isUsual(photo("a.jpg").withSubject(Optional.empty()), SURE))
                .as("said to be about nothing")
                .isFalse();
        assertThat(TakeFound.isUsual(photo("a.jpg"), BORDER)).isTrue();
        assertThat(TakeFound.isUsual(photo("a.jpg").withTrim(new Trim(0.2, 0, 0, 0)), BORDER))
                .isFalse();
    }

    @Test
    void takenItIsWhatTheHandWouldHaveSaid() {
        Shoot shoot = Shoot.of("", Shoot.Order.NAME, List.of(), List.of(photo("a.jpg"), photo("b.jpg")));
        Shoot taken = TakeFound.of(shoot, Map.of("a.jpg", List.of(SURE, BORDER), "gone.jpg", List.of(SURE)));
        assertThat(taken.photo("a.jpg"))
                .isEqualTo(photo("a.jpg").withSubject(Optional.of(SPOT)).withTrim(BORDER.trim()));
        assertThat(taken.photo("b.jpg")).isEqualTo(photo("b.jpg"));
    }

    private static BorderSide side(double depth, double cover, int level) {
        return new BorderSide(
                depth, depth / 1000, cover, cover, 0, 0.3, 0.05, 0.8, 0, new BorderSide.Colour(level, level, level));
    }

    private static Set<Side> claimed(Map<Side, BorderSide> measured) {
        return BorderClaim.of(new EnumMap<>(measured)).keySet();
    }

    @Test
    void aBorderIsBelievedAllAroundOrAtOppositeSidesOrWhereItIsShallow() {
        assertThat(claimed(Map.of(Side.TOP, side(200, 0.9, 0), Side.BOTTOM, side(200, 0.9, 0))))
                .containsExactlyInAnyOrder(Side.TOP, Side.BOTTOM);
        assertThat(claimed(Map.of(Side.TOP, side(200, 0.9, 0)))).as("a sky").isEmpty();
        assertThat(claimed(Map.of(Side.TOP, side(60, 0.9, 0)))).containsExactly(Side.TOP);
        assertThat(claimed(Map.of(Side.TOP, side(200, 0.9, 240), Side.BOTTOM, side(200, 0.9, 0))))
                .as("a sky above a dark floor")
                .isEmpty();
        assertThat(claimed(Map.of(
                        Side.TOP, side(80, 0.9, 0), Side.BOTTOM, side(80, 0.9, 0), Side.LEFT, side(80, 0.35, 0))))
                .as("hard to see beside a dark picture")
                .contains(Side.LEFT);
    }
}
