package nexa.imaging.find;

import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import nexa.core.find.Found;
import nexa.core.find.FoundSubject;
import nexa.core.find.FoundTrim;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.propose.Scene;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Trim;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.pictures.PhotoPixels;
import nexa.imaging.pictures.Picture;
import nexa.imaging.render.Canvas;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;

/**
 * Reads a photo and finds its level, its border or its subject, as it is seen before it is turned by an angle. Levels and
 * subjects are looked for inside the photo's trim, or inside the border that is found where it has none.
 */
public final class PhotoFinder {
    private final Photo photo;
    private final BooleanSupplier isUnwanted;

    private PhotoFinder(Photo photo, BooleanSupplier isUnwanted) {
        this.photo = photo;
        this.isUnwanted = isUnwanted;
    }

    /**
     * Finds something.
     *
     * @param what what is to be found
     * @param photo one that has been read
     * @param isUnwanted asked between all stages: once it is, none begins any more
     * @return with all places in those of the photo; empty if it is unwanted
     * @throws PhotoProblem if the photo cannot be read
     */
    public static <T extends Found> Optional<T> find(
            Class<T> what, PhotoFolder folder, Photo photo, BooleanSupplier isUnwanted) throws PhotoProblem {
        if (isUnwanted.getAsBoolean()) {
            return Optional.empty();
        }
        PhotoFinder finder = new PhotoFinder(photo, isUnwanted);
        return finder.read(
                folder, finder.longSide(what), bgra -> finder.find(what, bgra).map(what::cast));
    }

    /**
     * Sees what crops of a photo are proposed by.
     *
     * @return in the photo's pixels; empty if it is unwanted
     * @throws PhotoProblem if the photo cannot be read
     */
    public static Optional<Scene> scene(PhotoFolder folder, Photo photo, BooleanSupplier isUnwanted)
            throws PhotoProblem {
        if (isUnwanted.getAsBoolean()) {
            return Optional.empty();
        }
        PhotoFinder finder = new PhotoFinder(photo, isUnwanted);
        return finder.read(
                folder,
                SubjectFinder.LONG_SIDE,
                bgra -> finder.inside(
                        bgra,
                        (bgr, corner) -> SceneFinder.of(bgr, isUnwanted)
                                .map(scene -> scene.placed(
                                        corner,
                                        photo.size().width() / bgra.cols(),
                                        photo.size().height() / bgra.rows()))));
    }

    /**
     * Finds long edges that are straight but for what the lens bent of them.
     *
     * @return places along each, in the photo's pixels; empty if it is unwanted
     * @throws PhotoProblem if the photo cannot be read
     */
    public static Optional<List<List<Point>>> bentLines(PhotoFolder folder, Photo photo, BooleanSupplier isUnwanted)
            throws PhotoProblem {
        if (isUnwanted.getAsBoolean()) {
            return Optional.empty();
        }
        PhotoFinder finder = new PhotoFinder(photo, isUnwanted);
        return finder.read(folder, LevelFinder.LONG_SIDE, bgra -> {
            try (Mat grey = new Mat()) {
                opencv_imgproc.cvtColor(bgra, grey, opencv_imgproc.COLOR_BGRA2GRAY);
                return Optional.of(BentLineFinder.find(grey).stream()
                        .map(line -> line.stream()
                                .map(place -> place.times(finder.factor(bgra)))
                                .toList())
                        .toList());
            }
        });
    }

    /** Something that is looked for in a picture. */
    private interface Looking<T> {
        Optional<T> in(Mat bgra);
    }

    /** Something that is looked for in the part of a picture that begins at a corner. */
    private interface LookingInside<T> {
        Optional<T> in(Mat bgr, Point corner);
    }

    private <T> Optional<T> read(PhotoFolder folder, int longSide, Looking<T> looking) throws PhotoProblem {
        Picture picture = new PhotoPixels(folder, photo).picture(longSide);
        try (Mat bgra = picture.mat()) {
            return looking.in(bgra);
        } catch (RuntimeException | OutOfMemoryError e) {
            throw PhotoProblem.of(photo.file(), e);
        }
    }

    /** How many of the photo's pixels one of a picture's is. */
    private double factor(Mat picture) {
        return photo.size().width() / picture.cols();
    }

    private int longSide(Class<?> what) {
        if (what == FoundTrim.class) {
            // Borders are found to the pixel.
            return (int) photo.size().longSide();
        }
        return what == FoundSubject.class ? SubjectFinder.LONG_SIDE : LevelFinder.LONG_SIDE;
    }

    private Optional<? extends Found> find(Class<?> what, Mat bgra) {
        if (what == FoundTrim.class) {
            return TrimFinder.find(bgra, isUnwanted);
        }
        double factor = factor(bgra);
        return what == FoundSubject.class
                ? inside(
                        bgra,
                        (bgr, corner) ->
                                SubjectFinder.find(bgr, isUnwanted).map(subject -> whole(subject, bgr, corner, bgra)))
                : inside(
                        bgra,
                        (bgr, corner) -> LevelFinder.find(bgr, isUnwanted)
                                .map(level -> level.moved(corner).times(factor)));
    }

    /** Looks inside the photo's trim, or inside the border that it has. */
    private <T> Optional<T> inside(Mat bgra, LookingInside<T> looking) {
        Trim trim = photo.preparation().trim();
        if (trim.isNone()) {
            trim = TrimFinder.find(bgra, isUnwanted).map(FoundTrim::trim).orElse(trim);
        }
        try (Rect inside = Canvas.inside(trim, bgra);
                Mat part = bgra.apply(inside);
                Mat bgr = new Mat()) {
            opencv_imgproc.cvtColor(part, bgr, opencv_imgproc.COLOR_BGRA2BGR);
            return looking.in(bgr, new Point(inside.x(), inside.y()));
        }
    }

    /** What was found in a part of a picture, for all of it. */
    private static FoundSubject whole(FoundSubject found, Mat part, Point corner, Mat picture) {
        Size size = new Size(part.cols(), part.rows());
        Size whole = new Size(picture.cols(), picture.rows());
        return new FoundSubject(
                found.named(),
                found.subject().map(subject -> subject.inWhole(corner, size, whole)),
                found.confidence());
    }
}
