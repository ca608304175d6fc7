package nexa.imaging.facts;

import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Optional;

/**
 * When a photo was taken.
 *
 * @param local by the camera's clock
 * @param offset of that clock from universal time, if the camera says so
 */
public record CaptureTime(LocalDateTime local, Optional<ZoneOffset> offset) {
    private static final DateTimeFormatter EXIF = DateTimeFormatter.ofPattern("yyyy:MM:dd HH:mm:ss");

    /** The moment itself, where the offset is known. */
    public Optional<Instant> instant() {
        return offset.map(local::toInstant);
    }

    static Optional<CaptureTime> of(Metadata metadata) {
        return metadata.getDirectoriesOfType(ExifSubIFDDirectory.class).stream()
                .flatMap(exif -> of(exif).stream())
                .findFirst();
    }

    private static Optional<CaptureTime> of(ExifSubIFDDirectory exif) {
        String text = exif.getString(ExifDirectoryBase.TAG_DATETIME_ORIGINAL);
        try {
            LocalDateTime local = LocalDateTime.parse(text == null ? "" : text.strip(), EXIF);
            return Optional.of(new CaptureTime(local.plusNanos(nanos(exif)), offset(exif)));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    /** The digits behind the point of the second: "25" is a quarter of one. */
    private static long nanos(ExifSubIFDDirectory exif) {
        String digits = exif.getString(ExifDirectoryBase.TAG_SUBSECOND_TIME_ORIGINAL);
        return digits != null && digits.strip().matches("[0-9]{1,9}")
                ? Math.round(Double.parseDouble("0." + digits.strip()) * 1e9)
                : 0;
    }

    private static Optional<ZoneOffset> offset(ExifSubIFDDirectory exif) {
        String text = exif.getString(ExifDirectoryBase.TAG_TIME_ZONE_ORIGINAL);
        try {
            return Optional.ofNullable(text).map(String::strip).map(ZoneOffset::of);
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }
}
