package nexa.imaging.decode;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.awt.Color;
import java.awt.Transparency;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.zip.CRC32;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;
import nexa.core.format.PixelSize;
import nexa.core.shoot.Photo;
import nexa.imaging.TestPhotos;
import nexa.imaging.facts.PhotoFacts;
import nexa.imaging.facts.ShootReading;
import nexa.imaging.pictures.PhotoPixels;
import nexa.imaging.pictures.Picture;
import nexa.imaging.pictures.WantedDepth;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PhotoKindsTest {
    private static final int DAMAGED = Boolean.getBoolean("nexa.thorough") ? 250 : 60;
    private static final Color LEFT = new Color(200, 60, 40);
    private static final Color RIGHT = new Color(40, 90, 200);

    @TempDir
    Path folder;

    @ParameterizedTest
    @ValueSource(strings = {"jpg", "png", "tif"})
    void colourComesOutRight(String kind) throws Exception {
        Path file = TestPhotos.write(halves(BufferedImage.TYPE_INT_RGB), folder.resolve("p." + kind));
        assertHalves(picture(file), LEFT, RIGHT);
    }

    @ParameterizedTest
    @ValueSource(strings = {"jpg", "png", "tif"})
    void greyComesOutGrey(String kind) throws Exception {
        BufferedImage grey = new BufferedImage(64, 40, BufferedImage.TYPE_BYTE_GRAY);
        for (int i = 0; i < 64 * 40; i++) {
            grey.getRaster().setSample(i % 64, i / 64, 0, i % 64 < 32 ? 60 : 190);
        }
        Path file = TestPhotos.write(grey, folder.resolve("grey." + kind));
        assertHalves(picture(file), new Color(60, 60, 60), new Color(190, 190, 190));
    }

    @Test
    void progressiveJpegAndPaletteComeOutRight() throws Exception {
        Path progressive = folder.resolve("progressive.jpg");
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ImageWriteParam settings = writer.getDefaultWriteParam();
        settings.setProgressiveMode(ImageWriteParam.MODE_DEFAULT);
        try (ImageOutputStream out = ImageIO.createImageOutputStream(progressive.toFile())) {
            writer.setOutput(out);
            writer.write(null, new IIOImage(halves(BufferedImage.TYPE_INT_RGB), null, null), settings);
        }
        assertHalves(picture(progressive), LEFT, RIGHT);
        Path palette = TestPhotos.write(halves(BufferedImage.TYPE_BYTE_INDEXED), folder.resolve("palette.png"));
        Color shown = at(picture(palette), 10, 20);
        assertThat(shown.getRed()).as("the palette's nearest red").isGreaterThan(shown.getBlue() + 80);
    }

    @ParameterizedTest
    @ValueSource(strings = {"png", "tif"})
    void sixteenBitsComeOutRight(String kind) throws Exception {
        ComponentColorModel model = new ComponentColorModel(
                ColorSpace.getInstance(ColorSpace.CS_sRGB), false, false, Transparency.OPAQUE, DataBuffer.TYPE_USHORT);
        WritableRaster raster = model.createCompatibleWritableRaster(64, 40);
        for (int i = 0; i < 64 * 40; i++) {
            Color colour = i % 64 < 32 ? LEFT : RIGHT;
            raster.setPixel(
                    i % 64, i / 64, new int[] {257 * colour.getRed(), 257 * colour.getGreen(), 257 * colour.getBlue()});
        }
        Path file = TestPhotos.write(new BufferedImage(model, raster, false, null), folder.resolve("deep." + kind));
        assertHalves(picture(file), LEFT, RIGHT);
    }

    @Test
    void seeThroughPartsStaySeeThroughOnScreenAndBecomeWhiteInAFile() throws Exception {
        BufferedImage image = new BufferedImage(64, 40, BufferedImage.TYPE_INT_ARGB);
        for (int i = 0; i < 64 * 40; i++) {
            image.setRGB(i % 64, i / 64, i % 64 < 32 ? 0x00FFFFFF : 0x80FF0000);
        }
        Path file = TestPhotos.write(image, folder.resolve("alpha.png"));
        Picture picture = picture(file);
        assertThat(picture.argb().get(10)).isZero();
        assertThat(picture.argb().get(50) >>> 24).isEqualTo(0x80);
        try (Mat full = new PhotoPixels(file, TestPhotos.photo(file))
                .full(WantedDepth.EIGHT)
                .pixels()) {
            assertThat(full.channels()).isEqualTo(3);
            assertThat(full.ptr(20, 10).get(0) & 0xFF).isEqualTo(255);
            assertThat(full.ptr(20, 50).get(2) & 0xFF).isEqualTo(255);
            assertThat(full.ptr(20, 50).get(0) & 0xFF).isBetween(125, 130);
        }
    }

    @Test
    void webpComesOutRight() throws Exception {
        Path file = folder.resolve("p.webp");
        Path png = TestPhotos.write(halves(BufferedImage.TYPE_INT_RGB), folder.resolve("p.png"));
        try (Mat pixels = opencv_imgcodecs.imread(png.toString())) {
            opencv_imgcodecs.imwrite(file.toString(), pixels);
        }
        assertHalves(picture(file), LEFT, RIGHT);
    }

    @Test
    void aPhotoInInksComesOutInColours() throws Exception {
        WritableRaster inks = Raster.createInterleavedRaster(DataBuffer.TYPE_BYTE, 64, 40, 4, null);
        for (int i = 0; i < 64 * 40; i++) {
            inks.setPixel(i % 64, i / 64, i % 64 < 32 ? new int[] {255, 0, 0, 255} : new int[] {255, 255, 255, 255});
        }
        Path file = folder.resolve("inks.jpg");
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        try (ImageOutputStream out = ImageIO.createImageOutputStream(file.toFile())) {
            writer.setOutput(out);
            writer.write(null, new IIOImage(inks, null, null), null);
        }
        Picture picture = picture(file);
        assertThat(at(picture, 50, 20).getRed()).as("no ink is paper").isGreaterThan(230);
        assertThat(picture.width()).isEqualTo(64);
    }

    @Test
    void aWiderProfileIsShownInTrueColours() throws Exception {
        Path file = TestPhotos.write(halves(BufferedImage.TYPE_INT_RGB), folder.resolve("linear.jpg"));
        byte[] profile = ICC_Profile.getInstance(ColorSpace.CS_LINEAR_RGB).getData();
        TestPhotos.addMetadata(file, TestPhotos.exif(1, new PixelSize(64, 40)), profile);
        float[] shown = ColorSpace.getInstance(ColorSpace.CS_LINEAR_RGB)
                .toRGB(new float[] {LEFT.getRed() / 255f, LEFT.getGreen() / 255f, LEFT.getBlue() / 255f});
        assertClose(at(picture(file), 10, 20), new Color(shown[0], shown[1], shown[2]), 8);
    }

    @ParameterizedTest
    @ValueSource(strings = {"jpg", "png", "tif"})
    void aPhotoCutOffSaysSo(String kind) throws Exception {
        Path whole = TestPhotos.write(TestPhotos.scene(400, 300), folder.resolve("whole." + kind));
        byte[] bytes = Files.readAllBytes(whole);
        Path cut = Files.write(folder.resolve("cut." + kind), Arrays.copyOf(bytes, bytes.length * 2 / 3));
        assertThatExceptionOfType(PhotoProblem.class)
                .isThrownBy(() -> picture(cut))
                .satisfies(problem ->
                        assertThat(problem.reason()).isIn(PhotoProblem.Reason.CUT_OFF, PhotoProblem.Reason.DAMAGED));
    }

    @ParameterizedTest
    @ValueSource(strings = {"jpg", "png", "webp"})
    void aPhotoCutOffIsToldBeforeItIsDecoded(String kind) throws Exception {
        Path png = TestPhotos.write(TestPhotos.scene(400, 300), folder.resolve("source.png"));
        try (Mat pixels = opencv_imgcodecs.imread(png.toString())) {
            opencv_imgcodecs.imwrite(folder.resolve("whole." + kind).toString(), pixels);
        }
        byte[] bytes = Files.readAllBytes(folder.resolve("whole." + kind));
        Files.write(folder.resolve("cut." + kind), Arrays.copyOf(bytes, bytes.length * 2 / 3));
        List<Photo> photos = List.of(Photo.untouched("whole." + kind), Photo.untouched("cut." + kind));
        ShootReading reading = ShootReading.of(photos, folder);
        assertThat(reading.problems()).containsOnlyKeys("cut." + kind);
        if (kind.equals("jpg")) {
            assertThat(reading.problems().get("cut.jpg").reason()).isEqualTo(PhotoProblem.Reason.CUT_OFF);
            assertThat(reading.facts().get("cut.jpg").pixels())
                    .as("it keeps its place and its crops")
                    .isEqualTo(new PixelSize(400, 300));
        }
    }

    @Test
    void aPhotoThatClaimsToBeHugeIsRefusedByItsHeader() throws Exception {
        Path file = TestPhotos.write(TestPhotos.scene(40, 30), folder.resolve("huge.png"));
        byte[] bytes = Files.readAllBytes(file);
        ByteBuffer header = ByteBuffer.wrap(bytes);
        header.putInt(16, 100_000).putInt(20, 100_000);
        CRC32 crc = new CRC32();
        crc.update(bytes, 12, 17);
        header.putInt(29, (int) crc.getValue());
        Files.write(file, bytes);
        assertThatExceptionOfType(PhotoProblem.class)
                .isThrownBy(() -> PhotoFacts.read(file))
                .satisfies(problem -> assertThat(problem.reason()).isEqualTo(PhotoProblem.Reason.TOO_LARGE));
    }

    @Test
    void aPhotoUnderAnotherKindsNameIsReadByItsContents() throws Exception {
        Path png = TestPhotos.write(halves(BufferedImage.TYPE_INT_RGB), folder.resolve("really.png"));
        Path named = Files.copy(png, folder.resolve("named.jpg"));
        assertHalves(picture(named), LEFT, RIGHT);
    }

    @ParameterizedTest
    @ValueSource(strings = {"jpg", "png", "tif", "webp"})
    void damagedPhotosAreShownOrRefusedAndNeverChanged(String kind) throws Exception {
        Path whole = folder.resolve("whole." + kind);
        Path png = TestPhotos.write(TestPhotos.scene(120, 90), folder.resolve("source.png"));
        try (Mat pixels = opencv_imgcodecs.imread(png.toString())) {
            opencv_imgcodecs.imwrite(whole.toString(), pixels);
        }
        byte[] bytes = Files.readAllBytes(whole);
        Path file = folder.resolve("damaged." + kind);
        int refused = 0;
        for (int seed = 0; seed < DAMAGED; seed++) {
            byte[] damaged = damaged(bytes, new Random(seed));
            Files.write(file, damaged);
            try {
                assertThat(new PhotoPixels(file, Photo.untouched("damaged"))
                                .picture(100)
                                .width())
                        .isPositive();
            } catch (PhotoProblem e) {
                assertThat(TestPhotos.WORDS.say(e)).startsWith("damaged." + kind);
                refused++;
            }
            assertThat(file).hasBinaryContent(damaged);
        }
        assertThat(refused).as("refused").isPositive();
    }

    private static byte[] damaged(byte[] whole, Random random) {
        byte[] bytes = whole.clone();
        int changes = 1 + random.nextInt(6);
        // The first bytes matter most: half of the changes are there.
        for (int i = 0; i < changes; i++) {
            int reach = random.nextBoolean() ? Math.min(200, bytes.length) : bytes.length;
            bytes[random.nextInt(reach)] = (byte) random.nextInt(256);
        }
        return random.nextInt(4) == 0 ? Arrays.copyOf(bytes, random.nextInt(bytes.length)) : bytes;
    }

    private Picture picture(Path file) throws Exception {
        return new PhotoPixels(file, TestPhotos.photo(file)).picture(400);
    }

    private static BufferedImage halves(int type) {
        BufferedImage image = new BufferedImage(64, 40, type);
        for (int i = 0; i < 64 * 40; i++) {
            image.setRGB(i % 64, i / 64, (i % 64 < 32 ? LEFT : RIGHT).getRGB());
        }
        return image;
    }

    private static void assertHalves(Picture picture, Color left, Color right) {
        assertClose(at(picture, 10, 20), left, 6);
        assertClose(at(picture, 50, 20), right, 6);
    }

    private static Color at(Picture picture, int x, int y) {
        return new Color(picture.argb().get(y * picture.width() + x));
    }

    private static void assertClose(Color actual, Color expected, int tolerance) {
        assertThat(Math.abs(actual.getRed() - expected.getRed()))
                .as("%s is %s", actual, expected)
                .isLessThanOrEqualTo(tolerance);
        assertThat(Math.abs(actual.getGreen() - expected.getGreen()))
                .as("%s is %s", actual, expected)
                .isLessThanOrEqualTo(tolerance);
        assertThat(Math.abs(actual.getBlue() - expected.getBlue()))
                .as("%s is %s", actual, expected)
                .isLessThanOrEqualTo(tolerance);
    }
}
