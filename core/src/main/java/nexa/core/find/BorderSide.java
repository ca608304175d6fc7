package nexa.core.find;

/**
 * How a side of a picture looks from its edge inwards, measured along it in blocks.
 *
 * @param depth where the picture begins, in pixels from the edge, at the most along the side
 * @param share of the picture's whole length that way
 * @param cover the share of blocks whose change lies on the straight edge
 * @param leastThird the same of the third of the side that has the fewest
 * @param early the share of blocks that change well before the edge
 * @param drift by how much the border's colour changes along and across it, in levels
 * @param noise of the border, in levels
 * @param sharp the share of the change that one pixel makes
 * @param slope of the edge, in degrees
 * @param colour of the border: blue, green, red, in levels
 */
public record BorderSide(
        double depth,
        double share,
        double cover,
        double leastThird,
        double early,
        double drift,
        double noise,
        double sharp,
        double slope,
        Colour colour) {
    /** Less is no border but an edge of the pixels themselves. */
    private static final double LEAST_DEPTH = 2;

    private static final double MOST_SHARE = 0.4;

    /** What has more is a table or a floor. */
    private static final double MOST_NOISE = 4.5;

    private static final double MORE_WHERE_THIN = 5;

    /** In pixels. */
    private static final double SAME_DEPTH = 2;

    /** A colour in levels, 0 … 255. */
    public record Colour(double blue, double green, double red) {
        double distance(Colour other) {
            return Math.max(
                    Math.abs(blue - other.blue), Math.max(Math.abs(green - other.green), Math.abs(red - other.red)));
        }
    }

    /** How many whole pixels are cut to be rid of it. */
    public int cut() {
        return (int) Math.ceil(depth - 0.35);
    }

    /** Whether it is a border by itself: plain up to a straight, sharp edge. */
    public boolean isBorder() {
        // Where the picture gets lighter behind its edge, the edge itself is less of the change; then it must be seen
        // all along.
        boolean isSharp = sharp >= 0.45 || sharp >= 0.22 && cover >= 0.8;
        return isThere()
                && cover >= 0.55
                && leastThird >= 0.3
                && early <= 0.035
                && drift <= 3.5 + 1.5 * noise + (isThin() ? MORE_WHERE_THIN : 0)
                && isSharp;
    }

    /** Whether it is one beside another border of its colour: a dark picture hides much of a dark border's edge. */
    boolean isBorderBeside(BorderSide sure) {
        return isThere() && hasColourOf(sure) && cover >= 0.3 && early <= 0.06 && drift <= 6 + noise && sharp >= 0.22;
    }

    /** Whether the JPEG's blocks mix all of it with the picture, while its edge is seen all along. */
    private boolean isThin() {
        return depth < 10 && cover >= 0.95;
    }

    /** Whether it may be the fourth side of a frame, its edge being where that of another side is, however little is seen. */
    boolean isBorderLike(BorderSide sure) {
        return isThere()
                && hasColourOf(sure)
                && Math.abs(depth - sure.depth) <= SAME_DEPTH
                && cover >= 0.12
                && early <= 0.02
                && drift <= 3.5 + noise;
    }

    /** Whether it is a border together with others of its colour that are no more than this by themselves. */
    boolean isFaintBorder() {
        return isThere() && share <= 0.12 && cover >= 0.25 && early <= 0.02 && drift <= 1 + noise && sharp >= 0.3;
    }

    boolean hasColourOf(BorderSide other) {
        return colour.distance(other.colour) <= 12 + 2 * noise;
    }

    private boolean isThere() {
        return depth >= LEAST_DEPTH && share <= MOST_SHARE && noise <= MOST_NOISE;
    }

    /** Whether it is so shallow and plain that it is believed without another side of its colour. */
    boolean isBorderAlone() {
        return share <= 0.12 && drift <= 2 + noise / 2 && cover >= 0.8;
    }
}
