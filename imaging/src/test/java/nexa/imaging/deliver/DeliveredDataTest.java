package nexa.imaging.deliver;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifInteropDirectory;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import com.drew.metadata.exif.GpsDirectory;
import com.drew.metadata.icc.IccDirectory;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.awt.image.DataBuffer;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.FileSpec;
import nexa.core.format.Format;
import nexa.core.format.LengthUnit;
import nexa.core.format.OutputSize;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Wish;
import nexa.imaging.TestPhotos;
import nexa.imaging.facts.ShootReading;
import nexa.imaging.pictures.PhotoPixels;
import nexa.imaging.pictures.Picture;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.javacpp.indexer.UShortIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What goes into delivered files: colours, depth, and what is said beside the pixels. */
class DeliveredDataTest {
    private static final DeliveryTerms WITH_LINES = DeliveryTerms.USUAL.withLines("© Fernhill Pottery", "Ada Throw");

    @TempDir
    Path temporary;

    private Path source;
    private Path out;

    @BeforeEach
    void makeFolders() throws Exception {
        source = Files.createDirectory(temporary.resolve("source"));
        out = temporary.resolve("out");
    }

    @ParameterizedTest
    @EnumSource(FileSpec.Type.class)
    void thePlaceStaysBehindUnlessAskedForAndTheRestGoesAlongWithTheLines(FileSpec.Type type) throws Exception {
        photo("a.jpg", TestPhotos.exifWithPlace(new PixelSize(90, 60)), null);
        Path file = deliver("a.jpg", FileSpec.usual("").withType(type), WITH_LINES);
        Metadata told = ImageMetadataReader.readMetadata(file.toFile());
        assertThat(told.getFirstDirectoryOfType(GpsDirectory.class)).isNull();
        ExifIFD0Directory main = told.getFirstDirectoryOfType(ExifIFD0Directory.class);
        assertThat(main.getString(ExifIFD0Directory.TAG_MAKE)).isEqualTo("Kilnaro");
        assertThat(main.getString(ExifIFD0Directory.TAG_COPYRIGHT)).isEqualTo("© Fernhill Pottery");
        assertThat(main.getString(ExifIFD0Directory.TAG_ARTIST)).isEqualTo("Ada Throw");
        assertThat(told.getFirstDirectoryOfType(ExifSubIFDDirectory.class)
                        .getRational(ExifSubIFDDirectory.TAG_EXPOSURE_TIME)
                        .doubleValue())
                .isCloseTo(1 / 60.0, within(1e-9));
        byte[] latitude = {51, 0, 0, 0, 1, 0, 0, 0, 28, 0, 0, 0};
        assertThat(contains(Files.readAllBytes(file), latitude))
                .as("not a trace of it is left")
                .isFalse();

        Path asked = deliver("a.jpg", FileSpec.usual("").withType(type), WITH_LINES.withCameraData(true, true));
        GpsDirectory place =
                ImageMetadataReader.readMetadata(asked.toFile()).getFirstDirectoryOfType(GpsDirectory.class);
        assertThat(place.getRationalArray(GpsDirectory.TAG_LATITUDE)[1].intValue())
                .isEqualTo(28);
    }

    @ParameterizedTest
    @EnumSource(FileSpec.Type.class)
    void theCamerasDataCanStayBehindWhileTheLinesGo(FileSpec.Type type) throws Exception {
        photo("a.jpg", TestPhotos.exifWithPlace(new PixelSize(90, 60)), null);
        Path file = deliver("a.jpg", FileSpec.usual("").withType(type), WITH_LINES.withCameraData(false, false));
        Metadata told = ImageMetadataReader.readMetadata(file.toFile());
        ExifIFD0Directory main = told.getFirstDirectoryOfType(ExifIFD0Directory.class);
        assertThat(main.getString(ExifIFD0Directory.TAG_MAKE)).isNull();
        assertThat(main.getString(ExifIFD0Directory.TAG_COPYRIGHT)).isEqualTo("© Fernhill Pottery");
        assertThat(told.getFirstDirectoryOfType(ExifSubIFDDirectory.class)).isNull();
    }

    @Test
    void whatATiffSaysOfItsPhotoGoesIntoAJpegToo() throws Exception {
        photo("a.jpg", TestPhotos.exif(1, new PixelSize(90, 60)), null);
        Path tiff = deliver("a.jpg", FileSpec.usual("").withType(FileSpec.Type.TIFF), WITH_LINES);
        Files.copy(tiff, source.resolve("b.tif"));
        Path jpeg = deliver("b.tif", FileSpec.usual("").withName("from tiff"), DeliveryTerms.USUAL);
        ExifIFD0Directory main =
                ImageMetadataReader.readMetadata(jpeg.toFile()).getFirstDirectoryOfType(ExifIFD0Directory.class);
        assertThat(main.getString(ExifIFD0Directory.TAG_MAKE)).isEqualTo("Kilnaro");
        assertThat(main.getString(ExifIFD0Directory.TAG_ARTIST)).isEqualTo("Ada Throw");
        assertThat(main.containsTag(ExifIFD0Directory.TAG_IMAGE_WIDTH))
                .as("what is said of other pixels")
                .isFalse();
    }

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

    /** sRGB's curve, from light to value (IEC 61966-2-1). */
    private static double encoded(double light) {
        return light <= 0.0031308 ? 12.92 * light : 1.055 * Math.pow(light, 1 / 2.4) - 0.055;
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
    void aFormatThatNeverEnlargesGivesThePhotosOwnPixelsAndTheirTruePixelsAnInch() throws Exception {
        photo("a.jpg", null, null);
        Format paper = Format.of("print", "Print", Ratio.of("3", "2"))
                .withSize(new OutputSize.Print(3, 2, LengthUnit.IN, 300))
                .withFile(FileSpec.usual("").withType(FileSpec.Type.TIFF).withEnlarges(false));
        Path file = deliver("a.jpg", paper, DeliveryTerms.USUAL);
        ExifIFD0Directory tags =
                ImageMetadataReader.readMetadata(file.toFile()).getFirstDirectoryOfType(ExifIFD0Directory.class);
        assertThat(tags.getInt(ExifIFD0Directory.TAG_IMAGE_WIDTH)).isEqualTo(90);
        assertThat(tags.getRational(ExifIFD0Directory.TAG_X_RESOLUTION).doubleValue())
                .isCloseTo(30, within(0.01));
    }

    /** The EXIF directory of a block, of these entries; each is a tag, a type, a count and a value or bytes. */
    private static byte[] block(Object[]... entries) {
        ByteBuffer block = ByteBuffer.allocate(100_000).order(ByteOrder.LITTLE_ENDIAN);
        block.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(8);
        block.putShort((short) 1).putShort((short) 0x8769).putShort((short) 4).putInt(1);
        block.putInt(26).putInt(0);
        block.putShort((short) entries.length);
        int at = 26 + 2 + entries.length * 12 + 4;
        for (Object[] entry : entries) {
            block.putShort(((Integer) entry[0]).shortValue()).putShort(((Integer) entry[1]).shortValue());
            if (entry[2] instanceof byte[] bytes) {
                block.putInt(bytes.length).putInt(at);
                block.put(at, bytes);
                at += bytes.length;
            } else {
                block.putInt(1).putInt((Integer) entry[2]);
            }
        }
        return Arrays.copyOf(block.array(), at);
    }

    private static byte[] ascii(String text) {
        return text.getBytes(StandardCharsets.US_ASCII);
    }

    @Test
    void theLensGoesIntoATiffAndOutOfIt() throws Exception {
        photo("a.jpg", block(new Object[] {0xA434, 2, ascii("Kilnaro 52 mm\0")}), null);
        Path tiff = deliver("a.jpg", FileSpec.usual("").withType(FileSpec.Type.TIFF), WITH_LINES);
        assertThat(lens(tiff)).isEqualTo("Kilnaro 52 mm");
        Files.copy(tiff, source.resolve("b.tif"));
        assertThat(lens(deliver("b.tif", FileSpec.usual(""), WITH_LINES))).isEqualTo("Kilnaro 52 mm");
    }

    private static String lens(Path file) throws Exception {
        return ImageMetadataReader.readMetadata(file.toFile())
                .getFirstDirectoryOfType(ExifSubIFDDirectory.class)
                .getString(ExifSubIFDDirectory.TAG_LENS_MODEL);
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

    @ParameterizedTest
    @CsvSource({"37500, notes", "37510, part of the camera data"})
    void cameraDataThatAJpegHasNoRoomForIsLeftOutAndToldButNeverTheLines(int tag, String left) throws Exception {
        photo(
                "a.png",
                block(new Object[] {0xA434, 2, ascii("Kilnaro 52 mm\0")}, new Object[] {tag, 7, new byte[80_000]}),
                null);
        Path file = deliver("a.png", FileSpec.usual(""), WITH_LINES);
        assertThat(lens(file)).isEqualTo("Kilnaro 52 mm");
        assertThat(ImageMetadataReader.readMetadata(file.toFile())
                        .getFirstDirectoryOfType(ExifIFD0Directory.class)
                        .getString(ExifIFD0Directory.TAG_COPYRIGHT))
                .isEqualTo("© Fernhill Pottery");
        assertThat(Files.readString(out.resolve(DeliveryList.NAME)))
                .contains("delivered without")
                .contains(left);
    }

    @Test
    void aPhotoWiderThanSixteenBitsTellIsDeliveredTurned() throws Exception {
        BufferedImage waves = new BufferedImage(33_000, 80, BufferedImage.TYPE_3BYTE_BGR);
        for (int i = 0; i < 33_000 * 80; i++) {
            int grey = (int) (128 + 100 * Math.sin(i % 33_000 / 300.0));
            waves.setRGB(i % 33_000, i / 33_000, grey << 16 | grey << 8 | grey);
        }
        TestPhotos.write(waves, source.resolve("long.png"));
        Format format =
                Format.of("own", "Own", Ratio.FREE).withFile(FileSpec.usual("").withType(FileSpec.Type.PNG));
        Shoot plain = Shoot.of("Long", Shoot.Order.NAME, List.of(format), List.of(Photo.untouched("long.png")));
        ShootReading reading = ShootReading.of(plain, source);
        Shoot turned = reading.appliedTo(plain)
                .with(
                        "long.png",
                        photo -> photo.withAngle(new Angle(0.05))
                                .withEntry(
                                        "own",
                                        CropEntry.UNTOUCHED.withPlacement(new Placement.Own(
                                                new Wish(new Point(0.5, 0.5), new Size(0.999, 0.6))))));
        DeliveryPlan plan = DeliveryPlan.of(turned, reading, new DeliveryPlan.Choice(Set.of("own"), false, false));
        Delivery.Result result = new Delivery(
                        plan, source, out, DeliveryTerms.USUAL, TestPhotos.WORDS::say, (done, total, name) -> {})
                .run(1);
        assertThat(result.failures()).isEmpty();
        BufferedImage delivered = ImageIO.read(result.written().get(0).toFile());
        BufferedImage photo = ImageIO.read(source.resolve("long.png").toFile());
        PhotoCrop crop = plan.files().get(0).crop();
        assertThat(delivered.getWidth()).isGreaterThan(32_767);
        for (int x = 400; x < delivered.getWidth(); x += 1601) {
            Point at = crop.crop().at((x + 0.5) / delivered.getWidth(), 0.5, new Angle(0.05));
            int expected = photo.getRGB((int) at.x(), (int) at.y()) >> 8 & 0xFF;
            assertThat(delivered.getRGB(x, delivered.getHeight() / 2) >> 8 & 0xFF)
                    .as("at %d", x)
                    .isBetween(expected - 3, expected + 3);
        }
    }

    private void photo(String name, byte[] exif, byte[] profile) throws Exception {
        TestPhotos.write(TestPhotos.scene(90, 60), source.resolve(name));
        if (exif != null) {
            TestPhotos.addMetadata(source.resolve(name), exif, profile);
        }
    }

    private Path deliver(String photo, FileSpec spec, DeliveryTerms terms) throws Exception {
        return deliver(photo, Format.of("own", "Own", Ratio.PHOTO).withFile(spec), terms);
    }

    private Path deliver(String photo, Format format, DeliveryTerms terms) throws Exception {
        Shoot plain = Shoot.of("Firing", Shoot.Order.NAME, List.of(format), List.of(Photo.untouched(photo)));
        ShootReading reading = ShootReading.of(plain, source);
        DeliveryPlan plan = DeliveryPlan.of(
                reading.appliedTo(plain), reading, new DeliveryPlan.Choice(Set.of(format.id()), false, false));
        Delivery.Result result =
                new Delivery(plan, source, out, terms, TestPhotos.WORDS::say, (done, total, name) -> {}).run(1);
        assertThat(result.failures()).isEmpty();
        return result.written().get(0);
    }

    private static boolean contains(byte[] bytes, byte[] part) {
        for (int at = 0; at + part.length <= bytes.length; at++) {
            int same = 0;
            while (same < part.length && bytes[at + same] == part[same]) {
                same++;
            }
            if (same == part.length) {
                return true;
            }
        }
        return false;
    }

    private static byte[] tiff(Mat pixels, byte[] profile) {
        return new TiffFile()
                .encode(new FileFormat.Contents(
                        pixels,
                        FileSpec.usual(""),
                        Optional.of(profile),
                        Optional.empty(),
                        OptionalDouble.empty(),
                        DeliveryTerms.USUAL))
                .contents();
    }
}
