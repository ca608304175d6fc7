package nexa.imaging.decode;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.nio.ByteBuffer;
import java.util.Optional;
import java.util.Random;
import org.bytedeco.javacpp.ShortPointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.Test;

/** Colours of a profile brought to sRGB, whatever the depth and the channels. */
class ColourProfileTest {
    private static final String[] CLASSES = {"mntr", "link", "abst", "nmcl", "prtr"};

    private static ColourProfile of(int space) {
        return ColourProfile.read(ICC_Profile.getInstance(space).getData()).orElseThrow();
    }

    /** sRGB's curve, from light to value (IEC 61966-2-1). */
    private static double encoded(double light) {
        return light <= 0.0031308 ? 12.92 * light : 1.055 * Math.pow(light, 1 / 2.4) - 0.055;
    }

    private static int value(Mat pixels, int channel) {
        return pixels.ptr(1, 1).get(channel) & 255;
    }

    @Test
    void whatIsNoProfileIsNone() {
        assertThat(ColourProfile.read(new byte[0])).isEmpty();
        assertThat(ColourProfile.read("no profile at all, only words".getBytes()))
                .isEmpty();
    }

    /** Whatever a profile's header and table say: if it is taken it can be used. */
    @Test
    void aProfileThatLiesIsNoneOrDoesNoHarm() {
        Random random = new Random(29);
        int none = 0;
        int count = Boolean.getBoolean("nexa.thorough") ? 300 : 60;
        for (int i = 0; i < count; i++) {
            byte[] lying = ICC_Profile.getInstance(i % 2 == 0 ? ColorSpace.CS_sRGB : ColorSpace.CS_GRAY)
                    .getData();
            switch (i % 3) {
                // The class of devices, the table of contents, its length.
                case 0 -> System.arraycopy(CLASSES[i % CLASSES.length].getBytes(), 0, lying, 12, 4);
                case 1 -> lying[132 + random.nextInt(90)] = (byte) random.nextInt(256);
                default -> ByteBuffer.wrap(lying).putInt(128, random.nextInt(20));
            }
            Optional<ColourProfile> read = ColourProfile.read(lying);
            none += read.isEmpty() ? 1 : 0;
            read.ifPresent(profile -> {
                try (Mat pixels = new Mat(4, 4, opencv_core.CV_8UC3, new Scalar(20, 90, 200, 0))) {
                    profile.toSrgb(pixels);
                    assertThat(pixels.rows()).isEqualTo(4);
                }
            });
        }
        assertThat(none).isBetween(count / 15, count - count / 30);
    }

    @Test
    void lightBecomesValuesInEightAndSixteenBits() {
        try (Mat eight = new Mat(4, 4, opencv_core.CV_8UC3, new Scalar(20, 90, 200, 0));
                Mat sixteen = new Mat(4, 4, opencv_core.CV_16UC3, new Scalar(20 * 257, 90 * 257, 200 * 257, 0))) {
            of(ColorSpace.CS_LINEAR_RGB).toSrgb(eight);
            of(ColorSpace.CS_LINEAR_RGB).toSrgb(sixteen);
            for (int channel = 0; channel < 3; channel++) {
                double light = new int[] {20, 90, 200}[channel] / 255.0;
                int deep = new ShortPointer(sixteen.ptr(1, 1)).get(channel) & 0xFFFF;
                assertThat((double) value(eight, channel)).isCloseTo(255 * encoded(light), within(1.5));
                assertThat((double) deep).isCloseTo(65_535 * encoded(light), within(60.0));
            }
        }
    }

    @Test
    void whatIsSeeThroughStaysSo() {
        try (Mat pixels = new Mat(4, 4, opencv_core.CV_8UC4, new Scalar(20, 90, 200, 77))) {
            of(ColorSpace.CS_LINEAR_RGB).toSrgb(pixels);
            assertThat(pixels.channels()).isEqualTo(4);
            assertThat(value(pixels, 3)).isEqualTo(77);
            assertThat(value(pixels, 0)).isGreaterThan(60);
        }
    }

    @Test
    void greyOfAProfileBecomesColour() {
        try (Mat grey = new Mat(4, 4, opencv_core.CV_8UC1, new Scalar(60))) {
            of(ColorSpace.CS_GRAY).toSrgb(grey);
            assertThat(grey.channels()).isEqualTo(3);
            assertThat((double) value(grey, 0))
                    .as("Java's grey is light")
                    .isCloseTo(255 * encoded(60 / 255.0), within(2.0));
            assertThat(value(grey, 0)).isEqualTo(value(grey, 2));
        }
    }

    @Test
    void pixelsOfAnotherKindThanTheProfileAreLeftAlone() {
        try (Mat grey = new Mat(4, 4, opencv_core.CV_8UC1, new Scalar(60))) {
            of(ColorSpace.CS_LINEAR_RGB).toSrgb(grey);
            assertThat(grey.channels()).isEqualTo(1);
            assertThat(value(grey, 0)).isEqualTo(60);
        }
    }
}
