package nexa.core.shoot;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Size;

/**
 * One photo of a shoot and what was said of it.
 *
 * @param file its name in the shoot's folder; names the photo
 * @param pixels after the EXIF orientation, before {@code turn}; empty until the photo has been read
 * @param isMirrored left to right, after the quarter turn
 * @param crops by format id; a format without an entry is untouched
 */
public record Photo(
        String file,
        Optional<PixelSize> pixels,
        QuarterTurn turn,
        boolean isMirrored,
        Mark mark,
        Angle angle,
        Optional<Subject> subject,
        Map<String, CropEntry> crops) {

    public Photo {
        if (file.isBlank()) {
            throw new IllegalArgumentException("a photo's file name must not be empty");
        }
        crops = Map.copyOf(crops);
    }

    /** A photo nobody has said anything of. */
    public static Photo untouched(String file) {
        return new Photo(
                file, Optional.empty(), QuarterTurn.NONE, false, Mark.OPEN, Angle.NONE, Optional.empty(), Map.of());
    }

    /**
     * Its size as seen, after the quarter turn.
     *
     * @throws IllegalStateException if the photo has not been read
     */
    public Size size() {
        PixelSize stored = pixels.orElseThrow(() -> new IllegalStateException(file + " has not been read"));
        return (turn.swapsSides() ? stored.swapped() : stored).size();
    }

    /**
     * What its crops have to stay inside.
     *
     * @throws IllegalStateException if the photo has not been read
     */
    public Outline outline() {
        return new Outline(size(), angle);
    }

    /** What is said of its crop in a format, never {@code null}. */
    public CropEntry entry(String format) {
        return crops.getOrDefault(format, CropEntry.UNTOUCHED);
    }

    public Photo withPixels(PixelSize newPixels) {
        return new Photo(file, Optional.of(newPixels), turn, isMirrored, mark, angle, subject, crops);
    }

    public Photo withAngle(Angle newAngle) {
        return new Photo(file, pixels, turn, isMirrored, mark, newAngle, subject, crops);
    }

    public Photo withTurn(QuarterTurn newTurn, boolean mirrored) {
        return new Photo(file, pixels, newTurn, mirrored, mark, angle, subject, crops);
    }

    public Photo withMark(Mark newMark) {
        return new Photo(file, pixels, turn, isMirrored, newMark, angle, subject, crops);
    }

    public Photo withSubject(Optional<Subject> newSubject) {
        return new Photo(file, pixels, turn, isMirrored, mark, angle, newSubject, crops);
    }

    public Photo withEntry(String format, CropEntry entry) {
        Map<String, CropEntry> changed = new LinkedHashMap<>(crops);
        if (entry.equals(CropEntry.UNTOUCHED)) {
            changed.remove(format);
        } else {
            changed.put(format, entry);
        }
        return new Photo(file, pixels, turn, isMirrored, mark, angle, subject, changed);
    }

    /** This photo with what was said of another state of it, keeping what was read of it. */
    Photo saying(Photo other) {
        return new Photo(
                file, pixels, other.turn, other.isMirrored, other.mark, other.angle, other.subject, other.crops);
    }
}
