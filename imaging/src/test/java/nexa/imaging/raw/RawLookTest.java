package nexa.imaging.raw;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.ByteBuffer;
import java.nio.ShortBuffer;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RawLookTest {
    private static final int SIDE = 120;

    /** Light of many colours, up to a brightness. */
    private static Mat light(long seed, double most) {
        Random random = new Random(seed);
        Mat light = new Mat(SIDE, SIDE, opencv_core.CV_16UC3);
        ShortBuffer values = light.createBuffer();
        for (int i = 0; i < SIDE * SIDE; i++) {
            double brightness = most * Math.pow(random.nextDouble(), 2);
            for (int c = 0; c < 3; c++) {
                values.put((short) (65_535 * brightness * (0.35 + 0.65 * random.nextDouble())));
            }
        }
        return light;
    }

    /** What a camera makes of light. */
    private static Mat picture(Mat light, double[] gains, DoubleUnaryOperator tone) {
        Mat picture = new Mat(light.rows(), light.cols(), opencv_core.CV_8UC3);
        ShortBuffer from = light.createBuffer();
        ByteBuffer to = picture.createBuffer();
        for (int i = 0; i < 3 * SIDE * SIDE; i++) {
            double value = tone.applyAsDouble(gains[i % 3] * (from.get(i) & 0xFFFF) / 65_535.0);
            to.put((byte) Math.round(255 * Math.max(0, Math.min(1, value))));
        }
        return picture;
    }

    private static double contrasty(double light) {
        double encoded = Math.pow(Math.min(1, 1.7 * light), 1 / 2.2);
        return encoded * encoded * (3 - 2 * encoded);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void aCamerasWhiteAndToneAreFoundAgain(long seed) {
        Mat light = light(seed, 0.9);
        Mat picture = picture(light, new double[] {0.8, 1, 1.25}, RawLookTest::contrasty);
        RawLook look = RawLook.fit(light, picture);
        assertThat(look.difference().getAsDouble()).isLessThan(0.8);
        look.apply(light);
        ShortBuffer made = light.createBuffer();
        ByteBuffer wanted = picture.createBuffer();
        double off = 0;
        for (int i = 0; i < 3 * SIDE * SIDE; i++) {
            off += Math.abs((made.get(i) & 0xFFFF) / 257.0 - (wanted.get(i) & 0xFF));
        }
        assertThat(off / (3 * SIDE * SIDE)).as("levels of 255").isLessThan(1.5);
    }

    @Test
    void moreLightIsNeverDarkerEvenOverAPictureThatHasNothingToDoWithIt() {
        Mat light = light(5, 1);
        Random random = new Random(8);
        Mat picture = picture(light, new double[] {1, 1, 1}, value -> random.nextDouble());
        RawLook look = RawLook.fit(light, picture);
        Mat ramp = new Mat(1, 65_536, opencv_core.CV_16UC3);
        ShortBuffer values = ramp.createBuffer();
        for (int i = 0; i < 3 * 65_536; i++) {
            values.put((short) (i / 3));
        }
        look.apply(ramp);
        ShortBuffer made = ramp.createBuffer();
        for (int i = 3; i < 3 * 65_536; i++) {
            assertThat(made.get(i) & 0xFFFF).isGreaterThanOrEqualTo(made.get(i - 3) & 0xFFFF);
        }
    }

    @Test
    void lightsBrighterThanAnyThatWereSeenGoOnUpToWhite() {
        Mat light = light(9, 0.3);
        RawLook look = RawLook.fit(light, picture(light, new double[] {1, 1, 1}, value -> Math.pow(value, 1 / 2.2)));
        Mat bright = new Mat(1, 2, opencv_core.CV_16UC3);
        ShortBuffer values = bright.createBuffer();
        values.put(new short[] {(short) 40_000, (short) 40_000, (short) 40_000, -1, -1, -1});
        look.apply(bright);
        ShortBuffer made = bright.createBuffer();
        assertThat(made.get(0) & 0xFFFF).isBetween(38_000, 62_000);
        assertThat(made.get(4) & 0xFFFF).isGreaterThan(65_000);
    }

    @Test
    void withoutACamerasPictureLightIsToldAsSrgbTellsIt() {
        Mat grey = new Mat(1, 1, opencv_core.CV_16UC3);
        ShortBuffer values = grey.createBuffer();
        values.put(new short[] {14_037, 14_037, 14_037});
        RawLook.PLAIN.apply(grey);
        ShortBuffer made = grey.createBuffer();
        assertThat((made.get(0) & 0xFFFF) / 257)
                .as("a light of 21.4 % is the middle")
                .isBetween(127, 128);
        assertThat(RawLook.PLAIN.difference()).isEmpty();
    }
}
