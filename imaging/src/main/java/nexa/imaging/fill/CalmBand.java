package nexa.imaging.fill;

import java.util.Set;
import nexa.core.shoot.Trim;

/**
 * Fills what lies beyond calm sides of a {@link NearestNeighbourField}: their edge drawn out, the smoother the further out, with the detail of the
 * band inside the edge, moved out as it is. In a corner between a calm side and another one it passes into what is there.
 */
final class CalmBand {
    /** So many rows of pixels at the edge are taken together. */
    private static final int ROWS = 2;

    private final NearestNeighbourField field;
    private final Set<Trim.Side> calm;
    private final EdgeBlur edge;

    private CalmBand(NearestNeighbourField field, Set<Trim.Side> calm) {
        this.field = field;
        this.calm = calm;
        this.edge = new EdgeBlur(
                field,
                ROWS,
                0,
                (x, y, outX, outY, channel) -> field.picture.nearest(x - field.left, y - field.top, channel));
    }

    /** Fills what is beyond some sides, in place. */
    static void fill(NearestNeighbourField field, Set<Trim.Side> calm) {
        CalmBand band = new CalmBand(field, calm);
        for (int y = 0; y < field.height; y++) {
            for (int x = 0; x < field.width; x++) {
                double share = field.isInPicture(x, y) ? 0 : band.share(x, y);
                if (share > 0) {
                    band.fill(x, y, share);
                }
            }
        }
    }

    /** How much of a pixel is a calm side's, 0 … 1. */
    private double share(int x, int y) {
        boolean isBesideCalm = calm.contains(x < field.left ? Trim.Side.LEFT : Trim.Side.RIGHT);
        boolean isAboveCalm = calm.contains(y < field.top ? Trim.Side.TOP : Trim.Side.BOTTOM);
        double across = field.beyondX(x);
        double down = field.beyondY(y);
        double beside = across / (across + down);
        double share = (isBesideCalm ? beside : 0) + (isAboveCalm ? 1 - beside : 0);
        return share * share * (3 - 2 * share);
    }

    private void fill(int x, int y, double share) {
        int at = y * field.width + x;
        if (share >= 0.5) {
            field.fromX[at] = field.left
                    + inwards(x - field.left, field.picture.width(), field.margins.left(), field.margins.right());
            field.fromY[at] = field.top
                    + inwards(y - field.top, field.picture.height(), field.margins.top(), field.margins.bottom());
        }
        for (int c = 0; c < 3; c++) {
            double there = field.colour[3 * at + c];
            field.colour[3 * at + c] = (float) (there + share * (edge.at(x, y, c) - there));
        }
    }

    /** A place moved in by a margin, kept in the picture. */
    private static int inwards(int place, int size, int low, int high) {
        int moved = place < 0 ? place + low : place >= size ? place - high : place;
        return Math.max(0, Math.min(size - 1, moved));
    }
}
