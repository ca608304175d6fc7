package nexa.imaging.fill;

import nexa.imaging.work.Processors;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;

/**
 * Paints what a {@link NearestNeighbourField} says around a photo's own pixels, of any size: each missing pixel is a mix of the photo's pixels that
 * the four nearest pixels of the field point at, brought to the colour that the field has there. Next to the edge it fades from
 * the photo mirrored. Rows are painted side by side; none depends on another.
 */
final class FieldPainter {
    /** So many pixels of the field beyond the edge the mirrored photo is seen. */
    private static final double SEAM = 1.5;

    private final NearestNeighbourField field;
    private final Samples samples;
    private final int columns;
    private final int channels;
    private final int left;
    private final int top;
    private final int right;
    private final int bottom;
    private final double across;
    private final double down;
    /** For each pixel of the field how far away the photo's pixels are that it points at, in the photo's pixels. */
    private final int[] shiftX;

    private final int[] shiftY;
    /** How far they are off its colour, in the order and the numbers of the pixels' channels. */
    private final float[] off;

    private FieldPainter(NearestNeighbourField field, Samples samples, Mat canvas, Rect photo) {
        this.field = field;
        this.samples = samples;
        this.columns = canvas.cols();
        this.channels = canvas.channels();
        this.left = photo.x();
        this.top = photo.y();
        this.right = left + photo.width();
        this.bottom = top + photo.height();
        this.across = (double) photo.width() / field.picture.width();
        this.down = (double) photo.height() / field.picture.height();
        this.shiftX = new int[field.width * field.height];
        this.shiftY = new int[shiftX.length];
        this.off = new float[channels * shiftX.length];
        for (int at = 0; at < shiftX.length; at++) {
            if (field.fromX[at] >= 0) {
                point(at, at % field.width, at / field.width);
            }
        }
    }

    private void point(int at, int x, int y) {
        shiftX[at] = (int) Math.round((field.fromX[at] - x) * across);
        shiftY[at] = (int) Math.round((field.fromY[at] - y) * down);
        int from = field.fromY[at] * field.width + field.fromX[at];
        float red = field.colour[3 * at] - field.colour[3 * from];
        float green = field.colour[3 * at + 1] - field.colour[3 * from + 1];
        float blue = field.colour[3 * at + 2] - field.colour[3 * from + 2];
        float[] own = channels < 3
                ? new float[] {.299f * red + .587f * green + .114f * blue}
                : new float[] {blue, green, red};
        for (int c = 0; c < own.length; c++) {
            off[channels * at + c] = samples.ofEight(own[c]);
        }
    }

    /**
     * Paints around a photo, in place.
     *
     * @param canvas grey, BGR or BGRA, of 8 or 16 bits or of floats in numbers of 16 bits, in one piece
     * @param photo where in it the photo lies, which stays as it is
     */
    static void paint(NearestNeighbourField field, Mat canvas, Rect photo) {
        Samples samples = Samples.of(canvas);
        FieldPainter painter = new FieldPainter(field, samples, canvas, photo);
        Processors.each(canvas.rows(), painter::paintRow);
        samples.writeTo(canvas);
    }

    private void paintRow(int y) {
        boolean isBeside = y >= top && y < bottom;
        double row = (y - top + 0.5) / down - 0.5 + field.top;
        int above = (int) Math.floor(row);
        int upper = within(above, field.height) * field.width;
        int lower = within(above + 1, field.height) * field.width;
        float share = (float) (row - above);
        float[] sum = new float[4];
        for (int x = isBeside && left == 0 ? right : 0; x < columns; x = isBeside && x + 1 == left ? right : x + 1) {
            double column = (x - left + 0.5) / across - 0.5 + field.left;
            int before = (int) Math.floor(column);
            float part = (float) (column - before);
            int one = within(before, field.width);
            int other = within(before + 1, field.width);
            for (int c = 0; c < channels; c++) {
                sum[c] = 0;
            }
            if (pointAlike(upper + one, upper + other, lower + one, lower + other)) {
                addOff(sum, upper + one, (1 - part) * (1 - share));
                addOff(sum, upper + other, part * (1 - share));
                addOff(sum, lower + one, (1 - part) * share);
                addOff(sum, lower + other, part * share);
                addSample(sum, x, y, upper + one, 1);
            } else {
                add(sum, x, y, upper + one, (1 - part) * (1 - share));
                add(sum, x, y, upper + other, part * (1 - share));
                add(sum, x, y, lower + one, (1 - part) * share);
                add(sum, x, y, lower + other, part * share);
            }
            fade(sum, x, y);
            int at = (y * columns + x) * channels;
            for (int c = 0; c < channels; c++) {
                samples.put(at + c, sum[c]);
            }
        }
    }

    /** Patches are whole up to the pad. */
    private int within(int place, int size) {
        return Math.max(field.pad, Math.min(size - 1 - field.pad, place));
    }

    /** Adds what a pixel of the field points at. */
    private void add(float[] sum, int x, int y, int at, float weight) {
        addSample(sum, x, y, at, weight);
        addOff(sum, at, weight);
    }

    private void addSample(float[] sum, int x, int y, int at, float weight) {
        int sample = sample(x + shiftX[at], y + shiftY[at]);
        for (int c = 0; c < channels; c++) {
            sum[c] += weight * samples.get(sample + c);
        }
    }

    private void addOff(float[] sum, int at, float weight) {
        int first = channels * at;
        for (int c = 0; c < channels; c++) {
            sum[c] += weight * off[first + c];
        }
    }

    /** Whether four pixels of the field point at one pixel of the photo: most do, as patches hang together. */
    private boolean pointAlike(int one, int two, int three, int four) {
        return shiftX[one] == shiftX[two]
                && shiftX[one] == shiftX[three]
                && shiftX[one] == shiftX[four]
                && shiftY[one] == shiftY[two]
                && shiftY[one] == shiftY[three]
                && shiftY[one] == shiftY[four];
    }

    /** Where the numbers of the photo's pixel nearest to a place begin. */
    private int sample(int x, int y) {
        int column = Math.max(left, Math.min(right - 1, x));
        int row = Math.max(top, Math.min(bottom - 1, y));
        return (row * columns + column) * channels;
    }

    private void fade(float[] sum, int x, int y) {
        int beyondX = Math.max(0, Math.max(left - x, x - right + 1));
        int beyondY = Math.max(0, Math.max(top - y, y - bottom + 1));
        double seam = SEAM * across;
        if (beyondX < seam && beyondY < seam) {
            double far = Math.min(1, Math.sqrt((double) beyondX * beyondX + (double) beyondY * beyondY) / seam);
            float share = (float) (1 - far * far * (3 - 2 * far));
            int mirrored = sample(mirrored(x, left, right), mirrored(y, top, bottom));
            for (int c = 0; c < channels; c++) {
                sum[c] += share * (samples.get(mirrored + c) - sum[c]);
            }
        }
    }

    private static int mirrored(int place, int from, int to) {
        return place < from ? 2 * from - 1 - place : place >= to ? 2 * to - 1 - place : place;
    }
}
