package nexa.imaging.decode;

import com.drew.imaging.ImageProcessingException;
import com.drew.imaging.riff.RiffHandler;
import com.drew.imaging.riff.RiffReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.MetadataException;
import com.drew.metadata.webp.WebpDirectory;
import com.drew.metadata.webp.WebpRiffHandler;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import nexa.core.format.PixelSize;

/** WebP: chunks in a RIFF container. */
final class WebpDecoder implements PhotoDecoder {
    /** The container's name and length. */
    private static final int HEADER = 8;

    private static final Set<String> SIZES = Set.of("VP8X", "VP8L", "VP8 ");

    @Override
    public PhotoHeader header(Path file) throws IOException, ImageProcessingException, MetadataException {
        Metadata sizes = new Metadata();
        read(file, new WebpRiffHandler(sizes) {
            @Override
            public boolean shouldAcceptChunk(String name) {
                return SIZES.contains(name);
            }
        });
        WebpDirectory told = sizes.getFirstDirectoryOfType(WebpDirectory.class);
        if (told == null) {
            throw new ImageProcessingException("no size");
        }
        return new PhotoHeader(
                new StoredPixels(
                        new PixelSize(
                                told.getInt(WebpDirectory.TAG_IMAGE_WIDTH),
                                told.getInt(WebpDirectory.TAG_IMAGE_HEIGHT)),
                        0,
                        // Where it does not say so it may be all the same.
                        !Boolean.FALSE.equals(told.getBooleanObject(WebpDirectory.TAG_HAS_ALPHA))),
                told(file));
    }

    private static ToldMetadata told(Path file) throws IOException, ImageProcessingException {
        Chunks chunks = new Chunks(Set.of("EXIF"));
        boolean isCut = read(file, chunks);
        return ToldMetadata.of(
                        chunks.find("EXIF").map(SourceMetadata::withoutPreamble).flatMap(TiffDirectory::read))
                .cut(isCut);
    }

    /** Reads what a handler wants, and tells whether something was passed over. */
    private static boolean read(Path file, RiffHandler handler) throws IOException, ImageProcessingException {
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
            BoundedReader reader = new BoundedReader(in);
            new RiffReader().processRiff(reader, handler);
            return reader.isCut();
        }
    }

    @Override
    public SourceMetadata metadata(Path file) throws IOException, ImageProcessingException {
        Chunks chunks = new Chunks(Set.of("EXIF", "ICCP"));
        read(file, chunks);
        return new SourceMetadata(
                chunks.find("EXIF").map(SourceMetadata::withoutPreamble),
                chunks.find("ICCP").flatMap(ColourProfile::read));
    }

    /** Keeps the chunks that are wanted, of those of a name the last. */
    private static final class Chunks implements RiffHandler {
        private final Set<String> wanted;
        private final Map<String, byte[]> found = new HashMap<>();

        Chunks(Set<String> wanted) {
            this.wanted = wanted;
        }

        Optional<byte[]> find(String name) {
            return Optional.ofNullable(found.get(name));
        }

        @Override
        public boolean shouldAcceptRiffIdentifier(String identifier) {
            return identifier.equals("WEBP");
        }

        @Override
        public boolean shouldAcceptChunk(String name) {
            return wanted.contains(name);
        }

        @Override
        public boolean shouldAcceptList(String name) {
            return false;
        }

        @Override
        public void processChunk(String name, byte[] contents) {
            found.put(name, contents);
        }

        @Override
        public void addError(String message) {
            // What was found before the error counts.
        }
    }

    @Override
    public void requireWhole(Path file) throws IOException, PhotoProblem {
        try (InputStream in = Files.newInputStream(file)) {
            require(file.getFileName().toString(), in.readNBytes(HEADER), Files.size(file));
        }
    }

    @Override
    public byte[] whole(String name, byte[] file) throws PhotoProblem {
        require(name, file, file.length);
        return file;
    }

    private static void require(String name, byte[] start, long length) throws PhotoProblem {
        boolean isWhole = start.length >= HEADER
                && length
                        >= HEADER
                                + Integer.toUnsignedLong(ByteBuffer.wrap(start)
                                        .order(ByteOrder.LITTLE_ENDIAN)
                                        .getInt(4));
        if (!isWhole) {
            throw new PhotoProblem(name, PhotoProblem.Reason.CUT_OFF);
        }
    }

    @Override
    public Decoded full(byte[] whole, StoredPixels stored) {
        return OpenCvPixels.unchanged(whole);
    }
}
