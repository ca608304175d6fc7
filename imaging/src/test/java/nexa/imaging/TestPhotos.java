package nexa.imaging;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriter;
import javax.imageio.plugins.tiff.BaselineTIFFTagSet;
import javax.imageio.plugins.tiff.TIFFDirectory;
import javax.imageio.plugins.tiff.TIFFField;
import javax.imageio.stream.ImageOutputStream;
import nexa.core.format.PixelSize;
import nexa.core.shoot.Photo;
import nexa.imaging.facts.PhotoFacts;
import nexa.words.Words;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;

/** Small photos made for tests. */
public final class TestPhotos {
    /** What is told, as people read it. */
    public static final Words WORDS = new Words(Locale.ENGLISH);

    /** Those drawn already: many tests want the same, and it takes its time. */
    private static final Map<PixelSize, BufferedImage> SCENES = new ConcurrentHashMap<>();

    private TestPhotos() {}

    /** Soft random colours: something like a photo, the same every time, and the caller's own to draw on. */
    public static BufferedImage scene(int width, int height) {
        BufferedImage drawn = SCENES.computeIfAbsent(new PixelSize(width, height), TestPhotos::drawn);
        BufferedImage own = new BufferedImage(width, height, drawn.getType());
        drawn.copyData(own.getRaster());
        return own;
    }

    private static BufferedImage drawn(PixelSize size) {
        int width = size.width();
        int height = size.height();
        Random random = new Random(7);
        double[] waves = random.doubles(18, 0.005, 0.06).toArray();
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_3BYTE_BGR);
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                int rgb = 0;
                for (int c = 0; c < 3; c++) {
                    double v = 0;
                    for (int i = 0; i < 3; i++) {
                        v += Math.sin(x * waves[6 * c + 2 * i] + y * waves[6 * c + 2 * i + 1] + c + i);
                    }
                    double edge = (x / 90 + y / 70 + c) % 2 == 0 ? 25 : -25;
                    rgb = rgb << 8 | (int) Math.max(0, Math.min(255, 128 + 28 * v + edge));
                }
                image.setRGB(x, y, rgb);
            }
        }
        return image;
    }

    public static Path write(BufferedImage image, Path file) {
        try {
            String name = file.getFileName().toString();
            ImageWriter writer = javaWriter(name.substring(name.lastIndexOf('.') + 1));
            try (ImageOutputStream out = ImageIO.createImageOutputStream(file.toFile())) {
                writer.setOutput(out);
                writer.write(image);
            } finally {
                writer.dispose();
            }
            return file;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Java's own writer: others may be listed before it that write less. */
    private static ImageWriter javaWriter(String kind) {
        Iterator<ImageWriter> writers = ImageIO.getImageWritersBySuffix(kind);
        while (writers.hasNext()) {
            ImageWriter writer = writers.next();
            if (writer.getClass().getName().startsWith("com.sun.")) {
                return writer;
            }
        }
        throw new IllegalArgumentException("Java has no writer for " + kind);
    }

    /** Writes a TIFF that says an orientation. */
    public static void writeTurnedTiff(BufferedImage image, int orientation, Path file) throws IOException {
        ImageWriter writer = javaWriter("tif");
        try (ImageOutputStream out = ImageIO.createImageOutputStream(file.toFile())) {
            TIFFDirectory tags = TIFFDirectory.createFromMetadata(
                    writer.getDefaultImageMetadata(new ImageTypeSpecifier(image), writer.getDefaultWriteParam()));
            tags.addTIFFField(new TIFFField(
                    BaselineTIFFTagSet.getInstance().getTag(BaselineTIFFTagSet.TAG_ORIENTATION), orientation));
            writer.setOutput(out);
            writer.write(null, new IIOImage(image, null, tags.getAsMetadata()), writer.getDefaultWriteParam());
        } finally {
            writer.dispose();
        }
    }

    /** Writes a WebP with an EXIF chunk, in the extended form of the format that such a chunk needs. */
    public static void writeTurnedWebp(Path source, byte[] exif, Path file) throws IOException {
        try (Mat pixels = opencv_imgcodecs.imread(source.toString())) {
            opencv_imgcodecs.imwrite(file.toString(), pixels);
            byte[] plain = Files.readAllBytes(file);
            ByteBuffer extended = ByteBuffer.allocate(18 + plain.length - 12 + 8 + exif.length + exif.length % 2 + 12)
                    .order(ByteOrder.LITTLE_ENDIAN);
            extended.put("RIFF".getBytes(StandardCharsets.US_ASCII)).putInt(extended.capacity() - 8);
            extended.put("WEBPVP8X".getBytes(StandardCharsets.US_ASCII))
                    .putInt(10)
                    .putInt(0x08);
            put24(extended, pixels.cols() - 1);
            put24(extended, pixels.rows() - 1);
            extended.put(plain, 12, plain.length - 12);
            extended.put("EXIF".getBytes(StandardCharsets.US_ASCII))
                    .putInt(exif.length)
                    .put(exif);
            Files.write(file, extended.array());
        }
    }

    private static void put24(ByteBuffer to, int value) {
        to.put((byte) value).put((byte) (value >> 8)).put((byte) (value >> 16));
    }

    /** An untouched photo of this file, as large as it is. */
    public static Photo photo(Path file) throws Exception {
        return Photo.untouched(file.getFileName().toString())
                .withPixels(PhotoFacts.read(file).pixels());
    }

    /** An EXIF block that says an orientation, dimensions and a made-up camera. */
    public static byte[] exif(int orientation, PixelSize size) {
        ByteBuffer block = ByteBuffer.allocate(100).order(ByteOrder.LITTLE_ENDIAN);
        block.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(8);
        block.putShort((short) 3);
        entry(block, 0x010F, 2, 8, 80);
        entry(block, 0x0112, 3, 1, orientation);
        entry(block, 0x8769, 4, 1, 50);
        block.putInt(0);
        block.putShort((short) 2);
        entry(block, 0xA002, 4, 1, size.width());
        entry(block, 0xA003, 4, 1, size.height());
        block.putInt(0);
        block.position(80);
        block.put("Kilnaro\0".getBytes(StandardCharsets.US_ASCII));
        return block.array();
    }

    /** An EXIF block as {@link #exif} makes it, that tells a place too. */
    public static byte[] exifWithPlace(PixelSize size) {
        ByteBuffer block = ByteBuffer.allocate(180).order(ByteOrder.LITTLE_ENDIAN);
        block.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(8);
        block.putShort((short) 3);
        entry(block, 0x010F, 2, 8, 80);
        entry(block, 0x8769, 4, 1, 50);
        entry(block, 0x8825, 4, 1, 100);
        block.putInt(0);
        block.putShort((short) 2);
        entry(block, 0x829A, 5, 1, 92);
        entry(block, 0xA002, 4, 1, size.width());
        block.position(80);
        block.put("Kilnaro\0".getBytes(StandardCharsets.US_ASCII));
        block.position(92);
        block.putInt(1).putInt(60);
        block.putShort((short) 2);
        entry(block, 0x0001, 2, 2, 'N');
        entry(block, 0x0002, 5, 3, 140);
        block.putInt(0);
        block.position(140);
        block.putInt(51).putInt(1).putInt(28).putInt(1).putInt(40).putInt(1);
        return block.array();
    }

    /** An EXIF block that says an orientation and holds a thumbnail. */
    public static byte[] exifWithThumbnail(int orientation, byte[] jpeg) {
        ByteBuffer block = ByteBuffer.allocate(60 + jpeg.length).order(ByteOrder.LITTLE_ENDIAN);
        block.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(8);
        block.putShort((short) 1);
        entry(block, 0x0112, 3, 1, orientation);
        block.putInt(26);
        block.putShort((short) 2);
        entry(block, 0x0201, 4, 1, 60);
        entry(block, 0x0202, 4, 1, jpeg.length);
        block.position(60);
        block.put(jpeg);
        return block.array();
    }

    private static void entry(ByteBuffer block, int tag, int type, int count, int value) {
        block.putShort((short) tag).putShort((short) type).putInt(count).putInt(value);
    }

    /** A PNG of these chunks, each a type and its contents. */
    public static byte[] png(Map<String, byte[]> chunks) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.writeBytes(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n'});
        chunks.forEach((type, contents) -> chunk(out, type, contents));
        chunk(out, "IEND", new byte[0]);
        return out.toByteArray();
    }

    /** The chunk that a PNG begins with. */
    public static byte[] pngHeader(int width, int height, int depth, int kind) {
        return ByteBuffer.allocate(13)
                .putInt(width)
                .putInt(height)
                .put((byte) depth)
                .put((byte) kind)
                .array();
    }

    /** Bytes packed as PNG has it. */
    public static byte[] deflated(byte[] bytes) {
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (DeflaterOutputStream out = new DeflaterOutputStream(packed)) {
            out.write(bytes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return packed.toByteArray();
    }

    private static void chunk(ByteArrayOutputStream out, String type, byte[] contents) {
        byte[] typed = concat(type.getBytes(StandardCharsets.US_ASCII), contents);
        CRC32 crc = new CRC32();
        crc.update(typed);
        out.writeBytes(ByteBuffer.allocate(4).putInt(contents.length).array());
        out.writeBytes(typed);
        out.writeBytes(ByteBuffer.allocate(4).putInt((int) crc.getValue()).array());
    }

    /** Puts an EXIF block into a JPEG or PNG file, and a colour profile too if there is one. */
    public static void addMetadata(Path file, byte[] exif, byte[] profile) throws IOException {
        byte[] plain = Files.readAllBytes(file);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        if (plain[0] == (byte) 0xFF) {
            out.write(plain, 0, 2);
            segment(out, 0xE1, concat("Exif\0\0".getBytes(StandardCharsets.US_ASCII), exif));
            if (profile != null) {
                segment(
                        out,
                        0xE2,
                        concat(
                                concat("ICC_PROFILE\0".getBytes(StandardCharsets.US_ASCII), new byte[] {1, 1}),
                                profile));
            }
            out.write(plain, 2, plain.length - 2);
        } else {
            int afterHeader = 8 + 25;
            out.write(plain, 0, afterHeader);
            chunk(out, "eXIf", exif);
            out.write(plain, afterHeader, plain.length - afterHeader);
        }
        Files.write(file, out.toByteArray());
    }

    private static void segment(ByteArrayOutputStream out, int marker, byte[] contents) {
        out.write(0xFF);
        out.write(marker);
        out.write(contents.length + 2 >> 8);
        out.write(contents.length + 2);
        out.writeBytes(contents);
    }

    private static byte[] concat(byte[] first, byte[] second) {
        return ByteBuffer.allocate(first.length + second.length)
                .put(first)
                .put(second)
                .array();
    }
}
