package nexa.imaging.decode;

import com.drew.imaging.ImageProcessingException;
import com.drew.imaging.png.PngChunk;
import com.drew.imaging.png.PngChunkReader;
import com.drew.imaging.png.PngChunkType;
import com.drew.imaging.png.PngColorType;
import com.drew.imaging.png.PngHeader;
import com.drew.imaging.png.PngProcessingException;
import com.google.common.primitives.Bytes;
import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.zip.InflaterInputStream;
import nexa.core.format.PixelSize;

/** PNG. */
final class PngDecoder implements PhotoDecoder {
    private static final int SIGNATURE = 8;
    private static final int CHUNK_HEADER = 8;
    /** Some programs leave a little behind the end. */
    private static final int ENDING = 64 * 1024;

    private static final int END_CHUNK = 0x49454E44;
    private static final byte[] END = "IEND".getBytes(StandardCharsets.ISO_8859_1);
    private static final int MOST_PROFILE_BYTES = 16 * 1024 * 1024;

    @Override
    public PhotoHeader header(Path file) throws IOException, ImageProcessingException {
        PngHeader header = null;
        Optional<TiffDirectory> directory = Optional.empty();
        boolean hasTransparency = false;
        boolean isCut;
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
            BoundedReader reader = new BoundedReader(in);
            List<PngChunk> chunks = chunks(reader, Set.of(PngChunkType.IHDR, PngChunkType.tRNS, PngChunkType.eXIf));
            isCut = reader.isCut();
            for (PngChunk chunk : chunks) {
                if (chunk.getType().equals(PngChunkType.IHDR)) {
                    header = new PngHeader(chunk.getBytes());
                } else if (chunk.getType().equals(PngChunkType.tRNS)) {
                    hasTransparency = true;
                } else {
                    directory = TiffDirectory.read(chunk.getBytes());
                }
            }
        }
        if (header == null) {
            throw new ImageProcessingException("no header");
        }
        boolean hasAlpha = Set.of(PngColorType.GREYSCALE_WITH_ALPHA, PngColorType.TRUE_COLOR_WITH_ALPHA)
                .contains(header.getColorType());
        return new PhotoHeader(
                new StoredPixels(
                        new PixelSize(header.getImageWidth(), header.getImageHeight()), 0, hasAlpha || hasTransparency),
                ToldMetadata.of(directory).cut(isCut));
    }

    /** The chunks of a PNG that are wanted; the others are passed over unread. */
    static List<PngChunk> chunks(InputStream in, Set<PngChunkType> wanted) throws PngProcessingException, IOException {
        return chunks(new BoundedReader(in), wanted);
    }

    private static List<PngChunk> chunks(BoundedReader in, Set<PngChunkType> wanted)
            throws PngProcessingException, IOException {
        List<PngChunk> found = new ArrayList<>();
        new PngChunkReader().extract(in, wanted).forEach(found::add);
        return found;
    }

    @Override
    public SourceMetadata metadata(Path file) throws IOException, ImageProcessingException {
        byte[] exif = null;
        Optional<ColourProfile> profile = Optional.empty();
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
            for (PngChunk chunk : chunks(in, Set.of(PngChunkType.iCCP, PngChunkType.eXIf))) {
                if (chunk.getType().equals(PngChunkType.eXIf)) {
                    exif = chunk.getBytes();
                } else {
                    profile = ColourProfile.read(inflated(chunk.getBytes()));
                }
            }
        }
        return new SourceMetadata(Optional.ofNullable(exif), profile);
    }

    /** The profile in an iCCP chunk: a name, a zero, the way of packing, then the packed bytes. */
    private static byte[] inflated(byte[] chunk) {
        int zero = 0;
        while (zero < chunk.length && chunk[zero] != 0) {
            zero++;
        }
        if (zero + 2 >= chunk.length) {
            return new byte[0];
        }
        try (InputStream packed =
                new InflaterInputStream(new ByteArrayInputStream(chunk, zero + 2, chunk.length - zero - 2))) {
            return packed.readNBytes(MOST_PROFILE_BYTES);
        } catch (IOException e) {
            return new byte[0];
        }
    }

    /** Most end with their end; where something lies behind it, the chunks lead there. */
    @Override
    public void requireWhole(Path file) throws IOException, PhotoProblem {
        if (!endsWithEnd(file) && !leadsToEnd(file)) {
            throw new PhotoProblem(file.getFileName().toString(), PhotoProblem.Reason.CUT_OFF);
        }
    }

    private static boolean endsWithEnd(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            in.skipNBytes(Math.max(0, Files.size(file) - ENDING));
            return Bytes.indexOf(in.readNBytes(ENDING), END) > 0;
        }
    }

    private static boolean leadsToEnd(Path file) throws IOException {
        try (SeekableByteChannel channel = Files.newByteChannel(file)) {
            ByteBuffer chunk = ByteBuffer.allocate(CHUNK_HEADER);
            long at = SIGNATURE;
            while (at + CHUNK_HEADER <= channel.size()) {
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

    @Override
    public byte[] whole(String name, byte[] file) throws PhotoProblem {
        // Looked for where it should be first: a whole photo is long.
        byte[] tail = Arrays.copyOfRange(file, Math.max(0, file.length - ENDING), file.length);
        if (Bytes.indexOf(tail, END) <= 0 && Bytes.indexOf(file, END) <= 0) {
            throw new PhotoProblem(name, PhotoProblem.Reason.CUT_OFF);
        }
        return file;
    }

    @Override
    public Decoded full(byte[] whole, StoredPixels stored) throws IOException {
        Decoded decoded = OpenCvPixels.unchanged(whole);
        if (!decoded.pixels().empty() && decoded.pixels().channels() == 1) {
            TransparentShade.apply(whole, decoded.pixels());
        }
        return decoded;
    }
}
