package nexa.imaging.pictures;

import java.util.Optional;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.shoot.Photo;
import nexa.imaging.render.AffineMap;
import nexa.imaging.render.Canvas;
import nexa.imaging.render.ClosedOnThrow;
import nexa.imaging.render.PixelMap;
import nexa.imaging.render.ToneCurve;
import nexa.imaging.tone.ToneStages;
import org.bytedeco.opencv.global.opencv_core;
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
     * @param crop in the same plane, in which its tone shows
     * @param width of the result
     * @param height of the result
     */
    public static Picture render(Picture source, Photo photo, Crop part, Crop crop, int width, int height) {
        return render(source, photo, part, crop, Optional.empty(), width, height);
    }

    /**
     * Likewise of a crop that may reach beyond the photo.
     *
     * @param around what the crop shows outside of it, if it reaches there
     */
    public static Picture render(
            Picture source, Photo photo, Crop part, Crop crop, Optional<OutsidePicture> around, int width, int height) {
        Picture result = Picture.blank(width, height);
        PixelSize size = new PixelSize(width, height);
        double scale = width / part.size().width();
        AffineMap toPlane = AffineMap.of(part, photo.angle(), size.size());
        PixelMap map = PixelMap.ofPlane(photo, Optional.empty(), PixelMap.Exactness.SCREEN)
                .after(toPlane);
        try (Mat whole = source.mat();
                Mat target = result.mat();
                Mat from = shrunk(whole, source.width() / photo.size().width(), scale)) {
            map.inPhotoScaledBy(from.cols() / photo.size().width())
                    .warp(from, target, size, opencv_imgproc.INTER_LINEAR, PixelMap.Beyond.NOTHING);
            tonesOfPhoto(target, photo, map);
            Frame frame = Frame.of(target, photo, part, crop);
            frame.seen(target).ifPresent(seen -> {
                around.ifPresent(there -> around(there, from, target, seen, photo, toPlane));
                tonesOfCrop(target, photo, seen, frame);
            });
        }
        return result;
    }

    /** Pixels as they are, or smaller, where they are much finer than is wanted. The caller closes it. */
    private static Mat shrunk(Mat pixels, double factor, double wanted) {
        double shrinking = factor / wanted;
        if (shrinking <= COARSE) {
            return new Mat(pixels);
        }
        return ClosedOnThrow.filled(new Mat(), smaller -> {
            try (org.bytedeco.opencv.opencv_core.Size size = new org.bytedeco.opencv.opencv_core.Size(
                    (int) Math.max(1, Math.round(pixels.cols() / shrinking)),
                    (int) Math.max(1, Math.round(pixels.rows() / shrinking)))) {
                opencv_imgproc.resize(pixels, smaller, size, 0, 0, opencv_imgproc.INTER_AREA);
            }
        });
    }

    /** What lies outside the photo, where the crop is seen. */
    private static void around(OutsidePicture around, Mat from, Mat target, Rect seen, Photo photo, AffineMap toPlane) {
        PixelMap map = PixelMap.ofPlane(photo, around.stretch(), PixelMap.Exactness.SCREEN)
                .after(toPlane)
                .shifted(seen.x(), seen.y());
        PixelSize size = new PixelSize(seen.width(), seen.height());
        double factor = from.cols() / photo.size().width();
        try (Mat inside = new Mat(target, seen);
                Mat own = new Mat();
                Rect part = Canvas.inside(photo.preparation().trim(), from);
                Mat counting = new Mat(from, part)) {
            PixelMap toPart = map.inPhotoScaledBy(factor).within(part.x(), part.y());
            PixelMap.Beyond beyond = around.stretch().isPresent() ? PixelMap.Beyond.EDGE : PixelMap.Beyond.NOTHING;
            toPart.warp(counting, own, size, opencv_imgproc.INTER_LINEAR, beyond);
            tonesOfPhoto(own, photo, map);
            if (around.filled().isPresent()) {
                OutsidePicture.Filled filled = around.filled().get();
                double scale = 1 / toPlane.right().distance(Point.ORIGIN);
                try (Mat picture = filled.picture().mat();
                        Mat below = shrunk(picture, filled.factor(), scale);
                        Mat fill = new Mat()) {
                    double smaller = (double) below.cols() / picture.cols();
                    PixelMap toFilled = map.inPhotoScaledBy(filled.factor())
                            .within(filled.left(), filled.top())
                            .inPhotoScaledBy(smaller);
                    toFilled.warp(below, fill, size, opencv_imgproc.INTER_LINEAR, PixelMap.Beyond.EDGE);
                    over(own, fill);
                }
            }
            own.copyTo(inside);
        }
    }

    /** Puts one picture over another one: colour + below × (1 − alpha). */
    private static void over(Mat upper, Mat below) {
        try (Mat clear = new Mat();
                Mat clears = new Mat()) {
            opencv_core.extractChannel(upper, clear, 3);
            opencv_core.bitwise_not(clear, clear);
            opencv_imgproc.cvtColor(clear, clears, opencv_imgproc.COLOR_GRAY2BGRA);
            opencv_core.insertChannel(clear, clears, 3);
            opencv_core.multiply(below, clears, below, 1 / 255.0, -1);
            opencv_core.add(upper, below, upper);
        }
    }

    /** Where the crop is seen in what is shown, in its pixels. */
    private record Frame(double left, double top, double right, double bottom) {
        static Frame of(Mat shown, Photo photo, Crop part, Crop crop) {
            double scale = shown.cols() / part.size().width();
            Point middle = photo.angle()
                    .toScreen(crop.centre().minus(part.centre()))
                    .times(scale)
                    .plus(new Point(shown.cols() / 2.0, shown.rows() / 2.0));
            double across = scale * crop.size().width() / 2;
            double down = scale * crop.size().height() / 2;
            return new Frame(middle.x() - across, middle.y() - down, middle.x() + across, middle.y() + down);
        }

        /** The whole pixels of it that are shown; empty if there are none. */
        Optional<Rect> seen(Mat shown) {
            int x = within(left, shown.cols());
            int y = within(top, shown.rows());
            int width = within(right, shown.cols()) - x;
            int height = within(bottom, shown.rows()) - y;
            return width > 0 && height > 0 ? Optional.of(new Rect(x, y, width, height)) : Optional.empty();
        }
    }

    private static void tonesOfPhoto(Mat shown, Photo photo, PixelMap map) {
        ToneStages.of(photo.preparation()).ofPhoto(shown, ToneCurve.SRGB, photo.size(), map::at);
    }

    /** Those of the crop, where that is seen. */
    private static void tonesOfCrop(Mat shown, Photo photo, Rect seen, Frame frame) {
        double width = frame.right() - frame.left();
        double height = frame.bottom() - frame.top();
        try (Mat inside = new Mat(shown, seen)) {
            ToneStages.of(photo.preparation())
                    .ofCrop(
                            inside,
                            ToneCurve.SRGB,
                            place -> new Point(
                                    (seen.x() + place.x() - frame.left()) / width,
                                    (seen.y() + place.y() - frame.top()) / height));
        }
    }

    private static int within(double place, int most) {
        return (int) Math.max(0, Math.min(most, Math.round(place)));
    }
}
