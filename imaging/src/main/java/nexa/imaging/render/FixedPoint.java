package nexa.imaging.render;

/** Places told in whole numbers, as {@link PixelMap.Rows} has them. */
final class FixedPoint {
    /** Steps are counted this much finer. */
    private static final int FINER = 22;

    private static final double ONE = (double) PixelMap.Rows.PIXEL * (1 << FINER);

    private FixedPoint() {}

    /** Fills in places that lie evenly on a line. */
    static void line(double begin, double step, int[] places, int from, int to) {
        long at = Math.round(begin * ONE) + (1 << FINER - 1);
        long way = Math.round(step * ONE);
        for (int i = from; i < to; i++) {
            places[i] = (int) (at >> FINER);
            at += way;
        }
    }

    /** The nearest to a place. */
    static int of(double place) {
        return (int) Math.floor(place * PixelMap.Rows.PIXEL + 0.5);
    }
}
