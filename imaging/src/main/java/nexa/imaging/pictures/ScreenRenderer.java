package nexa.imaging.pictures;

import nexa.core.format.PixelSize;
import nexa.core.geometry.Crop;
import nexa.core.shoot.Photo;
import nexa.imaging.render.AffineMap;
import nexa.imaging.render.PixelMap;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;

/** Makes what the screen shows of a photo: any upright rectangle of the turned photo, transparent where the photo ends. */
public final class ScreenRenderer {
    /** Beyond this shrinking, bilinear sampling alone would flicker. */
    private static final double COARSE = 1.5;

    private ScreenRenderer() {}

    /**
     * A rectangle of the photo as it looks on screen.
     *
     * @param source the whole photo at any size
     * @param photo as it is turned
     * @param part in the photo's pixels; may reach beyond the photo
     * @param width of the result
     * @param height of the result
     */
    public static Picture render(Picture source, Photo photo, Crop part, int width, int height) {
        Picture result = Picture.blank(width, height);
        double factor = source.width() / photo.size().width();
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
            PixelSize size = new PixelSize(width, height);
            PixelMap.ofPlane(photo)
                    .after(AffineMap.of(part, photo.angle(), size.size()))
                    .inPhotoScaledBy(from.cols() / photo.size().width())
                    .warp(from, target, size, opencv_imgproc.INTER_LINEAR, PixelMap.Beyond.NOTHING);
        }
        return result;
    }
}
