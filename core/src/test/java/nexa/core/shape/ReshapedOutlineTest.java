package nexa.core.shape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.Random;
import nexa.core.crop.Handle;
import nexa.core.crop.Resize;
import nexa.core.crop.Slide;
import nexa.core.crop.Tighten;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import org.junit.jupiter.api.Test;

/** Crops are treated alike in outlines of every shape. */
class ReshapedOutlineTest {
    /** A reshaped outline whose corners are the photo's own behaves like the photo. */
    @Test
    void anyOutlineTreatsCropsAsThePhotosOwnEdgesDo() {
        Random random = new Random(11);
        for (int i = 0; i < 300; i++) {
            Size photo = new Size(100 + random.nextInt(5000), 100 + random.nextInt(5000));
            Angle angle = new Angle(random.nextInt(4) == 0 ? 0 : 90 * random.nextDouble() - 45);
            Outline own = new Outline(photo, angle);
            Outline any = Outline.reshaped(photo, photo.middle(), angle, own.corners());
            Size size = new Size(1 + 6000 * random.nextDouble(), 1 + 6000 * random.nextDouble());
            Point centre = new Point(
                    photo.width() * (1.6 * random.nextDouble() - 0.3),
                    photo.height() * (1.6 * random.nextDouble() - 0.3));
            double near = 1e-6 * photo.longSide();
            assertThat(any.growth(size)).isCloseTo(own.growth(size), within(1e-8 * own.growth(size)));
            Crop settled = own.settle(new Crop(centre, size));
            Crop inAny = any.settle(new Crop(centre, size));
            assertThat(inAny.centre().distance(settled.centre()))
                    .as("case " + i)
                    .isLessThan(near);
            assertThat(inAny.size().width()).isCloseTo(settled.size().width(), within(near));
            Crop largest = own.untouched(size.ratio());
            Crop largestInAny = any.untouched(size.ratio());
            assertThat(largestInAny.centre().distance(largest.centre())).isLessThan(near);
            assertThat(largestInAny.size().width()).isCloseTo(largest.size().width(), within(near));
            Point to = new Point(photo.width() * random.nextDouble(), photo.height() * random.nextDouble());
            Point way = to.minus(own.middle());
            assertThat(any.room(own.middle(), way)).isCloseTo(own.room(own.middle(), way), within(1e-9));
        }
    }

    @Test
    void whatIsDoneToACropStaysInsideAnyOutline() {
        Random random = new Random(7);
        Plane plane = new Plane(
                new Size(6000, 4000),
                new Angle(4),
                Optional.of(new Lens(Optional.empty(), 1, 1, 1, 1, 40)),
                Optional.of(new Perspective(18, -7, 100, 1.1, 24, SceneLines.NONE)));
        Outline outline = plane.outline();
        for (int i = 0; i < 200; i++) {
            Size size = outline.largest(0.5 + 2 * random.nextDouble()).times(0.2 + 0.8 * random.nextDouble());
            Point anywhere = new Point(8000 * random.nextDouble() - 1000, 6000 * random.nextDouble() - 1000);
            Crop crop = outline.settle(new Crop(anywhere, size));
            assertThat(outline.contains(crop, 1e-5)).isTrue();
            Handle handle = Handle.values()[random.nextInt(Handle.values().length)];
            boolean keepsRatio = random.nextBoolean();
            Crop resized = new Resize(outline, crop, handle, Resize.Anchor.OPPOSITE, keepsRatio).to(anywhere);
            assertThat(outline.contains(resized, 1e-5)).as("case " + i).isTrue();
            assertThat(outline.contains(Slide.by(outline, crop, new Point(700, -900)), 1e-5))
                    .isTrue();
            assertThat(outline.contains(Tighten.about(outline, crop, crop.centre(), 1.4), 1e-5))
                    .isTrue();
        }
    }

    /** Against a search that knows only how to slide: where what is weighed is concave, thirds of a range find its top. */
    @Test
    void noOtherSizeAndPlaceSettlesBetter() {
        Random random = new Random(23);
        for (int i = 0; i < 150; i++) {
            Outline outline = anyPlane(random).outline();
            Size photo = outline.photo();
            Crop wish = new Crop(
                    new Point(
                            photo.width() * (1.8 * random.nextDouble() - 0.4),
                            photo.height() * (1.8 * random.nextDouble() - 0.4)),
                    new Size(
                            photo.width() * (0.05 + 1.4 * random.nextDouble()),
                            photo.height() * (0.05 + 1.4 * random.nextDouble())));
            double growth = Math.min(1, outline.growth(wish.size()));
            Crop settled = outline.settle(wish);
            double factor = settled.size().width() / wish.size().width();
            double low = growth / 4;
            double high = growth;
            for (int step = 0; step < 200; step++) {
                double lower = low + (high - low) / 3;
                double upper = high - (high - low) / 3;
                if (weighed(outline, wish, lower) < weighed(outline, wish, upper)) {
                    low = lower;
                } else {
                    high = upper;
                }
            }
            assertThat(outline.contains(settled, 1e-5)).as("case " + i).isTrue();
            assertThat(weighed(outline, wish, factor))
                    .as("case " + i)
                    .isGreaterThanOrEqualTo(weighed(outline, wish, (low + high) / 2) - 1e-4);
            assertThat(factor).as("case " + i).isLessThanOrEqualTo(growth * (1 + 1e-9));
        }
    }

    private static Plane anyPlane(Random random) {
        Size photo = new Size(500 + random.nextInt(6000), 500 + random.nextInt(6000));
        Angle angle = new Angle(random.nextInt(3) == 0 ? 0 : 90 * random.nextDouble() - 45);
        Lens lens = new Lens(Optional.empty(), 1, 1, 1, 1, 160 * random.nextDouble() - 80);
        Perspective perspective = new Perspective(
                60 * random.nextDouble() - 30,
                60 * random.nextDouble() - 30,
                100,
                0.8 + 0.5 * random.nextDouble(),
                28,
                SceneLines.NONE);
        return new Plane(
                photo,
                angle,
                random.nextBoolean() ? Optional.of(lens) : Optional.empty(),
                random.nextInt(5) > 0 ? Optional.of(perspective) : Optional.empty());
    }

    /** What a crop of a share of its wish is worth at the nearest place, as the maths of settling weighs it. */
    private static double weighed(Outline outline, Crop wish, double factor) {
        Size size = wish.size().times(factor);
        Point centre = outline.nearestCentre(wish.centre(), size);
        double far = centre.distance(wish.centre());
        double length = outline.photo().width()
                + outline.photo().height()
                + 2 * wish.centre().distance(outline.middle());
        return factor * Math.hypot(wish.size().width(), wish.size().height()) - far * far / length;
    }
}
