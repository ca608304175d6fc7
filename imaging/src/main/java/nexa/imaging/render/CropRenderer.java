package nexa.imaging.render;

import com.google.common.primitives.Longs;
import java.util.Optional;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shape.Stretch;
import nexa.core.shoot.Photo;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;

/**
 * Makes the delivered pixels of a crop from a photo's full pixels.
 *
 * <p>An unturned crop is first rounded to whole pixels; if that is the result's size, the pixels are copied. A turned or reshaped
 * one at about the photo's own scale, or larger, is made from the photo at once ({@link LanczosWarp}). Where the result is smaller,
 * the crop is set upright at the photo's own scale, and {@link LanczosResampling} filters along the result's own axes, whatever
 * the angle; band by band.
 */
public final class CropRenderer {
    /** About so many rows are set upright at a time: a whole large photo set upright would take as much memory again. */
    private static final double UPRIGHT_ROWS = 400;

    private static final int FEWEST_ROWS = 32;

    /** The widest and highest that is warped at once; turned by 45°, it needs half as much again of the photo. */
    private static final int BLOCK = 16_384;

    /** At so many of the photo's pixels along one of the result nothing needs to be filtered out. */
    private static final double AT_ITS_SCALE = 1.005;

    /** By how much a result of a crop's own size may differ from the crop, in pixels; a little more than rounding makes it. */
    private static final double ROUNDED = 0.501;

    /** How strongly to sharpen where linear interpolation at places of all kinds took from fine detail. */
    private static final double AFTER_LINEAR = 0.095;

    /** How far to stretch the taps before much is filtered out: softer ones leave less of the finest where it does not belong. */
    private static final double SOFTER = 1.047;

    /** By how much the photo's scale may vary in a band, for one sharpening to suit all of it. */
    private static final double EVEN_ENOUGH = 0.7;

    /** What working out a scale or an angle may be off by. */
    private static final double SLIGHT = 1e-6;

    private CropRenderer() {}

    /**
     * The result's pixels, of the type they are given in. The caller closes it.
     *
     * @param pixels all of the photo's, as it is seen
     */
    public static Mat render(Mat pixels, Photo photo, Crop crop, PixelSize result) {
        return render(new Canvas(pixels, 0, 0), photo, Optional.empty(), crop, result);
    }

    /**
     * Likewise of a crop that may reach beyond the photo.
     *
     * @param canvas what is there of the photo and around it
     * @param stretch by which the photo is stretched, if it is
     */
    public static Mat render(Canvas canvas, Photo photo, Optional<Stretch> stretch, Crop crop, PixelSize result) {
        return render(canvas, PixelMap.ofPlane(photo, stretch, PixelMap.Exactness.FILE), crop, photo.angle(), result);
    }

    /** Whether a photo's pixels do not lie in its crops as they lie in itself. */
    public static boolean isWarped(Photo photo, Optional<Stretch> stretch) {
        return isWarped(PixelMap.ofPlane(photo, stretch, PixelMap.Exactness.FILE), photo.angle());
    }

    private static boolean isWarped(PixelMap fromPlane, Angle angle) {
        return angle.degrees() != 0 || !fromPlane.equals(PixelMap.SAME);
    }

    /** @param fromPlane from the plane in which the crop lies to the photo */
    static Mat render(Canvas canvas, PixelMap fromPlane, Crop crop, Angle angle, PixelSize result) {
        Mat pixels = canvas.pixels();
        if (!isWarped(fromPlane, angle)) {
            Crop inCanvas = crop.withCentre(crop.centre().minus(new Point(canvas.left(), canvas.top())));
            return unturned(pixels, wholePixels(pixels, inCanvas), result);
        }
        return turned(pixels, fromPlane.within(canvas.left(), canvas.top()), crop, angle, result);
    }

    private static Mat turned(Mat photo, PixelMap fromPlane, Crop crop, Angle angle, PixelSize result) {
        double most = LocalScale.over(fromPlane, crop, angle).most() * shrink(crop, result);
        if (most <= (isAsCropped(crop, result) ? SixTaps.MOST_STRETCH : AT_ITS_SCALE)) {
            return LanczosWarp.warped(photo, fromPlane.after(AffineMap.of(crop, angle, result.size())), result, 1);
        }
        int rows = (int) Math.max(FEWEST_ROWS, UPRIGHT_ROWS / most);
        return ClosedOnThrow.filled(new Mat(result.height(), result.width(), photo.type()), whole -> {
            for (int row = 0; row < result.height(); row += rows) {
                int end = Math.min(result.height(), row + rows);
                double middle = (row + end) / 2.0 / result.height();
                Size slice = new Size(crop.size().width(), crop.size().height() * (end - row) / result.height());
                Crop part = new Crop(crop.at(0.5, middle, angle), slice);
                try (Mat place = whole.rowRange(row, end);
                        Mat band = setUprightAndShrunk(
                                photo, fromPlane, part, angle, new PixelSize(result.width(), end - row))) {
                    band.copyTo(place);
                }
            }
        });
    }

    /** Pixels of the plane along one of the result, in the direction where they are most. */
    private static double shrink(Crop crop, PixelSize result) {
        return Math.max(crop.size().width() / result.width(), crop.size().height() / result.height());
    }

    private static boolean isAsCropped(Crop crop, PixelSize result) {
        return Math.abs(crop.size().width() - result.width()) <= ROUNDED
                && Math.abs(crop.size().height() - result.height()) <= ROUNDED;
    }

    /** A band of the crop: set upright at the photo's own scale where that is finest in the band, then shrunk. */
    private static Mat setUprightAndShrunk(Mat photo, PixelMap fromPlane, Crop crop, Angle angle, PixelSize result) {
        LocalScale local = LocalScale.over(fromPlane, crop, angle);
        boolean isQuick = mayBeLinear(local, shrink(crop, result));
        // Never at less than the plane's or the result's own scale: what is set upright is not enlarged any more.
        double finest =
                Math.max(Math.max(1, local.most()), result.width() / crop.size().width());
        Size size = crop.size().times(finest);
        int reachX = LanczosResampling.reach(size.width() / result.width()) + PixelMap.MARGIN;
        int reachY = LanczosResampling.reach(size.height() / result.height()) + PixelMap.MARGIN;
        PixelSize upright =
                new PixelSize((int) Math.ceil(size.width()) + 2 * reachX, (int) Math.ceil(size.height()) + 2 * reachY);
        Crop wider = crop.withSize(upright.size().times(1 / finest));
        PixelMap map = fromPlane.after(AffineMap.of(wider, angle, upright.size()));
        try (Mat set = isQuick
                ? linear(photo, map, upright)
                : LanczosWarp.warped(photo, map, upright, Math.min(SOFTER, shrink(crop, result)))) {
            Crop inUpright = new Crop(new Point(upright.width() / 2.0, upright.height() / 2.0), size);
            return LanczosResampling.resized(set, inUpright, result, isQuick ? AFTER_LINEAR : 0);
        }
    }

    /**
     * Whether linear interpolation does as well as six taps: what it takes of the fine detail is put back by sharpening, and what it
     * leaves of what is finer is less the less the photo is turned and the more of it is filtered out.
     *
     * @param shrink pixels of the plane along one of the result
     */
    private static boolean mayBeLinear(LocalScale local, double shrink) {
        double least = local.least() * shrink + SLIGHT;
        double turn = local.turn() - SLIGHT;
        return local.least() >= local.most() * EVEN_ENOUGH
                && (turn <= 5 && least >= 1.75 || turn <= 10 && least >= 2.4 || turn <= 20 && least >= 3.2);
    }

    /** The crop in whole pixels: width and height rounded, then left and top, kept inside. */
    static Rect wholePixels(Mat photo, Crop crop) {
        int width = within(crop.size().width(), 1, photo.cols());
        int height = within(crop.size().height(), 1, photo.rows());
        int left = within(crop.centre().x() - crop.size().width() / 2, 0, photo.cols() - width);
        int top = within(crop.centre().y() - crop.size().height() / 2, 0, photo.rows() - height);
        return new Rect(left, top, width, height);
    }

    private static int within(double value, int least, int most) {
        return (int) Longs.constrainToRange(Math.round(value), least, most);
    }

    private static Mat unturned(Mat photo, Rect kept, PixelSize result) {
        if (kept.width() == result.width() && kept.height() == result.height()) {
            try (Mat part = new Mat(photo, kept)) {
                return part.clone();
            }
        }
        int reachX = LanczosResampling.reach((double) kept.width() / result.width()) + PixelMap.MARGIN;
        int reachY = LanczosResampling.reach((double) kept.height() / result.height()) + PixelMap.MARGIN;
        int left = Math.max(0, kept.x() - reachX);
        int top = Math.max(0, kept.y() - reachY);
        int right = Math.min(photo.cols(), kept.x() + kept.width() + reachX);
        int bottom = Math.min(photo.rows(), kept.y() + kept.height() + reachY);
        Point middle = new Point(kept.x() - left + kept.width() / 2.0, kept.y() - top + kept.height() / 2.0);
        try (Rect around = new Rect(left, top, right - left, bottom - top);
                Mat part = new Mat(photo, around)) {
            return LanczosResampling.resized(part, new Crop(middle, new Size(kept.width(), kept.height())), result, 0);
        }
    }

    /**
     * Block by block, each from the part of the photo that it needs: OpenCV tells places in a picture by 16 bits, so that
     * neither may be wider or higher than that.
     */
    private static Mat linear(Mat photo, PixelMap map, PixelSize size) {
        if (Math.max(size.width(), size.height()) <= BLOCK && Math.max(photo.cols(), photo.rows()) <= BLOCK) {
            return linearBlock(photo, map, size);
        }
        return ClosedOnThrow.filled(new Mat(size.height(), size.width(), photo.type()), whole -> {
            for (int top = 0; top < size.height(); top += BLOCK) {
                for (int left = 0; left < size.width(); left += BLOCK) {
                    PixelSize block =
                            new PixelSize(Math.min(BLOCK, size.width() - left), Math.min(BLOCK, size.height() - top));
                    PixelMap from = map.shifted(left, top);
                    try (Rect needed = from.needed(block, PixelMap.MARGIN, photo.cols(), photo.rows());
                            Mat part = new Mat(photo, needed);
                            Rect at = new Rect(left, top, block.width(), block.height());
                            Mat place = new Mat(whole, at);
                            Mat done = linearBlock(part, from.within(needed.x(), needed.y()), block)) {
                        done.copyTo(place);
                    }
                }
            }
        });
    }

    private static Mat linearBlock(Mat photo, PixelMap map, PixelSize size) {
        return ClosedOnThrow.filled(
                new Mat(), result -> map.warp(photo, result, size, opencv_imgproc.INTER_LINEAR, PixelMap.Beyond.EDGE));
    }
}
