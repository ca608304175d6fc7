package nexa.imaging.pictures;

import com.drew.imaging.ImageProcessingException;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.format.PixelSize;
import nexa.imaging.decode.ColourProfile;
import nexa.imaging.decode.PhotoFile;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.decode.RawFile;
import nexa.imaging.raw.RawCommand;
import nexa.imaging.raw.RawFraming;
import nexa.imaging.raw.RawLook;
import nexa.imaging.render.ClosedOnThrow;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * The pixels of a raw file, upright, framed and toned as the camera's own picture of the photo.
 *
 * @param pixels in sRGB, BGR of 16 bits
 * @param difference how different they still look from that picture, as the mean ΔE00; empty where there is none
 */
public record RawPixels(FullPixels pixels, OptionalDouble difference) {
    /** So long is the camera's picture that they are brought in line with. */
    static final int SHOWN = 1200;

    private static final int FITTED = 600;
    private static final double HALF = 0.5;
    /** Pixels that look more different than this are not the photo's, as the mean ΔE00. */
    private static final double MOST_DIFFERENT = 6;
    /**
     * Makes them; empty if they do not show what the camera's picture does, or look otherwise.
     *
     * @param shown the camera's picture in sRGB, BGR of 8 bits, upright; empty where there is none
     * @param size of the photo as seen
     */
    static Optional<RawPixels> of(Path file, Optional<Mat> shown, PixelSize size) throws PhotoProblem {
        Mat light = light(file, false);
        if (shown.isEmpty()) {
            Mat framed = ClosedOnThrow.with(light, pixels -> RawFraming.middle(pixels, size));
            return Optional.of(looking(RawLook.PLAIN, framed));
        }
        return alike(light, shown.get(), size).map(pixels -> looking(pixels.look(), pixels.framed()));
    }

    private static RawPixels looking(RawLook look, Mat light) {
        Mat pixels = ClosedOnThrow.filled(light, look::apply);
        return new RawPixels(new FullPixels(pixels, Optional.of(ColourProfile.srgb())), look.difference());
    }

    /** Light that shows what a picture does, and the look of that picture. */
    private record Alike(Mat framed, RawLook look) {}

    /** @param light closed if it is not in what comes back */
    private static Optional<Alike> alike(Mat light, Mat shown, PixelSize size) {
        RawFraming framing = ClosedOnThrow.with(light, pixels -> RawFraming.of(pixels, shown, size));
        if (!framing.isLike()) {
            light.close();
            return Optional.empty();
        }
        Mat framed = ClosedOnThrow.with(light, pixels -> framing.framed(pixels, shown, size));
        RawLook look = ClosedOnThrow.with(framed, pixels -> look(pixels, shown));
        if (look.difference().orElse(0) > MOST_DIFFERENT) {
            framed.close();
            return Optional.empty();
        }
        return Optional.of(new Alike(framed, look));
    }

    /** Whether they would show what the camera's picture does and look like it, by half as many pixels along each side. */
    static boolean areLike(Path file, Mat shown, PixelSize size) throws PhotoProblem {
        PixelSize half = PixelSize.nearest(size.size().times(HALF));
        Optional<Alike> alike = alike(light(file, true), shown, half);
        alike.ifPresent(pixels -> pixels.framed().close());
        return alike.isPresent();
    }

    /** All of a raw file without a picture of its camera's, with half as many pixels along each side, upright. */
    static Mat half(Path file) throws PhotoProblem {
        return ClosedOnThrow.filled(light(file, true), RawLook.PLAIN::apply);
    }

    /** What the sensor saw, upright. */
    private static Mat light(Path file, boolean isHalf) throws PhotoProblem {
        String name = file.getFileName().toString();
        try {
            RawFile raw =
                    RawFile.read(file).orElseThrow(() -> new PhotoProblem(name, PhotoProblem.Reason.UNKNOWN_KIND));
            RawCommand command =
                    RawCommand.found().orElseThrow(() -> new PhotoProblem(name, PhotoProblem.Reason.NO_PICTURE));
            Mat light = command.develop(file, raw.size(), isHalf);
            if (!raw.mayGive(new PixelSize(light.cols(), light.rows()), isHalf ? HALF : 1)) {
                light.close();
                throw new PhotoProblem(name, PhotoProblem.Reason.NOT_DEVELOPED);
            }
            return PixelStages.upright(raw.orientation())
                    .apply(new FullPixels(light, Optional.empty()))
                    .pixels();
        } catch (ImageProcessingException e) {
            throw new PhotoProblem(name, PhotoProblem.Reason.DAMAGED, e);
        } catch (IOException e) {
            throw PhotoFile.problem(file, e);
        }
    }

    private static RawLook look(Mat framed, Mat shown) {
        double factor = Math.min(1, (double) FITTED / Math.max(shown.cols(), shown.rows()));
        try (Size size = new Size((int) Math.max(1, shown.cols() * factor), (int) Math.max(1, shown.rows() * factor));
                Mat light = new Mat();
                Mat picture = new Mat()) {
            opencv_imgproc.resize(framed, light, size, 0, 0, opencv_imgproc.INTER_AREA);
            opencv_imgproc.resize(shown, picture, size, 0, 0, opencv_imgproc.INTER_AREA);
            return RawLook.fit(light, picture);
        }
    }
}
