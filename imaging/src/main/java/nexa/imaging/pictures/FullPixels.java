package nexa.imaging.pictures;

import java.util.Optional;
import nexa.imaging.decode.ColourProfile;
import nexa.imaging.render.ToneCurve;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * Pixels of a photo on their way through {@link PixelStages}; once they are through those before the map, all of them as it is
 * seen.
 *
 * @param pixels grey, BGR, or, while they are see-through, BGRA; of 8 or 16 bits
 * @param profile of their colours, if there is one
 */
public record FullPixels(Mat pixels, Optional<ColourProfile> profile) implements AutoCloseable {
    /** How their numbers tell light; those of no profile are taken to be of sRGB. */
    ToneCurve curve() {
        return profile.flatMap(ColourProfile::toLight).map(ToneCurve::new).orElse(ToneCurve.SRGB);
    }

    @Override
    public void close() {
        pixels.close();
    }
}
