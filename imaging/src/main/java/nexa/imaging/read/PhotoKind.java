package nexa.imaging.read;

import com.drew.imaging.FileType;
import com.drew.imaging.FileTypeDetector;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
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

    private static final int END_CHUNK = 0x49454E44;

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
            case JPEG -> JpegMarkers.of(bytes).isWhole();
            case PNG -> indexBackwards(bytes, 0, 'I', 'E', 'N', 'D') > 0;
            case WEBP -> bytes.length >= HEADER && bytes.length >= 8 + littleEndian(bytes, 4);
            case TIFF -> true;
        };
    }

    /** As {@link #isWhole(byte[])}, reading no more of the file than is needed to tell. */
    boolean isWhole(Path file) throws IOException {
        return switch (this) {
            case JPEG -> JpegMarkers.of(file).isWhole();
            case PNG -> isWholePng(file);
            case WEBP -> isWhole(part(file, 0, HEADER), Files.size(file));
            case TIFF -> true;
        };
    }

    private static boolean isWhole(byte[] webp, long length) {
        return webp.length == HEADER && length >= 8 + littleEndian(webp, 4);
    }

    /** Most end with their end; where something lies behind it, the chunks lead there. */
    private static boolean isWholePng(Path file) throws IOException {
        long length = Files.size(file);
        byte[] tail = part(file, Math.max(0, length - ENDING), ENDING);
        if (indexBackwards(tail, 0, 'I', 'E', 'N', 'D') > 0) {
            return true;
        }
        try (SeekableByteChannel channel = Files.newByteChannel(file)) {
            ByteBuffer chunk = ByteBuffer.allocate(HEADER);
            long at = HEADER;
            while (at + HEADER <= length) {
                channel.position(at);
                channel.read(chunk.clear());
                if (chunk.getInt(4) == END_CHUNK) {
                    return true;
                }
                at += 12 + (chunk.getInt(0) & 0xFFFF_FFFFL);
            }
            return false;
        }
    }

    private static byte[] part(Path file, long from, int most) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            in.skipNBytes(from);
            return in.readNBytes(most);
        }
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
