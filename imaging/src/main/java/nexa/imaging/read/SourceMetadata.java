package nexa.imaging.read;

import com.drew.imaging.ImageProcessingException;
import com.drew.imaging.jpeg.JpegProcessingException;
import com.drew.imaging.jpeg.JpegSegmentData;
import com.drew.imaging.jpeg.JpegSegmentReader;
import com.drew.imaging.jpeg.JpegSegmentType;
import com.drew.imaging.png.PngChunk;
import com.drew.imaging.png.PngChunkReader;
import com.drew.imaging.png.PngChunkType;
import com.drew.imaging.png.PngProcessingException;
import com.drew.lang.RandomAccessFileReader;
import com.google.common.io.ByteStreams;
import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.RandomAccessFile;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.SeekableByteChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.zip.InflaterInputStream;

/**
 * What a photo carries beside its pixels, byte for byte.
 *
 * @param exif the EXIF block, beginning with its TIFF header
 * @param profile the colour profile: the one embedded, else the one that the EXIF block tells of
 */
public record SourceMetadata(Optional<byte[]> exif, Optional<ColourProfile> profile) {
    static final int TIFF_WIDTH = 256;
    static final int TIFF_HEIGHT = 257;
    private static final int TIFF_PROFILE = 34_675;

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
    private static final byte[] ICC = "ICC_PROFILE\0".getBytes(StandardCharsets.ISO_8859_1);
    private static final SourceMetadata NOTHING = new SourceMetadata(Optional.empty(), Optional.empty());
    private static final int MOST_PROFILE_BYTES = 16 * 1024 * 1024;
    /** No photo has more before its pixels. */
    private static final long MOST_BEFORE_PIXELS = 64L * 1024 * 1024;

    private static final int RIFF_HEADER = 12;
    private static final int RIFF_CHUNK = 8;

    /** Reads it from a photo. What is broken counts as not there: the picture is worth more than its metadata. */
    public static SourceMetadata read(Path file, PhotoKind kind) throws PhotoProblem {
        try {
            SourceMetadata told = switch (kind) {
                case JPEG -> jpeg(file);
                case PNG -> png(file);
                case WEBP -> webp(file);
                case TIFF -> tiff(file);
            };
            return told.profile().isPresent()
                    ? told
                    : new SourceMetadata(told.exif(), told.exif().flatMap(ColourProfile::toldBy));
        } catch (ImageProcessingException | RuntimeException e) {
            return NOTHING;
        } catch (IOException e) {
            throw PhotoFile.problem(file, e);
        }
    }

    /** A file from its start, as far as anything but pixels is to be expected. */
    static InputStream bounded(Path file) throws IOException {
        return ByteStreams.limit(new BufferedInputStream(Files.newInputStream(file)), MOST_BEFORE_PIXELS);
    }

    static SourceMetadata webp(Path file) throws IOException {
        byte[] exif = null;
        Optional<ColourProfile> profile = Optional.empty();
        try (SeekableByteChannel in = Files.newByteChannel(file)) {
            ByteBuffer chunk = ByteBuffer.allocate(RIFF_CHUNK).order(ByteOrder.LITTLE_ENDIAN);
            long at = RIFF_HEADER;
            while (at + RIFF_CHUNK <= in.size()) {
                in.position(at).read(chunk.clear());
                String name = new String(chunk.array(), 0, 4, StandardCharsets.ISO_8859_1);
                long length = chunk.getInt(4) & 0xFFFF_FFFFL;
                boolean isWanted = name.equals("EXIF") || name.equals("ICCP");
                if (isWanted && length <= MOST_PROFILE_BYTES && at + RIFF_CHUNK + length <= in.size()) {
                    ByteBuffer contents = ByteBuffer.allocate((int) length);
                    in.read(contents);
                    if (name.equals("EXIF")) {
                        exif = withoutPreamble(contents.array());
                    } else {
                        profile = ColourProfile.read(contents.array());
                    }
                }
                at += RIFF_CHUNK + length + length % 2;
            }
        }
        return new SourceMetadata(Optional.ofNullable(exif), profile);
    }

    private static byte[] withoutPreamble(byte[] block) {
        return startsWith(block, EXIF) ? Arrays.copyOfRange(block, EXIF.length, block.length) : block;
    }

    private static SourceMetadata tiff(Path file) throws IOException {
        try (RandomAccessFile in = new RandomAccessFile(file.toFile(), "r")) {
            Optional<TiffDirectory> first = TiffDirectory.read(new RandomAccessFileReader(in));
            Optional<byte[]> exif = first.map(directory -> directory.only(OF_THE_PHOTO::contains))
                    .filter(directory -> !directory.isEmpty())
                    .map(TiffDirectory::block);
            Optional<byte[]> profile = first.flatMap(directory -> directory.bytes(TIFF_PROFILE));
            return new SourceMetadata(exif, profile.flatMap(ColourProfile::read));
        }
    }

    /** The EXIF block among a JPEG's segments. */
    static Optional<byte[]> exif(JpegSegmentData segments) {
        for (byte[] segment : segments.getSegments(JpegSegmentType.APP1)) {
            if (startsWith(segment, EXIF)) {
                return Optional.of(withoutPreamble(segment));
            }
        }
        return Optional.empty();
    }

    private static SourceMetadata jpeg(Path file) throws JpegProcessingException, IOException {
        try (InputStream in = bounded(file)) {
            JpegSegmentData segments = JpegSegmentReader.readSegments(
                    new BoundedReader(in), Set.of(JpegSegmentType.APP1, JpegSegmentType.APP2));
            TreeMap<Integer, byte[]> parts = new TreeMap<>();
            for (byte[] segment : segments.getSegments(JpegSegmentType.APP2)) {
                if (startsWith(segment, ICC) && segment.length > ICC.length + 2) {
                    parts.put(segment[ICC.length] & 0xFF, Arrays.copyOfRange(segment, ICC.length + 2, segment.length));
                }
            }
            ByteArrayOutputStream icc = new ByteArrayOutputStream();
            parts.values().forEach(icc::writeBytes);
            return new SourceMetadata(exif(segments), ColourProfile.read(icc.toByteArray()));
        }
    }

    private static SourceMetadata png(Path file) throws PngProcessingException, IOException {
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
            return fromPng(in);
        }
    }

    private static SourceMetadata fromPng(InputStream in) throws PngProcessingException, IOException {
        Set<PngChunkType> wanted = Set.of(PngChunkType.iCCP, PngChunkType.eXIf);
        byte[] exif = null;
        Optional<ColourProfile> profile = Optional.empty();
        for (PngChunk chunk : chunks(in, wanted)) {
            if (chunk.getType().equals(PngChunkType.eXIf)) {
                exif = chunk.getBytes();
            } else {
                profile = ColourProfile.read(inflated(chunk.getBytes()));
            }
        }
        return new SourceMetadata(Optional.ofNullable(exif), profile);
    }

    /** The chunks of a PNG that are wanted; the others are passed over unread. */
    static List<PngChunk> chunks(InputStream in, Set<PngChunkType> wanted) throws PngProcessingException, IOException {
        List<PngChunk> found = new ArrayList<>();
        new PngChunkReader().extract(new BoundedReader(in), wanted).forEach(found::add);
        return found;
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

    private static boolean startsWith(byte[] bytes, byte[] start) {
        return bytes.length >= start.length && Arrays.equals(bytes, 0, start.length, start, 0, start.length);
    }
}
