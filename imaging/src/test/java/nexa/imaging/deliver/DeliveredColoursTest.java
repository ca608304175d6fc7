package nexa.imaging.deliver;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifInteropDirectory;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import com.drew.metadata.icc.IccDirectory;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.awt.image.DataBuffer;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.FileSpec;
import nexa.imaging.TestPhotos;
import nexa.imaging.pictures.PhotoPixels;
import nexa.imaging.pictures.Picture;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.javacpp.indexer.UShortIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.Test;

/** The colours and bits of delivered files. */
class DeliveredColoursTest extends DeliveredPhoto {
    @Test
    void sixteenBitsStaySixteenWhenTheColoursAreTurnedIntoSrgb() throws Exception {
        byte[] linear = ICC_Profile.getInstance(ColorSpace.CS_LINEAR_RGB).getData();
        Path tiff = source.resolve("deep.tif");
        try (Mat pixels = new Mat(30, 40, opencv_core.CV_16UC3, new Scalar(6_000, 20_000, 43_210, 0))) {
            Files.write(tiff, tiff(pixels, linear));
        }
        FileSpec srgb = FileSpec.usual("").withColour(FileSpec.Colour.SRGB, FileSpec.Depth.PHOTO);
        for (FileSpec.Type type : List.of(FileSpec.Type.TIFF, FileSpec.Type.PNG)) {
            Path file = deliver("deep.tif", srgb.withType(type), DeliveryTerms.USUAL);
            try (Mat read = opencv_imgcodecs.imread(file.toString(), opencv_imgcodecs.IMREAD_UNCHANGED)) {
                assertThat(read.depth()).isEqualTo(opencv_core.CV_16U);
                try (UShortIndexer values = read.createIndexer()) {
                    assertThat(values.get(10, 10, 2) / 65_535.0).isCloseTo(encoded(43_210 / 65_535.0), within(0.001));
                    assertThat(values.get(10, 10, 0) / 65_535.0).isCloseTo(encoded(6_000 / 65_535.0), within(0.001));
                }
            }
        }
        Path eight = deliver(
                "deep.tif",
                srgb.withType(FileSpec.Type.PNG)
                        .withColour(FileSpec.Colour.KEEP, FileSpec.Depth.EIGHT)
                        .withName("eight"),
                DeliveryTerms.USUAL);
        try (Mat read = opencv_imgcodecs.imread(eight.toString(), opencv_imgcodecs.IMREAD_UNCHANGED)) {
            assertThat(read.depth()).isEqualTo(opencv_core.CV_8U);
        }
    }

    @Test
    void anEightBitPhotoCanBeWrittenWithSixteen() throws Exception {
        photo("a.png", null, null);
        FileSpec deep = FileSpec.usual("")
                .withType(FileSpec.Type.TIFF)
                .withColour(FileSpec.Colour.KEEP, FileSpec.Depth.SIXTEEN);
        Path file = deliver("a.png", deep, DeliveryTerms.USUAL);
        try (Mat read = opencv_imgcodecs.imread(file.toString(), opencv_imgcodecs.IMREAD_UNCHANGED);
                Mat original = opencv_imgcodecs.imread(source.resolve("a.png").toString());
                UShortIndexer values = read.createIndexer();
                UByteIndexer before = original.createIndexer()) {
            assertThat(values.get(20, 30, 1)).isEqualTo(257 * before.get(20, 30, 1));
        }
    }

    @Test
    void aPhotoInItsOwnColoursIsNotConvertedTwiceNorTaggedWrongly() throws Exception {
        byte[] linear = ICC_Profile.getInstance(ColorSpace.CS_LINEAR_RGB).getData();
        try (Mat pixels = new Mat(30, 40, opencv_core.CV_8UC3, new Scalar(30, 90, 170, 0))) {
            Files.write(source.resolve("own.tif"), tiff(pixels, linear));
        }
        Path kept = deliver("own.tif", FileSpec.usual("").withType(FileSpec.Type.PNG), DeliveryTerms.USUAL);
        try (Mat read = opencv_imgcodecs.imread(kept.toString());
                UByteIndexer values = read.createIndexer()) {
            assertThat(values.get(5, 5, 2)).isEqualTo(170);
        }
        Path inks = source.resolve("inks.jpg");
        WritableRaster raster = Raster.createInterleavedRaster(DataBuffer.TYPE_BYTE, 40, 30, 4, null);
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        try (ImageOutputStream stream = ImageIO.createImageOutputStream(inks.toFile())) {
            writer.setOutput(stream);
            writer.write(null, new IIOImage(raster, null, null), null);
        }
        Path colours = deliver("inks.jpg", FileSpec.usual(""), DeliveryTerms.USUAL);
        IccDirectory profile =
                ImageMetadataReader.readMetadata(colours.toFile()).getFirstDirectoryOfType(IccDirectory.class);
        assertThat(profile.getString(IccDirectory.TAG_COLOR_SPACE).strip()).isEqualTo("RGB");
    }

    @Test
    void greyStaysGreyWhereItsColoursAreKeptAndIsTaggedRightWhereTheyAreNot() throws Exception {
        BufferedImage grey = new BufferedImage(40, 30, BufferedImage.TYPE_BYTE_GRAY);
        grey.getRaster().setSample(7, 5, 0, 131);
        TestPhotos.write(grey, source.resolve("grey.png"));
        Path kept = deliver("grey.png", FileSpec.usual("").withType(FileSpec.Type.TIFF), DeliveryTerms.USUAL);
        try (Mat read = opencv_imgcodecs.imread(kept.toString(), opencv_imgcodecs.IMREAD_UNCHANGED)) {
            assertThat(read.channels()).isEqualTo(1);
            assertThat(read.ptr(5, 7).get() & 0xFF).isEqualTo(131);
        }
        FileSpec srgb =
                FileSpec.usual("").withType(FileSpec.Type.PNG).withColour(FileSpec.Colour.SRGB, FileSpec.Depth.PHOTO);
        Path turned = deliver("grey.png", srgb, DeliveryTerms.USUAL);
        try (Mat read = opencv_imgcodecs.imread(turned.toString(), opencv_imgcodecs.IMREAD_UNCHANGED)) {
            assertThat(read.channels()).isEqualTo(3);
        }
        assertThat(ImageMetadataReader.readMetadata(turned.toFile()).containsDirectoryOfType(IccDirectory.class))
                .isTrue();
    }

    @Test
    void coloursThatOnlyExifTellsOfAreHonoured() throws Exception {
        photo("wide.jpg", wideColours(), null);
        photo("plain.jpg", null, null);
        Path kept = deliver("wide.jpg", FileSpec.usual("kept"), WITH_LINES);
        Metadata told = ImageMetadataReader.readMetadata(kept.toFile());
        assertThat(told.getFirstDirectoryOfType(IccDirectory.class))
                .as("its profile")
                .isNotNull();
        assertThat(told.getFirstDirectoryOfType(ExifInteropDirectory.class).getString(1))
                .isEqualTo("R03");

        FileSpec srgb = FileSpec.usual("srgb").withColour(FileSpec.Colour.SRGB, FileSpec.Depth.PHOTO);
        Path turned = deliver("wide.jpg", srgb, WITH_LINES);
        told = ImageMetadataReader.readMetadata(turned.toFile());
        assertThat(told.getFirstDirectoryOfType(ExifInteropDirectory.class).getString(1))
                .isEqualTo("R98");
        assertThat(told.getFirstDirectoryOfType(ExifSubIFDDirectory.class).getInt(ExifSubIFDDirectory.TAG_COLOR_SPACE))
                .isEqualTo(1);
        assertThat(saturation(turned)).isGreaterThan(1.05 * saturation(deliver("plain.jpg", srgb, WITH_LINES)));
        Path photo = source.resolve("wide.jpg");
        Picture shown = new PhotoPixels(photo, TestPhotos.photo(photo)).picture(90);
        assertThat(shown.argb().get(40))
                .isNotEqualTo(ImageIO.read(photo.toFile()).getRGB(40, 0));
    }

    /** sRGB's curve, from light to value (IEC 61966-2-1). */
    private static double encoded(double light) {
        return light <= 0.0031308 ? 12.92 * light : 1.055 * Math.pow(light, 1 / 2.4) - 0.055;
    }

    /** A block that tells of wide colours as cameras do: by the name of the rule they follow. */
    private static byte[] wideColours() {
        byte[] block =
                Arrays.copyOf(block(new Object[] {0xA001, 3, 0xFFFF}, new Object[] {0xA005, 4, 56}), 56 + 2 + 12 + 4);
        ByteBuffer.wrap(block)
                .order(ByteOrder.LITTLE_ENDIAN)
                .position(56)
                .putShort((short) 1)
                .putShort((short) 1)
                .putShort((short) 2)
                .putInt(4)
                .put(ascii("R03\0"));
        return block;
    }

    private static double saturation(Path file) throws Exception {
        BufferedImage image = ImageIO.read(file.toFile());
        double sum = 0;
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                int rgb = image.getRGB(x, y);
                int red = rgb >> 16 & 0xFF;
                int green = rgb >> 8 & 0xFF;
                int blue = rgb & 0xFF;
                sum += Math.max(red, Math.max(green, blue)) - Math.min(red, Math.min(green, blue));
            }
        }
        return sum;
    }
}
