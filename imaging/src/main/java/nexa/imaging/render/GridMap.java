package nexa.imaging.render;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * Any smooth map. It is worked out at the nodes of a grid over the result, and evenly between them; where that would be off by
 * more than a tenth of a pixel in the middle of a cell, the grid is made finer.
 *
 * @param exact where each place of the result lies
 * @param pitch result pixels between two nodes, at least 1
 */
record GridMap(UnaryOperator<Point> exact, int pitch) implements PixelMap {
    private static final double MOST_OFF = 0.1;
    /** So many cells along a side are looked at. */
    private static final int SAMPLED = 12;

    @Override
    public Point at(Point result) {
        return exact.apply(result);
    }

    @Override
    public GridMap after(AffineMap first) {
        return new GridMap(place -> exact.apply(first.at(place)), pitch);
    }

    @Override
    public GridMap inPhotoScaledBy(double factor) {
        return new GridMap(place -> exact.apply(place).times(factor), pitch);
    }

    @Override
    public GridMap within(int left, int top) {
        Point begin = new Point(left, top);
        return new GridMap(place -> exact.apply(place).minus(begin), pitch);
    }

    @Override
    public Bounds reach(PixelSize result) {
        List<Point> nodes = new ArrayList<>();
        for (int y = 0; y < result.height() + pitch; y += pitch) {
            for (int x = 0; x < result.width() + pitch; x += pitch) {
                nodes.add(at(new Point(Math.min(x, result.width()), Math.min(y, result.height()))));
            }
        }
        return Bounds.of(nodes);
    }

    @Override
    public void warp(Mat from, Mat to, PixelSize result, int how, Beyond beyond) {
        try (Mat places = places(result);
                Mat none = new Mat();
                Scalar nothing = new Scalar(0, 0, 0, 0)) {
            opencv_imgproc.remap(from, to, places, none, how, beyond.border(), nothing);
        }
    }

    /** The place of each result pixel's middle, by OpenCV's count. The caller closes it. */
    private Mat places(PixelSize result) {
        int fine = fineEnough(result);
        // A node in the middle of every cell, and one more all around, so that there are nodes on all sides of every
        // pixel.
        int across = (result.width() + fine - 1) / fine + 2;
        int down = (result.height() + fine - 1) / fine + 2;
        float[] nodes = new float[across * down * 2];
        for (int j = 0; j < down; j++) {
            for (int i = 0; i < across; i++) {
                Point place = at(new Point((i - 0.5) * fine, (j - 0.5) * fine));
                nodes[2 * (j * across + i)] = (float) (place.x() - 0.5);
                nodes[2 * (j * across + i) + 1] = (float) (place.y() - 0.5);
            }
        }
        try (FloatPointer values = new FloatPointer(nodes);
                Mat grid = new Mat(down, across, opencv_core.CV_32FC2, values);
                Mat all = new Mat();
                Size size = new Size(across * fine, down * fine);
                Rect wanted = new Rect(fine, fine, result.width(), result.height())) {
            opencv_imgproc.resize(grid, all, size, 0, 0, opencv_imgproc.INTER_LINEAR);
            try (Mat part = new Mat(all, wanted)) {
                return part.clone();
            }
        }
    }

    private int fineEnough(PixelSize result) {
        int fine = pitch;
        while (fine > 1 && isOff(result, fine)) {
            fine /= 2;
        }
        return fine;
    }

    /** Whether the middle of any cell is off by too much, of cells spread evenly over the result and those at its edges. */
    private boolean isOff(PixelSize result, int fine) {
        for (int y : beginnings(result.height(), fine)) {
            for (int x : beginnings(result.width(), fine)) {
                Point corners = at(new Point(x, y))
                        .plus(at(new Point(x + fine, y)))
                        .plus(at(new Point(x, y + fine)))
                        .plus(at(new Point(x + fine, y + fine)));
                Point middle = at(new Point(x + fine / 2.0, y + fine / 2.0));
                if (corners.times(0.25).distance(middle) > MOST_OFF) {
                    return true;
                }
            }
        }
        return false;
    }

    /** Where cells begin along a side, so many that what a smooth map does between them is seen. */
    private static int[] beginnings(int side, int fine) {
        int last = (side - 1) / fine;
        int count = Math.min(last, SAMPLED - 1);
        return count == 0
                ? new int[] {0}
                : IntStream.rangeClosed(0, count)
                        .map(i -> last * i / count * fine)
                        .toArray();
    }
}
