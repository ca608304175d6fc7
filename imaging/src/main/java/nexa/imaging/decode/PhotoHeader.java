package nexa.imaging.decode;

import com.drew.imaging.ImageProcessingException;
import com.drew.lang.ByteArrayReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifReader;
import com.drew.metadata.xmp.XmpReader;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Optional;

/**
 * What a photo's file says before its pixels. Only what is wanted is read, within bounds: texts that unpack to gigabytes and
 * chains of directories without end are passed over.
 *
 * @param stored how its pixels lie in the file
 * @param raw what its file holds if it is raw
 * @param exif what its EXIF block and its XMP say, empty if there are none; without the maker's notes
 */
public record PhotoHeader(StoredPixels stored, Optional<RawFile> raw, Metadata exif) {
    private static final byte[] XMP = "http://ns.adobe.com/xap/1.0/\0".getBytes(StandardCharsets.ISO_8859_1);

    /** Of a photo that is not raw. */
    PhotoHeader(StoredPixels stored, Metadata exif) {
        this(stored, Optional.empty(), exif);
    }

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

    /** Adds what an XMP packet says, if a segment of a JPEG is one; not one that declares anything of its own. */
    static void addXmp(byte[] segment, Metadata told) {
        if (SourceMetadata.startsWith(segment, XMP)) {
            String packet = new String(segment, XMP.length, segment.length - XMP.length, StandardCharsets.UTF_8);
            if (!packet.contains("<!")) {
                new XmpReader().extract(packet, told);
            }
        }
    }
}
