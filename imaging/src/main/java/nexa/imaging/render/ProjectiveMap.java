package nexa.imaging.render;

import com.google.common.primitives.Ints;
import java.util.ArrayList;
import java.util.List;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.shape.Homography;
import nexa.core.shape.Homography.Row;
import nexa.core.shoot.Beyond;
import org.bytedeco.javacpp.DoublePointer;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;

/**
 * A map that keeps straight lines.
 *
 * @param exact where each place of the result lies; in front of the camera its depth is above 0
 */
record ProjectiveMap(Homography exact) implements PixelMap {
    @Override
    public Point at(Point result) {
        return exact.at(result);
    }

    @Override
    public ProjectiveMap after(AffineMap first) {
        return new ProjectiveMap(
                new Homography(after(first, exact.x()), after(first, exact.y()), after(first, exact.depth())));
    }

    /** The linear function of what an affine map leads to. */
    private static Row after(AffineMap first, Row row) {
        return new Row(along(row, first.right()), along(row, first.down()), row.at(first.origin()));
    }

    private static double along(Row row, Point way) {
        return row.across() * way.x() + row.down() * way.y();
    }

    @Override
    public ProjectiveMap inPhotoScaledBy(double factor) {
        return new ProjectiveMap(
                new Homography(exact.x().times(factor), exact.y().times(factor), exact.depth()));
    }

    @Override
    public ProjectiveMap within(int left, int top) {
        return shiftedBack(left, top);
    }

    private ProjectiveMap shiftedBack(double left, double top) {
        Row depth = exact.depth();
        return new ProjectiveMap(
                new Homography(exact.x().plus(depth.times(-left)), exact.y().plus(depth.times(-top)), depth));
    }

    @Override
    public Rows rows(PixelSize result) {
        return (row, x, y) -> {
            Point begin = new Point(0.5, row + 0.5);
            double left = exact.x().at(begin);
            double top = exact.y().at(begin);
            double deep = exact.depth().at(begin);
            for (int i = 0; i < x.length; i++) {
                double nearness = 1 / (deep + i * exact.depth().across());
                x[i] = FixedPoint.of((left + i * exact.x().across()) * nearness);
                y[i] = FixedPoint.of((top + i * exact.y().across()) * nearness);
            }
        };
    }

    @Override
    public void warp(Mat from, Mat to, PixelSize result, int how, Beyond beyond) {
        // OpenCV counts pixels by their middles.
        ProjectiveMap byMiddles = after(AffineMap.shift(new Point(0.5, 0.5))).shiftedBack(0.5, 0.5);
        try (Mat matrix = byMiddles.matrix();
                Scalar nothing = new Scalar(0, 0, 0, 0);
                org.bytedeco.opencv.opencv_core.Size size =
                        new org.bytedeco.opencv.opencv_core.Size(result.width(), result.height())) {
            opencv_imgproc.warpPerspective(
                    from, to, matrix, size, how | opencv_imgproc.WARP_INVERSE_MAP, beyond.border(), nothing);
        }
        if (beyond == Beyond.NOTHING) {
            clearBehind(to, result);
        }
    }

    /** Behind the camera there is nothing, though the map leads to the photo from there too, the other way round. */
    private void clearBehind(Mat to, PixelSize result) {
        List<Point> around = List.of(
                new Point(0, 0),
                new Point(result.width(), 0),
                new Point(result.width(), result.height()),
                new Point(0, result.height()));
        List<Integer> behind = new ArrayList<>();
        for (int i = 0; i < around.size(); i++) {
            Point one = around.get(i);
            Point next = around.get((i + 1) % around.size());
            double deep = exact.depth().at(one);
            double nextDeep = exact.depth().at(next);
            if (deep <= 0) {
                add(one, behind);
            }
            if (deep <= 0 != nextDeep <= 0) {
                add(one.plus(next.minus(one).times(deep / (deep - nextDeep))), behind);
            }
        }
        if (behind.size() > 4) {
            try (IntPointer places = new IntPointer(Ints.toArray(behind));
                    Mat polygon = new Mat(behind.size() / 2, 1, opencv_core.CV_32SC2, places);
                    Scalar nothing = new Scalar(0, 0, 0, 0)) {
                opencv_imgproc.fillConvexPoly(to, polygon, nothing);
            }
        }
    }

    private static void add(Point place, List<Integer> polygon) {
        polygon.add((int) Math.round(place.x()));
        polygon.add((int) Math.round(place.y()));
    }

    private Mat matrix() {
        Row x = exact.x();
        Row y = exact.y();
        Row depth = exact.depth();
        try (DoublePointer values = new DoublePointer(
                x.across(),
                x.down(),
                x.constant(),
                y.across(),
                y.down(),
                y.constant(),
                depth.across(),
                depth.down(),
                depth.constant())) {
            try (Mat borrowed = new Mat(3, 3, opencv_core.CV_64FC1, values)) {
                return borrowed.clone();
            }
        }
    }
}
