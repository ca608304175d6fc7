package nexa.imaging.deliver;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import org.bytedeco.opencv.opencv_core.Mat;

/** A PNG of 8 or 16 bits with the photo's metadata, its profile and the pixels per inch it is meant for. */
final class PngFile implements FileFormat {
    /** The signature and the header chunk, which has to come first. */
    private static final int AFTER_HEADER = 8 + 12 + 13;

    private static final double INCHES_A_METRE = 39.3700787;

    @Override
    public Made encode(Contents contents) {
        return Made.whole(encode(contents.pixels(), contents.profile(), contents.exif(), contents.ppi()));
    }

    private static byte[] encode(Mat pixels, Optional<byte[]> profile, Optional<byte[]> exif, OptionalDouble ppi) {
        byte[] plain = FileFormat.plain(".png", pixels);
        ByteArrayOutputStream out = new ByteArrayOutputStream(plain.length + 4096);
        out.write(plain, 0, AFTER_HEADER);
        profile.ifPresent(bytes -> chunk(out, "iCCP", named(bytes)));
        if (ppi.isPresent()) {
            int density = (int) Math.round(ppi.getAsDouble() * INCHES_A_METRE);
            chunk(
                    out,
                    "pHYs",
                    ByteBuffer.allocate(9)
                            .putInt(density)
                            .putInt(density)
                            .put((byte) 1)
                            .array());
        }
        exif.ifPresent(block -> chunk(out, "eXIf", block));
        out.write(plain, AFTER_HEADER, plain.length - AFTER_HEADER);
        return out.toByteArray();
    }

    /** A profile as its chunk has it: a name, a zero, the way of packing, then the packed bytes. */
    private static byte[] named(byte[] profile) {
        ByteArrayOutputStream contents = new ByteArrayOutputStream();
        contents.writeBytes("profile".getBytes(StandardCharsets.ISO_8859_1));
        contents.write(0);
        contents.write(0);
        try (DeflaterOutputStream packed = new DeflaterOutputStream(contents)) {
            packed.write(profile);
        } catch (IOException e) {
            throw new UncheckedIOException("bytes in memory can always be packed", e);
        }
        return contents.toByteArray();
    }

    private static void chunk(ByteArrayOutputStream out, String type, byte[] contents) {
        byte[] name = type.getBytes(StandardCharsets.ISO_8859_1);
        CRC32 sum = new CRC32();
        sum.update(name);
        sum.update(contents);
        out.writeBytes(ByteBuffer.allocate(4).putInt(contents.length).array());
        out.writeBytes(name);
        out.writeBytes(contents);
        out.writeBytes(ByteBuffer.allocate(4).putInt((int) sum.getValue()).array());
    }
}
