package nexa.imaging.render;

import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import org.bytedeco.javacpp.DoublePointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;

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
