package nexa.imaging.pictures;

import nexa.core.format.PixelSize;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.shape.Edge;
import nexa.core.shape.Lens;
import nexa.core.shape.LensMap;
import nexa.core.shoot.Photo;
import nexa.imaging.render.AffineMap;
import nexa.imaging.render.LightGain;
import nexa.imaging.render.PixelMap;
import nexa.imaging.render.ToneCurve;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;

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
     * @param part in the plane of its crops; may reach beyond the photo
     * @param crop in the same plane, in which the edge shows that is wanted
     * @param width of the result
     * @param height of the result
     */
    public static Picture render(Picture source, Photo photo, Crop part, Crop crop, int width, int height) {
        Picture result = Picture.blank(width, height);
        double factor = source.width() / photo.size().width();
        double shrinking = factor * part.size().width() / width;
        PixelSize size = new PixelSize(width, height);
        AffineMap toPlane = AffineMap.of(part, photo.angle(), size.size());
        PixelMap map = PixelMap.ofPlane(photo, PixelMap.SCREEN_PITCH).after(toPlane);
        try (Mat whole = source.mat();
                Mat target = result.mat();
                Mat smaller = new Mat()) {
            Mat from = whole;
            if (shrinking > COARSE) {
                try (org.bytedeco.opencv.opencv_core.Size shrunk = new org.bytedeco.opencv.opencv_core.Size(
                        (int) Math.max(1, Math.round(source.width() / shrinking)),
                        (int) Math.max(1, Math.round(source.height() / shrinking)))) {
                    opencv_imgproc.resize(whole, smaller, shrunk, 0, 0, opencv_imgproc.INTER_AREA);
                }
                from = smaller;
            }
            map.inPhotoScaledBy(from.cols() / photo.size().width())
                    .warp(from, target, size, opencv_imgproc.INTER_LINEAR, PixelMap.Beyond.NOTHING);
            light(target, photo, map);
            edge(target, photo, part, crop);
        }
        return result;
    }

    /** The light that the lens took. After the map: it changes so slowly that the order shows nowhere. */
    private static void light(Mat shown, Photo photo, PixelMap map) {
        photo.preparation().lens().filter(Lens::evensLight).ifPresent(lens -> {
            LensMap even = new LensMap(lens, photo.size());
            LightGain.multiply(shown, ToneCurve.SRGB, place -> even.gain(map.at(place)));
        });
    }

    /** The edge that is wanted, where the crop is seen. */
    private static void edge(Mat shown, Photo photo, Crop part, Crop crop) {
        Edge edge = photo.preparation().edge();
        if (edge.isNone()) {
            return;
        }
        double scale = shown.cols() / part.size().width();
        Point middle =
                photo.angle().toScreen(crop.centre().minus(part.centre())).times(scale);
        double left = shown.cols() / 2.0 + middle.x() - scale * crop.size().width() / 2;
        double top = shown.rows() / 2.0 + middle.y() - scale * crop.size().height() / 2;
        double right = left + scale * crop.size().width();
        double bottom = top + scale * crop.size().height();
        int x = within(left, shown.cols());
        int y = within(top, shown.rows());
        int width = within(right, shown.cols()) - x;
        int height = within(bottom, shown.rows()) - y;
        if (width > 0 && height > 0) {
            try (Rect seen = new Rect(x, y, width, height);
                    Mat inside = new Mat(shown, seen)) {
                LightGain.multiply(
                        inside,
                        ToneCurve.SRGB,
                        place -> edge.gain(new Point(
                                (x + place.x() - left) / (right - left), (y + place.y() - top) / (bottom - top))));
            }
        }
    }

    private static int within(double place, int most) {
        return (int) Math.max(0, Math.min(most, Math.round(place)));
    }
}
