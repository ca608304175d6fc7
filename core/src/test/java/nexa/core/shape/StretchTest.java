package nexa.core.shape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Polygons;
import nexa.core.geometry.Size;
import org.junit.jupiter.api.Test;

/** Room made beyond a photo's sides, and what of a crop lies there. */
class StretchTest {
    private static final Bounds PHOTO = new Bounds(Point.ORIGIN, new Point(1000, 600));
    private static final Bounds KEPT = new Bounds(new Point(400, 200), new Point(600, 400));
    private static final Stretch LEFT = new Stretch(PHOTO, new Margins(100, 0, 0, 0), KEPT);

    @Test
    void whatIsKeptAndTheOtherSidesStay() {
        assertThat(LEFT.toPhoto(new Point(450, 300))).isEqualTo(new Point(450, 300));
        assertThat(LEFT.toPhoto(new Point(980, 20))).isEqualTo(new Point(980, 20));
    }

    @Test
    void theNewEdgeShowsTheOldOneAndNothingLiesBeyondThat() {
        assertThat(LEFT.toPhoto(new Point(-100, 300)).x()).isCloseTo(0, within(1e-9));
        assertThat(LEFT.toPhoto(new Point(-140, 300)).x()).isCloseTo(0, within(1e-9));
    }

    @Test
    void itIsDrawnOutSmoothlyAndNoMoreThanItSays() {
        assertThat(LEFT.most()).isCloseTo(1 + 1.2 * 100 / 400, within(1e-12));
        double before = LEFT.toPhoto(new Point(400, 0)).x();
        double slope = 1;
        for (int x = 399; x >= -100; x--) {
            double now = LEFT.toPhoto(new Point(x, 0)).x();
            double step = before - now;
            assertThat(step).as("x " + x).isBetween(1 / LEFT.most() - 1e-9, 1 + 1e-9);
            assertThat(step).as("no sudden bend at " + x).isCloseTo(slope, within(0.01));
            slope = step;
            before = now;
        }
    }

    @Test
    void withoutABandThereIsNoEndToIt() {
        Stretch none = new Stretch(PHOTO, new Margins(10, 0, 0, 0), new Bounds(new Point(0, 0), new Point(600, 400)));
        assertThat(none.most()).isInfinite();
    }

    @Test
    void theShareOutsideIsThatOfTheAreaAlsoWhereThePhotoIsTurnedOrTrimmed() {
        Size size = new Size(1000, 600);
        Plane plain = new Plane(size, Angle.NONE, Optional.empty(), Optional.empty());
        Crop crop = new Crop(new Point(900, 300), new Size(400, 400));
        assertThat(plain.shareOutside(crop, PHOTO)).isCloseTo(0.25, within(1e-12));
        assertThat(plain.margins(crop, PHOTO)).isEqualTo(new Margins(0, 0, 100, 0));
        Bounds trimmed = new Bounds(new Point(0, 200), new Point(1000, 600));
        assertThat(plain.shareOutside(crop, trimmed)).isCloseTo(1 - 0.75 * 0.75, within(1e-12));
        Plane turned = new Plane(size, new Angle(45), Optional.empty(), Optional.empty());
        Crop corner = new Crop(new Point(0, 0), new Size(200, 200));
        assertThat(turned.shareOutside(corner, PHOTO)).isCloseTo(0.75, within(1e-12));
        assertThat(turned.shareOutside(new Crop(new Point(500, 300), new Size(100, 100)), PHOTO))
                .isZero();
    }

    @Test
    void anAreaThatIsNotConvexKeepsItsSizeWhenPartsAreCutOff() {
        List<Point> bent =
                List.of(new Point(0, 0), new Point(5, 3), new Point(10, 0), new Point(10, 10), new Point(0, 10));
        List<Point> window = List.of(new Point(2, -5), new Point(8, -5), new Point(8, 5), new Point(2, 5));
        assertThat(Polygons.area(bent)).isCloseTo(85, within(1e-12));
        assertThat(Polygons.area(Polygons.within(bent, window))).isCloseTo(30 - 12.6, within(1e-12));
    }
}
