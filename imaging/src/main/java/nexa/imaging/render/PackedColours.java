package nexa.imaging.render;

/**
 * Three colours of 8 bits in one number, 21 bits each, so that one multiplication weighs all three: first whole rows, then, with
 * the outer two still in one number, what became of them. Weights are those of {@link SixTaps}.
 */
final class PackedColours {
    static final int COUNT = 3;

    private static final int BITS = 21;
    /** Of the sums of a row, so many bits are left out: what is left has 16. */
    private static final int LEFT_OUT = 5;

    private static final long LEFT = (1 << BITS - LEFT_OUT) - 1;
    /** Sums may fall below zero by less than this. */
    private static final int ZERO = 1 << 19;
    /** With what rounds where bits are left out. */
    private static final long ONE_ABOVE_ZERO = ZERO + (1 << LEFT_OUT - 1);

    /** What keeps the sums of a row from falling below zero. */
    static final long ABOVE_ZERO = ONE_ABOVE_ZERO | ONE_ABOVE_ZERO << BITS | ONE_ABOVE_ZERO << 2 * BITS;

    private static final int END = 2 * SixTaps.WHOLE_BITS - LEFT_OUT;
    private static final int ROUNDED_FROM_ZERO = (1 << END - 1) - (ZERO >> LEFT_OUT) * SixTaps.ONE;

    private PackedColours() {}

    /** Packs a row of pixels. */
    static void pack(byte[] row, long[] to, int at) {
        for (int i = 0, from = 0; from < row.length; i++, from += COUNT) {
            to[at + i] = (row[from] & 255L) | (row[from + 1] & 255L) << BITS | (row[from + 2] & 255L) << 2 * BITS;
        }
    }

    /** Of a row's sum the first colour, and the third 32 bits above it. */
    static long outer(long sum) {
        return sum >>> LEFT_OUT & LEFT | sum >>> 2 * BITS + LEFT_OUT - 32 & LEFT << 32;
    }

    /** Of a row's sum the second colour. */
    static int inner(long sum) {
        return (int) (sum >>> BITS + LEFT_OUT) & (int) LEFT;
    }

    /** The colours that weighed rows sum up to. */
    static void unpack(long outer, int inner, byte[] row, int at) {
        // Where the lower half is negative it has borrowed from the upper one.
        int first = (int) outer;
        int third = (int) (outer - first >> 32);
        row[at] = colour(first);
        row[at + 1] = colour(inner);
        row[at + 2] = colour(third);
    }

    private static byte colour(int sum) {
        return (byte) Math.max(0, Math.min(255, sum + ROUNDED_FROM_ZERO >> END));
    }
}
