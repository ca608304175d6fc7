package nexa.imaging.render;

import java.nio.ByteBuffer;
import java.util.function.ToDoubleFunction;
import nexa.core.geometry.Point;
import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * Multiplies the light of pixels by something that changes slowly over them. It is worked out at the nodes of a grid, and
 * between them evenly in stops.
 */
public final class GainMap {
    private static final int FINEST = 48;
    private static final int WIDEST = 16;

    private final ToDoubleFunction<Point> gain;
    private final int columns;
    private final int rows;
    private final int pitch;

    private GainMap(ToDoubleFunction<Point> gain, int columns, int rows) {
        this.gain = gain;
        this.columns = columns;
        this.rows = rows;
        this.pitch = Math.max(1, Math.min(WIDEST, Math.max(columns, rows) / FINEST));
    }

    /**
     * Multiplies light, in place.
     *
     * @param pixels grey, BGR or premultiplied BGRA, of 8 bits, or of 16 or floats in such numbers without alpha
     * @param gain above 0, of a place in the pixels, whose pixel k spans k … k + 1
     */
    public static void multiply(Mat pixels, ToneCurve curve, ToDoubleFunction<Point> gain) {
        GainMap over = new GainMap(gain, pixels.cols(), pixels.rows());
        if (pixels.depth() == opencv_core.CV_8U) {
            over.multiplyPlain(pixels, curve);
        } else {
            over.multiplyDeep(pixels, curve);
        }
    }

    private void multiplyPlain(Mat pixels, ToneCurve curve) {
        int channels = pixels.channels();
        byte[] row = new byte[columns * channels];
        double[] levels = new double[columns];
        Nodes nodes = new Nodes();
        for (int y = 0; y < rows; y++) {
            nodes.levels(y, levels);
            ByteBuffer line = pixels.ptr(y).capacity(row.length).asByteBuffer();
            line.get(0, row);
            int level = -1;
            byte[] becomes = row;
            for (int x = 0; x < columns; x++) {
                int now = (int) (levels[x] + 0.5);
                if (now != level) {
                    level = now;
                    becomes = curve.row(level);
                }
                int at = x * channels;
                if (channels == 4) {
                    premultiplied(row, at, becomes);
                } else {
                    for (int i = at; i < at + channels; i++) {
                        row[i] = becomes[row[i] & 0xFF];
                    }
                }
            }
            line.put(0, row);
        }
    }

    /** Colours that are multiplied by alpha are at most as large. */
    private static void premultiplied(byte[] row, int at, byte[] becomes) {
        int alpha = row[at + 3] & 0xFF;
        for (int i = at; i < at + 3; i++) {
            row[i] = (byte) Math.min(alpha, becomes[row[i] & 0xFF] & 0xFF);
        }
    }

    private void multiplyDeep(Mat pixels, ToneCurve curve) {
        int channels = pixels.channels();
        float[] row = new float[columns * channels];
        double[] levels = new double[columns];
        Nodes nodes = new Nodes();
        try (Mat numbers = new Mat(1, columns, opencv_core.CV_32FC(channels))) {
            for (int y = 0; y < rows; y++) {
                nodes.levels(y, levels);
                try (Mat line = pixels.row(y);
                        FloatPointer floats = new FloatPointer(numbers.data())) {
                    line.convertTo(numbers, opencv_core.CV_32F);
                    floats.get(row);
                    for (int x = 0; x < columns; x++) {
                        curve.multiply(row, x * channels, channels, levels[x]);
                    }
                    floats.put(row);
                    // To the nearest number there is.
                    numbers.convertTo(line, pixels.depth());
                }
            }
        }
    }

    /** The gains of whole rows, told as {@link ToneCurve} does; two rows of nodes are kept. */
    private final class Nodes {
        private double[] above;
        private double[] below;
        private int top = -1;

        /** @param levels of the middles of a row's pixels, filled in */
        void levels(int y, double[] levels) {
            int row = y / pitch;
            if (row != top) {
                above = row == top + 1 && below != null ? below : nodes(row);
                below = nodes(row + 1);
                top = row;
            }
            double down = (y + 0.5) / pitch - row;
            for (int column = 0; column * pitch < columns; column++) {
                double from = above[column] + down * (below[column] - above[column]);
                double to = above[column + 1] + down * (below[column + 1] - above[column + 1]);
                double step = (to - from) / pitch;
                double level = from + step / 2;
                int end = Math.min(columns, (column + 1) * pitch);
                for (int x = column * pitch; x < end; x++) {
                    levels[x] = level;
                    level += step;
                }
            }
        }

        private double[] nodes(int row) {
            double[] nodes = new double[columns / pitch + 2];
            for (int i = 0; i < nodes.length; i++) {
                nodes[i] = ToneCurve.level(gain.applyAsDouble(new Point(i * pitch, row * pitch)));
            }
            return nodes;
        }
    }
}
