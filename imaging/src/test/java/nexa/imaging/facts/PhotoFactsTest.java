package nexa.imaging.facts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.shoot.FileIdentity;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Preparation;
import nexa.core.shoot.QuarterTurn;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Subject;
import nexa.imaging.TestPhotos;
import nexa.imaging.decode.ExifOrientation;
import nexa.imaging.decode.PhotoKind;
import nexa.imaging.decode.StoredPixels;
import nexa.imaging.pictures.PhotoPixels;
import nexa.imaging.pictures.Picture;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What photos say of themselves, and what the shoot takes from it. */
class PhotoFactsTest {
    @TempDir
    Path folder;

    /** A block that tells a time, a camera, an exposure and the subject's place, in the pixels as they are stored. */
    static byte[] block(int orientation, String time, int... subject) {
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
        assertThat(facts.capturedAt())
                .hasValue(new CaptureTime(LocalDateTime.of(2026, 3, 9, 14, 5, 7), Optional.empty()));
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
                        Photo.untouched("c.jpg").withPreparation(Preparation.NONE.withTurn(QuarterTurn.RIGHT))));
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

    private static PhotoFacts takenAt(String local, String offset) {
        Optional<ZoneOffset> zone = offset.isEmpty() ? Optional.empty() : Optional.of(ZoneOffset.of(offset));
        return new PhotoFacts(
                PhotoKind.JPEG,
                new StoredPixels(new PixelSize(300, 200), 3),
                ExifOrientation.UPRIGHT,
                Optional.of(new CaptureTime(LocalDateTime.parse(local), zone)),
                CameraData.NONE,
                Optional.empty(),
                new FileIdentity(1, "x"),
                Optional.empty(),
                false,
                false);
    }

    private static List<String> ordered(Map<String, PhotoFacts> facts) {
        List<Photo> photos =
                facts.keySet().stream().sorted().map(Photo::untouched).toList();
        Shoot shoot = Shoot.of("S", Shoot.Order.TIME, List.of(), photos);
        return new ShootReading(facts, Map.of())
                .appliedTo(shoot).photos().stream().map(Photo::file).toList();
    }

    @Test
    void twoCamerasGoByTheMomentIfBothTellItElseByTheirClocks() {
        PhotoFacts early = takenAt("2026-04-18T10:00:00", "+02:00");
        PhotoFacts late = takenAt("2026-04-18T09:30:00", "+01:00");
        assertThat(ordered(Map.of("b.jpg", early, "a.jpg", late))).containsExactly("b.jpg", "a.jpg");
        PhotoFacts clock = takenAt("2026-04-18T09:45:00", "");
        assertThat(ordered(Map.of("b.jpg", early, "a.jpg", late, "c.jpg", clock)))
                .containsExactly("a.jpg", "c.jpg", "b.jpg");
        assertThat(ordered(Map.of("b.jpg", early, "a.jpg", early))).containsExactly("a.jpg", "b.jpg");
    }

    @Test
    void theTimeIsThatOfTheCamerasClockWhateverItsOffset() throws Exception {
        byte[] block = block(1, "2026:03:09 23:05:07", 300, 100);
        // The place of the lens is taken by the offset.
        ByteBuffer tags = ByteBuffer.wrap(block).order(ByteOrder.LITTLE_ENDIAN);
        tags.putShort(50 + 2 + 4 * 12, (short) 0x9011).putInt(50 + 2 + 4 * 12 + 4, 7);
        tags.position(214);
        tags.put("-05:00\0".getBytes(StandardCharsets.US_ASCII));
        CaptureTime taken = PhotoFacts.read(photo("a.jpg", block)).capturedAt().orElseThrow();
        assertThat(taken.local()).isEqualTo(LocalDateTime.of(2026, 3, 9, 23, 5, 7));
        assertThat(taken.instant()).hasValue(Instant.parse("2026-03-10T04:05:07Z"));
    }

    @Test
    void aSubjectForgottenByHandDoesNotReturn() throws Exception {
        photo("a.jpg", block(1, "2026:03:09 14:05:07", 300, 100));
        Photo forgotten = Photo.untouched("a.jpg").withSubject(Optional.empty());
        Shoot shoot = Shoot.of("S", Shoot.Order.NAME, List.of(), List.of(forgotten));
        assertThat(ShootReading.of(shoot, folder)
                        .appliedTo(shoot)
                        .photo("a.jpg")
                        .subject())
                .isEmpty();
    }

    @Test
    void aFileIsKnownAgainByWhatIsInIt() throws Exception {
        Path file = photo("a.jpg", block(1, "2026:03:09 14:05:07", 300, 100));
        FileIdentity identity = PhotoFacts.read(file).identity();
        Path renamed = Files.move(file, folder.resolve("z.jpg"));
        assertThat(PhotoFacts.read(renamed).identity()).isEqualTo(identity);
        byte[] bytes = Files.readAllBytes(renamed);
        bytes[bytes.length - 20] ^= 1;
        Files.write(renamed, bytes);
        assertThat(PhotoFacts.read(renamed).identity()).isNotEqualTo(identity);
    }
}
