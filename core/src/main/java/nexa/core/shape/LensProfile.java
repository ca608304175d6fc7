package nexa.core.shape;

import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Fingerprint;
import nexa.core.geometry.Require;
import nexa.core.geometry.Size;

/**
 * What is known of a lens's faults at one focal length, aperture and distance.
 *
 * @param name of the lens, for people
 * @param cropFactor of the camera it was measured with, 0.2 … 20
 * @param aspect long side over short side of that camera's photos, 1 … 4
 * @param vignetting k₁, k₂, k₃ of the light that arrives, 1 + k₁ r² + k₂ r⁴ + k₃ r⁶; empty if not known
 */
public record LensProfile(
        String name,
        double cropFactor,
        double aspect,
        Optional<Distortion> distortion,
        Optional<LateralChromaticAberration> fringes,
        List<Double> vignetting) {
    /** What the open lens data leaves out. */
    public static final double USUAL_ASPECT = 1.5;

    private static final double LONGEST_ASPECT = 4;

    /** So many terms vignetting has, where it is known. */
    public static final int LIGHT_TERMS = 3;

    private static final double MOST = 10;

    /** @throws IllegalArgumentException for values out of range, NaN, and other than 0 or 3 terms of vignetting */
    public LensProfile {
        Lens.requireCropFactor(cropFactor);
        requireAspect(aspect);
        vignetting = List.copyOf(vignetting);
        if (!vignetting.isEmpty() && vignetting.size() != LIGHT_TERMS) {
            throw new IllegalArgumentException("vignetting has 3 terms, but here are " + vignetting.size());
        }
        vignetting.forEach(term -> Require.within("term", term, -MOST, MOST));
    }

    /** @throws IllegalArgumentException for what no camera's photos have */
    public static void requireAspect(double aspect) {
        Require.within("aspect", aspect, 1, LONGEST_ASPECT);
    }

    /** The aspect of a camera that takes photos of a size; of a panorama the longest there is. */
    public static double aspectOf(Size photo) {
        return Math.min(LONGEST_ASPECT, photo.longSide() / photo.shortSide());
    }

    /** Whether light by these terms can be evened. */
    public static boolean canBeEvened(List<Double> light) {
        return light.stream().allMatch(term -> Math.abs(term) <= MOST);
    }

    /** The same with another bending. */
    public LensProfile withDistortion(Distortion bending) {
        return new LensProfile(name, cropFactor, aspect, Optional.of(bending), fringes, vignetting);
    }

    /** See {@link Fingerprint}. */
    public String fingerprint() {
        return Fingerprint.of("LensProfile")
                .with("name", name)
                .with("cropFactor", cropFactor)
                .with("aspect", aspect)
                .with("distortion", distortion, Distortion::fingerprint)
                .with("fringes", fringes, LateralChromaticAberration::fingerprint)
                .with("vignetting", vignetting, String::valueOf)
                .letters();
    }
}
