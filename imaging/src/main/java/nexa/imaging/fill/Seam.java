package nexa.imaging.fill;

/**
 * Takes the step out of the edge of a filled {@link NearestNeighbourField}: where patches are a little lighter or darker there than the picture,
 * they are brought to it, the less the further out. Texture, which is now lighter and now darker along the edge, stays.
 */
final class Seam {
    /** So far out, in pixels, nothing is changed any more. */
    private static final double WIDTH = 40;

    /** A step is one that holds on so far along the edge. */
    private static final int LEAST = 3;

    private Seam() {}

    /** Evens the seams, in place. */
    static void even(NearestNeighbourField field) {
        float[] before = field.colour.clone();
        EdgeBlur step = new EdgeBlur(
                field,
                1,
                LEAST,
                (x, y, outX, outY, channel) -> before[3 * (y * field.width + x) + channel]
                        - before[3 * (outY * field.width + outX) + channel]);
        for (int y = 0; y < field.height; y++) {
            for (int x = 0; x < field.width; x++) {
                double far = Math.max(field.beyondX(x), field.beyondY(y)) / WIDTH;
                if (far > 0 && far < 1) {
                    for (int c = 0; c < 3; c++) {
                        field.colour[3 * (y * field.width + x) + c] +=
                                (float) ((1 - far) * (1 - far) * step.at(x, y, c));
                    }
                }
            }
        }
    }
}
