package nexa.imaging.render;

import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Size;
import nexa.imaging.read.Picture;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;

/** Makes what the screen shows of a photo: any upright rectangle of the turned photo, transparent where the photo ends. */
public final class ScreenRenderer {
    /** Beyond this shrinking, bilinear sampling alone would flicker. */
    private static final double COARSE = 1.5;

    private ScreenRenderer() {}

    /**
     * A rectangle of the photo as it looks on screen.
     *
     * @param source the whole photo at any size
     * @param photo the photo's size in its own pixels
     * @param part in the photo's pixels; may reach beyond the photo
     * @param width of the result
     * @param height of the result
     */
    public static Picture render(Picture source, Size photo, Crop part, Angle angle, int width, int height) {
        Picture result = Picture.blank(width, height);
        double factor = source.width() / photo.width();
        double shrinking = factor * part.size().width() / width;
        try (Mat whole = source.mat();
                Mat target = result.mat();
                Mat smaller = new Mat()) {
            Mat from = whole;
            if (shrinking > COARSE) {
                try (org.bytedeco.opencv.opencv_core.Size size = new org.bytedeco.opencv.opencv_core.Size(
                        (int) Math.max(1, Math.round(source.width() / shrinking)),
                        (int) Math.max(1, Math.round(source.height() / shrinking)))) {
                    opencv_imgproc.resize(whole, smaller, size, 0, 0, opencv_imgproc.INTER_AREA);
                }
                from = smaller;
            }
            Sampling sampling =
                    Sampling.of(part, angle, new Size(width, height)).inPhotoScaledBy(from.cols() / photo.width());
            try (Mat matrix = sampling.matrix();
                    Scalar nothing = new Scalar(0, 0, 0, 0)) {
                opencv_imgproc.warpAffine(
                        from,
                        target,
                        matrix,
                        target.size(),
                        opencv_imgproc.INTER_LINEAR | opencv_imgproc.WARP_INVERSE_MAP,
                        opencv_core.BORDER_CONSTANT,
                        nothing);
            }
        }
        return result;
    }
}
