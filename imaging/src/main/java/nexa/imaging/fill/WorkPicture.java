package nexa.imaging.fill;

import java.nio.ByteBuffer;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * A small picture in which is looked for what could lie beyond its edge.
 *
 * @param width in pixels
 * @param height in pixels
 * @param rgb red, green and blue of each pixel, 0 … 255, row by row
 */
record WorkPicture(int width, int height, int[] rgb) {

    /**
     * Part of a picture, made smaller so that its long side is at most so long: each pixel the mean of what it covers, on white.
     *
     * @param picture of 8 bits, BGRA multiplied by alpha
     * @param part as fractions of the picture
     */
    static WorkPicture of(Mat picture, Bounds part, int longSide) {
        double width = part.size().width() * picture.cols();
        double height = part.size().height() * picture.rows();
        double factor = Math.min(1, longSide / Math.max(width, height));
        int columns = (int) Math.max(1, Math.round(width * factor));
        int rows = (int) Math.max(1, Math.round(height * factor));
        int[] rgb = new int[3 * columns * rows];
        Point begin = new Point(part.least().x() * picture.cols(), part.least().y() * picture.rows());
        Covered covered = new Covered(picture.createBuffer(), picture.cols(), picture.rows());
        for (int y = 0; y < rows; y++) {
            for (int x = 0; x < columns; x++) {
                double left = begin.x() + x * width / columns;
                double top = begin.y() + y * height / rows;
                covered.mean(left, top, left + width / columns, top + height / rows, rgb, 3 * (y * columns + x));
            }
        }
        return new WorkPicture(columns, rows, rgb);
    }

    /** What of a picture a pixel covers. */
    private record Covered(ByteBuffer bgra, int columns, int rows) {
        void mean(double left, double top, double right, double bottom, int[] rgb, int at) {
            double[] sums = new double[3];
            double whole = 0;
            for (int y = (int) top; y < Math.min(rows, bottom); y++) {
                double down = Math.min(bottom, y + 1) - Math.max(top, y);
                for (int x = (int) left; x < Math.min(columns, right); x++) {
                    double weight = down * (Math.min(right, x + 1) - Math.max(left, x));
                    int pixel = 4 * (y * columns + x);
                    int white = 255 - (bgra.get(pixel + 3) & 0xFF);
                    for (int c = 0; c < 3; c++) {
                        sums[c] += weight * ((bgra.get(pixel + 2 - c) & 0xFF) + white);
                    }
                    whole += weight;
                }
            }
            for (int c = 0; c < 3; c++) {
                rgb[at + c] = (int) (sums[c] / whole + 0.5);
            }
        }
    }

    /** Half as wide and high. */
    WorkPicture half() {
        int columns = Math.max(1, width / 2);
        int rows = Math.max(1, height / 2);
        int[] less = new int[3 * columns * rows];
        for (int y = 0; y < rows; y++) {
            for (int x = 0; x < columns; x++) {
                mean(x, y, columns, rows, less);
            }
        }
        return new WorkPicture(columns, rows, less);
    }

    /** The mean of what a pixel of a smaller picture covers, whole pixels of this one. */
    private void mean(int x, int y, int columns, int rows, int[] less) {
        int left = x * width / columns;
        int right = (x + 1) * width / columns;
        int top = y * height / rows;
        int bottom = (y + 1) * height / rows;
        int count = (right - left) * (bottom - top);
        for (int c = 0; c < 3; c++) {
            int sum = 0;
            for (int v = top; v < bottom; v++) {
                for (int u = left; u < right; u++) {
                    sum += rgb[3 * (v * width + u) + c];
                }
            }
            less[3 * (y * columns + x) + c] = (2 * sum + count) / (2 * count);
        }
    }

    /** The value nearest to a place, which may lie outside. */
    int nearest(int x, int y, int channel) {
        int column = Math.max(0, Math.min(width - 1, x));
        int row = Math.max(0, Math.min(height - 1, y));
        return rgb[3 * (row * width + column) + channel];
    }

    int longSide() {
        return Math.max(width, height);
    }
}
