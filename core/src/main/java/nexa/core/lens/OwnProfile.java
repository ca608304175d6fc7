package nexa.core.lens;

import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import nexa.core.shape.Distortion;

/**
 * A profile of one's own, kept for other photos of the same camera, lens and focal length.
 *
 * @param camera that took the photo it is from
 * @param lens with what was measured of it so far
 */
public record OwnProfile(KnownCamera camera, KnownLens lens) {
    /** Of a mount that no other camera has, since its lens has no name: small, as the open lens data writes these. */
    private static final String OWN = "own ";

    /**
     * What is known so far of what took a photo, to be added to: a profile of one's own; else what others measured, but for the
     * bending; else nothing.
     *
     * @param book what is known, one's own among it
     * @param aspect long side over short side of the photo
     * @return empty where the photo does not tell its camera or its focal length, so that no other is known to be alike
     */
    public static Optional<OwnProfile> begun(Taken taken, double aspect, LensBook book) {
        if (taken.camera().isEmpty() || taken.focal().isEmpty()) {
            return Optional.empty();
        }
        String maker = taken.maker().orElse("");
        String model = taken.camera().get();
        String mount = OWN + model.toLowerCase(Locale.ROOT);
        double cropFactor = book.cropFactor(taken).orElse(1);
        KnownCamera camera = book.camera(taken)
                .filter(known -> taken.lens().isPresent() || known.hasOneLens())
                .orElse(new KnownCamera(maker, model, mount, cropFactor));
        KnownLens lens = book.own()
                .flatMap(own -> own.lens(taken))
                .or(() -> book.lens(taken).map(KnownLens::withoutBending))
                .orElse(KnownLens.unmeasured(
                        maker, taken.lens().orElse(model), Set.of(camera.mount()), cropFactor, aspect));
        return Optional.of(new OwnProfile(camera, lens));
    }

    /** With the bending that was measured at a photo's focal length. */
    public OwnProfile with(double focal, Distortion distortion) {
        return new OwnProfile(camera, lens.with(new AtFocal<>(focal, distortion)));
    }
}
