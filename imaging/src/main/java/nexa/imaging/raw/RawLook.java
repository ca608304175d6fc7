package nexa.imaging.raw;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.ShortBuffer;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import nexa.imaging.work.Processors;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * How a camera makes a picture of the light on its sensor, as far as it does the same everywhere: a white, and one tone curve
 * for all colours that never falls. Fitted from a raw file's light and the camera's own picture of it.
 */
public final class RawLook {
    private static final int NODES = 193;
    private static final int ROUNDS = 4;
    private static final int DEEP = 65_535;
    /** From here on a sensor, or a picture, may have had too much light to tell anything of colours. */
    private static final double FULL = 0.98;
    /** A white is looked for between a third and three times the one that the camera told of. */
    private static final double FURTHEST = 3;

    private static final int STEPS = 17;
    private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;
    private static final int GREEN = 1;
    /** About as many pixels are enough. */
    private static final int PIXELS = 60_000;

    /** Light as sRGB tells it, where a camera's own picture is not there. */
    public static final RawLook PLAIN = plain();

    private final double[] gains;
    private final IsotonicCurve curve;
    private final double difference;

    private RawLook(double[] gains, IsotonicCurve curve, double difference) {
        this.gains = gains;
        this.curve = curve;
        this.difference = difference;
    }

    /** Light of some pixels, by its places, and the picture's numbers of them, both 0 … 1, in threes of blue, green, red. */
    private record Pairs(double[] places, double[] picture) {}

    /**
     * The look that turns light into the picture best.
     *
     * @param light of the raw file, BGR of 16 bits
     * @param picture the camera's, in sRGB, BGR of 8 bits, of the same size
     */
    public static RawLook fit(Mat light, Mat picture) {
        Pairs pairs = pairs(light, picture);
        double[] gains = {1, 1, 1};
        IsotonicCurve curve = curve(pairs, gains);
        for (int round = 0; round < ROUNDS; round++) {
            gains[0] = gain(pairs, 0, curve);
            gains[2] = gain(pairs, 2, curve);
            curve = curve(pairs, gains);
        }
        return new RawLook(gains, curve, difference(pairs, gains, curve));
    }

    private static RawLook plain() {
        double[] sums = new double[NODES];
        double[] counts = new double[NODES];
        for (int i = 0; i < NODES; i++) {
            double light = Math.pow((double) i / (NODES - 1), 2);
            sums[i] = light <= 0.0031308 ? 12.92 * light : 1.055 * Math.pow(light, 1 / 2.4) - 0.055;
            counts[i] = 1;
        }
        return new RawLook(new double[] {1, 1, 1}, IsotonicCurve.fit(sums, counts, 1, 1), Double.NaN);
    }

    private static Pairs pairs(Mat light, Mat picture) {
        ShortBuffer lights = light.createBuffer();
        ByteBuffer pictures = picture.createBuffer();
        int pixels = light.rows() * light.cols();
        int step = Math.max(1, pixels / PIXELS);
        int[] taken = IntStream.iterate(0, i -> i < 3 * pixels, i -> i + 3 * step)
                .flatMap(i -> IntStream.of(i, i + 1, i + 2))
                .toArray();
        return new Pairs(
                IntStream.of(taken)
                        .mapToDouble(i -> place((lights.get(i) & 0xFFFF) / (double) DEEP))
                        .toArray(),
                IntStream.of(taken)
                        .mapToDouble(i -> (pictures.get(i) & 0xFF) / 255.0)
                        .toArray());
    }

    /** Where light stands on the curve, by its root: darker things get the more room that eyes give them. */
    private static double place(double light) {
        return Math.sqrt(light);
    }

    private static double end(double[] gains) {
        return place(Math.max(gains[0], Math.max(gains[1], gains[2])));
    }

    private static IsotonicCurve curve(Pairs pairs, double[] gains) {
        double[] sums = new double[NODES];
        double[] counts = new double[NODES];
        double end = end(gains);
        for (int i = 0; i < pairs.places.length; i++) {
            // A channel that is full while others are not would pull the curve down.
            if (pairs.places[i] < FULL) {
                double node = place(gains[i % 3]) * pairs.places[i] / end * (NODES - 1);
                int before = (int) Math.min(NODES - 2, node);
                double share = node - before;
                sums[before] += (1 - share) * pairs.picture[i];
                counts[before] += 1 - share;
                sums[before + 1] += share * pairs.picture[i];
                counts[before + 1] += share;
            }
        }
        return IsotonicCurve.fit(sums, counts, end, 1);
    }

    /** The gain of a colour with which the curve fits best, by golden section over its logarithm. */
    private static double gain(Pairs pairs, int channel, IsotonicCurve curve) {
        double low = -Math.log(FURTHEST);
        double high = Math.log(FURTHEST);
        for (int i = 0; i < STEPS; i++) {
            double one = high - GOLDEN * (high - low);
            double other = low + GOLDEN * (high - low);
            if (misfit(pairs, channel, Math.exp(one), curve) < misfit(pairs, channel, Math.exp(other), curve)) {
                high = other;
            } else {
                low = one;
            }
        }
        return Math.exp((low + high) / 2);
    }

    private static double misfit(Pairs pairs, int channel, double gain, IsotonicCurve curve) {
        double further = place(gain);
        double sum = 0;
        for (int i = channel; i < pairs.places.length; i += 3) {
            if (pairs.places[i] < FULL && pairs.picture[i] < FULL) {
                double off = curve.at(further * pairs.places[i]) - pairs.picture[i];
                sum += off * off;
            }
        }
        return sum;
    }

    private static double difference(Pairs pairs, double[] gains, IsotonicCurve curve) {
        double sum = 0;
        for (int i = 0; i < pairs.places.length; i += 3) {
            double[] made = new double[3];
            for (int c = 0; c < 3; c++) {
                made[c] = curve.at(place(gains[c]) * pairs.places[i + c]);
            }
            sum += DeltaE2000.between(
                    DeltaE2000.lab(made[2], made[1], made[0]),
                    DeltaE2000.lab(pairs.picture[i + 2], pairs.picture[i + GREEN], pairs.picture[i]));
        }
        return sum / Math.max(1, pairs.places.length / 3);
    }

    /**
     * How different what comes of it still looks from the camera's picture, as the mean ΔE00 over the pixels; empty where there
     * is none.
     */
    public OptionalDouble difference() {
        return Double.isNaN(difference) ? OptionalDouble.empty() : OptionalDouble.of(difference);
    }

    /** Turns light into a picture in sRGB, in place: BGR of 16 bits. */
    public void apply(Mat light) {
        short[][] becomes = new short[3][DEEP + 1];
        for (int c = 0; c < 3; c++) {
            for (int i = 0; i <= DEEP; i++) {
                becomes[c][i] = (short) Math.round(DEEP * Math.min(1, curve.at(place(gains[c] * i / DEEP))));
            }
        }
        int width = 3 * light.cols();
        Processors.each(light.rows(), y -> {
            ShortBuffer line = light.ptr(y)
                    .capacity(2L * width)
                    .asByteBuffer()
                    .order(ByteOrder.nativeOrder())
                    .asShortBuffer();
            short[] row = new short[width];
            line.get(0, row);
            for (int x = 0; x < width; x++) {
                row[x] = becomes[x % 3][row[x] & DEEP];
            }
            line.put(0, row);
        });
    }
}
