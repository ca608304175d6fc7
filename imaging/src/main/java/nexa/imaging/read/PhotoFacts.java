package nexa.imaging.read;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Directory;
import com.drew.metadata.Metadata;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import com.drew.metadata.jpeg.JpegDirectory;
import com.drew.metadata.png.PngDirectory;
import com.drew.metadata.webp.WebpDirectory;
import java.io.BufferedInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Date;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TimeZone;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.shoot.Subject;

/**
 * What a photo says of itself, read without its pixels.
 *
 * @param kind what its contents are
 * @param channels of a JPEG: 1 grey, 3 colour, 4 for print; 0 where it does not matter
 * @param stored its size as stored
 * @param orientation how the stored pixels are seen upright
 * @param capturedAt when it was taken, by the camera's clock
 * @param camera how it was taken
 * @param subject what the camera says it is about, in the photo as seen
 */
public record PhotoFacts(
        PhotoKind kind,
        int channels,
        PixelSize stored,
        ExifOrientation orientation,
        Optional<LocalDateTime> capturedAt,
        CameraData camera,
        Optional<Subject> subject) {
    private static final int SUBJECT_AREA = 0x9214;
    private static final long MOST_PIXELS = 400_000_000;

    /** The size as seen, after the EXIF orientation. */
    public PixelSize pixels() {
        return orientation.swapsSides() ? stored.swapped() : stored;
    }

    /** @throws PhotoProblem if the photo is not there, of no known kind, damaged or too large */
    public static PhotoFacts read(Path file) throws PhotoProblem {
        String name = file.getFileName().toString();
        try {
            if (Files.size(file) == 0) {
                throw new PhotoProblem(name, PhotoProblem.Reason.EMPTY);
            }
            try (BufferedInputStream in = new BufferedInputStream(Files.newInputStream(file))) {
                PhotoKind kind =
                        PhotoKind.of(in).orElseThrow(() -> new PhotoProblem(name, PhotoProblem.Reason.UNKNOWN_KIND));
                return of(name, kind, ImageMetadataReader.readMetadata(in));
            }
        } catch (NoSuchFileException e) {
            throw new PhotoProblem(name, PhotoProblem.Reason.MISSING, e);
        } catch (EOFException e) {
            throw new PhotoProblem(name, PhotoProblem.Reason.DAMAGED, e);
        } catch (ImageProcessingException | RuntimeException e) {
            throw new PhotoProblem(name, PhotoProblem.Reason.DAMAGED, e);
        } catch (IOException e) {
            throw new PhotoProblem(name, PhotoProblem.Reason.NO_ACCESS, e);
        }
    }

    /** Whether the file holds everything up to its end, as far as that can be told without decoding it. */
    boolean isWhole(Path file) throws PhotoProblem {
        try {
            return kind.isWhole(file);
        } catch (IOException e) {
            throw new PhotoProblem(file.getFileName().toString(), PhotoProblem.Reason.NO_ACCESS, e);
        }
    }

    private static PhotoFacts of(String name, PhotoKind kind, Metadata metadata) throws PhotoProblem {
        PixelSize stored = stored(name, metadata);
        if ((long) stored.width() * stored.height() > MOST_PIXELS) {
            throw new PhotoProblem(name, PhotoProblem.Reason.TOO_LARGE);
        }
        ExifOrientation orientation = orientation(metadata);
        return new PhotoFacts(
                kind,
                channels(metadata),
                stored,
                orientation,
                capturedAt(metadata),
                CameraData.of(metadata),
                subject(metadata, stored, orientation));
    }

    private static PixelSize stored(String name, Metadata metadata) throws PhotoProblem {
        try {
            JpegDirectory jpeg = metadata.getFirstDirectoryOfType(JpegDirectory.class);
            if (jpeg != null) {
                return new PixelSize(jpeg.getImageWidth(), jpeg.getImageHeight());
            }
            PngDirectory png = metadata.getFirstDirectoryOfType(PngDirectory.class);
            if (png != null) {
                return new PixelSize(
                        png.getInt(PngDirectory.TAG_IMAGE_WIDTH), png.getInt(PngDirectory.TAG_IMAGE_HEIGHT));
            }
            WebpDirectory webp = metadata.getFirstDirectoryOfType(WebpDirectory.class);
            if (webp != null) {
                return new PixelSize(
                        webp.getInt(WebpDirectory.TAG_IMAGE_WIDTH), webp.getInt(WebpDirectory.TAG_IMAGE_HEIGHT));
            }
            ExifIFD0Directory tiff = metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
            if (tiff != null) {
                return new PixelSize(
                        tiff.getInt(ExifDirectoryBase.TAG_IMAGE_WIDTH),
                        tiff.getInt(ExifDirectoryBase.TAG_IMAGE_HEIGHT));
            }
        } catch (MetadataException | IllegalArgumentException e) {
            throw new PhotoProblem(name, PhotoProblem.Reason.DAMAGED, e);
        }
        throw new PhotoProblem(name, PhotoProblem.Reason.DAMAGED);
    }

    private static int channels(Metadata metadata) {
        JpegDirectory jpeg = metadata.getFirstDirectoryOfType(JpegDirectory.class);
        Integer channels = jpeg == null ? null : jpeg.getInteger(JpegDirectory.TAG_NUMBER_OF_COMPONENTS);
        return channels == null ? 0 : channels;
    }

    /** The tag's point or circle lies in the stored pixels; it is turned and mirrored with them. */
    private static Optional<Subject> subject(Metadata metadata, PixelSize stored, ExifOrientation orientation) {
        ExifSubIFDDirectory exif = metadata.getFirstDirectoryOfType(ExifSubIFDDirectory.class);
        int[] area = exif == null ? null : exif.getIntArray(SUBJECT_AREA);
        if (area == null || area.length < 2) {
            return Optional.empty();
        }
        double x = (double) area[0] / stored.width();
        double y = (double) area[1] / stored.height();
        if (x < 0 || x > 1 || y < 0 || y > 1) {
            return Optional.empty();
        }
        double diameter = area.length == 3 ? area[2] : area.length == 4 ? Math.min(area[2], area[3]) : 0;
        double radius = diameter / 2 / Math.min(stored.width(), stored.height());
        boolean hasRadius = radius >= Subject.SMALLEST && radius <= 1;
        return Optional.of(new Subject(
                orientation.seen(new Point(x, y)), hasRadius ? OptionalDouble.of(radius) : OptionalDouble.empty()));
    }

    private static ExifOrientation orientation(Metadata metadata) {
        for (ExifIFD0Directory exif : metadata.getDirectoriesOfType(ExifIFD0Directory.class)) {
            Integer value = exif.getInteger(ExifDirectoryBase.TAG_ORIENTATION);
            if (value != null) {
                return ExifOrientation.of(value);
            }
        }
        return ExifOrientation.UPRIGHT;
    }

    private static Optional<LocalDateTime> capturedAt(Metadata metadata) {
        for (Directory exif : metadata.getDirectoriesOfType(ExifSubIFDDirectory.class)) {
            Date date = ((ExifSubIFDDirectory) exif).getDateOriginal(TimeZone.getTimeZone("UTC"));
            if (date != null) {
                return Optional.of(LocalDateTime.ofInstant(date.toInstant(), ZoneOffset.UTC));
            }
        }
        return Optional.empty();
    }
}
