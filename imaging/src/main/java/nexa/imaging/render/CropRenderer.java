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
 * <p>An unturned crop is first rounded to whole pixels; if that is the result's size, the pixels are copied. A turned one
 * is set upright at the photo's own scale. Then, where the result is smaller, {@link LanczosResampling} filters along the
 * result's own axes, whatever the angle; band by band.
 */
public final class CropRenderer {
    /** So many rows of the result are made at a time: a whole large photo set upright would take as much memory again. */
    private static final int BAND = 256;

    /** The widest and highest that is warped at once; turned by 45°, it needs half as much again of the photo. */
    private static final int BLOCK = 16_384;

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
        return render(canvas, PixelMap.ofPlane(photo, stretch, PixelMap.FILE_PITCH), crop, photo.angle(), result);
    }

    /** Whether a photo's pixels do not lie in its crops as they lie in itself. */
    public static boolean isWarped(Photo photo, Optional<Stretch> stretch) {
        return isWarped(PixelMap.ofPlane(photo, stretch, PixelMap.FILE_PITCH), photo.angle());
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
        double finest = fromPlane.finest(crop, angle);
        Size size = crop.size().times(finest);
        if (size.width() <= result.width() && size.height() <= result.height()) {
            return warp(photo, fromPlane.after(AffineMap.of(crop, angle, result.size())), result);
        }
        return ClosedOnThrow.filled(new Mat(result.height(), result.width(), photo.type()), whole -> {
            for (int row = 0; row < result.height(); row += BAND) {
                int end = Math.min(result.height(), row + BAND);
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

    /** A band of the crop: set upright at the photo's own scale where that is finest in the band, then shrunk. */
    private static Mat setUprightAndShrunk(Mat photo, PixelMap fromPlane, Crop crop, Angle angle, PixelSize result) {
        // Never at less than the result's own scale: what is set upright is not enlarged any more.
        double finest = Math.max(
                fromPlane.finest(crop, angle), result.width() / crop.size().width());
        Size size = crop.size().times(finest);
        int reachX = LanczosResampling.reach(size.width() / result.width()) + PixelMap.MARGIN;
        int reachY = LanczosResampling.reach(size.height() / result.height()) + PixelMap.MARGIN;
        PixelSize upright =
                new PixelSize((int) Math.ceil(size.width()) + 2 * reachX, (int) Math.ceil(size.height()) + 2 * reachY);
        Crop wider = crop.withSize(upright.size().times(1 / finest));
        try (Mat set = warp(photo, fromPlane.after(AffineMap.of(wider, angle, upright.size())), upright)) {
            Crop inUpright = new Crop(new Point(upright.width() / 2.0, upright.height() / 2.0), size);
            return LanczosResampling.resized(set, inUpright, result);
        }
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
            return LanczosResampling.resized(part, new Crop(middle, new Size(kept.width(), kept.height())), result);
        }
    }

    /**
     * Block by block, each from the part of the photo that it needs: OpenCV tells places in a picture by 16 bits, so that
     * neither may be wider or higher than that.
     */
    private static Mat warp(Mat photo, PixelMap map, PixelSize size) {
        if (Math.max(size.width(), size.height()) <= BLOCK && Math.max(photo.cols(), photo.rows()) <= BLOCK) {
            return warpBlock(photo, map, size);
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
                            Mat done = warpBlock(part, from.within(needed.x(), needed.y()), block)) {
                        done.copyTo(place);
                    }
                }
            }
        });
    }

    private static Mat warpBlock(Mat photo, PixelMap map, PixelSize size) {
        return ClosedOnThrow.filled(
                new Mat(), result -> map.warp(photo, result, size, opencv_imgproc.INTER_CUBIC, PixelMap.Beyond.EDGE));
    }
}
