package nexa.imaging.decode;

import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * What a raw file made of boxes says of its photo (ISO/IEC 14496-12, with boxes of a maker's own for the EXIF): one box has the
 * first directory, the next one what belongs below it.
 */
final class BoxedExif {
    private static final int BEGINNING = 1 << 20;
    private static final String FIRST = "CMT1";
    private static final String EXIF = "CMT2";
    private static final int LARGEST = 1 << 18;

    private BoxedExif() {}

    /** The directory, with that of the EXIF below it; none if it is not there. */
    static List<TiffDirectory> of(Path file) throws IOException {
        byte[] beginning;
        try (InputStream in = Files.newInputStream(file)) {
            beginning = in.readNBytes(BEGINNING);
        }
        Optional<TiffDirectory> first = box(beginning, FIRST);
        Optional<TiffDirectory> exif = box(beginning, EXIF);
        return first
                .map(told -> exif.map(below -> told.withBelow(TiffDirectory.EXIF, below))
                        .orElse(told))
                .stream()
                .toList();
    }

    private static Optional<TiffDirectory> box(byte[] beginning, String name) {
        int at = new String(beginning, StandardCharsets.ISO_8859_1).indexOf(name);
        if (at < 4) {
            return Optional.empty();
        }
        int from = at + name.length();
        int length = ByteBuffer.wrap(beginning).getInt(at - 4) - 8;
        return length > 0 && length <= LARGEST
                ? TiffDirectory.read(Arrays.copyOfRange(beginning, from, from + length))
                        .map(TiffDirectory::apart)
                        .map(TiffDirectory::taken)
                : Optional.empty();
    }
}
