package nexa.core.shape;

import java.util.Optional;
import nexa.core.geometry.Fingerprint;
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
    public static final double LEAST_CROP_FACTOR = 0.2;
    public static final double MOST_CROP_FACTOR = 20;
    public static final double MOST_AMOUNT = 2;
    public static final double MOST_BULGE = 100;

    /** @throws IllegalArgumentException for values out of range and NaN */
    public Lens {
        requireCropFactor(cameraCrop);
        Require.within("distortion", distortion, 0, MOST_AMOUNT);
        Require.within("colour", colour, 0, MOST_AMOUNT);
        Require.within("vignetting", vignetting, 0, MOST_AMOUNT);
        Require.within("bulge", bulge, -MOST_BULGE, MOST_BULGE);
    }

    /** @throws IllegalArgumentException for what no camera's crop factor is */
    public static void requireCropFactor(double cropFactor) {
        Require.within("cropFactor", cropFactor, LEAST_CROP_FACTOR, MOST_CROP_FACTOR);
    }

    /** All of a profile put right. */
    public static Lens of(LensProfile profile, double cameraCrop) {
        return new Lens(Optional.of(profile), cameraCrop, 1, 1, 1, 0);
    }

    /** Put right by hand alone. */
    public static Lens byHand(double bulge) {
        return new Lens(Optional.empty(), 1, 1, 1, 1, bulge);
    }

    /** Whether it takes red and blue anywhere else than where they are. */
    public boolean hasFringes() {
        return colour != 0 && profile.flatMap(LensProfile::fringes).isPresent();
    }

    /** Whether it changes the light. */
    public boolean evensLight() {
        return vignetting != 0
                && profile.map(known -> !known.vignetting().isEmpty()).orElse(false);
    }

    /** Of the same amounts, another profile and its camera. */
    public Lens withProfileOf(Lens other) {
        return new Lens(other.profile, other.cameraCrop, distortion, colour, vignetting, bulge);
    }

    /** Of the same profile, and the amounts that were set before, if any were. */
    public Lens withAmountsOf(Optional<Lens> before) {
        return before.map(lens -> lens.withProfileOf(this)).orElse(this);
    }

    public Lens withDistortion(double amount) {
        return new Lens(profile, cameraCrop, amount, colour, vignetting, bulge);
    }

    public Lens withColour(double amount) {
        return new Lens(profile, cameraCrop, distortion, amount, vignetting, bulge);
    }

    public Lens withVignetting(double amount) {
        return new Lens(profile, cameraCrop, distortion, colour, amount, bulge);
    }

    public Lens withBulge(double newBulge) {
        return new Lens(profile, cameraCrop, distortion, colour, vignetting, newBulge);
    }

    /** See {@link Fingerprint}. */
    public String fingerprint() {
        return Fingerprint.of("Lens")
                .with("profile", profile, LensProfile::fingerprint)
                .with("cameraCrop", cameraCrop)
                .with("distortion", distortion)
                .with("colour", colour)
                .with("vignetting", vignetting)
                .with("bulge", bulge)
                .letters();
    }
}
