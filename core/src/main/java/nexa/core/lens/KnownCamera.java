package nexa.core.lens;

import nexa.core.shape.Lens;

/**
 * A camera in the lens data.
 *
 * @param maker as the camera's files name it
 * @param model likewise
 * @param mount which lenses fit it
 * @param cropFactor the diagonal of 36 × 24 mm over that of its sensor, 0.2 … 20
 */
public record KnownCamera(String maker, String model, String mount, double cropFactor) {
    /** @throws IllegalArgumentException for a crop factor out of range */
    public KnownCamera {
        Lens.requireCropFactor(cropFactor);
    }

    /** Whether its lens cannot be taken off: the data writes such mounts small. */
    boolean hasOneLens() {
        return !mount.isEmpty() && Character.isLowerCase(mount.charAt(0));
    }
}
