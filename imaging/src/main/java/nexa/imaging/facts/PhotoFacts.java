package nexa.imaging.facts;

import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import java.io.EOFException;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.shoot.FileIdentity;
import nexa.core.shoot.Subject;
import nexa.imaging.decode.ExifOrientation;
import nexa.imaging.decode.PhotoFile;
import nexa.imaging.decode.PhotoHeader;
import nexa.imaging.decode.PhotoKind;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.decode.RawFile;
import nexa.imaging.decode.StoredPixels;
import nexa.imaging.raw.RawAvailability;

/**
 * What a photo says of itself, read without its pixels.
 *
 * @param kind what its contents are
 * @param stored how its pixels lie in the file
 * @param orientation how the stored pixels are seen upright
 * @param capturedAt when it was taken
 * @param camera how it was taken
 * @param subject what the camera or its XMP says it is about, in the photo as seen
 * @param identity by what the file is known again under another name
 * @param raw how it stands with the raw file that the photo is, or that lies beside it; empty if there is none
 * @param isSeeThrough whether some of its pixels are see-through, as far as these were looked at
 * @param isCut whether some of what it says of itself was passed over, as nothing that could be read
 */
public record PhotoFacts(
        PhotoKind kind,
        StoredPixels stored,
        ExifOrientation orientation,
        Optional<CaptureTime> capturedAt,
        CameraData camera,
        Optional<Subject> subject,
        FileIdentity identity,
        Optional<RawAvailability> raw,
        boolean isSeeThrough,
        boolean isCut) {
    private static final int SUBJECT_AREA = 0x9214;
    private static final long MOST_PIXELS = 600_000_000;

    /** The size as seen, after the EXIF orientation. */
    public PixelSize pixels() {
        return orientation.swapsSides() ? stored.size().swapped() : stored.size();
    }

    /** @throws PhotoProblem if the photo is not there, of no known kind, damaged or too large */
    public static PhotoFacts read(Path file) throws PhotoProblem {
        String name = file.getFileName().toString();
        try {
            if (Files.exists(file) && !Files.isRegularFile(file)) {
                throw new PhotoProblem(name, PhotoProblem.Reason.UNKNOWN_KIND);
            }
            if (Files.size(file) == 0) {
                throw new PhotoProblem(name, PhotoProblem.Reason.EMPTY);
            }
            PhotoKind kind = kind(file);
            PhotoHeader header = PhotoHeader.read(file, kind);
            return of(name, kind, header, PhotoFile.identity(file));
        } catch (EOFException | ImageProcessingException | RuntimeException | StackOverflowError e) {
            throw new PhotoProblem(name, PhotoProblem.Reason.DAMAGED, e);
        } catch (IOException e) {
            throw PhotoFile.problem(file, e);
        } catch (OutOfMemoryError e) {
            throw PhotoProblem.of(name, e);
        }
    }

    /** Where the sensor's pixels cannot be had, those of the camera's picture are all there are. */
    private static StoredPixels usable(String name, PhotoHeader header, Optional<RawAvailability> raw)
            throws PhotoProblem {
        if (raw.isEmpty() || raw.get() == RawAvailability.READY) {
            return header.stored();
        }
        PixelSize size = header.raw()
                .flatMap(RawFile::pictureSize)
                .orElseThrow(() -> new PhotoProblem(name, PhotoProblem.Reason.NO_PICTURE));
        return new StoredPixels(size, header.stored().channels());
    }

    /** The same with a raw file beside the photo. */
    PhotoFacts beside(RawAvailability standing) {
        return with(Optional.of(standing), isSeeThrough);
    }

    /**
     * The same after a look at what only pixels tell.
     *
     * @param isLikeRaw whether the raw file's pixels are those of the photo
     */
    public PhotoFacts looked(boolean isLikeRaw, boolean isSeeThroughNow) {
        return with(
                raw.map(standing ->
                        standing == RawAvailability.READY && !isLikeRaw ? RawAvailability.UNLIKE : standing),
                isSeeThroughNow);
    }

    private PhotoFacts with(Optional<RawAvailability> newRaw, boolean isSeeThroughNow) {
        return new PhotoFacts(
                kind, stored, orientation, capturedAt, camera, subject, identity, newRaw, isSeeThroughNow, isCut);
    }

    private static PhotoKind kind(Path file) throws IOException, PhotoProblem {
        return PhotoKind.of(file)
                .orElseThrow(() -> new PhotoProblem(file.getFileName().toString(), PhotoProblem.Reason.UNKNOWN_KIND));
    }

    /**
     * Sees to it that the photo can be decoded, as far as that can be told without doing so.
     *
     * @throws PhotoProblem if it is cut off, or coded so that decoding it would take minutes
     */
    void requireWhole(Path file) throws PhotoProblem {
        try {
            kind.decoder().requireWhole(file);
        } catch (IOException e) {
            throw PhotoFile.problem(file, e);
        }
    }

    private static PhotoFacts of(String name, PhotoKind kind, PhotoHeader header, FileIdentity identity)
            throws PhotoProblem {
        PixelSize stored = header.stored().size();
        if ((long) stored.width() * stored.height() > MOST_PIXELS) {
            throw new PhotoProblem(name, PhotoProblem.Reason.TOO_LARGE);
        }
        Optional<RawAvailability> raw = header.raw().map(RawAvailability::of);
        Metadata exif = header.told().exif();
        Asking asking = new Asking();
        ExifOrientation orientation = asking.of(() -> orientation(exif), ExifOrientation.UPRIGHT);
        return new PhotoFacts(
                kind,
                usable(name, header, raw),
                orientation,
                asking.of(() -> CaptureTime.of(exif), Optional.empty()),
                asking.of(() -> CameraData.of(exif), CameraData.NONE),
                asking.of(
                        () -> subject(exif, stored, orientation)
                                .or(() -> header.told()
                                        .xmp()
                                        .flatMap(xmp -> XmpRegions.subject(xmp, stored, orientation))),
                        Optional.empty()),
                identity,
                raw,
                false,
                header.told().isCut() || asking.hasFailed);
    }

    /** Asks for one thing after the other that a photo says: the picture is worth more than any of them. */
    private static final class Asking {
        private boolean hasFailed;

        <T> T of(Supplier<T> asked, T otherwise) {
            try {
                return asked.get();
            } catch (RuntimeException | StackOverflowError e) {
                hasFailed = true;
                return otherwise;
            }
        }
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
}
