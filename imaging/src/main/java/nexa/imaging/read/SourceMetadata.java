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
import com.drew.lang.StreamReader;
import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
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
 * @param profile the colour profile
 */
public record SourceMetadata(Optional<byte[]> exif, Optional<ColourProfile> profile) {
    private static final byte[] EXIF = "Exif\0\0".getBytes(StandardCharsets.ISO_8859_1);
    private static final byte[] ICC = "ICC_PROFILE\0".getBytes(StandardCharsets.ISO_8859_1);
    private static final SourceMetadata NOTHING = new SourceMetadata(Optional.empty(), Optional.empty());
    private static final int MOST_PROFILE_BYTES = 16 * 1024 * 1024;

    /** Reads it from a photo. What is broken counts as not there: the picture is worth more than its metadata. */
    public static SourceMetadata read(Path file, PhotoKind kind) throws PhotoProblem {
        try (BufferedInputStream in = new BufferedInputStream(Files.newInputStream(file))) {
            return switch (kind) {
                case JPEG -> fromJpeg(in);
                case PNG -> fromPng(in);
                case WEBP -> fromWebp(in);
                case TIFF -> fromTiff(in);
            };
        } catch (ImageProcessingException | RuntimeException e) {
            return NOTHING;
        } catch (IOException e) {
            throw new PhotoProblem(file.getFileName().toString(), PhotoProblem.Reason.NO_ACCESS, e);
        }
    }

    private static SourceMetadata fromWebp(InputStream in) throws IOException {
        ByteBuffer file = ByteBuffer.wrap(in.readAllBytes()).order(ByteOrder.LITTLE_ENDIAN);
        byte[] exif = null;
        Optional<ColourProfile> profile = Optional.empty();
        int at = 12;
        while (at + 8 <= file.capacity()) {
            String name = new String(file.array(), at, 4, StandardCharsets.ISO_8859_1);
            int length = file.getInt(at + 4);
            if (length < 0 || length > file.capacity() - at - 8) {
                break;
            }
            byte[] contents = Arrays.copyOfRange(file.array(), at + 8, at + 8 + length);
            if (name.equals("EXIF")) {
                exif = startsWith(contents, EXIF) ? Arrays.copyOfRange(contents, EXIF.length, length) : contents;
            } else if (name.equals("ICCP")) {
                profile = ColourProfile.read(contents);
            }
            at += 8 + length + length % 2;
        }
        return new SourceMetadata(Optional.ofNullable(exif), profile);
    }

    private static SourceMetadata fromTiff(InputStream in) throws IOException {
        byte[] file = in.readAllBytes();
        return new SourceMetadata(TiffTags.block(file), TiffTags.profile(file).flatMap(ColourProfile::read));
    }

    private static SourceMetadata fromJpeg(InputStream in) throws JpegProcessingException, IOException {
        JpegSegmentData segments = JpegSegmentReader.readSegments(
                new StreamReader(in), Set.of(JpegSegmentType.APP1, JpegSegmentType.APP2));
        byte[] exif = null;
        for (byte[] segment : segments.getSegments(JpegSegmentType.APP1)) {
            if (exif == null && startsWith(segment, EXIF)) {
                exif = Arrays.copyOfRange(segment, EXIF.length, segment.length);
            }
        }
        TreeMap<Integer, byte[]> parts = new TreeMap<>();
        for (byte[] segment : segments.getSegments(JpegSegmentType.APP2)) {
            if (startsWith(segment, ICC) && segment.length > ICC.length + 2) {
                parts.put(segment[ICC.length] & 0xFF, Arrays.copyOfRange(segment, ICC.length + 2, segment.length));
            }
        }
        ByteArrayOutputStream icc = new ByteArrayOutputStream();
        parts.values().forEach(icc::writeBytes);
        return new SourceMetadata(Optional.ofNullable(exif), ColourProfile.read(icc.toByteArray()));
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

    private static List<PngChunk> chunks(InputStream in, Set<PngChunkType> wanted)
            throws PngProcessingException, IOException {
        List<PngChunk> found = new ArrayList<>();
        new PngChunkReader().extract(new StreamReader(in), wanted).forEach(found::add);
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
