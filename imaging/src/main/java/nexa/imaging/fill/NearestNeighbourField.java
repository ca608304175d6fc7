package nexa.imaging.fill;

/**
 * A work picture with room around it, each pixel with its colour and with the pixel of the picture that its finer detail comes
 * from. Places are counted in it; the picture itself lies in the middle.
 */
final class NearestNeighbourField {
    final WorkPicture picture;
    final WorkMargins margins;
    /** Room around the margins, so that every patch at their rim is whole. */
    final int pad;

    final int width;
    final int height;
    /** The picture's first column and the one after its last. */
    final int left;

    final int right;
    /** The picture's first row and the one after its last. */
    final int top;

    final int bottom;
    /** Red, green and blue of each pixel. */
    final float[] colour;
    /** The column that each pixel's detail comes from; −1 where none was looked for. */
    final int[] fromX;
    /** The row. */
    final int[] fromY;

    /** With its edge drawn out, and no detail. */
    NearestNeighbourField(WorkPicture picture, WorkMargins margins, int pad) {
        this.picture = picture;
        this.margins = margins;
        this.pad = pad;
        this.left = margins.left() + pad;
        this.right = left + picture.width();
        this.top = margins.top() + pad;
        this.bottom = top + picture.height();
        this.width = right + margins.right() + pad;
        this.height = bottom + margins.bottom() + pad;
        this.colour = new float[3 * width * height];
        this.fromX = new int[width * height];
        this.fromY = new int[width * height];
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                int at = y * width + x;
                fromX[at] = -1;
                for (int c = 0; c < 3; c++) {
                    colour[3 * at + c] = picture.nearest(x - left, y - top, c);
                }
            }
        }
    }

    boolean isInPicture(int x, int y) {
        return x >= left && x < right && y >= top && y < bottom;
    }

    /** How far a column lies beyond the picture. */
    int beyondX(int x) {
        return Math.max(0, Math.max(left - x, x - right + 1));
    }

    /** How far a row lies beyond the picture. */
    int beyondY(int y) {
        return Math.max(0, Math.max(top - y, y - bottom + 1));
    }
}
