package nexa.sample;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What the drawn truth rests on: the camera, the noise, the wide colours. */
class DrawingTest {
    private static Camera camera(double lean) {
        return new Camera(new Vec(0.2, 1.3, 3), new Vec(0, 1, 0), 40, lean, 0.01, 0);
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 2.3, -6})
    void whereAPointLiesInThePictureIsWhereItsRayComesFrom(double lean) {
        Camera camera = camera(lean);
        Random random = new Random(4);
        for (int i = 0; i < 50; i++) {
            double x = 2 * random.nextDouble() - 1;
            double y = 2 * random.nextDouble() - 1;
            Vec[] ray = camera.ray(x, y, 0, 0);
            double[] place = camera.project(ray[0].plus(ray[1].times(1 + 4 * random.nextDouble())));
            assertThat(place[0]).isCloseTo(x, within(1e-9));
            assertThat(place[1]).isCloseTo(y, within(1e-9));
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {1.4, -3.1})
    void anUprightEdgeInTheMiddleLeansByTheCamerasLean(double lean) {
        Camera level = new Camera(new Vec(0, 1, 3), new Vec(0, 1, 0), 40, lean, 0, 0);
        double[] top = level.project(new Vec(0, 1.4, 0));
        double[] bottom = level.project(new Vec(0, 0.6, 0));
        double degrees = Math.toDegrees(Math.atan2(top[0] - bottom[0], bottom[1] - top[1]));
        assertThat(degrees).as("clockwise on screen").isCloseTo(lean, within(1e-9));
    }

    @Test
    void barrelDistortionPullsTheCornersIn() {
        Camera plain = camera(0);
        Camera bulging = new Camera(plain.eye(), plain.target(), 40, 0, 0, 0.11);
        double[] corner = plain.project(bulging.ray(0.9, 0.6, 0, 0)[0].plus(bulging.ray(0.9, 0.6, 0, 0)[1].times(3)));
        assertThat(corner[0]).as("more is seen in the corner").isGreaterThan(0.9);
        double[] middle = plain.project(bulging.ray(0, 0, 0, 0)[0].plus(bulging.ray(0, 0, 0, 0)[1].times(3)));
        assertThat(middle[0]).isCloseTo(0, within(1e-9));
    }

    @Test
    void noiseIsTheSameEveryTimeAndSmooth() {
        Random random = new Random(9);
        for (int i = 0; i < 200; i++) {
            double x = 40 * random.nextDouble() - 20;
            double y = 40 * random.nextDouble() - 20;
            double here = Noise.layered(x, y, 1, 4);
            assertThat(here).isBetween(0.0, 1.0);
            assertThat(Noise.layered(x, y, 1, 4)).isEqualTo(here);
            assertThat(Noise.smooth(x + 1e-6, y, 1)).isCloseTo(Noise.smooth(x, y, 1), within(1e-4));
        }
    }

    @Test
    void theWideProfileLeadsBackToTheColoursThatWereDrawn() {
        ICC_ColorSpace wide = new ICC_ColorSpace(ICC_Profile.getInstance(WideGamut.profile()));
        assertThat(wide.getType()).isEqualTo(ColorSpace.TYPE_RGB);
        for (int rgb : new int[] {0x336699, 0xC06040, 0x808080, 0xE0E0D0, 0x204020}) {
            int stored = WideGamut.fromSrgb(rgb);
            float[] back = wide.toRGB(
                    new float[] {(stored >> 16 & 255) / 255f, (stored >> 8 & 255) / 255f, (stored & 255) / 255f});
            assertThat(255 * back[0]).isCloseTo((float) (rgb >> 16 & 255), within(3f));
            assertThat(255 * back[1]).isCloseTo((float) (rgb >> 8 & 255), within(3f));
            assertThat(255 * back[2]).isCloseTo((float) (rgb & 255), within(3f));
        }
    }
}
