package nexa.imaging.fill;

/** Something known along the edges of a picture, carried outwards: the further out, the more of the edge is taken together. */
final class EdgeBlur {
    /** How far along the edge is looked, as a share of how far out a place lies. */
    private static final double SPREAD = 0.75;

    private final NearestNeighbourField field;
    private final int rows;
    private final int least;
    private final Along along;

    /** What is known at an edge. */
    interface Along {
        /**
         * The value at a pixel of the picture.
         *
         * @param x its column in the field
         * @param y its row
         * @param outX the column of the first pixel beyond the edge there
         * @param outY its row
         */
        double at(int x, int y, int outX, int outY, int channel);
    }

    /**
     * A blur.
     *
     * @param rows so many rows of pixels at the edge are taken together
     * @param least at least so far along the edge is looked
     */
    EdgeBlur(NearestNeighbourField field, int rows, int least, Along along) {
        this.field = field;
        this.rows = rows;
        this.least = least;
        this.along = along;
    }

    /** The value at a pixel beyond the picture; in a corner that of both edges, each the more the further beyond it that lies. */
    double at(int x, int y, int channel) {
        double across = field.beyondX(x);
        double down = field.beyondY(y);
        double beside = across > 0 ? across * edge(true, x, y, across, channel) : 0;
        double above = down > 0 ? down * edge(false, x, y, down, channel) : 0;
        return (beside + above) / (across + down);
    }

    private double edge(boolean isBeside, int x, int y, double beyond, int channel) {
        int first = isBeside ? field.top : field.left;
        int last = (isBeside ? field.bottom : field.right) - 1;
        int middle = Math.max(first, Math.min(last, isBeside ? y : x));
        int reach = least + (int) Math.round(SPREAD * beyond);
        boolean isLow = isBeside ? x < field.left : y < field.top;
        int inside = isBeside ? (isLow ? field.left : field.right - 1) : isLow ? field.top : field.bottom - 1;
        int inwards = isLow ? 1 : -1;
        double sum = 0;
        double whole = 0;
        for (int i = Math.max(first, middle - reach); i <= Math.min(last, middle + reach); i++) {
            double weight = reach + 1 - Math.abs(i - middle);
            for (int j = 0; j < rows; j++) {
                int deep = inside + j * inwards;
                int out = inside - inwards;
                sum += weight * (isBeside ? along.at(deep, i, out, i, channel) : along.at(i, deep, i, out, channel));
                whole += weight;
            }
        }
        return sum / whole;
    }
}
