package nexa.imaging.deliver;

import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Iterator;
import java.util.Optional;
import java.util.OptionalDouble;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.plugins.tiff.BaselineTIFFTagSet;
import javax.imageio.plugins.tiff.TIFFDirectory;
import javax.imageio.plugins.tiff.TIFFField;
import javax.imageio.plugins.tiff.TIFFTag;
import javax.imageio.stream.ImageOutputStream;
import nexa.imaging.decode.MatImages;
import org.bytedeco.opencv.opencv_core.Mat;

/** A packed TIFF of 8 or 16 bits with its profile and the pixels per inch it is meant for. */
final class TiffFile implements FileFormat {
    private static final int PROFILE = 34675;
    private static final int INCH = 2;

    @Override
    public Made encode(Contents contents) {
        byte[] plain = encode(contents.pixels(), contents.profile(), contents.ppi());
        return Made.whole(DeliveredExif.joined(plain, contents.exif(), contents.terms()));
    }

    private static byte[] encode(Mat pixels, Optional<byte[]> profile, OptionalDouble ppi) {
        ImageWriter writer = writer();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ImageOutputStream stream = ImageIO.createImageOutputStream(out)) {
            boolean isGrey = pixels.channels() == 1;
            BufferedImage image =
                    MatImages.image(pixels, ColorSpace.getInstance(isGrey ? ColorSpace.CS_GRAY : ColorSpace.CS_sRGB));
            ImageWriteParam settings = writer.getDefaultWriteParam();
            settings.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            settings.setCompressionType("ZLib");
            IIOMetadata metadata = writer.getDefaultImageMetadata(new ImageTypeSpecifier(image), settings);
            writer.setOutput(stream);
            writer.write(null, new IIOImage(image, null, with(metadata, profile, ppi)), settings);
            stream.flush();
        } catch (IOException e) {
            throw new UncheckedIOException(pixels.cols() + " × " + pixels.rows() + " pixels did not become a TIFF", e);
        } finally {
            writer.dispose();
        }
        return out.toByteArray();
    }

    private static IIOMetadata with(IIOMetadata metadata, Optional<byte[]> profile, OptionalDouble ppi)
            throws IOException {
        TIFFDirectory directory = TIFFDirectory.createFromMetadata(metadata);
        profile.ifPresent(bytes -> directory.addTIFFField(new TIFFField(
                new TIFFTag("ICC Profile", PROFILE, 1 << TIFFTag.TIFF_UNDEFINED),
                TIFFTag.TIFF_UNDEFINED,
                bytes.length,
                bytes)));
        if (ppi.isPresent()) {
            BaselineTIFFTagSet tags = BaselineTIFFTagSet.getInstance();
            long[][] density = {{Math.round(ppi.getAsDouble() * 1000), 1000}};
            directory.addTIFFField(
                    new TIFFField(tags.getTag(BaselineTIFFTagSet.TAG_X_RESOLUTION), TIFFTag.TIFF_RATIONAL, 1, density));
            directory.addTIFFField(
                    new TIFFField(tags.getTag(BaselineTIFFTagSet.TAG_Y_RESOLUTION), TIFFTag.TIFF_RATIONAL, 1, density));
            directory.addTIFFField(new TIFFField(tags.getTag(BaselineTIFFTagSet.TAG_RESOLUTION_UNIT), INCH));
        }
        return directory.getAsMetadata();
    }

    /** Java's own: others on the class path come first and forget the profile. */
    private static ImageWriter writer() {
        Iterator<ImageWriter> found = ImageIO.getImageWritersByFormatName("tiff");
        while (found.hasNext()) {
            ImageWriter one = found.next();
            if (one.getClass().getName().startsWith("com.sun.imageio.")) {
                return one;
            }
        }
        throw new IllegalStateException("this Java knows no TIFF");
    }
}
