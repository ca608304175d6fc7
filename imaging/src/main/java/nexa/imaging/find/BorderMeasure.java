package nexa.imaging.find;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.IntStream;
import nexa.core.find.BorderSide;

/** Measures where a plain border ends, block by block, and how straight and sharp its edge is. */
final class BorderMeasure {
    private static final int BLOCKS = SideProfile.BLOCKS;

    /** What is taken for the border's colour, in pixels from the edge. */
    static final int OUTER = 3;

    /** Within so many pixels after the first change the picture has begun. */
    private static final int STEP = 6;

    /** A small change up to so long before the edge is ringing of the JPEG: within its blocks, and twice that for colour. */
    private static final int[] RINGING = {9, 17};

    /** More levels are no ringing of the second kind. */
    private static final double MOST_RINGING = 20;

    /** An edge is so many times as strong as its ringing. */
    private static final double MUCH_MORE = 4;

    private static final double LEAST_SEEN = 0.3;
    /** Fewer blocks are no edge, whatever else is measured. */
    private static final int LEAST_ON_LINE = 7;

    private final SideProfile profile;
    private final int length;
    private final double[] colour = new double[SideProfile.CHANNELS];
    private double noise;
    private final int[] first = new int[BLOCKS];
    private final double[] edge = new double[BLOCKS];
    private final double[] sharp = new double[BLOCKS];
    private int[] seen = {};

    /**
     * Looks at a side.
     *
     * @param length of the whole picture that way, in pixels
     */
    BorderMeasure(SideProfile profile, int length) {
        this.profile = profile;
        this.length = length;
        measureColour();
        if (isPlain()) {
            findChanges();
        }
    }

    /** The side; empty if it is not plain at its very edge, or nothing begins within the profile. */
    Optional<BorderSide> side() {
        return seen.length >= BLOCKS * LEAST_SEEN
                ? Optional.of(side(EdgeFit.to(seen, edge, profile.block())))
                : Optional.empty();
    }

    /**
     * The side if its edge is at a depth where a frame's other sides have theirs; empty if nothing of the edge is there.
     */
    Optional<BorderSide> sideAt(double depth) {
        EdgeFit fit = EdgeFit.at(depth, seen, edge, profile.block());
        return fit.onLine().length == 0 ? Optional.empty() : Optional.of(side(fit));
    }

    /** The share of blocks that change well before the profile's end. */
    double changed() {
        return IntStream.range(0, BLOCKS)
                        .filter(b -> first[b] < profile.depth() - RINGING[1])
                        .count()
                / (double) BLOCKS;
    }

    private void measureColour() {
        double[][] outer = new double[SideProfile.CHANNELS][OUTER * BLOCKS];
        double[] off = new double[SideProfile.CHANNELS * OUTER * BLOCKS];
        for (int c = 0; c < SideProfile.CHANNELS; c++) {
            for (int i = 0; i < outer[c].length; i++) {
                outer[c][i] = profile.at(i / OUTER, i % OUTER, c);
            }
            colour[c] = Statistics.median(outer[c]);
            for (int i = 0; i < outer[c].length; i++) {
                off[c * outer[c].length + i] = Math.abs(outer[c][i] - colour[c]);
            }
        }
        noise = 1.48 * Statistics.median(off) + 0.05;
    }

    /** Whether the side is plain at its very edge, so that it may be a border at all. */
    boolean isPlain() {
        double most = Math.max(8, 5 * noise);
        int off = 0;
        for (int b = 0; b < BLOCKS; b++) {
            off += profile.off(b, 0, colour) > most ? 1 : 0;
            off += profile.off(b, 1, colour) > most ? 1 : 0;
        }
        return off <= 0.06 * 2 * BLOCKS;
    }

    /** Where each block first differs from the border, and in the change after that the place of half the step. */
    private void findChanges() {
        for (int b = 0; b < BLOCKS; b++) {
            first[b] = profile.depth();
            for (int d = profile.depth() - 1; d >= 0; d--) {
                first[b] = profile.off(b, d, colour) > differs() ? d : first[b];
            }
        }
        seen = IntStream.range(0, BLOCKS)
                .filter(b -> first[b] < profile.depth() - 8 && findStep(b) > 7)
                .toArray();
    }

    private double findStep(int b) {
        double step = step(b, STEP);
        double further = step(b, RINGING[1]);
        if (step < MOST_RINGING && further > MUCH_MORE * step) {
            // What came first was ringing of the edge.
            while (profile.off(b, first[b], colour) < further / 4) {
                first[b]++;
            }
            step = step(b, STEP);
        }
        int from = Math.max(0, first[b] - 1);
        int to = Math.min(profile.depth(), first[b] + STEP);
        double before = 0;
        double largest = 0;
        boolean isFound = false;
        for (int d = from; d < to; d++) {
            double now = profile.off(b, d, colour);
            if (!isFound && now >= step / 2) {
                isFound = true;
                edge[b] = d + (step / 2 - before) / Math.max(1e-6, now - before);
            }
            largest = d > from ? Math.max(largest, now - before) : 0;
            before = now;
        }
        sharp[b] = largest / Math.max(step, 1e-6);
        return step;
    }

    /** The largest change within some pixels after the first one. */
    private double step(int b, int within) {
        double step = 0;
        for (int d = first[b]; d < Math.min(profile.depth(), first[b] + within); d++) {
            step = Math.max(step, profile.off(b, d, colour));
        }
        return step;
    }

    private BorderSide side(EdgeFit fit) {
        double[] onLine = Arrays.stream(fit.onLine()).mapToDouble(b -> sharp[b]).toArray();
        long early =
                IntStream.range(0, BLOCKS).filter(b -> isEarly(b, fit.at(b))).count();
        return new BorderSide(
                fit.depth(),
                fit.depth() / length,
                (double) fit.onLine().length / BLOCKS,
                fit.leastThird(),
                (double) early / BLOCKS,
                drift(fit),
                noise,
                Statistics.median(onLine),
                Math.toDegrees(Math.atan(fit.slope())),
                new BorderSide.Colour(colour[0], colour[1], colour[2]));
    }

    /** Whether there is something of the picture in the border. */
    private boolean isEarly(int b, double line) {
        for (int d = first[b]; d < Math.min(profile.depth(), line - RINGING[0]); d++) {
            double off = profile.off(b, d, colour);
            if (off > differs() && (d < line - RINGING[1] || off > MOST_RINGING)) {
                return true;
            }
        }
        return false;
    }

    /** From how many levels on a block is another colour than the border. */
    private double differs() {
        return Math.max(6, 5 * noise);
    }

    /** How much the border's colour changes along the side and inwards, smoothed; not counting what lies at its end. */
    private double drift(EdgeFit fit) {
        if (fit.onLine().length < LEAST_ON_LINE) {
            return Double.MAX_VALUE;
        }
        double nearest = Math.min(fit.at(0), fit.at(BLOCKS - 1));
        int depth = (int) Math.max(1, nearest > 20 ? nearest - 10 : nearest < 6 ? nearest - 2 : OUTER);
        double most = 0;
        for (int c = 0; c < SideProfile.CHANNELS; c++) {
            double[] along = new double[BLOCKS];
            for (int b = 0; b < BLOCKS; b++) {
                double[] inwards = new double[depth];
                for (int d = 0; d < depth; d++) {
                    inwards[d] = profile.at(b, d, c);
                }
                along[b] = Statistics.median(inwards);
            }
            most = Math.max(most, range(along, 9));
            if (depth >= 6) {
                double[] inwards = new double[depth];
                for (int d = 0; d < depth; d++) {
                    double[] all = new double[BLOCKS];
                    for (int b = 0; b < BLOCKS; b++) {
                        all[b] = profile.at(b, d, c);
                    }
                    inwards[d] = Statistics.median(all);
                }
                most = Math.max(most, range(inwards, 5));
            }
        }
        return most;
    }

    /** From the smallest to the largest mean of so many neighbours. */
    private static double range(double[] values, int window) {
        double least = Double.MAX_VALUE;
        double most = -Double.MAX_VALUE;
        for (int i = 0; i < values.length; i++) {
            double sum = 0;
            int count = 0;
            for (int j = Math.max(0, i - window / 2); j <= Math.min(values.length - 1, i + window / 2); j++) {
                sum += values[j];
                count++;
            }
            least = Math.min(least, sum / count);
            most = Math.max(most, sum / count);
        }
        return most - least;
    }
}
