package nexa.imaging.read;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.plugins.tiff.BaselineTIFFTagSet;
import javax.imageio.plugins.tiff.ExifParentTIFFTagSet;
import javax.imageio.plugins.tiff.TIFFDirectory;
import javax.imageio.plugins.tiff.TIFFField;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.ImageOutputStream;

/**
 * What a TIFF says beside its pixels. An EXIF block is a TIFF too, so this leads from one to the other. Java's own reader
 * and writer are used: others on the class path come first and forget the profile.
 */
public final class TiffTags {
    private static final int PROFILE = 34_675;
    private static final int GPS = 34_853;
    private static final Set<Integer> OF_THE_PHOTO = Set.of(
            BaselineTIFFTagSet.TAG_IMAGE_DESCRIPTION,
            BaselineTIFFTagSet.TAG_MAKE,
            BaselineTIFFTagSet.TAG_MODEL,
            BaselineTIFFTagSet.TAG_SOFTWARE,
            BaselineTIFFTagSet.TAG_DATE_TIME,
            BaselineTIFFTagSet.TAG_ARTIST,
            BaselineTIFFTagSet.TAG_COPYRIGHT,
            ExifParentTIFFTagSet.TAG_EXIF_IFD_POINTER,
            GPS);

    private TiffTags() {}

    /** What a block, or a TIFF, says of its photo and not of its pixels; nothing if it is broken. */
    public static List<TIFFField> ofThePhoto(byte[] tiff) {
        try {
            return Arrays.stream(read(tiff).getTIFFFields())
                    .filter(field -> OF_THE_PHOTO.contains(field.getTagNumber()))
                    .toList();
        } catch (IOException | RuntimeException e) {
            return List.of();
        }
    }

    /** An EXIF block of what a TIFF says of its photo; empty if that is nothing. */
    static Optional<byte[]> block(byte[] tiff) {
        List<TIFFField> fields = ofThePhoto(tiff);
        if (fields.isEmpty()) {
            return Optional.empty();
        }
        // A block is a TIFF, and no TIFF can be written without a picture: this one has a single pixel.
        BufferedImage pixel = new BufferedImage(1, 1, BufferedImage.TYPE_BYTE_GRAY);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageWriter writer = writer();
        try (ImageOutputStream stream = ImageIO.createImageOutputStream(out)) {
            IIOMetadata plain =
                    writer.getDefaultImageMetadata(new ImageTypeSpecifier(pixel), writer.getDefaultWriteParam());
            TIFFDirectory directory = TIFFDirectory.createFromMetadata(plain);
            fields.forEach(directory::addTIFFField);
            writer.setOutput(stream);
            writer.write(null, new IIOImage(pixel, null, directory.getAsMetadata()), null);
            stream.flush();
            return Optional.of(out.toByteArray());
        } catch (IOException | RuntimeException e) {
            return Optional.empty();
        } finally {
            writer.dispose();
        }
    }

    /** The colour profile in a TIFF, as it stands there. */
    static Optional<byte[]> profile(byte[] tiff) {
        try {
            return Optional.ofNullable(read(tiff).getTIFFField(PROFILE)).map(TIFFField::getAsBytes);
        } catch (IOException | RuntimeException e) {
            return Optional.empty();
        }
    }

    private static TIFFDirectory read(byte[] tiff) throws IOException {
        ImageReader reader = javas(ImageIO.getImageReadersByFormatName("tiff"));
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(tiff))) {
            reader.setInput(in, false, false);
            return TIFFDirectory.createFromMetadata(reader.getImageMetadata(0));
        } finally {
            reader.dispose();
        }
    }

    /** The writer to write TIFFs with. */
    public static ImageWriter writer() {
        return javas(ImageIO.getImageWritersByFormatName("tiff"));
    }

    private static <T> T javas(Iterator<T> found) {
        while (found.hasNext()) {
            T one = found.next();
            if (one.getClass().getName().startsWith("com.sun.imageio.")) {
                return one;
            }
        }
        throw new IllegalStateException("this Java knows no TIFF");
    }
}
