package nexa.core.crop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import nexa.core.RandomCases;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class DrawCropTest {
    private static final Outline LEVEL = new Outline(new Size(6000, 4000), Angle.NONE);

    static Stream<RandomCases.Case> randomCases() {
        return RandomCases.of(600);
    }

    @ParameterizedTest
    @MethodSource("randomCases")
    void whatIsDrawnStaysInsideInItsRatioAndHoldsWhereTheDragBegan(RandomCases.Case given) {
        Point start = given.crop()
                .at(
                        given.random().nextDouble(),
                        given.random().nextDouble(),
                        given.outline().angle());
        Resize.Anchor anchor = Resize.Anchor.values()[given.random().nextInt(2)];
        double ratio = given.crop().size().ratio();
        OptionalDouble asked = given.random().nextBoolean() ? OptionalDouble.of(ratio) : OptionalDouble.empty();
        Point pointer = RandomCases.anywhere(given.outline(), given.random());

        Optional<Crop> drawn = new DrawCrop(given.outline(), start, anchor, asked).to(pointer);
        drawn.ifPresent(crop -> {
            assertThat(given.outline().contains(crop, 1e-6)).isTrue();
            if (asked.isPresent()) {
                double lying = crop.size().orientation().turn(ratio);
                assertThat(crop.size().ratio()).isCloseTo(lying, within(1e-9 * lying));
            }
            double off = anchor == Resize.Anchor.CENTRE
                    ? crop.centre().distance(start)
                    : crop.corners(given.outline().angle()).stream()
                            .mapToDouble(start::distance)
                            .min()
                            .orElseThrow();
            // A start nearer to the photo's edge than the seed is wide is taken that much further in.
            assertThat(off).isLessThan(0.01);
        });
    }

    @Test
    void theDragsDirectionDecidesWhetherItLiesWideOrTall() {
        DrawCrop drawing = new DrawCrop(LEVEL, new Point(3000, 2000), Resize.Anchor.OPPOSITE, OptionalDouble.of(0.8));
        Size wide = drawing.to(new Point(4200, 2300)).orElseThrow().size();
        Size tall = drawing.to(new Point(2800, 900)).orElseThrow().size();
        assertThat(wide.ratio()).isCloseTo(1.25, within(1e-9));
        assertThat(tall.ratio()).isCloseTo(0.8, within(1e-9));
    }

    @Test
    void aDragUpAndLeftGrowsThatWay() {
        Crop drawn = new DrawCrop(LEVEL, new Point(3000, 2000), Resize.Anchor.OPPOSITE, OptionalDouble.empty())
                .to(new Point(2000, 1500))
                .orElseThrow();
        SettleTest.assertNear(drawn, new Crop(new Point(2500, 1750), new Size(1000, 500)), 1e-2);
    }

    @Test
    void aClickDrawsNothing() {
        DrawCrop drawing = new DrawCrop(LEVEL, new Point(10, 10), Resize.Anchor.CENTRE, OptionalDouble.empty());
        assertThat(drawing.to(new Point(12, 11))).isEmpty();
    }
}
