package nexa.imaging.deliver;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.format.FileSpec;
import nexa.core.message.Message;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;

/** A JPEG with the photo's metadata and the pixels per inch it is meant for. */
final class JpegFile implements FileFormat {
    private static final int APP0 = 0xE0;
    private static final int APP1 = 0xE1;
    private static final int APP2 = 0xE2;
    /** What a segment holds beside its own two length bytes. */
    private static final int MOST_IN_SEGMENT = 65_533;

    private static final int PREAMBLE = 6;

    /** The most bytes an EXIF block can have in a JPEG. */
    static final int MOST_EXIF = MOST_IN_SEGMENT - PREAMBLE;

    private static final byte[] EXIF = "Exif\0\0".getBytes(StandardCharsets.ISO_8859_1);
    private static final byte[] ICC = "ICC_PROFILE\0".getBytes(StandardCharsets.ISO_8859_1);

    /** What of an EXIF block does not fit stays behind, and that is told. */
    @Override
    public Made encode(Contents contents) {
        Optional<DeliveredExif.Fitted> fitted = contents.exif().map(block -> DeliveredExif.fitted(block, MOST_EXIF));
        byte[] file = encode(
                contents.pixels(),
                contents.spec(),
                contents.profile(),
                fitted.map(DeliveredExif.Fitted::block),
                contents.ppi());
        return new Made(file, fitted.filter(block -> !block.isWhole()).map(block -> Message.of("delivered.notes")));
    }

    /** @param exif as it goes into the file, at most {@link #MOST_EXIF} bytes */
    private static byte[] encode(
            Mat pixels, FileSpec spec, Optional<byte[]> profile, Optional<byte[]> exif, OptionalDouble ppi) {
        byte[] plain = plain(pixels, spec);
        ByteArrayOutputStream out = new ByteArrayOutputStream(plain.length + 4096);
        out.writeBytes(new byte[] {(byte) 0xFF, (byte) 0xD8});
        segment(out, APP0, jfif(ppi));
        exif.ifPresent(block -> segment(out, APP1, joined(EXIF, block)));
        profile.ifPresent(bytes -> profile(out, bytes));
        int body = afterApplicationSegments(plain);
        out.write(plain, body, plain.length - body);
        return out.toByteArray();
    }

    private static byte[] plain(Mat pixels, FileSpec spec) {
        return FileFormat.plain(
                ".jpg",
                pixels,
                opencv_imgcodecs.IMWRITE_JPEG_QUALITY,
                spec.quality(),
                opencv_imgcodecs.IMWRITE_JPEG_SAMPLING_FACTOR,
                spec.sampling() == FileSpec.Sampling.FULL
                        ? opencv_imgcodecs.IMWRITE_JPEG_SAMPLING_FACTOR_444
                        : opencv_imgcodecs.IMWRITE_JPEG_SAMPLING_FACTOR_420);
    }

    /** Where the encoder's own APPn segments, which stand right after the start, end. */
    private static int afterApplicationSegments(byte[] jpeg) {
        int at = 2;
        while ((jpeg[at] & 0xFF) == 0xFF && (jpeg[at + 1] & 0xF0) == APP0) {
            at += 2 + ((jpeg[at + 2] & 0xFF) << 8 | jpeg[at + 3] & 0xFF);
        }
        return at;
    }

    private static byte[] jfif(OptionalDouble ppi) {
        int density = (int) Math.round(Math.min(ppi.orElse(1), 65_535));
        byte unit = (byte) (ppi.isPresent() ? 1 : 0);
        byte high = (byte) (density >> 8);
        byte low = (byte) density;
        return new byte[] {'J', 'F', 'I', 'F', 0, 1, 1, unit, high, low, high, low, 0, 0};
    }

    private static void profile(ByteArrayOutputStream out, byte[] bytes) {
        int most = MOST_IN_SEGMENT - ICC.length - 2;
        int count = (bytes.length + most - 1) / most;
        for (int i = 0; i < count; i++) {
            byte[] part = Arrays.copyOfRange(bytes, i * most, Math.min(bytes.length, (i + 1) * most));
            segment(out, APP2, joined(joined(ICC, new byte[] {(byte) (i + 1), (byte) count}), part));
        }
    }

    private static void segment(ByteArrayOutputStream out, int marker, byte[] contents) {
        int length = contents.length + 2;
        out.writeBytes(new byte[] {(byte) 0xFF, (byte) marker, (byte) (length >> 8), (byte) length});
        out.writeBytes(contents);
    }

    private static byte[] joined(byte[] first, byte[] second) {
        byte[] both = Arrays.copyOf(first, first.length + second.length);
        System.arraycopy(second, 0, both, first.length, second.length);
        return both;
    }
}
