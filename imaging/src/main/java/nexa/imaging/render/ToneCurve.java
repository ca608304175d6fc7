package nexa.imaging.render;

import java.util.concurrent.atomic.AtomicReferenceArray;
import java.util.function.DoubleUnaryOperator;

/**
 * How the numbers of pixels tell light, and what becomes of them when light is multiplied. Gains are taken to the nearest 256th
 * of a stop, which is within 0.14 % of the light.
 */
public final class ToneCurve {
    private static final int STEPS_A_STOP = 256;
    private static final int MOST_STOPS = 8;
    /** Gains told by whole numbers: this one is 1. */
    static final int NO_GAIN = MOST_STOPS * STEPS_A_STOP;

    private static final int INTERVALS = 4096;
    private static final int MOST_DEEP = 65_535;

    /** As sRGB (IEC 61966-2-1) has it. */
    public static final ToneCurve SRGB = new ToneCurve(ToneCurve::lightOfSrgb);

    /** Light of evenly spaced numbers, 0 … 1. */
    private final double[] light = new double[INTERVALS + 1];
    /** A row for each gain, made when it is wanted: what each number of 8 bits becomes. */
    private final AtomicReferenceArray<byte[]> rows = new AtomicReferenceArray<>(2 * NO_GAIN + 1);

    private volatile Deep deep;

    /** For more than 8 bits: the light of each number of 16 bits, and numbers by the root of light, where they are spread evenly. */
    private record Deep(float[] light, float[] numbers) {
        /** The light of a number of 16 bits, or of one between two. */
        float lightOf(float number) {
            return between(light, Math.max(0, Math.min(MOST_DEEP, number)));
        }

        /** The number of 16 bits, or between two, that tells so much light. */
        float numberOf(float lit) {
            return between(numbers, (float) Math.sqrt(Math.min(1, lit)) * MOST_DEEP);
        }

        private static float between(float[] of, float at) {
            int before = Math.min(MOST_DEEP - 1, (int) at);
            return of[before] + (at - before) * (of[before + 1] - of[before]);
        }
    }

    /** What share of all light a number of sRGB tells (IEC 61966-2-1), both 0 … 1. */
    public static double lightOfSrgb(double number) {
        return number <= 0.04045 ? number / 12.92 : Math.pow((number + 0.055) / 1.055, 2.4);
    }

    /** @param toLight what share of all light a number tells, both 0 … 1; never falls */
    public ToneCurve(DoubleUnaryOperator toLight) {
        for (int i = 0; i <= INTERVALS; i++) {
            light[i] = toLight.applyAsDouble((double) i / INTERVALS);
        }
    }

    /** The nearest gain that is told by a whole number. */
    static double level(double gain) {
        double stops = Math.log(gain) / Math.log(2);
        return Math.max(-NO_GAIN, Math.min(NO_GAIN, stops * STEPS_A_STOP)) + NO_GAIN;
    }

    /** What each number of 8 bits becomes. */
    byte[] row(int level) {
        byte[] row = rows.get(level);
        if (row == null) {
            row = new byte[256];
            double gain = gain(level);
            for (int i = 0; i < row.length; i++) {
                row[i] = (byte) Math.round(255 * number(gain * light(i / 255.0)));
            }
            rows.set(level, row);
        }
        return row;
    }

    private static double gain(int level) {
        return Math.pow(2, (double) (level - NO_GAIN) / STEPS_A_STOP);
    }

    /**
     * What numbers of a row become, in place.
     *
     * @param numbers of 16 bits, or between those
     */
    void multiply(float[] numbers, int from, int count, double level) {
        Deep told = deep();
        float gain = (float) Math.pow(2, (level - NO_GAIN) / STEPS_A_STOP);
        for (int i = from; i < from + count; i++) {
            numbers[i] = told.numberOf(told.lightOf(numbers[i]) * gain);
        }
    }

    private Deep deep() {
        Deep told = deep;
        if (told == null) {
            float[] lights = new float[MOST_DEEP + 1];
            float[] numbers = new float[MOST_DEEP + 1];
            for (int i = 0; i <= MOST_DEEP; i++) {
                double root = (double) i / MOST_DEEP;
                lights[i] = (float) light(root);
                numbers[i] = (float) (MOST_DEEP * number(root * root));
            }
            told = new Deep(lights, numbers);
            deep = told;
        }
        return told;
    }

    /** The light that a number tells, both 0 … 1. */
    private double light(double number) {
        int at = Math.min(INTERVALS - 1, (int) (number * INTERVALS));
        return light[at] + (number * INTERVALS - at) * (light[at + 1] - light[at]);
    }

    /** The number that tells so much light, or the nearest. */
    private double number(double lit) {
        if (lit >= light[INTERVALS]) {
            return 1;
        }
        int low = 0;
        int high = INTERVALS;
        while (high - low > 1) {
            int middle = (low + high) / 2;
            if (light[middle] <= lit) {
                low = middle;
            } else {
                high = middle;
            }
        }
        double step = light[high] - light[low];
        return (low + (step > 0 ? Math.max(0, lit - light[low]) / step : 0)) / INTERVALS;
    }
}
