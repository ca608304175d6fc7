package nexa.sample;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;

/**
 * Draws the sample shoot into a folder: {@code DrawSample FOLDER [SAMPLES [NAME [PART]]]}, with so many times squared rays a
 * pixel, only photos with that in their names, and their sides that part of what they are. Photos that are there already stay as
 * they are. What was drawn (lean, horizon, subject) is written beside the folder, into truth.json.
 */
public final class DrawSample {
    private static final float QUALITY = 0.82f;
    private static final float QUALITY_INSIDE_RAW = 0.7f;

    private DrawSample() {}

    public static void main(String[] arguments) throws IOException {
        Path folder = Path.of(arguments[0]);
        int samples = arguments.length > 1 ? Integer.parseInt(arguments[1]) : 3;
        int part = arguments.length > 3 ? Integer.parseInt(arguments[3]) : 1;
        List<Shot> shots =
                FernhillShoot.shots().stream().map(shot -> shot.smaller(part)).toList();
        Files.createDirectories(folder);
        for (Shot shot : shots) {
            Path file = folder.resolve(shot.file());
            boolean isWanted = arguments.length < 3 || shot.photo().name().contains(arguments[2]);
            if (isWanted && !Files.exists(file)) {
                Files.write(file, stored(shot, samples));
                System.err.println(file.getFileName());
            }
            Path raw = folder.resolve(shot.photo().name() + "." + Storage.RAW.ending());
            if (isWanted && shot.storage() == Storage.JPEG_AND_RAW && !Files.exists(raw)) {
                Files.write(raw, stored(shot.stored(Storage.RAW), samples));
                System.err.println(raw.getFileName());
            }
        }
        Files.writeString(folder.resolveSibling("truth.json"), Truth.json(shots));
    }

    private static byte[] stored(Shot shot, int samples) throws IOException {
        if (shot.storage() == Storage.TIFF) {
            return withWriter("tiff", shot.photo().takeDeep(samples), "Deflate", 0.9f);
        }
        BufferedImage image = turned(shot.photo().take(samples), shot.orientation());
        byte[] exif = Exif.of(shot, image.getWidth(), image.getHeight());
        return switch (shot.storage()) {
            case PNG -> encoded(image, "png");
            case WEBP -> WebP.encode(image, 82);
            case BARS -> jpeg(framed(image, Color.BLACK, 0, image.getHeight() / 9), exif, new byte[0]);
            case SCAN ->
                jpeg(
                        framed(image, new Color(0xF2EFE8), image.getWidth() / 28, image.getHeight() / 22),
                        exif,
                        new byte[0]);
            case WIDE_GAMUT -> jpeg(widened(image), exif, WideGamut.profile());
            case RAW -> raw(shot, samples, image);
            case DAMAGED -> {
                byte[] whole = jpeg(image, exif, new byte[0]);
                yield Arrays.copyOf(whole, Math.min(90_000, whole.length / 2));
            }
            default -> jpeg(image, exif, new byte[0]);
        };
    }

    private static byte[] raw(Shot shot, int samples, BufferedImage image) throws IOException {
        // A sensor sees one colour a pixel, so that what noise the drawing has would come out in colours.
        byte[] sensor = shot.photo().sensor(3 * samples, shot.orientation());
        return Dng.of(shot, sensor, withWriter("jpeg", image, null, QUALITY_INSIDE_RAW), image);
    }

    private static byte[] jpeg(BufferedImage image, byte[] exif, byte[] profile) throws IOException {
        return Exif.intoJpeg(withWriter("jpeg", image, null, QUALITY), exif, profile);
    }

    private static byte[] encoded(BufferedImage image, String kind) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, kind, out);
        return out.toByteArray();
    }

    private static byte[] withWriter(String kind, BufferedImage image, String compression, float quality)
            throws IOException {
        ImageWriter writer = javaWriter(kind);
        ImageWriteParam settings = writer.getDefaultWriteParam();
        settings.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
        if (compression != null) {
            settings.setCompressionType(compression);
        }
        settings.setCompressionQuality(quality);
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ImageOutputStream out = ImageIO.createImageOutputStream(bytes)) {
            writer.setOutput(out);
            writer.write(null, new IIOImage(image, null, null), settings);
        } finally {
            writer.dispose();
        }
        return bytes.toByteArray();
    }

    /** Java's own writer: another one listed before it may know less. */
    private static ImageWriter javaWriter(String kind) {
        Iterator<ImageWriter> writers = ImageIO.getImageWritersByFormatName(kind);
        while (writers.hasNext()) {
            ImageWriter writer = writers.next();
            if (writer.getClass().getName().startsWith("com.sun.")) {
                return writer;
            }
        }
        throw new IllegalArgumentException("Java has no writer for " + kind);
    }

    /** The picture as it is stored, so that the EXIF orientation sets it upright again. */
    private static BufferedImage turned(BufferedImage image, int orientation) {
        if (orientation == 1) {
            return image;
        }
        boolean swaps = orientation != 3;
        int width = swaps ? image.getHeight() : image.getWidth();
        int height = swaps ? image.getWidth() : image.getHeight();
        BufferedImage stored = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = stored.createGraphics();
        pen.translate(width / 2.0, height / 2.0);
        pen.rotate(Math.toRadians(orientation == 3 ? 180 : orientation == 6 ? -90 : 90));
        pen.translate(-image.getWidth() / 2.0, -image.getHeight() / 2.0);
        pen.drawImage(image, 0, 0, null);
        pen.dispose();
        return stored;
    }

    private static BufferedImage framed(BufferedImage image, Color colour, int across, int down) {
        Graphics2D pen = image.createGraphics();
        pen.setColor(colour);
        pen.fillRect(0, 0, image.getWidth(), down);
        pen.fillRect(0, image.getHeight() - down, image.getWidth(), down);
        pen.fillRect(0, 0, across, image.getHeight());
        pen.fillRect(image.getWidth() - across, 0, across, image.getHeight());
        pen.dispose();
        return image;
    }

    private static BufferedImage widened(BufferedImage image) {
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                image.setRGB(x, y, WideGamut.fromSrgb(image.getRGB(x, y)));
            }
        }
        return image;
    }
}
