package nexa.imaging.deliver;

import java.nio.ByteOrder;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.imaging.decode.TiffDirectory;
import nexa.imaging.decode.TiffWriting;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * A packed TIFF of 8 or 16 bits with its profile and the pixels per inch it is meant for. The pixels are packed by libtiff
 * (OpenCV's): Java's own writer cuts strips short that do not become smaller.
 */
final class TiffFile implements FileFormat {
    private static final int PROFILE = 34_675;
    private static final int ACROSS = 282;
    private static final int DOWN = 283;
    private static final int UNIT = 296;
    private static final int INCH = 2;
    /** Fewer bytes a strip pack badly, more make readers take much memory. */
    private static final int STRIP = 256 * 1024;

    @Override
    public Made encode(Contents contents) {
        byte[] plain = plain(contents.pixels());
        byte[] described = described(contents.profile(), contents.ppi(), plain);
        return Made.whole(DeliveredExif.joined(described, contents.exif()));
    }

    private static byte[] plain(Mat pixels) {
        int bytesARow = (int) (pixels.cols() * pixels.elemSize());
        int rows = Math.max(1, Math.min(pixels.rows(), STRIP / bytesARow));
        return FileFormat.plain(
                ".tif",
                pixels,
                opencv_imgcodecs.IMWRITE_TIFF_COMPRESSION,
                opencv_imgcodecs.IMWRITE_TIFF_COMPRESSION_ADOBE_DEFLATE,
                // Differences between neighbours pack far better than values, in photos.
                opencv_imgcodecs.IMWRITE_TIFF_PREDICTOR,
                opencv_imgcodecs.IMWRITE_TIFF_PREDICTOR_HORIZONTAL,
                opencv_imgcodecs.IMWRITE_TIFF_ROWSPERSTRIP,
                rows);
    }

    private static byte[] described(Optional<byte[]> profile, OptionalDouble ppi, byte[] plain) {
        TiffDirectory said = TiffDirectory.empty(ByteOrder.LITTLE_ENDIAN);
        if (profile.isPresent()) {
            said = said.withBytes(PROFILE, profile.get());
        }
        if (ppi.isPresent()) {
            int thousandths = (int) Math.round(ppi.getAsDouble() * 1000);
            said = said.withFractions(ACROSS, thousandths, 1000)
                    .withFractions(DOWN, thousandths, 1000)
                    .withShort(UNIT, INCH);
        }
        return said.isEmpty() ? plain : TiffWriting.joined(said, plain);
    }
}
