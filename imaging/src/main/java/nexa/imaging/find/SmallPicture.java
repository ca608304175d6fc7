package nexa.imaging.find;

import java.nio.FloatBuffer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Size;

/** A picture made small: its brightness and two differences of colour, how they change downwards, and its texture. */
final class SmallPicture {
    static final int CHANNELS = 3;
    /** About so long. */
    private static final double LONG_SIDE = 560;

    private static final double BLUR = 1.2;

    final int width;
    final int height;
    /** How many of its pixels one of the picture's is. */
    final double factor;
    /** Brightness, blue less brightness, red less brightness; row by row, three values a pixel. */
    final float[] values;
    /** How much each of them grows downwards, in levels a pixel. */
    final float[] down;
    /** How much brighter it gets, whichever way, in levels a pixel. */
    final float[] texture;

    private SmallPicture(int width, int height, double factor, float[] values) {
        this.width = width;
        this.height = height;
        this.factor = factor;
        this.values = values;
        this.down = new float[values.length];
        this.texture = new float[width * height];
        derive();
    }

    static SmallPicture of(Mat bgr) {
        // Made smaller by a whole number, which is much faster.
        int times = (int) Math.max(1, Math.round(Math.max(bgr.cols(), bgr.rows()) / LONG_SIDE));
        int width = Math.max(1, bgr.cols() / times);
        int height = Math.max(1, bgr.rows() / times);
        try (Rect used = new Rect(0, 0, Math.min(bgr.cols(), width * times), Math.min(bgr.rows(), height * times));
                Mat whole = bgr.apply(used);
                Mat small = new Mat();
                Size size = new Size(width, height);
                Size any = new Size(0, 0)) {
            opencv_imgproc.resize(whole, small, size, 0, 0, opencv_imgproc.INTER_AREA);
            opencv_imgproc.GaussianBlur(small, small, any, BLUR);
            small.convertTo(small, opencv_core.CV_32F);
            float[] values = new float[CHANNELS * width * height];
            ((FloatBuffer) small.createBuffer()).get(values);
            for (int i = 0; i < values.length; i += CHANNELS) {
                float blue = values[i];
                float red = values[i + 2];
                float bright = .114f * blue + .587f * values[i + 1] + .299f * red;
                values[i] = bright;
                values[i + 1] = .6f * (blue - bright);
                values[i + 2] = .7f * (red - bright);
            }
            return new SmallPicture(width, height, 1.0 / times, values);
        }
    }

    /** How much each channel grows downwards, laid out as the values are, and the texture, by Sobel's filters. */
    private void derive() {
        for (int y = 0; y < height; y++) {
            int above = width * (y == 0 ? Math.min(1, height - 1) : y - 1);
            int below = width * (y == height - 1 ? Math.max(0, height - 2) : y + 1);
            for (int x = 0; x < width; x++) {
                int left = x == 0 ? Math.min(1, width - 1) : x - 1;
                int right = x == width - 1 ? Math.max(0, width - 2) : x + 1;
                for (int c = 0; c < CHANNELS; c++) {
                    down[CHANNELS * (y * width + x) + c] =
                            (smooth(below, left, x, right, c) - smooth(above, left, x, right, c)) / 8;
                }
                float across =
                        (rise(above, left, right) + 2 * rise(y * width, left, right) + rise(below, left, right)) / 8;
                float along = down[CHANNELS * (y * width + x)];
                texture[y * width + x] = (float) Math.sqrt(along * along + across * across);
            }
        }
    }

    private float smooth(int row, int left, int x, int right, int channel) {
        return values[CHANNELS * (row + left) + channel]
                + 2 * values[CHANNELS * (row + x) + channel]
                + values[CHANNELS * (row + right) + channel];
    }

    private float rise(int row, int left, int right) {
        return values[CHANNELS * (row + right)] - values[CHANNELS * (row + left)];
    }
}
