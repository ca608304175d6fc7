package nexa.imaging.decode;

import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.MetadataException;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;

/**
 * What a photo's file says before its pixels. Only what is wanted is read, within bounds: texts that unpack to gigabytes and
 * chains of directories without end are passed over.
 *
 * @param stored how its pixels lie in the file
 * @param raw what its file holds if it is raw
 * @param told what it says of itself
 */
public record PhotoHeader(StoredPixels stored, Optional<RawFile> raw, ToldMetadata told) {

    /** Of a photo that is not raw. */
    PhotoHeader(StoredPixels stored, ToldMetadata told) {
        this(stored, Optional.empty(), told);
    }

    public static PhotoHeader read(Path file, PhotoKind kind) throws IOException, ImageProcessingException {
        try {
            return kind.decoder().header(file);
        } catch (MetadataException | IllegalArgumentException e) {
            throw new ImageProcessingException(e);
        }
    }
}
