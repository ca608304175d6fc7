package nexa.imaging.decode;

import java.awt.color.ICC_Profile;
import java.nio.ByteBuffer;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/** How the numbers of a profile's colours tell light: the curve of its green, or of its grey (ICC.1:2022, 10.6 and 10.18). */
final class ToneReproduction {
    private static final int TABLE = 0x63757276;
    private static final int PARAMETRIC = 0x70617261;
    private static final int HEADER = 8;
    private static final int FIRST = HEADER + 4;
    /** How many parameters each of the functions has. */
    private static final int[] COUNTS = {1, 3, 4, 5, 7};

    private ToneReproduction() {}

    /** From a number to light, both 0 … 1; empty where the profile tells it in no way that is known here. */
    static Optional<DoubleUnaryOperator> of(ICC_Profile profile) {
        byte[] green = profile.getData(ICC_Profile.icSigGreenTRCTag);
        byte[] tag = green == null ? profile.getData(ICC_Profile.icSigGrayTRCTag) : green;
        if (tag == null || tag.length < FIRST) {
            return Optional.empty();
        }
        ByteBuffer in = ByteBuffer.wrap(tag);
        return switch (in.getInt(0)) {
            case TABLE -> table(in, tag.length);
            case PARAMETRIC -> parametric(in, tag.length);
            default -> Optional.empty();
        };
    }

    private static Optional<DoubleUnaryOperator> table(ByteBuffer in, int length) {
        int count = in.getInt(HEADER);
        if (count < 0 || FIRST + 2L * count > length) {
            return Optional.empty();
        }
        if (count == 0) {
            return Optional.of(number -> number);
        }
        if (count == 1) {
            double gamma = (in.getShort(FIRST) & 0xFFFF) / 256.0;
            return Optional.of(number -> Math.pow(number, gamma));
        }
        double[] light = new double[count];
        for (int i = 0; i < count; i++) {
            light[i] = (in.getShort(FIRST + 2 * i) & 0xFFFF) / 65_535.0;
        }
        return Optional.of(number -> {
            int at = Math.min(count - 2, (int) (number * (count - 1)));
            return light[at] + (number * (count - 1) - at) * (light[at + 1] - light[at]);
        });
    }

    private static Optional<DoubleUnaryOperator> parametric(ByteBuffer in, int length) {
        int kind = in.getShort(HEADER);
        if (kind < 0 || kind >= COUNTS.length || FIRST + 4 * COUNTS[kind] > length) {
            return Optional.empty();
        }
        double[] told = new double[7];
        for (int i = 0; i < COUNTS[kind]; i++) {
            told[i] = in.getInt(FIRST + 4 * i) / 65_536.0;
        }
        double gamma = told[0];
        double a = kind == 0 ? 1 : told[1];
        double b = told[2];
        return Optional.of(
                switch (kind) {
                    case 0 -> number -> Math.pow(number, gamma);
                    case 1 -> number -> number >= -b / a ? Math.pow(a * number + b, gamma) : 0;
                    case 2 -> number -> told[3] + (number >= -b / a ? Math.pow(a * number + b, gamma) : 0);
                    default ->
                        number -> number >= told[4]
                                ? Math.pow(a * number + b, gamma) + told[5]
                                : told[3] * number + told[6];
                });
    }
}
