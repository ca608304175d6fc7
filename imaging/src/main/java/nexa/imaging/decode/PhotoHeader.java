package nexa.imaging.decode;

import com.drew.imaging.ImageProcessingException;
import com.drew.lang.ByteArrayReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifReader;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;

/**
 * What a photo's file says before its pixels. Only what is wanted is read, within bounds: texts that unpack to gigabytes and
 * chains of directories without end are passed over.
 *
 * @param stored how its pixels lie in the file
 * @param exif what its EXIF block says, empty if there is none; without the maker's notes
 */
public record PhotoHeader(StoredPixels stored, Metadata exif) {
    public static PhotoHeader read(Path file, PhotoKind kind) throws IOException, ImageProcessingException {
        try {
            return kind.decoder().header(file);
        } catch (MetadataException | IllegalArgumentException e) {
            throw new ImageProcessingException(e);
        }
    }

    /** What a directory and those below it say. */
    static Metadata exif(Optional<TiffDirectory> directory) {
        Metadata told = new Metadata();
        // Read from a block made anew, so that nothing in it can lead the reader astray.
        directory.ifPresent(found -> new ExifReader()
                .extract(
                        new ByteArrayReader(
                                found.withoutInExif(TiffDirectory.MAKER_NOTE).block()),
                        told));
        return told;
    }
}
