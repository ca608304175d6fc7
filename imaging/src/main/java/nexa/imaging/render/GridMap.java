package nexa.imaging.render;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import nexa.core.shoot.Beyond;
import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * Any smooth map. It is worked out at the nodes of a grid over the result, and evenly between them; where that would be off by
 * too much in the middle of a cell, the grid is made finer.
 *
 * @param exact where each place of the result lies
 * @param pitch result pixels between two nodes at most, at least 1
 * @param mostOff by how many pixels of the photo a place between nodes may be off; infinite where they are near enough
 */
record GridMap(UnaryOperator<Point> exact, int pitch, double mostOff) implements PixelMap {
    /** So many cells along a side are looked at. */
    private static final int SAMPLED = 12;

    @Override
    public Point at(Point result) {
        return exact.apply(result);
    }

    @Override
    public GridMap after(AffineMap first) {
        return new GridMap(place -> exact.apply(first.at(place)), pitch, mostOff);
    }

    @Override
    public GridMap inPhotoScaledBy(double factor) {
        return new GridMap(place -> exact.apply(place).times(factor), pitch, mostOff);
    }

    @Override
    public GridMap within(int left, int top) {
        Point begin = new Point(left, top);
        return new GridMap(place -> exact.apply(place).minus(begin), pitch, mostOff);
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

    @Override
    public GridMap readyFor(PixelSize result) {
        return new GridMap(exact, fineEnough(result), Double.POSITIVE_INFINITY);
    }

    @Override
    public Rows rows(PixelSize result) {
        return nodes(result);
    }

    /**
     * Places that are worked out, one in the middle of every cell and one more all around, so that there are some on all sides of
     * every pixel.
     *
     * @param places row by row, x and y in turn
     */
    private record Nodes(int pitch, int across, int down, double[] places) implements Rows {
        @Override
        public void fill(int row, int[] x, int[] y) {
            double at = (row + 0.5) / pitch + 0.5;
            int above = (int) at;
            fill(above, at - above, 0, x);
            fill(above, at - above, 1, y);
        }

        /** Places lie evenly between two nodes, the first of which is half a cell before the first place. */
        private void fill(int above, double below, int of, int[] filled) {
            for (int column = 0; column * pitch - pitch / 2 < filled.length; column++) {
                double left = between(above, below, column, of);
                double step = (between(above, below, column + 1, of) - left) / pitch;
                int from = Math.max(0, column * pitch - pitch / 2);
                int to = Math.min(filled.length, (column + 1) * pitch - pitch / 2);
                double off = from + 0.5 - (column - 0.5) * pitch;
                FixedPoint.line(left + off * step, step, filled, from, to);
            }
        }

        private double between(int above, double below, int column, int of) {
            int upper = 2 * (above * across + column) + of;
            return places[upper] + below * (places[upper + 2 * across] - places[upper]);
        }
    }

    private Nodes nodes(PixelSize result) {
        int fine = fineEnough(result);
        int across = (result.width() + fine - 1) / fine + 2;
        int down = (result.height() + fine - 1) / fine + 2;
        double[] places = new double[across * down * 2];
        for (int j = 0; j < down; j++) {
            for (int i = 0; i < across; i++) {
                Point place = at(new Point((i - 0.5) * fine, (j - 0.5) * fine));
                places[2 * (j * across + i)] = place.x();
                places[2 * (j * across + i) + 1] = place.y();
            }
        }
        return new Nodes(fine, across, down, places);
    }

    /** The place of each result pixel's middle, by OpenCV's count. The caller closes it. */
    private Mat places(PixelSize result) {
        Nodes nodes = nodes(result);
        float[] byMiddles = new float[nodes.places().length];
        for (int i = 0; i < byMiddles.length; i++) {
            byMiddles[i] = (float) (nodes.places()[i] - 0.5);
        }
        int fine = nodes.pitch();
        try (FloatPointer values = new FloatPointer(byMiddles);
                Mat grid = new Mat(nodes.down(), nodes.across(), opencv_core.CV_32FC2, values);
                Mat all = new Mat();
                Size size = new Size(nodes.across() * fine, nodes.down() * fine);
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
                if (corners.times(0.25).distance(middle) > mostOff) {
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
