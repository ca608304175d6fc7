package nexa.imaging.decode;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.nio.ByteBuffer;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;

class ToneReproductionTest {
    private static double srgb(double number) {
        return number <= 0.04045 ? number / 12.92 : Math.pow((number + 0.055) / 1.055, 2.4);
    }

    @Test
    void aTableTellsLight() {
        DoubleUnaryOperator light =
                ToneReproduction.of(ICC_Profile.getInstance(ColorSpace.CS_sRGB)).orElseThrow();
        for (double number = 0; number <= 1; number += 0.05) {
            assertThat(light.applyAsDouble(number)).isCloseTo(srgb(number), within(1e-3));
        }
    }

    @Test
    void aPowerTellsLight() {
        DoubleUnaryOperator light = ToneReproduction.of(ICC_Profile.getInstance(ColorSpace.CS_LINEAR_RGB))
                .orElseThrow();
        assertThat(light.applyAsDouble(0.3)).isCloseTo(0.3, within(1e-3));
    }

    @Test
    void parametersTellLight() {
        ICC_Profile profile = ICC_Profile.getInstance(ColorSpace.CS_sRGB);
        ByteBuffer told = ByteBuffer.allocate(12 + 4 * 5);
        told.putInt(0x70617261).putInt(0).putShort((short) 3).putShort((short) 0);
        for (double value : new double[] {2.4, 1 / 1.055, 0.055 / 1.055, 1 / 12.92, 0.04045}) {
            told.putInt((int) Math.round(value * 65_536));
        }
        ICC_Profile own = ICC_Profile.getInstance(profile.getData());
        own.setData(ICC_Profile.icSigGreenTRCTag, told.array());
        DoubleUnaryOperator light = ToneReproduction.of(own).orElseThrow();
        assertThat(light.applyAsDouble(0.02)).isCloseTo(srgb(0.02), within(1e-4));
        assertThat(light.applyAsDouble(0.6)).isCloseTo(srgb(0.6), within(1e-4));
    }
}
