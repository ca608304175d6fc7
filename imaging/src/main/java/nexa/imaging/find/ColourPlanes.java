package nexa.imaging.find;

import java.nio.ByteBuffer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;

/** The colours of a picture, column by column: what lies below each other is read in one go. */
final class ColourPlanes {
    static final int COLOURS = 3;

    final int width;
    final int height;
    private final byte[] values;

    private ColourPlanes(int width, int height, byte[] values) {
        this.width = width;
        this.height = height;
        this.values = values;
    }

    /** @param bgr 8 bits, three colours */
    static ColourPlanes of(Mat bgr) {
        try (Mat turned = new Mat()) {
            opencv_core.transpose(bgr, turned);
            byte[] values = new byte[COLOURS * bgr.cols() * bgr.rows()];
            ((ByteBuffer) turned.createBuffer()).get(values);
            return new ColourPlanes(bgr.cols(), bgr.rows(), values);
        }
    }

    /**
     * Adds part of a column to sums, three for each place downwards.
     *
     * @param top where it begins, between pixels too; the middle of the topmost pixel is at 0
     */
    void add(int column, double top, double[] sums) {
        int first = (int) Math.floor(top);
        double part = top - first;
        int start = column * height * COLOURS;
        int places = sums.length / COLOURS;
        for (int k = 0; k < places; k++) {
            int above = start + COLOURS * inside(first + k, height);
            int below = start + COLOURS * inside(first + k + 1, height);
            for (int c = 0; c < COLOURS; c++) {
                sums[COLOURS * k + c] += (1 - part) * (values[above + c] & 0xff) + part * (values[below + c] & 0xff);
            }
        }
    }

    /** The brightness between pixels; beyond the edge as at it. */
    double brightness(double x, double y) {
        int left = (int) Math.floor(x);
        int top = (int) Math.floor(y);
        double fx = x - left;
        double fy = y - top;
        return (1 - fy) * ((1 - fx) * brightness(left, top) + fx * brightness(left + 1, top))
                + fy * ((1 - fx) * brightness(left, top + 1) + fx * brightness(left + 1, top + 1));
    }

    private double brightness(int x, int y) {
        int pixel = COLOURS * (inside(x, width) * height + inside(y, height));
        return .114 * (values[pixel] & 0xff) + .587 * (values[pixel + 1] & 0xff) + .299 * (values[pixel + 2] & 0xff);
    }

    private static int inside(int place, int size) {
        return place < 0 ? 0 : Math.min(place, size - 1);
    }
}
