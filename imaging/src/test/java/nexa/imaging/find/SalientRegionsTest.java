package nexa.imaging.find;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import nexa.core.find.SalientMap;
import nexa.core.find.SalientRegion;
import nexa.core.geometry.Point;
import org.junit.jupiter.api.Test;

/** What stands out is parted into things, and measured. */
class SalientRegionsTest {
    private static final int WIDTH = 240;
    private static final int HEIGHT = 160;

    private final float[] salience = new float[WIDTH * HEIGHT];

    /** A round thing that stands out. */
    private void add(int x, int y, int radius, float level) {
        for (int i = 0; i < salience.length; i++) {
            double off = Math.hypot(i % WIDTH - x, i / WIDTH - y);
            if (off <= radius) {
                salience[i] = Math.max(salience[i], level);
            }
        }
    }

    private Optional<SalientRegion> heaviest() {
        return SalientRegions.heaviest(new SalientMap(WIDTH, HEIGHT, salience, new float[salience.length]));
    }

    @Test
    void oneThingIsMeasuredAndLikely() {
        add(80, 90, 22, 0.9f);
        SalientRegion region = heaviest().orElseThrow();
        assertThat(region.middle().distance(new Point(80.5 / WIDTH, 90.5 / HEIGHT)))
                .isLessThan(0.01);
        assertThat(region.radius()).as("of the short side, nearly all of it").isCloseTo(0.12, within(0.02));
        assertThat(region.second()).isZero();
        assertThat(region.split()).isZero();
        assertThat(region.touch()).isZero();
        assertThat(region.confidence()).isGreaterThan(0.9);
    }

    @Test
    void ofTwoThingsTheHeavierIsMeantAndTheOtherMakesItLessLikely() {
        add(60, 80, 20, 0.9f);
        double alone = heaviest().orElseThrow().confidence();
        add(180, 80, 18, 0.9f);
        SalientRegion region = heaviest().orElseThrow();
        assertThat(region.middle().x()).isCloseTo(60.5 / WIDTH, within(0.01));
        assertThat(region.second()).isBetween(0.7, 0.95);
        assertThat(region.confidence()).isLessThan(alone * 0.7);
    }

    @Test
    void thingsThatRunTogetherArePartedAtAHigherLevel() {
        add(80, 80, 26, 0.8f);
        add(140, 80, 18, 0.8f);
        for (int i = 0; i < salience.length; i++) {
            boolean isBridge = i % WIDTH > 80 && i % WIDTH < 140 && Math.abs(i / WIDTH - 80) < 8;
            salience[i] = isBridge ? Math.max(salience[i], 0.5f) : salience[i];
        }
        SalientRegion region = heaviest().orElseThrow();
        assertThat(region.middle().x()).as("the larger one").isCloseTo(82.0 / WIDTH, within(0.04));
        assertThat(region.split()).isBetween(0.3, 0.8);
    }

    @Test
    void whereNothingStandsOutThereIsNoRegion() {
        assertThat(heaviest()).isEmpty();
        for (int i = 0; i < salience.length; i++) {
            salience[i] = 0.1f;
        }
        assertThat(heaviest()).isEmpty();
    }

    @Test
    void whatDiffersFromAllThatReachesTheBorderIsBehindABarrier() {
        int width = 40;
        int height = 30;
        float[] values = new float[width * height];
        for (int i = 0; i < values.length; i++) {
            // It gets brighter across, which is no barrier but what it costs to come from the nearer side.
            values[i] = i % width;
        }
        for (int y = 10; y < 20; y++) {
            for (int x = 10; x < 20; x++) {
                values[y * width + x] = 100;
            }
        }
        float[] distance = BarrierDistance.of(values, width, height);
        assertThat(distance[0]).isZero();
        assertThat(distance[15 * width + 15]).as("inside the square").isBetween(75f, 100f);
        assertThat(distance[15 * width + 30]).as("right of it").isLessThan(12f);
        assertThat(distance[5 * width + 20]).as("straight up to the border").isZero();
    }
}
