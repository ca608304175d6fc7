package nexa.imaging.render;

import java.util.List;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import org.bytedeco.javacpp.DoublePointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;

/**
 * Where in the photo each pixel of a result lies. Result pixel (i, j) of ow × oh is the photo at m + R(−θ)(((i + ½)/ow −
 * ½) w, ((j + ½)/oh − ½) h), in coordinates whose pixel k spans k … k + 1.
 *
 * @param origin the photo's point at the result's top-left corner
 * @param right the way in the photo of one result pixel to the right
 * @param down the way in the photo of one result pixel down
 */
record Sampling(Point origin, Point right, Point down) {

    static Sampling of(Crop crop, Angle angle, Size result) {
        Point right = angle.toPhoto(new Point(crop.size().width() / result.width(), 0));
        Point down = angle.toPhoto(new Point(0, crop.size().height() / result.height()));
        return new Sampling(crop.at(0, 0, angle), right, down);
    }

    /** The same places when the photo's own pixels have become larger or smaller by a factor. */
    Sampling inPhotoScaledBy(double factor) {
        return new Sampling(origin.times(factor), right.times(factor), down.times(factor));
    }

    /** The same places for the part of the result that begins some pixels further right and down. */
    Sampling shifted(int across, int below) {
        return new Sampling(origin.plus(right.times(across)).plus(down.times(below)), right, down);
    }

    /** The same places in the part of the photo that begins there. */
    Sampling within(int left, int top) {
        return new Sampling(origin.minus(new Point(left, top)), right, down);
    }

    /** The part of a photo that a result's pixels come from, and a margin around it. The caller closes it. */
    Rect needed(PixelSize result, int margin, int width, int height) {
        Point across = right.times(result.width());
        Point below = down.times(result.height());
        List<Point> corners = List.of(
                origin,
                origin.plus(across),
                origin.plus(below),
                origin.plus(across).plus(below));
        double[] x = corners.stream().mapToDouble(Point::x).sorted().toArray();
        double[] y = corners.stream().mapToDouble(Point::y).sorted().toArray();
        int left = within(Math.floor(x[0]) - margin, width - 1);
        int top = within(Math.floor(y[0]) - margin, height - 1);
        int rightEnd = within(Math.ceil(x[3]) + margin, width);
        int bottomEnd = within(Math.ceil(y[3]) + margin, height);
        return new Rect(left, top, Math.max(1, rightEnd - left), Math.max(1, bottomEnd - top));
    }

    private static int within(double value, int most) {
        return (int) Math.max(0, Math.min(most, value));
    }

    /** From result pixels to photo pixels, both counted by their middles, as OpenCV wants it. The caller closes it. */
    Mat matrix() {
        // The middle of pixel k is at k + ½ in photo coordinates and at k for OpenCV.
        Point start = origin.plus(right.plus(down).times(0.5)).minus(new Point(0.5, 0.5));
        try (DoublePointer values = new DoublePointer(right.x(), down.x(), start.x(), right.y(), down.y(), start.y())) {
            try (Mat borrowed = new Mat(2, 3, opencv_core.CV_64FC1, values)) {
                return borrowed.clone();
            }
        }
    }
}
