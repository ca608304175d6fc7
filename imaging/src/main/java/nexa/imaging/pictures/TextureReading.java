package nexa.imaging.pictures;

import java.util.List;
import java.util.Map;
import nexa.core.series.Crops;
import nexa.core.series.FillPlan;
import nexa.core.shoot.EdgeTexture;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.fill.BandTexture;
import nexa.imaging.fill.EdgeFill;
import org.bytedeco.opencv.opencv_core.Mat;

/** Reads how busy photos are inside their edges, where a crop reaches beyond these. */
public final class TextureReading {
    private TextureReading() {}

    /** The photos of which that is to be known and is not yet. */
    public static List<Photo> wanted(Shoot shoot) {
        Crops crops = new Crops(shoot);
        return shoot.photos().stream()
                .filter(photo -> photo.isCroppable() && !isRead(photo) && reaches(crops, shoot, photo))
                .toList();
    }

    private static boolean isRead(Photo photo) {
        return photo.texture()
                .filter(texture -> texture.seen().equals(photo.preparation().beforeShape()))
                .isPresent();
    }

    /** Whether a crop of it reaches beyond, or was said to. */
    private static boolean reaches(Crops crops, Shoot shoot, Photo photo) {
        return shoot.formats().stream()
                .filter(photo::mayReach)
                .anyMatch(format -> photo.entry(format.id()).reaches().isPresent()
                        || FillPlan.of(crops.of(photo, format)).isPresent());
    }

    /** @throws PhotoProblem if the photo cannot be read */
    public static EdgeTexture of(PhotoFolder folder, Photo photo) throws PhotoProblem {
        Picture small = new PhotoPixels(folder, photo).picture(EdgeFill.SMALL);
        try (Mat bgra = small.mat()) {
            return BandTexture.of(photo, bgra);
        } catch (RuntimeException | OutOfMemoryError e) {
            throw PhotoProblem.of(photo.file(), e);
        }
    }

    /**
     * A shoot with all that is wanted read.
     *
     * @param problems told elsewhere; these photos are passed over, as are those that turn out not to be readable
     */
    public static Shoot read(Shoot shoot, PhotoFolder folder, Map<String, PhotoProblem> problems) {
        Shoot read = shoot;
        for (Photo photo : wanted(shoot)) {
            if (!problems.containsKey(photo.file())) {
                try {
                    EdgeTexture texture = of(folder, photo);
                    read = read.with(photo.file(), one -> one.withTexture(texture));
                } catch (PhotoProblem e) {
                    // Whoever needs its pixels is told.
                    continue;
                }
            }
        }
        return read;
    }
}
