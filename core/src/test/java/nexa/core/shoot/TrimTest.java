package nexa.core.shoot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import nexa.core.format.PixelSize;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.message.Rejected;
import org.junit.jupiter.api.Test;

class TrimTest {
    private static final Size PHOTO = new Size(1200, 800);

    @Test
    void whatRemainsIsWhatWasLeft() {
        Bounds remaining = new Bounds(new Point(120, 40), new Point(1100, 760));
        Bounds again = Trim.leaving(remaining, PHOTO).remaining(PHOTO);
        assertThat(again.least().distance(remaining.least())).isLessThan(1e-9);
        assertThat(again.most().distance(remaining.most())).isLessThan(1e-9);
        assertThat(Trim.leaving(Trim.NONE.remaining(PHOTO), PHOTO)).isEqualTo(Trim.NONE);
    }

    @Test
    void atLeastATenthRemainsEachWay() {
        assertThatThrownBy(() -> new Trim(0.5, 0, 0.41, 0)).isInstanceOf(Rejected.class);
        assertThatThrownBy(() -> new Trim(0, -0.01, 0, 0)).isInstanceOf(Rejected.class);
        assertThatThrownBy(() -> new Trim(0, 0, 0, Double.NaN)).isInstanceOf(Rejected.class);
        Trim trim = new Trim(0.5, 0, 0, 0);
        assertThat(trim.with(Trim.Side.RIGHT, 0.7).right()).isCloseTo(0.4, within(1e-12));
        assertThat(trim.with(Trim.Side.LEFT, -3)).isEqualTo(Trim.NONE);
        assertThat(trim.with(Trim.Side.BOTTOM, 0.2)).isEqualTo(new Trim(0.5, 0, 0, 0.2));
    }

    @Test
    void aPhotoLiesAsWhatRemainsOfItDoes() {
        Photo wide = Photo.untouched("a.jpg").withPixels(new PixelSize(1200, 800));
        assertThat(wide.orientation()).isEqualTo(Orientation.WIDE);
        Photo tall = wide.withTrim(new Trim(0.3, 0, 0.3, 0));
        assertThat(tall.orientation()).isEqualTo(Orientation.TALL);
        assertThat(tall.lane()).isEqualTo(Lane.TALL);
        // Fractions of pixels that rounding leaves make no square tall.
        Trim square = Trim.leaving(new Bounds(new Point(133, 31), new Point(133 + 701, 31 + 701)), PHOTO);
        assertThat(wide.withTrim(square).lane()).isEqualTo(Lane.SQUARE);
    }
}
