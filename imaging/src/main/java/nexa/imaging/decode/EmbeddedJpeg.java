package nexa.imaging.decode;

import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.MetadataException;
import com.google.common.io.ByteStreams;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.channels.Channels;
import java.nio.channels.SeekableByteChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.format.PixelSize;

/**
 * A JPEG inside another file.
 *
 * @param from where it begins in the file, in bytes
 * @param length in bytes
 * @param header what it says of itself
 */
record EmbeddedJpeg(long from, long length, PhotoHeader header) {
    /** Makers put their pictures in front of the sensor's samples; behind so many bytes none is looked for. */
    private static final int SEARCHED = 24 * 1024 * 1024;

    private static final int SMALLEST = 64;

    /** The JPEG that begins at a place; empty if none does that can be read, such as one that packs a sensor's samples. */
    static Optional<EmbeddedJpeg> at(Path file, long from, long length) throws IOException {
        if (from <= 0 || length <= 0 || from >= Files.size(file)) {
            return Optional.empty();
        }
        try (InputStream in = stream(file, from, length)) {
            PhotoHeader header = JpegDecoder.headerInside(in);
            PixelSize size = header.stored().size();
            boolean isPicture = Math.min(size.width(), size.height()) >= SMALLEST;
            return isPicture ? Optional.of(new EmbeddedJpeg(from, length, header)) : Optional.empty();
        } catch (ImageProcessingException | MetadataException | RuntimeException e) {
            return Optional.empty();
        }
    }

    /** All JPEGs in a file that tells of them in a way of its maker's, one behind the other. */
    static List<EmbeddedJpeg> search(Path file) throws IOException {
        byte[] start;
        try (InputStream in = Files.newInputStream(file)) {
            start = in.readNBytes(SEARCHED);
        }
        List<EmbeddedJpeg> found = new ArrayList<>();
        for (int i = 0; i + 3 < start.length; i++) {
            if (start[i] == (byte) 0xFF && start[i + 1] == (byte) 0xD8 && start[i + 2] == (byte) 0xFF) {
                Optional<EmbeddedJpeg> jpeg = at(file, i, Long.MAX_VALUE);
                if (jpeg.isPresent()) {
                    EmbeddedJpeg whole = jpeg.get().measured(file);
                    found.add(whole);
                    i += (int) Math.min(start.length, whole.length()) - 1;
                }
            }
        }
        return found;
    }

    private EmbeddedJpeg measured(Path file) throws IOException {
        try (InputStream in = stream(file)) {
            return new EmbeddedJpeg(from, JpegMarkers.of(in).end(), header);
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
        return header.stored().longSide();
    }

    double ratio() {
        return header.stored().size().size().ratio();
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
