package nexa.core.shape;

import java.util.Optional;
import nexa.core.geometry.Require;

/**
 * How a photo's lens is put right.
 *
 * @param profile what is known of the lens; empty to put it right by hand alone
 * @param cameraCrop the crop factor of the camera that took the photo, 0.2 … 20
 * @param distortion how much of the profile's bending is taken out, 0 … 2, 1 being all
 * @param colour likewise of its colour fringes
 * @param vignetting likewise of its darkening
 * @param bulge by hand, −100 … 100; above 0 straightens lines that bow outwards
 */
public record Lens(
        Optional<LensProfile> profile,
        double cameraCrop,
        double distortion,
        double colour,
        double vignetting,
        double bulge) {

    /** @throws IllegalArgumentException for values out of range and NaN */
    public Lens {
        Require.within("cropFactor", cameraCrop, 0.2, 20);
        Require.within("distortion", distortion, 0, 2);
        Require.within("colour", colour, 0, 2);
        Require.within("vignetting", vignetting, 0, 2);
        Require.within("bulge", bulge, -100, 100);
    }
}
