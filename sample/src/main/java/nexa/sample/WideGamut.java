package nexa.sample;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;

/**
 * A made-up colour space with purer primaries than sRGB and a plain gamma of 2.2, and its ICC profile (version 2, matrix
 * and curves).
 */
final class WideGamut {
    private static final double GAMMA = 2.2;
    /** The primaries' XYZ under the profile's D50 white, a column each: red, green, blue. They add up to that white. */
    private static final double[][] TO_XYZ = {
        {0.6097, 0.2053, 0.1492}, {0.3111, 0.6257, 0.0632}, {0.0195, 0.0609, 0.7446}
    };
    /** sRGB's, likewise. */
    private static final double[][] SRGB_TO_XYZ = {
        {0.4361, 0.3851, 0.1431}, {0.2225, 0.7169, 0.0606}, {0.0139, 0.0971, 0.7141}
    };

    private WideGamut() {}

    /** A pixel of sRGB as this space has it; both as 0xRRGGBB. */
    static int fromSrgb(int rgb) {
        Vec linear = Vec.srgb(rgb);
        double[] xyz = times(SRGB_TO_XYZ, new double[] {linear.x(), linear.y(), linear.z()});
        double[] wide = times(inverse(TO_XYZ), xyz);
        return encoded(wide[0]) << 16 | encoded(wide[1]) << 8 | encoded(wide[2]);
    }

    private static int encoded(double linear) {
        return (int) Math.round(255 * Math.pow(Math.max(0, Math.min(1, linear)), 1 / GAMMA));
    }

    private static double[] times(double[][] m, double[] v) {
        double[] result = new double[3];
        for (int i = 0; i < 3; i++) {
            result[i] = m[i][0] * v[0] + m[i][1] * v[1] + m[i][2] * v[2];
        }
        return result;
    }

    private static double[][] inverse(double[][] m) {
        Vec a = new Vec(m[0][0], m[1][0], m[2][0]);
        Vec b = new Vec(m[0][1], m[1][1], m[2][1]);
        Vec c = new Vec(m[0][2], m[1][2], m[2][2]);
        double det = a.dot(b.cross(c));
        Vec x = b.cross(c).times(1 / det);
        Vec y = c.cross(a).times(1 / det);
        Vec z = a.cross(b).times(1 / det);
        return new double[][] {{x.x(), x.y(), x.z()}, {y.x(), y.y(), y.z()}, {z.x(), z.y(), z.z()}};
    }

    static byte[] profile() {
        String[] tags = {"desc", "cprt", "wtpt", "rXYZ", "gXYZ", "bXYZ", "rTRC", "gTRC", "bTRC"};
        byte[][] values = {
            description("Fernhill wide"),
            text("Public domain"),
            xyz(0.9642, 1, 0.8249),
            xyz(TO_XYZ[0][0], TO_XYZ[1][0], TO_XYZ[2][0]),
            xyz(TO_XYZ[0][1], TO_XYZ[1][1], TO_XYZ[2][1]),
            xyz(TO_XYZ[0][2], TO_XYZ[1][2], TO_XYZ[2][2]),
            gamma(),
            gamma(),
            gamma()
        };
        int at = 128 + 4 + 12 * tags.length;
        int size = at;
        for (byte[] value : values) {
            size += value.length;
        }
        ByteBuffer profile = ByteBuffer.allocate(size);
        profile.putInt(size).putInt(0).putInt(0x02200000);
        profile.put(ascii("mntrRGB XYZ "))
                .putShort((short) 2026)
                .putShort((short) 4)
                .putShort((short) 18);
        profile.position(36);
        profile.put(ascii("acsp"));
        profile.position(68);
        profile.putInt(fixed(0.9642)).putInt(fixed(1)).putInt(fixed(0.8249));
        profile.position(128);
        profile.putInt(tags.length);
        for (int i = 0; i < tags.length; i++) {
            profile.put(ascii(tags[i])).putInt(at).putInt(values[i].length);
            at += values[i].length;
        }
        for (byte[] value : values) {
            profile.put(value);
        }
        return profile.array();
    }

    private static byte[] description(String words) {
        ByteBuffer value = ByteBuffer.allocate((12 + words.length() + 1 + 78 + 3) / 4 * 4);
        value.put(ascii("desc")).putInt(0).putInt(words.length() + 1).put(ascii(words));
        return value.array();
    }

    private static byte[] text(String words) {
        ByteBuffer value = ByteBuffer.allocate((8 + words.length() + 1 + 3) / 4 * 4);
        return value.put(ascii("text")).putInt(0).put(ascii(words)).array();
    }

    private static byte[] xyz(double x, double y, double z) {
        ByteBuffer value = ByteBuffer.allocate(20);
        return value.put(ascii("XYZ "))
                .putInt(0)
                .putInt(fixed(x))
                .putInt(fixed(y))
                .putInt(fixed(z))
                .array();
    }

    private static byte[] gamma() {
        ByteBuffer value = ByteBuffer.allocate(16);
        return value.put(ascii("curv"))
                .putInt(0)
                .putInt(1)
                .putShort((short) Math.round(GAMMA * 256))
                .array();
    }

    private static int fixed(double value) {
        return (int) Math.round(value * 65536);
    }

    private static byte[] ascii(String text) {
        return text.getBytes(StandardCharsets.US_ASCII);
    }
}
