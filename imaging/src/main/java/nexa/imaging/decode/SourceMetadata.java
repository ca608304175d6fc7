package nexa.imaging.decode;

import com.drew.imaging.ImageProcessingException;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;
import java.util.Set;

/**
 * What a photo carries beside its pixels, byte for byte.
 *
 * @param exif the EXIF block, beginning with its TIFF header
 * @param profile the colour profile: the one embedded, else the one that the EXIF block tells of
 */
public record SourceMetadata(Optional<byte[]> exif, Optional<ColourProfile> profile) {
    /** What the first directory of a TIFF says of its photo, and not of its pixels. */
    public static final Set<Integer> OF_THE_PHOTO = Set.of(
            0x010E, // description
            0x010F, // make
            0x0110, // model
            0x0112, // orientation
            0x0131, // software
            0x0132, // date
            0x013B, // creator
            0x8298, // copyright
            TiffDirectory.EXIF,
            TiffDirectory.PLACE);

    private static final byte[] EXIF = "Exif\0\0".getBytes(StandardCharsets.ISO_8859_1);
    private static final SourceMetadata NOTHING = new SourceMetadata(Optional.empty(), Optional.empty());

    /** Reads it from a photo. What is broken counts as not there: the picture is worth more than its metadata. */
    public static SourceMetadata read(Path file, PhotoKind kind) throws PhotoProblem {
        try {
            SourceMetadata told = kind.decoder().metadata(file);
            return told.profile().isPresent()
                    ? told
                    : new SourceMetadata(told.exif(), told.exif().flatMap(ColourProfile::toldBy));
        } catch (ImageProcessingException | RuntimeException e) {
            return NOTHING;
        } catch (IOException e) {
            throw PhotoFile.problem(file, e);
        }
    }

    /** Whether a block has the words before it that it has in a JPEG. */
    static boolean hasPreamble(byte[] block) {
        return startsWith(block, EXIF);
    }

    static byte[] withoutPreamble(byte[] block) {
        return hasPreamble(block) ? Arrays.copyOfRange(block, EXIF.length, block.length) : block;
    }

    static boolean startsWith(byte[] bytes, byte[] start) {
        return bytes.length >= start.length && Arrays.equals(bytes, 0, start.length, start, 0, start.length);
    }
}
