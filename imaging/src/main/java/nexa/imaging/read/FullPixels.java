package nexa.imaging.read;

import java.util.Optional;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * All pixels of a photo as it is seen.
 *
 * @param pixels grey or BGR, of 8 or 16 bits
 * @param profile of their colours, if there is one
 */
public record FullPixels(Mat pixels, Optional<ColourProfile> profile) implements AutoCloseable {
    @Override
    public void close() {
        pixels.close();
    }
}
