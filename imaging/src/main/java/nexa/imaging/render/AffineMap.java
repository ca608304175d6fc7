package nexa.imaging.render;

import nexa.core.format.PixelSize;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shoot.Beyond;
import org.bytedeco.javacpp.DoublePointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;

/**
 * A map that keeps parallels. Result pixel (i, j) of ow × oh of a crop is the plane at m + R(−θ)(((i + ½)/ow − ½) w, ((j + ½)/oh
 * − ½) h).
 *
 * @param origin the photo's point at the result's top-left corner
 * @param right the way in the photo of one result pixel to the right
 * @param down the way in the photo of one result pixel down
 */
public record AffineMap(Point origin, Point right, Point down) implements PixelMap {

    /** From a result of a crop to the plane in which the crop lies. */
    public static AffineMap of(Crop crop, Angle angle, Size result) {
        Point right = angle.toPhoto(new Point(crop.size().width() / result.width(), 0));
        Point down = angle.toPhoto(new Point(0, crop.size().height() / result.height()));
        return new AffineMap(crop.at(0, 0, angle), right, down);
    }

    /** The map that begins so far right and down and changes nothing else. */
    static AffineMap shift(Point origin) {
        return new AffineMap(origin, new Point(1, 0), new Point(0, 1));
    }

    @Override
    public Point at(Point result) {
        return origin.plus(right.times(result.x())).plus(down.times(result.y()));
    }

    @Override
    public AffineMap after(AffineMap first) {
        if (equals(SAME)) {
            return first;
        }
        return new AffineMap(at(first.origin), turned(first.right), turned(first.down));
    }

    private Point turned(Point way) {
        return right.times(way.x()).plus(down.times(way.y()));
    }

    @Override
    public AffineMap inPhotoScaledBy(double factor) {
        return new AffineMap(origin.times(factor), right.times(factor), down.times(factor));
    }

    @Override
    public AffineMap within(int left, int top) {
        return new AffineMap(origin.minus(new Point(left, top)), right, down);
    }

    @Override
    public Rows rows(PixelSize result) {
        return (row, x, y) -> {
            Point begin = at(new Point(0.5, row + 0.5));
            FixedPoint.line(begin.x(), right.x(), x, 0, x.length);
            FixedPoint.line(begin.y(), right.y(), y, 0, y.length);
        };
    }

    @Override
    public void warp(Mat from, Mat to, PixelSize result, int how, Beyond beyond) {
        try (Mat matrix = matrix();
                Scalar nothing = new Scalar(0, 0, 0, 0);
                org.bytedeco.opencv.opencv_core.Size size =
                        new org.bytedeco.opencv.opencv_core.Size(result.width(), result.height())) {
            opencv_imgproc.warpAffine(
                    from, to, matrix, size, how | opencv_imgproc.WARP_INVERSE_MAP, beyond.border(), nothing);
        }
    }

    /** From result pixels to photo pixels, both counted by their middles, as OpenCV wants it. The caller closes it. */
    private Mat matrix() {
        // The middle of pixel k is at k + ½ in photo coordinates and at k for OpenCV.
        Point start = origin.plus(right.plus(down).times(0.5)).minus(new Point(0.5, 0.5));
        try (DoublePointer values = new DoublePointer(right.x(), down.x(), start.x(), right.y(), down.y(), start.y())) {
            try (Mat borrowed = new Mat(2, 3, opencv_core.CV_64FC1, values)) {
                return borrowed.clone();
            }
        }
    }
}
