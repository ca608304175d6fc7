package nexa.imaging.decode;

import com.drew.imaging.png.PngChunk;
import com.drew.imaging.png.PngChunkType;
import com.drew.imaging.png.PngHeader;
import com.drew.imaging.png.PngProcessingException;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Optional;
import java.util.Set;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;

/** The one shade of a grey PNG that is see-through, which OpenCV passes over. */
final class TransparentShade {
    private static final int PLAIN_BITS = 8;

    private TransparentShade() {}

    /** Makes grey pixels BGRA, in place, if the PNG they were decoded from has such a shade. */
    static void apply(byte[] png, Mat grey) throws IOException {
        Optional<Integer> shade = shade(png);
        if (shade.isEmpty()) {
            return;
        }
        try (Mat alpha = new Mat();
                Scalar value = new Scalar(shade.get());
                Mat at = new Mat(grey.rows(), grey.cols(), grey.type(), value)) {
            opencv_core.compare(grey, at, alpha, opencv_core.CMP_NE);
            if (grey.depth() == opencv_core.CV_16U) {
                alpha.convertTo(alpha, opencv_core.CV_16U, 257, 0);
            }
            opencv_imgproc.cvtColor(grey, grey, opencv_imgproc.COLOR_GRAY2BGRA);
            opencv_core.insertChannel(alpha, grey, 3);
        }
    }

    /** As it is once decoded: fewer than 8 bits become 8. */
    private static Optional<Integer> shade(byte[] png) throws IOException {
        PngHeader header = null;
        Optional<Integer> stored = Optional.empty();
        try {
            Set<PngChunkType> wanted = Set.of(PngChunkType.IHDR, PngChunkType.tRNS);
            for (PngChunk chunk : PngDecoder.chunks(new ByteArrayInputStream(png), wanted)) {
                byte[] bytes = chunk.getBytes();
                if (chunk.getType().equals(PngChunkType.IHDR)) {
                    header = new PngHeader(bytes);
                } else if (bytes.length == 2) {
                    stored = Optional.of((bytes[0] & 0xFF) << 8 | bytes[1] & 0xFF);
                }
            }
        } catch (PngProcessingException e) {
            throw new IOException(e);
        }
        int bits = header == null ? PLAIN_BITS : header.getBitsPerSample();
        return bits < PLAIN_BITS ? stored.map(value -> value * 255 / ((1 << bits) - 1)) : stored;
    }
}
