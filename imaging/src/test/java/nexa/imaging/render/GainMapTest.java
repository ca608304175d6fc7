package nexa.imaging.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.javacpp.indexer.UShortIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class GainMapTest {
    private static double light(double number) {
        return number <= 0.04045 ? number / 12.92 : Math.pow((number + 0.055) / 1.055, 2.4);
    }

    @Test
    void nothingIsChangedWhereLightIsMultipliedByOne() {
        byte[] row = ToneCurve.SRGB.row(ToneCurve.NO_GAIN);
        for (int i = 0; i < 256; i++) {
            assertThat(row[i] & 0xFF).isEqualTo(i);
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.3, 0.9, 1.1, 2, 5})
    void lightIsMultipliedAndWhiteStaysWhite(double gain) {
        byte[] row = ToneCurve.SRGB.row((int) Math.round(ToneCurve.level(gain)));
        for (int i = 0; i < 256; i++) {
            double expected = Math.min(1, gain * light(i / 255.0));
            // Half a number, and what the gain is rounded by.
            double near = 0.51 / 255;
            double now = (row[i] & 0xFF) / 255.0;
            assertThat(light(now + near)).isGreaterThanOrEqualTo(expected * 0.998);
            assertThat(now < near ? 0 : light(now - near)).isLessThanOrEqualTo(expected * 1.002);
        }
    }

    @Test
    void sixteenBitsAreMultipliedAsFinelyAsTheyAreTold() {
        try (Scalar grey = new Scalar(20_000, 30_000, 1_000, 0);
                Mat pixels = new Mat(40, 60, opencv_core.CV_16UC3, grey)) {
            GainMap.multiply(pixels, ToneCurve.SRGB, place -> 1 + place.x() / 60);
            try (UShortIndexer told = pixels.createIndexer()) {
                for (int x = 0; x < 60; x++) {
                    double gain = 1 + (x + 0.5) / 60;
                    for (int channel = 0; channel < 3; channel++) {
                        double before = new double[] {20_000, 30_000, 1_000}[channel] / 65_535;
                        assertThat(light(told.get(17, x, channel) / 65_535.0))
                                .isCloseTo(gain * light(before), within(2e-5 + 1e-3 * light(before)));
                    }
                }
            }
        }
    }

    @Test
    void coloursAreNeverMoreThanWhatIsNotSeeThrough() {
        try (Scalar half = new Scalar(100, 100, 60, 120);
                Mat pixels = new Mat(20, 20, opencv_core.CV_8UC4, half)) {
            GainMap.multiply(pixels, ToneCurve.SRGB, place -> 8.0);
            try (UByteIndexer told = pixels.createIndexer()) {
                assertThat(told.get(5, 5, 0)).isEqualTo(120);
                assertThat(told.get(5, 5, 3)).isEqualTo(120);
            }
        }
    }
}
