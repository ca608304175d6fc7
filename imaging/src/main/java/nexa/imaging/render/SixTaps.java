package nexa.imaging.render;

import com.google.common.primitives.Doubles;
import java.util.concurrent.atomic.AtomicReferenceArray;
import java.util.stream.DoubleStream;

/**
 * What six pixels in a row weigh for a place between the third and the fourth, for places close together: {@link Lanczos}' kernel
 * with a little more of what is finest, and as near to that as can be where a step is overshot by no more than a tenth of its
 * height and an even slope lies where it belongs. Where pixels lie closer in the photo than in the result, it is stretched.
 *
 * @param weights six for each place, summing up to 1
 * @param whole the same in whole numbers, summing up to {@link #ONE}
 */
record SixTaps(float[] weights, int[] whole) {
    static final int COUNT = 6;
    /** How many of them lie before a place's own pixel. */
    static final int BEFORE = 2;

    /** So many places from one pixel to the next. */
    static final int PHASES = PixelMap.Rows.PIXEL;

    static final int WHOLE_BITS = 12;
    /** What 1 is in whole numbers. */
    static final int ONE = 1 << WHOLE_BITS;

    /** Beyond this stretch six taps see too little. */
    static final double MOST_STRETCH = 1.5;

    private static final int STEPS = 64;

    /** What is finest: so many cycles a pixel. */
    private static final double FINE = 3 / 8.0;
    /** How much more of it there is. */
    private static final double MORE = 0.022;
    /** By how much of a step's height it may be overshot. */
    private static final double MOST_OVERSHOT = 0.0985;
    /** By how many pixels an even slope may be off. */
    private static final double MOST_SHIFTED = 0.005;

    private static final int ROUNDS = 40;

    private static final AtomicReferenceArray<SixTaps> MADE =
            new AtomicReferenceArray<>((int) ((MOST_STRETCH - 1) * STEPS) + 1);

    /** @param stretch pixels of the photo along one of the result; taken to be 1 … {@link #MOST_STRETCH} */
    static SixTaps of(double stretch) {
        int step = (int) Math.round((Math.max(1, Math.min(MOST_STRETCH, stretch)) - 1) * STEPS);
        SixTaps taps = MADE.get(step);
        if (taps == null) {
            taps = made(1 + (double) step / STEPS);
            MADE.set(step, taps);
        }
        return taps;
    }

    private static SixTaps made(double stretch) {
        float[] weights = new float[PHASES * COUNT];
        int[] whole = new int[PHASES * COUNT];
        for (int phase = 0; phase < PHASES; phase++) {
            double[] own = own((double) phase / PHASES, stretch);
            int left = ONE;
            for (int i = 0; i < COUNT; i++) {
                weights[phase * COUNT + i] = (float) own[i];
                whole[phase * COUNT + i] = (int) Math.round(own[i] * ONE);
                left -= whole[phase * COUNT + i];
            }
            // What rounding leaves goes where it shows least: to the nearer of the two that weigh most.
            whole[phase * COUNT + BEFORE + (phase < PHASES / 2 ? 0 : 1)] += left;
        }
        return new SixTaps(weights, whole);
    }

    /** The weights for a place so far behind a pixel, 0 … 1. */
    private static double[] own(double place, double stretch) {
        double[] off = new double[COUNT];
        double[] weights = new double[COUNT];
        double[] finer = new double[COUNT];
        for (int i = 0; i < COUNT; i++) {
            off[i] = i - BEFORE - place;
            double window = Lanczos.sinc(off[i] / Lanczos.LOBES);
            weights[i] = window * Lanczos.sinc(off[i] / stretch);
            finer[i] = window * Math.cos(2 * Math.PI * FINE / stretch * off[i]);
        }
        double sum = DoubleStream.of(weights).sum();
        double mean = DoubleStream.of(finer).average().orElseThrow();
        for (int i = 0; i < COUNT; i++) {
            weights[i] = weights[i] / sum + MORE * (finer[i] - mean);
        }
        // Each of the two undoes a little of the other.
        for (int round = 0; round < ROUNDS; round++) {
            limitSteps(weights);
            double shift = 0;
            for (int i = 0; i < COUNT; i++) {
                shift += weights[i] * off[i];
            }
            weights = Lanczos.shifted(weights, Doubles.constrainToRange(shift, -MOST_SHIFTED, MOST_SHIFTED) - shift);
        }
        return weights;
    }

    /** A step from 0 to 1 between two pixels becomes what the weights on one side of it sum up to. */
    private static void limitSteps(double[] weights) {
        double sum = 0;
        double before = 0;
        for (int i = 0; i < COUNT; i++) {
            sum += weights[i];
            double limited = Doubles.constrainToRange(sum, -MOST_OVERSHOT, 1 + MOST_OVERSHOT);
            weights[i] = limited - before;
            before = limited;
        }
    }

    /** The pixel of a place told in {@link #PHASES}, which is not below 0. */
    static int pixel(int place) {
        return place / PHASES;
    }

    /** Where the weights of a place told in {@link #PHASES} begin. */
    static int begin(int place) {
        return (place & PHASES - 1) * COUNT;
    }
}
