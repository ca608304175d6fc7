package nexa.sample;

/** The shapes of pot that Fernhill makes. */
final class PotShapes {
    private PotShapes() {}

    /** A vase, {@code size} times 0.3 m tall. */
    static Pot vase(double x, double z, double size, Glaze glaze) {
        return Pot.thrown(
                x,
                z,
                glaze,
                0.006 * size,
                scaled(
                        size, 0.05, 0, 0.052, 0.004, 0.082, 0.07, 0.098, 0.13, 0.088, 0.19, 0.058, 0.235, 0.047, 0.255,
                        0.05, 0.295, 0.052, 0.3));
    }

    /** A wide bowl, {@code size} times 0.11 m tall. */
    static Pot bowl(double x, double z, double size, Glaze glaze) {
        return Pot.thrown(
                x,
                z,
                glaze,
                0.006 * size,
                scaled(size, 0.05, 0, 0.052, 0.006, 0.075, 0.022, 0.118, 0.06, 0.142, 0.1, 0.145, 0.11));
    }

    /** A tumbler, {@code size} times 0.14 m tall. */
    static Pot tumbler(double x, double z, double size, Glaze glaze) {
        return Pot.thrown(
                x,
                z,
                glaze,
                0.005 * size,
                scaled(size, 0.034, 0, 0.036, 0.004, 0.047, 0.045, 0.05, 0.085, 0.046, 0.125, 0.044, 0.14));
    }

    /** A mug without its handle, {@code size} times 0.1 m tall. */
    static Pot mug(double x, double z, double size, Glaze glaze) {
        return Pot.thrown(
                x, z, glaze, 0.0045 * size, scaled(size, 0.036, 0, 0.039, 0.004, 0.046, 0.03, 0.047, 0.07, 0.045, 0.1));
    }

    /** A round jar with a narrow mouth, {@code size} times 0.16 m tall. */
    static Pot jar(double x, double z, double size, Glaze glaze) {
        return Pot.thrown(
                x,
                z,
                glaze,
                0.006 * size,
                scaled(
                        size, 0.045, 0, 0.047, 0.004, 0.085, 0.05, 0.093, 0.085, 0.075, 0.128, 0.045, 0.146, 0.047,
                        0.156, 0.05, 0.16));
    }

    /** A slender bottle, {@code size} times 0.32 m tall. */
    static Pot bottle(double x, double z, double size, Glaze glaze) {
        return Pot.thrown(
                x,
                z,
                glaze,
                0.005 * size,
                scaled(
                        size, 0.036, 0, 0.038, 0.004, 0.056, 0.06, 0.058, 0.12, 0.04, 0.18, 0.021, 0.225, 0.018, 0.285,
                        0.024, 0.312, 0.026, 0.32));
    }

    /** A bust without a face, {@code size} times 0.42 m tall. */
    static Pot bust(double x, double z, double size, Glaze glaze) {
        return Pot.thrown(
                x,
                z,
                glaze,
                0.008 * size,
                scaled(
                        size, 0.075, 0, 0.08, 0.02, 0.072, 0.035, 0.13, 0.09, 0.155, 0.13, 0.12, 0.17, 0.055, 0.2, 0.05,
                        0.235, 0.075, 0.275, 0.086, 0.325, 0.072, 0.38, 0.03, 0.415, 0.012, 0.42));
    }

    private static double[] scaled(double size, double... outline) {
        double[] result = outline.clone();
        for (int i = 0; i < result.length; i++) {
            result[i] *= size;
        }
        return result;
    }
}
