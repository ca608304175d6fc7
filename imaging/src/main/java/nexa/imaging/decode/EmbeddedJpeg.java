package nexa.imaging.decode;

import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.MetadataException;
import com.google.common.io.ByteStreams;
import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.channels.Channels;
import java.nio.channels.SeekableByteChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A JPEG inside another file.
 *
 * @param from where it begins in the file, in bytes
 * @param length in bytes
 * @param stored how its pixels lie
 */
record EmbeddedJpeg(long from, long length, StoredPixels stored) {
    /** Makers put their pictures in front of the sensor's samples; behind so many bytes none is looked for. */
    private static final int SEARCHED = 24 * 1024 * 1024;

    private static final int SMALLEST = 64;

    /** Cameras put three or four into a file. */
    private static final int MOST = 64;

    /** By chance a few of a sensor's samples look like the beginning of a JPEG. */
    private static final int MOST_BEGINNINGS = 4096;

    /** The JPEG that begins at a place; empty if none does that can be read, such as one that packs a sensor's samples. */
    static Optional<EmbeddedJpeg> at(Path file, long from, long length) throws IOException {
        if (from <= 0 || length <= 0 || from >= Files.size(file)) {
            return Optional.empty();
        }
        try (InputStream in = stream(file, from, length)) {
            return stored(in).map(pixels -> new EmbeddedJpeg(from, length, pixels));
        }
    }

    /** How the pixels of the JPEG lie that begins where a stream is; empty if that is none, or too small to be looked at. */
    private static Optional<StoredPixels> stored(InputStream in) {
        try {
            StoredPixels stored = JpegDecoder.storedInside(in);
            boolean isPicture = Math.min(stored.size().width(), stored.size().height()) >= SMALLEST;
            return isPicture ? Optional.of(stored) : Optional.empty();
        } catch (IOException | ImageProcessingException | MetadataException | RuntimeException e) {
            return Optional.empty();
        }
    }

    /**
     * The JPEGs in a file that tells of them in a way of its maker's, one behind the other. Each place is looked at once, and
     * only so many that begin like a JPEG.
     */
    static List<EmbeddedJpeg> search(Path file) throws IOException {
        byte[] start;
        try (InputStream in = Files.newInputStream(file)) {
            start = in.readNBytes(SEARCHED);
        }
        List<EmbeddedJpeg> found = new ArrayList<>();
        int beginnings = 0;
        for (int i = 0; i + 3 < start.length && beginnings < MOST_BEGINNINGS && found.size() < MOST; i++) {
            if (beginsAt(start, i)) {
                beginnings++;
                Optional<StoredPixels> pixels = stored(new ByteArrayInputStream(start, i, start.length - i));
                if (pixels.isPresent()) {
                    found.add(measured(file, i, pixels.get()));
                    i += (int) Math.min(
                                    start.length, found.get(found.size() - 1).length())
                            - 1;
                }
            }
        }
        return found;
    }

    /** Whether a start is followed by a marker that may stand behind one. */
    private static boolean beginsAt(byte[] bytes, int at) {
        return bytes[at] == (byte) 0xFF
                && bytes[at + 1] == (byte) 0xD8
                && bytes[at + 2] == (byte) 0xFF
                && bytes[at + 3] != (byte) 0xD8
                && bytes[at + 3] != 0;
    }

    private static EmbeddedJpeg measured(Path file, long from, StoredPixels stored) throws IOException {
        try (InputStream in = stream(file, from, Long.MAX_VALUE)) {
            return new EmbeddedJpeg(from, JpegMarkers.of(in).end(), stored);
        }
    }

    /** Whether all of it is there. */
    boolean isWhole(Path file) throws IOException {
        long end = from + length;
        try (InputStream in = stream(file)) {
            return end <= Files.size(file) && JpegMarkers.of(in, file, end).isWhole();
        }
    }

    int longSide() {
        return stored.longSide();
    }

    double ratio() {
        return stored.size().size().ratio();
    }

    /** Its bytes, as far as they are there. */
    byte[] bytes(Path file) throws IOException {
        try (InputStream in = stream(file)) {
            return in.readAllBytes();
        }
    }

    InputStream stream(Path file) throws IOException {
        return stream(file, from, length);
    }

    private static InputStream stream(Path file, long from, long length) throws IOException {
        SeekableByteChannel channel = Files.newByteChannel(file);
        channel.position(from);
        return ByteStreams.limit(new BufferedInputStream(Channels.newInputStream(channel), 1 << 16), length);
    }
}
