package nexa.imaging.tone;

import java.util.Optional;
import java.util.function.UnaryOperator;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shape.Lens;
import nexa.core.shape.LensMap;
import nexa.core.shape.Vignette;
import nexa.core.shoot.Preparation;
import nexa.core.shoot.Tone;
import nexa.imaging.render.GainMap;
import nexa.imaging.render.ToneCurve;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * What happens to the light and colour of a photo's pixels, in place, the same for file and screen: first what belongs to the photo,
 * which is the light that its lens took, then what belongs to a crop of it, which is the edge that is wanted. A file has the first
 * done before its pixels are laid where they belong and the screen after that, so both are told where pixels lie; all of it changes
 * so slowly over the photo that the order shows nowhere.
 */
public final class ToneStages {
    private final Optional<Lens> evening;
    private final Tone tone;

    private ToneStages(Preparation preparation) {
        this.evening = preparation.lens().filter(Lens::evensLight);
        this.tone = preparation.tone();
    }

    /** Those of what is done to a photo. */
    public static ToneStages of(Preparation preparation) {
        return new ToneStages(preparation);
    }

    /** Whether anything is done to a photo's or its crops' light and colour. */
    public static boolean areAny(Preparation preparation) {
        ToneStages stages = of(preparation);
        return stages.evening.isPresent() || !stages.tone.vignette().isNone();
    }

    /**
     * Does to pixels what belongs to the photo.
     *
     * @param pixels as {@link GainMap} takes them
     * @param curve by which their numbers tell light
     * @param photo the size of the photo, as seen
     * @param inPhoto where in that a place of the pixels is, whose pixel k spans k … k + 1
     */
    public void ofPhoto(Mat pixels, ToneCurve curve, Size photo, UnaryOperator<Point> inPhoto) {
        evening.ifPresent(lens -> {
            LensMap even = new LensMap(lens, photo);
            GainMap.multiply(pixels, curve, place -> even.gain(inPhoto.apply(place)));
        });
    }

    /**
     * Does to pixels what belongs to a crop.
     *
     * @param pixels as {@link GainMap} takes them
     * @param curve by which their numbers tell light
     * @param inCrop where across and down the crop, 0 … 1, a place of the pixels is
     */
    public void ofCrop(Mat pixels, ToneCurve curve, UnaryOperator<Point> inCrop) {
        Vignette vignette = tone.vignette();
        if (!vignette.isNone()) {
            GainMap.multiply(pixels, curve, place -> vignette.gain(inCrop.apply(place)));
        }
    }
}
