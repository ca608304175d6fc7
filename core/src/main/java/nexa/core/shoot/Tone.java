package nexa.core.shoot;

import nexa.core.geometry.Fingerprint;
import nexa.core.shape.Vignette;

/**
 * What is done to a photo's light and colour, for every format alike. It moves nothing: no photo is read anew for it, and whatever
 * was found in the photo stays where it is.
 *
 * @param vignette the darkening or lightening wanted towards the edge of each of its crops
 */
public record Tone(Vignette vignette) {
    /** Light and colour stay as they are. */
    public static final Tone NONE = new Tone(Vignette.NONE);

    public Tone withVignette(Vignette newVignette) {
        return new Tone(newVignette);
    }

    /** All of it in letters, see {@link Fingerprint}; a correction that is not made says nothing. */
    String fingerprint() {
        return vignette.equals(Vignette.NONE) ? "" : " " + vignette.fingerprint();
    }

    /** Whether it is the same in every crop of the photo: the edge is measured on the crop. */
    public boolean isSameInEveryCrop() {
        return vignette.isNone();
    }
}
