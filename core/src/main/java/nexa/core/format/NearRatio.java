package nexa.core.format;

import java.util.OptionalDouble;

/** Ratios that are easily mistaken for one another. */
public final class NearRatio {
    private static final double MISTAKEN_WITHIN = 0.03;
    private static final double SAME_WITHIN = 0.0005;

    private NearRatio() {}

    /**
     * By how much one ratio misses another, turned either way, as a share above 0; empty where they are the same or so far
     * apart that nobody takes one for the other.
     */
    public static OptionalDouble miss(double one, double other) {
        double first = Math.max(one, 1 / one);
        double second = Math.max(other, 1 / other);
        double off = Math.max(first, second) / Math.min(first, second) - 1;
        return off > SAME_WITHIN && off <= MISTAKEN_WITHIN ? OptionalDouble.of(off) : OptionalDouble.empty();
    }
}
