package nexa.sample;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import nexa.core.format.PixelSize;
import nexa.core.shoot.Photo;
import nexa.imaging.decode.PhotoKind;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.facts.PhotoFacts;
import nexa.imaging.facts.ShootReading;
import nexa.imaging.pictures.PhotoPixels;
import nexa.imaging.pictures.Picture;
import nexa.imaging.pictures.RawPixels;
import nexa.imaging.pictures.WantedDepth;
import nexa.imaging.raw.RawAvailability;
import nexa.imaging.raw.RawCommand;
import org.bytedeco.javacpp.indexer.UShortRawIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What Nexa makes of raw photos of our own, and of broken ones. */
class RawPhotosTest {
    private static final Path PHOTOS = Path.of("photos");
    private static final int MUTATED = Boolean.getBoolean("nexa.thorough") ? 500 : 40;
    private static final int[] PATCHES = {0xC04030, 0x30A050, 0x3050B0, 0x808080, 0xE0E0D0, 0x202428};
    private static final int PATCH = 40;

    @TempDir
    Path folder;

    private Path good;

    @BeforeEach
    void writePatches() throws Exception {
        good = Files.write(folder.resolve("good.dng"), dng());
    }

    /** Patches of plain colours in two rows. */
    private static BufferedImage patches() {
        BufferedImage image = new BufferedImage(3 * PATCH, 2 * PATCH, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = image.createGraphics();
        for (int i = 0; i < PATCHES.length; i++) {
            pen.setColor(new Color(PATCHES[i]));
            pen.fillRect(i % 3 * PATCH, i / 3 * PATCH, PATCH, PATCH);
        }
        pen.dispose();
        return image;
    }

    private static byte[] dng() throws Exception {
        ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
        ImageIO.write(patches(), "jpeg", jpeg);
        return Dng.of(patches(), jpeg.toByteArray());
    }

    private static double light(int value) {
        return Vec.srgb(value << 16).x();
    }

    @Test
    void theCommandGivesBackTheLightThatWasWritten() throws Exception {
        RawCommand command = RawCommand.found().orElseThrow();
        try (Mat made = command.develop(good, new PixelSize(3 * PATCH, 2 * PATCH), false);
                UShortRawIndexer pixels = made.createIndexer()) {
            assertThat(made.cols()).isEqualTo(3 * PATCH);
            assertThat(made.rows()).isEqualTo(2 * PATCH);
            for (int i = 0; i < PATCHES.length; i++) {
                for (int c = 0; c < 3; c++) {
                    double read = pixels.get(i / 3 * PATCH + PATCH / 2, i % 3 * PATCH + PATCH / 2, 2 - c) / 65_535.0;
                    double written = light(PATCHES[i] >> 16 - 8 * c & 255);
                    assertThat(read).as("colour %d of patch %d", c, i).isCloseTo(written, within(0.012));
                }
            }
        }
    }

    @Test
    void halfThePixelsAreEnoughWhereNoMoreAreSeen() throws Exception {
        try (Mat half = RawCommand.found().orElseThrow().develop(good, new PixelSize(120, 80), true)) {
            assertThat(half.cols()).isEqualTo(3 * PATCH / 2);
        }
    }

    @Test
    void aRawPhotoOfTheSampleTellsAsMuchAsAnyAndIsSeenUpright() throws Exception {
        Path file = PHOTOS.resolve("fern-0173.dng");
        PhotoFacts facts = PhotoFacts.read(file);
        assertThat(facts.kind()).isEqualTo(PhotoKind.RAW);
        assertThat(facts.pixels()).isEqualTo(new PixelSize(1200, 1800));
        assertThat(facts.orientation().value()).isEqualTo(8);
        assertThat(facts.capturedAt()).isPresent();
        assertThat(facts.camera().lens()).contains("Fernlight 35 mm f/2.8");
        assertThat(facts.subject()).isPresent();
        assertThat(facts.raw()).contains(RawAvailability.READY);
        Picture picture = new PhotoPixels(file, Photo.untouched("fern-0173.dng")).picture(600);
        assertThat(List.of(picture.width(), picture.height())).containsExactly(400, 600);
    }

    @Test
    void theSensorsPixelsLookAsTheCamerasPicture() throws Exception {
        for (Map.Entry<String, String> pair : Map.of("fern-0173.dng", "fern-0173.dng", "fern-0174.jpg", "fern-0174.dng")
                .entrySet()) {
            Path photo = PHOTOS.resolve(pair.getKey());
            RawPixels raw = new PhotoPixels(photo, Photo.untouched(pair.getKey()))
                    .raw(PHOTOS.resolve(pair.getValue()), WantedDepth.STORED)
                    .orElseThrow();
            assertThat(raw.pixels().pixels().cols()).isEqualTo(1200);
            assertThat(raw.pixels().pixels().rows()).isEqualTo(1800);
            assertThat(raw.difference().getAsDouble())
                    .as("mean ΔE00 of " + photo)
                    .isLessThan(3);
            raw.pixels().close();
        }
    }

    @Test
    void cutShortBehindItsPictureItIsShownAndToldOf() throws Exception {
        byte[] whole = Files.readAllBytes(PHOTOS.resolve("fern-0173.dng"));
        Path file = Files.write(folder.resolve("short.dng"), Arrays.copyOf(whole, whole.length - 200_000));
        ShootReading reading = ShootReading.of(List.of(Photo.untouched("short.dng")), folder);
        assertThat(reading.problems()).isEmpty();
        assertThat(reading.facts().get("short.dng").raw()).contains(RawAvailability.CUT_SHORT);
        assertThat(new PhotoPixels(file, Photo.untouched("short.dng"))
                        .picture(300)
                        .height())
                .isEqualTo(300);
        Files.write(file, Arrays.copyOf(whole, 100_000));
        assertThat(ShootReading.of(List.of(Photo.untouched("short.dng")), folder)
                        .problems()
                        .get("short.dng")
                        .reason())
                .as("not even its picture is whole")
                .isEqualTo(PhotoProblem.Reason.CUT_OFF);
    }

    @Test
    void aRawFileWithoutAPictureInsideIsShownAsTheSensorSawIt() throws Exception {
        byte[] bare = dng();
        // The directory of the camera's JPEG says that it is packed in a way nobody knows, and the JPEG is gone.
        for (int i = 0; i + 3 < bare.length; i++) {
            if ((bare[i] & 0xFF) == 0xFF && (bare[i + 1] & 0xFF) == 0xD8 && (bare[i + 3] & 0xFF) == 0xE0) {
                bare[i] = 0;
            }
        }
        Path file = Files.write(folder.resolve("bare.dng"), bare);
        Picture picture = new PhotoPixels(file, Photo.untouched("bare.dng")).picture(1000);
        assertThat(List.of(picture.width(), picture.height())).containsExactly(3 * PATCH / 2, PATCH);
        int middle = picture.argb().get(PATCH / 4 * picture.width() + PATCH / 4);
        assertThat(middle >> 16 & 255).as("red of the first patch").isCloseTo(0xC0, within(6));
        assertThat(middle & 255).as("blue of the first patch").isCloseTo(0x30, within(6));
    }

    @Test
    void noBrokenRawFileTakesNexaDownOrHoldsItUp() throws Exception {
        byte[] whole = Files.readAllBytes(good);
        Map<Outcome, Integer> outcomes = new EnumMap<>(Outcome.class);
        List<Outcome> all = IntStream.range(0, MUTATED)
                .parallel()
                .mapToObj(i -> outcome(whole, i))
                .toList();
        all.forEach(outcome -> outcomes.merge(outcome, 1, Integer::sum));
        assertThat(all).hasSize(MUTATED);
        assertThat(outcomes.get(Outcome.PICTURE)).as("of %s", outcomes).isGreaterThan(MUTATED / 20);
        assertThat(outcomes.get(Outcome.PROBLEM)).as("of %s", outcomes).isGreaterThan(MUTATED / 20);
        assertThat(outcome(whole, Optional.empty())).isEqualTo(Outcome.PICTURE);
    }

    private enum Outcome {
        PICTURE,
        PROBLEM
    }

    private Outcome outcome(byte[] whole, int seed) {
        return outcome(whole, Optional.of(new Random(seed)));
    }

    /** Anything else than a picture or a photo's problem is thrown. */
    private Outcome outcome(byte[] whole, Optional<Random> mutating) {
        byte[] bytes = whole.clone();
        mutating.ifPresent(random -> mutate(bytes, random));
        Path file = folder.resolve("mutated-" + Thread.currentThread().getId() + ".dng");
        try {
            Files.write(file, bytes);
            PhotoPixels reading =
                    new PhotoPixels(file, Photo.untouched(file.getFileName().toString()));
            reading.picture(100);
            reading.raw(file, WantedDepth.STORED).ifPresent(raw -> raw.pixels().close());
            return Outcome.PICTURE;
        } catch (PhotoProblem e) {
            return Outcome.PROBLEM;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Half of the changes hit the directories, where they hurt most. */
    private static void mutate(byte[] bytes, Random random) {
        int changes = 1 + random.nextInt(8);
        for (int i = 0; i < changes; i++) {
            int at = random.nextInt(random.nextBoolean() ? 1500 : bytes.length);
            bytes[at] = (byte) (random.nextBoolean() ? random.nextInt() : bytes[at] ^ 1 << random.nextInt(8));
        }
    }

    @Test
    void everyFileOfTheSampleThatIsRawIsSmallAndTheOnesOfOneNameArePaired() throws Exception {
        try (Stream<Path> files = Files.list(PHOTOS)) {
            List<Path> raws = files.filter(file -> file.toString().endsWith(".dng"))
                    .sorted()
                    .toList();
            assertThat(raws)
                    .extracting(file -> file.getFileName().toString())
                    .containsExactly("fern-0173.dng", "fern-0174.dng");
            for (Path raw : raws) {
                assertThat(Files.size(raw)).isLessThan(1_500_000);
            }
        }
    }
}
