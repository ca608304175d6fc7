package nexa.imaging.pictures;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;
import nexa.core.format.PixelSize;
import nexa.core.shoot.Photo;
import nexa.imaging.TestPhotos;
import nexa.imaging.decode.ExifOrientation;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.facts.PhotoFacts;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.facts.ShootReading;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.DisabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** One odd photo is one photo's problem, if it is any: the others are read all the same. */
class HostilePhotosTest {
    /** The text of a PNG that unpacks to two hundred megabytes. */
    private static final byte[] PACKED_ZEROS = packedZeros();

    @TempDir
    Path folder;

    private byte[] jpeg;

    private static byte[] packedZeros() {
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        packed.writeBytes("Comment\0\1\0\0\0".getBytes(StandardCharsets.ISO_8859_1));
        try (DeflaterOutputStream out = new DeflaterOutputStream(packed, new Deflater(Deflater.BEST_SPEED))) {
            byte[] zeros = new byte[1 << 20];
            for (int i = 0; i < 200; i++) {
                out.write(zeros);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return packed.toByteArray();
    }

    @BeforeEach
    void writeGoodPhoto() throws Exception {
        jpeg = Files.readAllBytes(TestPhotos.write(TestPhotos.scene(240, 160), folder.resolve("good.jpg")));
    }

    private ShootReading read(String... names) {
        return ShootReading.of(Stream.of(names).map(Photo::untouched).toList(), folder);
    }

    @ParameterizedTest
    @ValueSource(strings = {"iTXt", "zTXt", "eXIf"})
    void aPngWhoseTextUnpacksToAlmostNothingElseIsAPhoto(String type) throws Exception {
        Map<String, byte[]> chunks = new LinkedHashMap<>();
        chunks.put("IHDR", TestPhotos.pngHeader(8, 8, 8, 0));
        chunks.put(type, PACKED_ZEROS);
        chunks.put("IDAT", TestPhotos.deflated(new byte[9 * 8]));
        Files.write(folder.resolve("bomb.png"), TestPhotos.png(chunks));
        ShootReading reading = read("bomb.png", "good.jpg");
        assertThat(reading.facts().get("bomb.png").pixels()).isEqualTo(new PixelSize(8, 8));
        assertThat(reading.problems()).isEmpty();
        Path file = folder.resolve("bomb.png");
        assertThat(new PhotoPixels(file, TestPhotos.photo(file)).picture(100).width())
                .isEqualTo(8);
    }

    /** A chain of directories, the first with a size; the last leads on to the second. */
    private static byte[] directories(int count) {
        ByteBuffer tiff = ByteBuffer.allocate(8 + 2 + 2 * 12 + 4 + count * 6).order(ByteOrder.LITTLE_ENDIAN);
        tiff.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(8);
        tiff.putShort((short) 2);
        tiff.putShort((short) 256).putShort((short) 3).putInt(1).putInt(30);
        tiff.putShort((short) 257).putShort((short) 3).putInt(1).putInt(20);
        int first = tiff.position() + 4;
        tiff.putInt(first);
        for (int i = 0; i < count; i++) {
            tiff.putShort((short) 0).putInt(i == count - 1 ? first : first + (i + 1) * 6);
        }
        return tiff.array();
    }

    @Test
    void aMillionDirectoriesEndNothing() throws Exception {
        Files.write(folder.resolve("chain.tif"), directories(1_000_000));
        byte[] block = directories(10_000);
        Path file = Files.write(folder.resolve("block.jpg"), jpeg);
        TestPhotos.addMetadata(file, block, null);
        ShootReading reading = read("chain.tif", "block.jpg", "good.jpg");
        assertThat(reading.facts()).containsKeys("chain.tif", "block.jpg", "good.jpg");
        assertThat(reading.facts().get("block.jpg").pixels()).isEqualTo(new PixelSize(240, 160));
        assertThat(new PhotoPixels(file, TestPhotos.photo(file)).embedded()).isEmpty();
        Path chain = folder.resolve("chain.tif");
        assertThatExceptionOfType(PhotoProblem.class)
                .isThrownBy(() -> new PhotoPixels(chain, TestPhotos.photo(chain)).full(WantedDepth.EIGHT))
                .satisfies(problem -> assertThat(TestPhotos.WORDS.say(problem)).contains("chain.tif is damaged"));
    }

    @Test
    void anExifDirectoryThatLeadsToItselfIsReadOnce() throws Exception {
        byte[] block = TestPhotos.exif(6, new PixelSize(240, 160));
        // The EXIF directory's place is that of the first one.
        ByteBuffer.wrap(block).order(ByteOrder.LITTLE_ENDIAN).putInt(8 + 2 + 2 * 12 + 8, 8);
        Path file = Files.write(folder.resolve("loop.jpg"), jpeg);
        TestPhotos.addMetadata(file, block, null);
        assertThat(PhotoFacts.read(file).orientation()).isEqualTo(new ExifOrientation(6));
    }

    @Test
    void damagedMetadataOfEveryKindIsNeverMoreThanOnePhotosProblem() throws Exception {
        Path tiff = TestPhotos.write(TestPhotos.scene(60, 40), folder.resolve("p.tif"));
        Path png = TestPhotos.write(TestPhotos.scene(60, 40), folder.resolve("p.png"));
        TestPhotos.addMetadata(png, TestPhotos.exifWithPlace(new PixelSize(60, 40)), null);
        Path withBlock = Files.write(folder.resolve("block.jpg"), jpeg);
        TestPhotos.addMetadata(withBlock, TestPhotos.exifWithThumbnail(6, jpeg), null);
        Path webp = folder.resolve("p.webp");
        TestPhotos.writeTurnedWebp(png, TestPhotos.exif(6, new PixelSize(60, 40)), webp);
        Random random = new Random(5);
        int damagedOfEach = Boolean.getBoolean("nexa.thorough") ? 150 : 30;
        for (Path whole : List.of(tiff, png, withBlock, webp)) {
            byte[] bytes = Files.readAllBytes(whole);
            for (int i = 0; i < damagedOfEach; i++) {
                byte[] damaged = bytes.clone();
                for (int k = 0; k < 8; k++) {
                    damaged[random.nextInt(Math.min(damaged.length, 400))] = (byte) random.nextInt();
                }
                Files.write(whole, damaged);
                String name = whole.getFileName().toString();
                ShootReading reading = read(name, "good.jpg");
                assertThat(reading.has(Photo.untouched(name))).isTrue();
                assertThat(reading.facts()).containsKey("good.jpg");
            }
        }
    }

    @Test
    void aWholeJpegWithAFilmBehindItIsWholeAndDecodes() throws Exception {
        Random random = new Random(3);
        Path file = folder.resolve("film.jpg");
        for (int i = 0; i < 15; i++) {
            byte[] film = new byte[70_000 + random.nextInt(60_000)];
            random.nextBytes(film);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            out.writeBytes(jpeg);
            out.writeBytes(film);
            Files.write(file, out.toByteArray());
            assertThat(read("film.jpg").problems()).isEmpty();
            assertThat(new PhotoPixels(file, TestPhotos.photo(file))
                            .picture(500)
                            .width())
                    .isEqualTo(240);
        }
    }

    @Test
    void aJpegCutOffAnywhereInItsPictureIsToldWhateverItsThumbnailEndsWith() throws Exception {
        Path file = Files.write(folder.resolve("cut.jpg"), jpeg);
        TestPhotos.addMetadata(file, TestPhotos.exifWithThumbnail(1, jpeg), null);
        byte[] whole = Files.readAllBytes(file);
        Random random = new Random(9);
        for (int i = 0; i < 20; i++) {
            int length = whole.length - jpeg.length + 30 + random.nextInt(jpeg.length - 40);
            Files.write(file, Arrays.copyOf(whole, length));
            assertThat(read("cut.jpg").problems()).containsKey("cut.jpg");
        }
        // Just behind the thumbnail, whose end looks like one.
        int behindThumbnail = 2 + 4 + 6 + 60 + jpeg.length;
        Files.write(file, Arrays.copyOf(whole, behindThumbnail));
        assertThat(read("cut.jpg").problems()).containsKey("cut.jpg");
    }

    @Test
    void aJpegOfThousandsOfScansIsRefusedWithTheirNumber() throws Exception {
        byte[] progressive = progressive();
        int scan = lastScan(progressive);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(progressive, 0, progressive.length - 2);
        for (int i = 0; i < 3000; i++) {
            out.write(progressive, scan, progressive.length - 2 - scan);
        }
        out.write(progressive, progressive.length - 2, 2);
        Path file = Files.write(folder.resolve("scans.jpg"), out.toByteArray());
        Files.write(folder.resolve("few.jpg"), progressive);
        ShootReading reading = read("scans.jpg", "few.jpg");
        assertThat(reading.problems()).containsOnlyKeys("scans.jpg");
        assertThat(TestPhotos.WORDS.say(reading.problems().get("scans.jpg")))
                .matches("scans.jpg is coded in 3,0\\d\\d passes.*");
        assertThatExceptionOfType(PhotoProblem.class)
                .isThrownBy(() -> new PhotoPixels(file, TestPhotos.photo(file)).full(WantedDepth.EIGHT))
                .satisfies(problem -> assertThat(TestPhotos.WORDS.say(problem)).contains("passes"));
    }

    private static byte[] progressive() throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ImageWriteParam settings = writer.getDefaultWriteParam();
        settings.setProgressiveMode(ImageWriteParam.MODE_DEFAULT);
        try (ImageOutputStream stream = ImageIO.createImageOutputStream(out)) {
            writer.setOutput(stream);
            writer.write(null, new IIOImage(TestPhotos.scene(64, 40), null, null), settings);
        }
        return out.toByteArray();
    }

    private static int lastScan(byte[] bytes) {
        int at = bytes.length - 2;
        while ((bytes[at] & 0xFF) != 0xFF || (bytes[at + 1] & 0xFF) != 0xDA) {
            at--;
        }
        return at;
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 4, 8, 16})
    void aGreyPngWithATransparentShadeIsWhiteThere(int depth) throws Exception {
        int width = 16;
        int most = (1 << depth) - 1;
        byte[] rows = new byte[4 * (1 + width * depth / 8)];
        // The left half is of the darkest shade, the right one of the brightest but white.
        int bright = depth == 1 ? 1 : most - 1;
        for (int y = 0; y < 4; y++) {
            for (int x = width / 2; x < width; x++) {
                for (int bit = 0; bit < depth; bit++) {
                    int at = x * depth + bit;
                    int value = bright >> (depth - 1 - bit) & 1;
                    rows[y * (1 + width * depth / 8) + 1 + at / 8] |= (byte) (value << 7 - at % 8);
                }
            }
        }
        Map<String, byte[]> chunks = new LinkedHashMap<>();
        chunks.put("IHDR", TestPhotos.pngHeader(width, 4, depth, 0));
        chunks.put("tRNS", new byte[] {0, 0});
        chunks.put("IDAT", TestPhotos.deflated(rows));
        Path file = Files.write(folder.resolve("shade.png"), TestPhotos.png(chunks));
        Picture picture = new PhotoPixels(file, TestPhotos.photo(file)).picture(100);
        assertThat(picture.argb().get(width + 2) >>> 24).as("left").isZero();
        assertThat(picture.argb().get(width + 12) >>> 24).as("right").isEqualTo(255);
        try (FullPixels full = new PhotoPixels(file, TestPhotos.photo(file)).full(WantedDepth.EIGHT)) {
            assertThat(full.pixels().ptr(1, 2).get() & 0xFF).isEqualTo(255);
            assertThat((long) (full.pixels().ptr(1, 12).get() & 0xFF))
                    .isCloseTo(Math.round(255.0 * bright / most), within(1L));
        }
    }

    @Test
    @DisabledOnOs(OS.WINDOWS)
    void aPipeAndADeviceAreNoPhotos() throws Exception {
        assertThat(new ProcessBuilder("mkfifo", folder.resolve("pipe.jpg").toString())
                        .start()
                        .waitFor())
                .isZero();
        Files.createSymbolicLink(folder.resolve("endless.jpg"), Path.of("/dev/zero"));
        ShootReading reading = read("pipe.jpg", "endless.jpg", "good.jpg");
        assertThat(reading.problems()).containsOnlyKeys("pipe.jpg", "endless.jpg");
    }

    @Test
    void aNameThatNoFileCanHaveIsThatPhotosProblem() {
        ShootReading reading = read("a\0b.jpg", "\uFFFDber.jpg", "good.jpg");
        assertThat(reading.problems()).containsOnlyKeys("a\0b.jpg", "\uFFFDber.jpg");
        assertThat(reading.problems().get("\uFFFDber.jpg").reason()).isEqualTo(PhotoProblem.Reason.UNREADABLE_NAME);
    }

    @Test
    void whatFailedOnceIsReadAgain() throws Exception {
        Path file = folder.resolve("late.jpg");
        List<Photo> photos =
                List.of(Photo.untouched("late.jpg"), Photo.untouched("good.jpg"), Photo.untouched("new.jpg"));
        ShootReading before = read("late.jpg", "good.jpg");
        assertThat(before.problems()).containsOnlyKeys("late.jpg");
        Files.write(file, jpeg);
        Files.write(folder.resolve("new.jpg"), jpeg);
        int[] count = new int[1];
        ShootReading after = before.completed(photos, new PhotoFolder(folder), () -> count[0]++);
        assertThat(after.problems()).isEmpty();
        assertThat(after.facts()).containsOnlyKeys("late.jpg", "good.jpg", "new.jpg");
        assertThat(count[0]).isEqualTo(3);
    }
}
