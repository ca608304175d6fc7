package nexa.imaging.decode;

import java.util.Arrays;
import java.util.Optional;
import nexa.core.format.PixelSize;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;

/** The small picture that cameras put into a photo's EXIF block, without the bars they put around it. */
final class EmbeddedThumbnail {
    private static final int OFFSET = 0x0201;
    private static final int LENGTH = 0x0202;

    private EmbeddedThumbnail() {}

    /**
     * The thumbnail as it is stored, not turned upright yet. Empty if there is none that can be used. The caller closes it.
     *
     * @param exif the photo's block
     * @param photo the size of the photo as stored, whose ratio the thumbnail is brought to
     */
    static Optional<Mat> of(byte[] exif, PixelSize photo) {
        Optional<TiffDirectory> thumbnail = TiffDirectory.readSecond(exif);
        long start = thumbnail.map(told -> told.number(OFFSET).orElse(0)).orElse(0L);
        long length = thumbnail.map(told -> told.number(LENGTH).orElse(0)).orElse(0L);
        if (start <= 0 || length <= 0 || length > exif.length - start) {
            return Optional.empty();
        }
        Mat pixels = OpenCvPixels.decode(
                Arrays.copyOfRange(exif, (int) start, (int) (start + length)), opencv_imgcodecs.IMREAD_COLOR);
        return pixels.empty() ? Optional.empty() : Optional.of(withoutBars(pixels, photo));
    }

    private static Mat withoutBars(Mat pixels, PixelSize photo) {
        double ratio = photo.size().ratio();
        int width = (int) Math.max(1, Math.min(pixels.cols(), Math.floor(pixels.rows() * ratio)));
        int height = (int) Math.max(1, Math.min(pixels.rows(), Math.floor(pixels.cols() / ratio)));
        try (Rect middle = new Rect((pixels.cols() - width) / 2, (pixels.rows() - height) / 2, width, height);
                Mat part = new Mat(pixels, middle)) {
            Mat cut = part.clone();
            pixels.close();
            return cut;
        }
    }
}
