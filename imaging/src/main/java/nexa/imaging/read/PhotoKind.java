package nexa.imaging.read;

import com.drew.imaging.FileType;
import com.drew.imaging.FileTypeDetector;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/** The kinds of photo that can be read, told by their contents and never by their names. */
public enum PhotoKind {
    JPEG,
    PNG,
    TIFF,
    WEBP;

    private static final int HEADER = 8;
    /** Some programs leave a little behind the end. */
    private static final int ENDING = 64 * 1024;

    /** The kind of what a stream begins with; the stream is left where it was. Empty for anything else. */
    static Optional<PhotoKind> of(BufferedInputStream in) throws IOException {
        FileType type = FileTypeDetector.detectFileType(in);
        return switch (type) {
            case Jpeg -> Optional.of(JPEG);
            case Png -> Optional.of(PNG);
            case Tiff -> Optional.of(TIFF);
            case WebP -> Optional.of(WEBP);
            default -> Optional.empty();
        };
    }

    /** Whether the file holds everything from its start to its end: a photo cut off on its way here does not. */
    boolean isWhole(byte[] bytes) {
        return switch (this) {
            case JPEG -> isWholeJpeg(bytes);
            case PNG -> indexBackwards(bytes, 0, 'I', 'E', 'N', 'D') > 0;
            case WEBP -> bytes.length >= 8 + littleEndian(bytes, 4);
            case TIFF -> true;
        };
    }

    /** As {@link #isWhole(byte[])}, told from how the file begins and ends: what is missing is missing at the end. */
    boolean isWhole(Path file) throws IOException {
        try (SeekableByteChannel channel = Files.newByteChannel(file)) {
            long length = channel.size();
            ByteBuffer part = ByteBuffer.allocate((int) Math.min(length, this == WEBP ? HEADER : ENDING));
            channel.position(this == WEBP ? 0 : length - part.capacity());
            while (part.hasRemaining() && channel.read(part) >= 0) {
                // Reads on until it is full.
                continue;
            }
            byte[] bytes = part.array();
            return this == WEBP ? bytes.length == HEADER && length >= 8 + littleEndian(bytes, 4) : isWhole(bytes);
        }
    }

    /** Whether it ends after its last scan: an end that only a thumbnail inside it has is none. */
    private static boolean isWholeJpeg(byte[] bytes) {
        int end = indexBackwards(bytes, 0, 0xFF, 0xD9);
        return end > 0 && indexBackwards(bytes, end, 0xFF, 0xDA) < 0;
    }

    /** Where some bytes stand last, from a place on; below 0 if they do not. */
    private static int indexBackwards(byte[] bytes, int from, int... wanted) {
        for (int at = bytes.length - wanted.length; at >= from; at--) {
            int same = 0;
            while (same < wanted.length && (bytes[at + same] & 0xFF) == wanted[same]) {
                same++;
            }
            if (same == wanted.length) {
                return at;
            }
        }
        return -1;
    }

    private static long littleEndian(byte[] bytes, int at) {
        return bytes[at] & 0xFF
                | (bytes[at + 1] & 0xFF) << 8
                | (bytes[at + 2] & 0xFF) << 16
                | (bytes[at + 3] & 0xFFL) << 24;
    }
}
