package nexa.imaging.fill;

import java.util.Set;
import nexa.core.shoot.Trim;

/**
 * Fills what lies beyond calm sides of a {@link Field}: their edge drawn out, the smoother the further out, with the detail of the
 * band inside the edge, moved out as it is.
 */
final class CalmBand {
    /** So many rows of pixels at the edge are taken together. */
    private static final int ROWS = 2;

    /** How far along the edge is looked, as a share of how far out a pixel lies. */
    private static final double SPREAD = 0.75;

    private final Field field;

    private CalmBand(Field field) {
        this.field = field;
    }

    /** Fills what is beyond some sides, in place. */
    static void fill(Field field, Set<Trim.Side> calm) {
        CalmBand band = new CalmBand(field);
        for (int y = 0; y < field.height && !calm.isEmpty(); y++) {
            for (int x = 0; x < field.width; x++) {
                if (!field.isInPicture(x, y) && calm.contains(band.nearest(x, y))) {
                    band.fill(x, y);
                }
            }
        }
    }

    /** The side beyond which a pixel lies; in a corner the one it lies further beyond. */
    private Trim.Side nearest(int x, int y) {
        if (field.beyondX(x) >= field.beyondY(y)) {
            return x < field.left ? Trim.Side.LEFT : Trim.Side.RIGHT;
        }
        return y < field.top ? Trim.Side.TOP : Trim.Side.BOTTOM;
    }

    private void fill(int x, int y) {
        int at = y * field.width + x;
        int column = x - field.left;
        int row = y - field.top;
        field.fromX[at] =
                field.left + inwards(column, field.picture.width(), field.margins.left(), field.margins.right());
        field.fromY[at] = field.top + inwards(row, field.picture.height(), field.margins.top(), field.margins.bottom());
        double across = field.beyondX(x);
        double down = field.beyondY(y);
        for (int c = 0; c < 3; c++) {
            double beside = across > 0 ? across * edge(true, column, row, across, c) : 0;
            double above = down > 0 ? down * edge(false, column, row, down, c) : 0;
            field.colour[3 * at + c] = (float) ((beside + above) / (across + down));
        }
    }

    /** A place moved in by a margin, kept in the picture. */
    private static int inwards(int place, int size, int low, int high) {
        int moved = place < 0 ? place + low : place >= size ? place - high : place;
        return Math.max(0, Math.min(size - 1, moved));
    }

    /** What the edge beside a place looks like, the smoother the further beyond it the place lies. */
    private double edge(boolean isBeside, int column, int row, double beyond, int channel) {
        WorkPicture picture = field.picture;
        int length = isBeside ? picture.height() : picture.width();
        int middle = Math.max(0, Math.min(length - 1, isBeside ? row : column));
        int reach = (int) Math.round(SPREAD * beyond);
        double sum = 0;
        double whole = 0;
        for (int i = Math.max(0, middle - reach); i <= Math.min(length - 1, middle + reach); i++) {
            double weight = reach + 1 - Math.abs(i - middle);
            for (int j = 0; j < ROWS; j++) {
                int x = column < 0 ? j : picture.width() - 1 - j;
                int y = row < 0 ? j : picture.height() - 1 - j;
                sum += weight * picture.nearest(isBeside ? x : i, isBeside ? i : y, channel);
                whole += weight;
            }
        }
        return sum / whole;
    }
}
