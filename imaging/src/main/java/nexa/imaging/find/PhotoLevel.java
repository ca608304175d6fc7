package nexa.imaging.find;

import java.nio.file.Path;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import nexa.core.find.FoundLevel;
import nexa.core.shoot.Photo;
import nexa.imaging.decode.PhotoFile;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.pictures.PhotoPixels;
import nexa.imaging.pictures.Picture;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;

/** Finds how far a photo is off level, as it is seen before it is turned by an angle. */
public final class PhotoLevel {
    private PhotoLevel() {}

    /**
     * Reads the photo and finds its level.
     *
     * @param photo one that has been read
     * @param isUnwanted asked between all stages: once it is, none begins any more
     * @return with the lines in the photo's pixels; empty if it is unwanted
     * @throws PhotoProblem if the photo cannot be read
     */
    public static Optional<FoundLevel> of(Path folder, Photo photo, BooleanSupplier isUnwanted) throws PhotoProblem {
        if (isUnwanted.getAsBoolean()) {
            return Optional.empty();
        }
        Picture picture = new PhotoPixels(PhotoFile.of(folder, photo.file()), photo).picture(LevelFinder.LONG_SIDE);
        double factor = photo.size().width() / picture.width();
        try (Mat bgra = picture.mat();
                Mat bgr = new Mat()) {
            opencv_imgproc.cvtColor(bgra, bgr, opencv_imgproc.COLOR_BGRA2BGR);
            return LevelFinder.find(bgr, isUnwanted).map(level -> level.times(factor));
        } catch (RuntimeException | OutOfMemoryError e) {
            throw PhotoProblem.of(photo.file(), e);
        }
    }
}
