package nexa.imaging.deliver;

import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.DataBufferUShort;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
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
import javax.imageio.metadata.IIOInvalidTreeException;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.plugins.tiff.BaselineTIFFTagSet;
import javax.imageio.plugins.tiff.TIFFDirectory;
import javax.imageio.plugins.tiff.TIFFField;
import javax.imageio.plugins.tiff.TIFFTag;
import javax.imageio.stream.ImageOutputStream;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.ShortPointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;

/** A packed TIFF of 8 or 16 bits with its profile and the pixels per inch it is meant for. */
final class TiffFile {
    private static final int PROFILE = 34675;
    private static final int INCH = 2;

    private TiffFile() {}

    /** @param pixels 8-bit or 16-bit grey or BGR */
    static byte[] encode(Mat pixels, Optional<byte[]> profile, OptionalDouble ppi) {
        ImageWriter writer = writer();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ImageOutputStream stream = ImageIO.createImageOutputStream(out)) {
            BufferedImage image = image(pixels);
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

    /** Java's own: another one on the class path comes first and forgets the profile. */
    private static ImageWriter writer() {
        Iterator<ImageWriter> writers = ImageIO.getImageWritersByFormatName("tiff");
        while (writers.hasNext()) {
            ImageWriter writer = writers.next();
            if (writer.getClass().getName().startsWith("com.sun.imageio.")) {
                return writer;
            }
        }
        throw new IllegalStateException("this Java has no TIFF writer");
    }

    private static IIOMetadata with(IIOMetadata metadata, Optional<byte[]> profile, OptionalDouble ppi)
            throws IIOInvalidTreeException {
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

    private static BufferedImage image(Mat pixels) {
        boolean isGrey = pixels.channels() == 1;
        boolean isDeep = pixels.depth() == opencv_core.CV_16U;
        int bands = isGrey ? 1 : 3;
        int count = pixels.rows() * pixels.cols() * bands;
        try (Mat ordered = new Mat()) {
            if (isGrey) {
                pixels.copyTo(ordered);
            } else {
                opencv_imgproc.cvtColor(pixels, ordered, opencv_imgproc.COLOR_BGR2RGB);
            }
            DataBuffer data = isDeep ? deep(ordered, count) : plain(ordered, count);
            int[] offsets = isGrey ? new int[] {0} : new int[] {0, 1, 2};
            WritableRaster raster = Raster.createInterleavedRaster(
                    data, pixels.cols(), pixels.rows(), pixels.cols() * bands, bands, offsets, null);
            ColorSpace space = ColorSpace.getInstance(isGrey ? ColorSpace.CS_GRAY : ColorSpace.CS_sRGB);
            ComponentColorModel model =
                    new ComponentColorModel(space, false, false, BufferedImage.OPAQUE, data.getDataType());
            return new BufferedImage(model, raster, false, null);
        }
    }

    private static DataBuffer plain(Mat pixels, int count) {
        byte[] values = new byte[count];
        try (BytePointer memory = pixels.data()) {
            memory.get(values);
        }
        return new DataBufferByte(values, count);
    }

    private static DataBuffer deep(Mat pixels, int count) {
        short[] values = new short[count];
        try (ShortPointer memory = new ShortPointer(pixels.data())) {
            memory.get(values);
        }
        return new DataBufferUShort(values, count);
    }
}
