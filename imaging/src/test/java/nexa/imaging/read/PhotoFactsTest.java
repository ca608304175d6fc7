package nexa.imaging.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.shoot.Photo;
import nexa.core.shoot.QuarterTurn;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Subject;
import nexa.imaging.TestPhotos;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What photos say of themselves, and what the shoot takes from it. */
class PhotoFactsTest {
    @TempDir
    Path folder;

    /** A block that tells a time, a camera, an exposure and the subject's place, in the pixels as they are stored. */
    private static byte[] block(int orientation, String time, int... subject) {
        ByteBuffer block = ByteBuffer.allocate(240).order(ByteOrder.LITTLE_ENDIAN);
        block.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(8);
        block.putShort((short) 3);
        entry(block, 0x0110, 2, 10, 150);
        entry(block, 0x0112, 3, 1, orientation);
        entry(block, 0x8769, 4, 1, 50);
        block.putInt(0);
        block.position(50);
        block.putShort((short) 5);
        entry(block, 0x829A, 5, 1, 164);
        entry(block, 0x829D, 5, 1, 172);
        entry(block, 0x9003, 2, 20, 180);
        entry(block, 0x9214, 3, subject.length, subject.length <= 2 ? subject[0] | subject[1] << 16 : 204);
        entry(block, 0xA434, 2, 12, 214);
        block.putInt(0);
        text(block, 150, "Kilnaro 2");
        block.position(164);
        block.putInt(1).putInt(60).putInt(56).putInt(10);
        text(block, 180, time);
        block.position(204);
        for (int value : subject) {
            block.putShort((short) value);
        }
        text(block, 214, "Long 52 mm");
        return block.array();
    }

    private static void text(ByteBuffer block, int at, String text) {
        block.position(at);
        block.put((text + "\0").getBytes(StandardCharsets.US_ASCII));
    }

    private static void entry(ByteBuffer block, int tag, int type, int count, int value) {
        block.putShort((short) tag).putShort((short) type).putInt(count).putInt(value);
    }

    private Path photo(String name, byte[] exif) throws Exception {
        Path file = TestPhotos.write(TestPhotos.scene(600, 400), folder.resolve(name));
        TestPhotos.addMetadata(file, exif, null);
        return file;
    }

    @ParameterizedTest
    @CsvSource({"a.jpg", "a.png"})
    void timeCameraLensAndExposureAreRead(String name) throws Exception {
        PhotoFacts facts = PhotoFacts.read(photo(name, block(1, "2026:03:09 14:05:07", 300, 100, 80)));
        assertThat(facts.capturedAt()).hasValue(LocalDateTime.of(2026, 3, 9, 14, 5, 7));
        assertThat(facts.camera().camera()).hasValue("Kilnaro 2");
        assertThat(facts.camera().lens()).hasValue("Long 52 mm");
        assertThat(facts.camera().exposure().orElseThrow()).isCloseTo(1 / 60.0, within(1e-9));
        assertThat(facts.camera().aperture()).hasValue(5.6);
        assertThat(facts.camera().iso()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"1, 0.5, 0.25", "3, 0.5, 0.75", "6, 0.75, 0.5", "8, 0.25, 0.5", "2, 0.5, 0.25"})
    void theCamerasSubjectIsTurnedWithThePhoto(int orientation, double x, double y) throws Exception {
        Subject subject = PhotoFacts.read(photo("a.jpg", block(orientation, "2026:03:09 14:05:07", 300, 100, 80)))
                .subject()
                .orElseThrow();
        assertThat(subject.at().distance(new Point(x, y))).isLessThan(1e-9);
        assertThat(subject.radius().orElseThrow())
                .as("half the diameter, of the short side")
                .isCloseTo(0.1, within(1e-9));
    }

    @Test
    void aSubjectOutsideThePhotoAndATimeThatIsNoneAreLeftOut() throws Exception {
        PhotoFacts facts = PhotoFacts.read(photo("a.jpg", block(1, "0000:00:00 00:00:00", 900, 100, 80)));
        assertThat(facts.subject()).isEmpty();
        assertThat(facts.capturedAt()).isEmpty();
    }

    @Test
    void theShootTakesSizesAndOrderAndTheCamerasSubjectUnlessThePhotographerMarkedOne() throws Exception {
        photo("a.jpg", block(6, "2026:03:09 14:05:07", 300, 100, 80));
        photo("b.jpg", block(1, "2026:03:09 09:00:00", 300, 100, 80));
        Files.copy(folder.resolve("b.jpg"), folder.resolve("c.jpg"));
        Subject own = new Subject(new Point(0.1, 0.9), OptionalDouble.empty());
        Shoot shoot = Shoot.of(
                "S",
                Shoot.Order.TIME,
                List.of(),
                List.of(
                        Photo.untouched("a.jpg"),
                        Photo.untouched("b.jpg").withSubject(Optional.of(own)),
                        Photo.untouched("c.jpg").withTurn(QuarterTurn.RIGHT, false)));
        Shoot read = ShootReading.of(shoot, folder).appliedTo(shoot);
        assertThat(read.photos()).extracting(Photo::file).containsExactly("b.jpg", "c.jpg", "a.jpg");
        assertThat(read.photo("a.jpg").pixels()).hasValue(new PixelSize(400, 600));
        assertThat(read.photo("a.jpg").subject()).isPresent();
        assertThat(read.photo("b.jpg").subject()).hasValue(own);
        assertThat(read.photo("c.jpg").subject())
                .as("told for the photo as it was stored, which is turned by now")
                .isEmpty();
    }

    @Test
    void photosWithoutATimeComeLastByName() throws Exception {
        photo("z.jpg", block(1, "2026:03:09 14:05:07", 300, 100, 80));
        TestPhotos.write(TestPhotos.scene(60, 40), folder.resolve("b.png"));
        TestPhotos.write(TestPhotos.scene(60, 40), folder.resolve("a.png"));
        Shoot shoot = Shoot.of(
                "S",
                Shoot.Order.TIME,
                List.of(),
                List.of(Photo.untouched("b.png"), Photo.untouched("z.jpg"), Photo.untouched("a.png")));
        ShootReading reading = ShootReading.of(shoot, folder);
        assertThat(reading.appliedTo(shoot).photos())
                .extracting(Photo::file)
                .containsExactly("z.jpg", "a.png", "b.png");
        assertThat(reading.appliedTo(shoot.withOrder(Shoot.Order.NAME)).photos())
                .extracting(Photo::file)
                .containsExactly("a.png", "b.png", "z.jpg");
    }

    @ParameterizedTest
    @CsvSource({"tif", "webp"})
    void everyKindThatCarriesAnOrientationIsSeenUpright(String kind) throws Exception {
        Path file = folder.resolve("turned." + kind);
        if (kind.equals("tif")) {
            TestPhotos.writeTurnedTiff(TestPhotos.scene(60, 40), 6, file);
        } else {
            TestPhotos.writeTurnedWebp(
                    TestPhotos.write(TestPhotos.scene(60, 40), folder.resolve("s.png")),
                    TestPhotos.exif(6, new PixelSize(60, 40)),
                    file);
        }
        assertThat(PhotoFacts.read(file).orientation()).isEqualTo(new ExifOrientation(6));
        Picture seen = new PhotoPixels(file, Photo.untouched("turned")).picture(400);
        assertThat(seen.width()).isEqualTo(40);
        assertThat(seen.height()).isEqualTo(60);
    }
}
