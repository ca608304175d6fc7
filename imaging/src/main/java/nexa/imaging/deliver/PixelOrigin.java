package nexa.imaging.deliver;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.message.EnumName;
import nexa.imaging.raw.RawAvailability;

/**
 * Whose pixels a delivered file has.
 *
 * @param raw how it stood with the raw file where its pixels were wanted: ready, or why the camera's picture was taken; empty
 *     where they were not wanted
 * @param difference how different a raw file's pixels look from the camera's picture, as the mean ΔE00; empty where there are
 *     none, or where the file was not made yet
 */
record PixelOrigin(Optional<RawAvailability> raw, OptionalDouble difference) {
    static final PixelOrigin UNKNOWN = new PixelOrigin(Optional.empty(), OptionalDouble.empty());

    boolean isRaw() {
        return raw.equals(Optional.of(RawAvailability.READY));
    }

    /** In a few words for the list of files. */
    String words() {
        return raw.map(standing -> switch (standing) {
                    case READY -> "raw";
                    case UNLIKE -> "photo: the raw is not like it";
                    default -> "camera; " + EnumName.of(standing, " ");
                })
                .orElse("photo");
    }

    /** The difference to two places, or nothing. */
    String differenceWords() {
        return difference.isPresent() ? String.format(Locale.ROOT, "%.2f", difference.getAsDouble()) : "";
    }
}
