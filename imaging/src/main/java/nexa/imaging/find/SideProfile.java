package nexa.imaging.find;

import nexa.core.shoot.Trim.Side;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Size;

/** How the colours of a picture change from one of its sides inwards, the side being taken together in blocks. */
final class SideProfile {
    static final int BLOCKS = 64;
    static final int CHANNELS = 3;

    /** So many pixels of a block tell enough of its colour. */
    private static final int SAMPLES = 16;

    private static final int BYTES = 4;

    private final Side side;
    private final int depth;
    private final int block;
    private final byte[] pixels;

    private SideProfile(Side side, int depth, int block, byte[] pixels) {
        this.side = side;
        this.depth = depth;
        this.block = block;
        this.pixels = pixels;
    }

    /**
     * Looks at a side.
     *
     * @param bgra 8 bits, four channels
     * @param from the first pixel along the side that is looked at
     * @param to the one behind the last, at least {@link #BLOCKS} further
     * @param depth how far inwards
     */
    static SideProfile of(Mat bgra, Side side, int from, int to, int depth) {
        // Whole pixels a block, which is much faster; what is left over is left out at both ends.
        int block = (to - from) / BLOCKS;
        int start = from + (to - from - block * BLOCKS) / 2;
        boolean isUpright = side.isUpright();
        int inwards = side.isFirst() ? 0 : (isUpright ? bgra.cols() : bgra.rows()) - depth;
        try (Rect strip = isUpright
                        ? new Rect(inwards, start, depth, block * BLOCKS)
                        : new Rect(start, inwards, block * BLOCKS, depth);
                Mat part = bgra.apply(strip);
                Size thinned = size(isUpright, depth, BLOCKS * Math.min(block, SAMPLES));
                Size size = size(isUpright, depth, BLOCKS);
                Mat thin = new Mat();
                Mat small = new Mat()) {
            opencv_imgproc.resize(part, thin, thinned, 0, 0, opencv_imgproc.INTER_NEAREST);
            opencv_imgproc.resize(thin, small, size, 0, 0, opencv_imgproc.INTER_AREA);
            byte[] pixels = new byte[BYTES * BLOCKS * depth];
            small.data().get(pixels);
            return new SideProfile(side, depth, block, pixels);
        }
    }

    private static Size size(boolean isUpright, int depth, int along) {
        return isUpright ? new Size(depth, along) : new Size(along, depth);
    }

    int depth() {
        return depth;
    }

    /** How many pixels a block is long. */
    int block() {
        return block;
    }

    /** A channel's level, 0 … 255, so many pixels from the edge. */
    int at(int which, int inwards, int channel) {
        int along = side.isFirst() ? inwards : depth - 1 - inwards;
        int pixel = side.isUpright() ? which * depth + along : along * BLOCKS + which;
        return pixels[BYTES * pixel + channel] & 0xFF;
    }

    /** The largest difference of a channel to a colour. */
    double off(int which, int inwards, double[] colour) {
        double most = 0;
        for (int c = 0; c < CHANNELS; c++) {
            most = Math.max(most, Math.abs(at(which, inwards, c) - colour[c]));
        }
        return most;
    }
}
