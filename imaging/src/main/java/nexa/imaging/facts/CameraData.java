package nexa.imaging.facts;

import com.drew.lang.Rational;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.lens.Taken;

/**
 * How a photo was taken, as far as it says so.
 *
 * @param maker of the camera
 * @param camera its model
 * @param lens its model
 * @param focalLength in millimetres
 * @param focalLength35 in millimetres on 36 × 24 mm
 * @param aperture the f-number
 * @param distance of what was photographed, in metres
 * @param exposure in seconds
 * @param iso the sensitivity
 */
public record CameraData(
        Optional<String> maker,
        Optional<String> camera,
        Optional<String> lens,
        Optional<Double> focalLength,
        OptionalDouble focalLength35,
        Optional<Double> aperture,
        Optional<Double> distance,
        Optional<Double> exposure,
        Optional<Integer> iso) {

    /** Of a photo that says nothing of it. */
    public static final CameraData NONE = new CameraData(
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            OptionalDouble.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty());

    static CameraData of(Metadata metadata) {
        ExifIFD0Directory main = metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
        ExifSubIFDDirectory exif = metadata.getFirstDirectoryOfType(ExifSubIFDDirectory.class);
        return new CameraData(
                text(main, ExifDirectoryBase.TAG_MAKE),
                text(main, ExifDirectoryBase.TAG_MODEL),
                text(exif, ExifDirectoryBase.TAG_LENS_MODEL),
                number(exif, ExifDirectoryBase.TAG_FOCAL_LENGTH),
                whole(exif, ExifDirectoryBase.TAG_35MM_FILM_EQUIV_FOCAL_LENGTH),
                number(exif, ExifDirectoryBase.TAG_FNUMBER),
                number(exif, ExifDirectoryBase.TAG_SUBJECT_DISTANCE),
                number(exif, ExifDirectoryBase.TAG_EXPOSURE_TIME),
                Optional.ofNullable(exif).map(found -> found.getInteger(ExifDirectoryBase.TAG_ISO_EQUIVALENT)));
    }

    /** What of it tells which lens took the photo, and how. */
    public Taken taken() {
        return new Taken(maker, camera, lens, known(focalLength), focalLength35, known(aperture), known(distance));
    }

    private static OptionalDouble known(Optional<Double> value) {
        return value.map(OptionalDouble::of).orElse(OptionalDouble.empty());
    }

    private static OptionalDouble whole(ExifDirectoryBase directory, int tag) {
        Integer value = directory == null ? null : directory.getInteger(tag);
        return value == null || value <= 0 ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    private static Optional<String> text(ExifDirectoryBase directory, int tag) {
        return Optional.ofNullable(directory)
                .map(found -> found.getString(tag))
                .map(String::strip)
                .filter(text -> !text.isEmpty());
    }

    private static Optional<Double> number(ExifDirectoryBase directory, int tag) {
        return Optional.ofNullable(directory)
                .map(found -> found.getRational(tag))
                .filter(rational -> rational.getDenominator() != 0)
                .map(Rational::doubleValue)
                .filter(value -> value > 0);
    }
}
