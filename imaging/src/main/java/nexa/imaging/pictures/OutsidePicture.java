package nexa.imaging.pictures;

import java.util.Optional;
import nexa.core.geometry.Size;
import nexa.core.shape.Stretch;
import nexa.core.shoot.Photo;
import nexa.imaging.fill.EdgeFill;
import nexa.imaging.render.Canvas;
import nexa.imaging.render.ToneCurve;
import nexa.imaging.tone.ToneStages;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * What a crop shows of what lies outside its photo, for the screen.
 *
 * @param stretch by which the photo is stretched, if it is
 * @param filled else the photo with room around it
 */
public record OutsidePicture(Optional<Stretch> stretch, Optional<Filled> filled) {

    /**
     * A photo with room around it, as light as its lens is to leave it.
     *
     * @param left where the picture's first column lies in the photo, in the picture's pixels
     * @param top where its first row lies
     * @param factor how many of its pixels one of the photo's is
     */
    public record Filled(Picture picture, int left, int top, double factor) {}

    /** Stretched: nothing has to be made for it. */
    public static OutsidePicture of(Stretch stretch) {
        return new OutsidePicture(Optional.of(stretch), Optional.empty());
    }

    /** Paints what lies around a picture of a photo. */
    static Filled filled(EdgeFill fill, Photo photo, Picture picture) {
        try (Mat whole = picture.mat();
                Mat even = whole.clone()) {
            ToneStages.of(photo.preparation())
                    .ofPhoto(even, ToneCurve.SRGB, new Size(even.cols(), even.rows()), place -> place);
            try (Canvas canvas = fill.canvas(even, Optional.empty())) {
                Picture kept =
                        Picture.blank(canvas.pixels().cols(), canvas.pixels().rows());
                try (Mat memory = kept.mat()) {
                    canvas.pixels().copyTo(memory);
                }
                double factor = picture.width() / photo.size().width();
                return new Filled(kept, canvas.left(), canvas.top(), factor);
            }
        }
    }
}
