package nexa.imaging.deliver;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.Reader;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import javax.imageio.ImageIO;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.FileSpec;
import nexa.core.format.Format;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.series.RawPairs;
import nexa.core.shoot.Shoot;
import nexa.imaging.TestPhotos;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.facts.ShootReading;
import nexa.imaging.pictures.PixelLook;
import nexa.imaging.raw.RawAvailability;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.DisabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Whose pixels are delivered of raw photos, and what is said of it: a raw photo alone, and one beside its JPEG. */
@DisabledOnOs(OS.WINDOWS)
class DeliveredRawTest {
    /** Three of the sample's photos, drawn at a third of their sides. */
    private static final Path SMALL = Path.of("src", "test", "resources", "raw");

    private static final String COMMAND = "nexa.raw";
    private static final Format FROM_RAW =
            format("raw").withFile(FileSpec.usual("raw").withSource(FileSpec.Source.RAW));
    private static final Format FROM_PHOTO = format("photo");

    @TempDir
    Path temporary;

    private Path source;
    private Path out;

    private static Format format(String id) {
        return Format.of(id, id, Ratio.of("1", "1")).withFile(FileSpec.usual(id));
    }

    @BeforeEach
    void copyPhotos() throws Exception {
        source = Files.createDirectory(temporary.resolve("source"));
        out = temporary.resolve("out");
        for (String file : List.of("fern-0173.dng", "fern-0174.jpg", "fern-0174.dng", "fern-0175.jpg")) {
            Files.copy(SMALL.resolve(file), source.resolve(file));
        }
    }

    @AfterEach
    void takeBackStandIn() {
        System.clearProperty(COMMAND);
    }

    private void standIn(String script) throws Exception {
        Path command = temporary.resolve("command");
        Files.writeString(command, "#!/bin/sh\n" + script + "\n");
        Files.setPosixFilePermissions(command, PosixFilePermissions.fromString("rwxr-xr-x"));
        System.setProperty(COMMAND, command.toString());
    }

    private Shoot shoot() throws Exception {
        List<Format> formats = List.of(FROM_RAW, FROM_PHOTO);
        Shoot empty = Shoot.of("Raw", Shoot.Order.NAME, formats, List.of());
        Shoot shoot =
                RawPairs.withFiles(empty, List.of("fern-0173.dng", "fern-0174.jpg", "fern-0174.dng", "fern-0175.jpg"));
        return ShootReading.of(shoot, source).appliedTo(shoot);
    }

    private DeliveryPlan plan(Shoot shoot) {
        return DeliveryPlan.of(
                shoot, ShootReading.of(shoot, source), new DeliveryPlan.Choice(Set.of("raw", "photo"), false, false));
    }

    private Delivery.Result deliver(DeliveryPlan plan) throws Exception {
        return TestDeliveries.of(plan, source, out, DeliveryTerms.USUAL).run(2);
    }

    /** The rows of the list of files, by file. */
    private Map<String, CSVRecord> list() throws Exception {
        Map<String, CSVRecord> rows = new HashMap<>();
        try (Reader in = Files.newBufferedReader(out.resolve(DeliveryList.NAME))) {
            CSVFormat format = CSVFormat.RFC4180
                    .builder()
                    .setHeader()
                    .setSkipHeaderRecord(true)
                    .get();
            format.parse(in).forEach(row -> rows.put(row.get("file"), row));
        }
        return rows;
    }

    private Set<DeliveryCheck.Finding> rawFindings(Shoot shoot, DeliveryPlan plan) {
        Set<DeliveryCheck.Finding> findings =
                new HashSet<>(DeliveryCheck.of(shoot, ShootReading.of(shoot, source), plan));
        findings.removeIf(finding -> !finding.kind().name().startsWith("RAW_"));
        return findings;
    }

    @Test
    void aRawPhotoGivesItsOwnPixelsAndAPairWhatItsFormatAsksFor() throws Exception {
        Shoot shoot = shoot();
        assertThat(rawFindings(shoot, plan(shoot))).isEmpty();
        Delivery.Result result = deliver(plan(shoot));
        assertThat(result.failures()).isEmpty();
        Map<String, CSVRecord> list = list();
        assertThat(list.get("raw/fern-0173.jpg").get("pixels")).isEqualTo("raw");
        assertThat(list.get("photo/fern-0173.jpg").get("pixels")).isEqualTo("raw");
        assertThat(list.get("raw/fern-0174.jpg").get("pixels")).isEqualTo("raw");
        assertThat(list.get("photo/fern-0174.jpg").get("pixels")).isEqualTo("photo");
        assertThat(list.get("raw/fern-0175.jpg").get("pixels")).isEqualTo("photo");
        assertThat(Double.parseDouble(list.get("raw/fern-0174.jpg").get("look")))
                .isBetween(0.01, 3.0);
        assertThat(list.get("photo/fern-0174.jpg").get("look")).isEmpty();
        assertThat(apart("raw/fern-0174.jpg", "photo/fern-0174.jpg"))
                .as("levels of 255, once from the raw file and once from the JPEG")
                .isBetween(0.3, 8.0);

        Delivery.Result again = deliver(plan(shoot));
        assertThat(again.written()).isEmpty();
        assertThat(again.kept()).hasSize(6);
        Files.setLastModifiedTime(source.resolve("fern-0174.dng"), FileTime.fromMillis(1000));
        assertThat(deliver(plan(shoot)).written())
                .as("made anew, as the raw file is another one")
                .containsExactly(out.resolve("raw/fern-0174.jpg"));
    }

    /** The mean difference of two pictures of the same crop. */
    private double apart(String one, String other) throws Exception {
        BufferedImage first = ImageIO.read(out.resolve(one).toFile());
        BufferedImage second = ImageIO.read(out.resolve(other).toFile());
        assertThat(new PixelSize(first.getWidth(), first.getHeight()))
                .isEqualTo(new PixelSize(second.getWidth(), second.getHeight()));
        double sum = 0;
        int count = 0;
        for (int y = 3; y < first.getHeight(); y += 7) {
            for (int x = 3; x < first.getWidth(); x += 7) {
                sum += Math.abs((first.getRGB(x, y) >> 8 & 255) - (second.getRGB(x, y) >> 8 & 255));
                count++;
            }
        }
        return sum / count;
    }

    @Test
    void withoutTheCommandTheCamerasPictureGoesAndThatIsSaid() throws Exception {
        System.setProperty(COMMAND, temporary.resolve("nowhere").toString());
        Shoot shoot = shoot();
        DeliveryPlan plan = plan(shoot);
        assertThat(rawFindings(shoot, plan))
                .containsExactlyInAnyOrder(
                        new DeliveryCheck.Finding(DeliveryCheck.Kind.RAW_NO_COMMAND, "fern-0173.dng", "raw"),
                        new DeliveryCheck.Finding(DeliveryCheck.Kind.RAW_NO_COMMAND, "fern-0173.dng", "photo"),
                        new DeliveryCheck.Finding(DeliveryCheck.Kind.RAW_NO_COMMAND, "fern-0174.jpg", "raw"));
        assertThat(deliver(plan).failures()).isEmpty();
        assertThat(list().get("raw/fern-0173.jpg").get("pixels")).isEqualTo("camera; no command");
        assertThat(list().get("raw/fern-0174.jpg").get("pixels")).isEqualTo("camera; no command");
        assertThat(apart("raw/fern-0173.jpg", "photo/fern-0173.jpg")).isCloseTo(0, within(1e-9));
        System.clearProperty(COMMAND);
        assertThat(deliver(plan(shoot)).written()).as("there now").hasSize(3);
    }

    @Test
    void aRawFileCutShortOrGoneLeavesTheCamerasPicture() throws Exception {
        Shoot before = shoot();
        Path alone = source.resolve("fern-0173.dng");
        byte[] whole = Files.readAllBytes(alone);
        Files.write(alone, Arrays.copyOf(whole, whole.length - 40_000));
        Files.delete(source.resolve("fern-0174.dng"));
        Shoot shoot = ShootReading.of(before, source).appliedTo(before);
        DeliveryPlan plan = plan(shoot);
        assertThat(rawFindings(shoot, plan))
                .contains(
                        new DeliveryCheck.Finding(DeliveryCheck.Kind.RAW_CUT_SHORT, "fern-0173.dng", "raw"),
                        new DeliveryCheck.Finding(DeliveryCheck.Kind.RAW_MISSING, "fern-0174.jpg", "raw"));
        assertThat(deliver(plan).failures()).isEmpty();
        assertThat(list().get("raw/fern-0173.jpg").get("pixels")).isEqualTo("camera; cut short");
        assertThat(list().get("raw/fern-0174.jpg").get("pixels")).isEqualTo("camera; missing");
    }

    @Test
    void aCommandThatBreaksDownOverOnePhotoLeavesTheOthersAlone() throws Exception {
        standIn("case \"$*\" in *fern-0173*) kill -ABRT $$ ;; esac; exec dcraw_emu \"$@\"");
        Delivery.Result result = deliver(plan(shoot()));
        assertThat(result.failures())
                .extracting(failure -> failure.item().photo().file())
                .containsOnly("fern-0173.dng");
        assertThat(TestPhotos.WORDS.say(result.failures().get(0).reason()))
                .startsWith("LibRaw broke down over the raw photo fern-0173.dng");
        assertThat(result.written()).hasSize(4);
        assertThat(list().get("raw/fern-0174.jpg").get("pixels")).isEqualTo("raw");
    }

    /** Changes the pixels of the JPEG beside the raw file. */
    private void changeJpeg(UnaryOperator<Mat> change) {
        String file = source.resolve("fern-0174.jpg").toString();
        Mat pixels = opencv_imgcodecs.imread(file);
        opencv_imgcodecs.imwrite(file, change.apply(pixels));
    }

    private static Mat turned(Mat pixels, int how) {
        Mat turned = new Mat();
        opencv_core.rotate(pixels, turned, how);
        return turned;
    }

    @Test
    void aJpegTurnedOrCroppedInItsPixelsFramesTheRawOnes() throws Exception {
        changeJpeg(pixels -> {
            Mat turned = turned(pixels, opencv_core.ROTATE_90_CLOCKWISE);
            opencv_core.flip(turned, turned, 1);
            return new Mat(turned, new Rect(20, 30, turned.cols() - 66, turned.rows() - 54)).clone();
        });
        Shoot shoot = shoot();
        assertThat(deliver(plan(shoot)).failures()).isEmpty();
        CSVRecord row = list().get("raw/fern-0174.jpg");
        assertThat(row.get("pixels")).isEqualTo("raw");
        assertThat(Double.parseDouble(row.get("look"))).isLessThan(4);
        assertThat(apart("raw/fern-0174.jpg", "photo/fern-0174.jpg")).isLessThan(8);
        assertThat(looked(shoot).raw(shoot.photo("fern-0174.jpg"))).contains(RawAvailability.READY);
    }

    private ShootReading looked(Shoot shoot) {
        return PixelLook.of(new PhotoFolder(source), shoot.photos(), ShootReading.of(shoot, source), shoot.formats());
    }

    @Test
    void pixelsThatAreNotThePhotosAreNotDeliveredAndThatIsSaidBeforeAndAfter() throws Exception {
        Files.copy(
                source.resolve("fern-0175.jpg"), source.resolve("fern-0174.jpg"), StandardCopyOption.REPLACE_EXISTING);
        Shoot shoot = shoot();
        DeliveryPlan plan = plan(shoot);
        assertThat(DeliveryCheck.of(shoot, looked(shoot), plan))
                .filteredOn(finding -> finding.kind() == DeliveryCheck.Kind.RAW_UNLIKE)
                .containsExactly(new DeliveryCheck.Finding(DeliveryCheck.Kind.RAW_UNLIKE, "fern-0174.jpg", "raw"));
        assertThat(deliver(plan).failures()).isEmpty();
        assertThat(list().get("raw/fern-0174.jpg").get("pixels")).isEqualTo("photo: the raw is not like it");
        assertThat(apart("raw/fern-0174.jpg", "photo/fern-0174.jpg")).isCloseTo(0, within(1e-9));

        Delivery.Result again = deliver(plan(shoot));
        assertThat(again.kept()).hasSize(6);
        assertThat(list().get("raw/fern-0174.jpg").get("pixels"))
                .as("of a file that was kept")
                .isEqualTo("photo: the raw is not like it");
    }

    private static void tint(Mat pixels, Scalar shares) {
        Mat share = new Mat(pixels.rows(), pixels.cols(), opencv_core.CV_32FC3, shares);
        opencv_core.multiply(pixels, share, pixels, 1, opencv_core.CV_8U);
    }

    @Test
    void anotherLookOfTheSamePictureIsNotThePhotosEither() throws Exception {
        changeJpeg(pixels -> {
            tint(new Mat(pixels, new Rect(0, 0, pixels.cols() / 2, pixels.rows())), new Scalar(1, 0.8, 0.3, 0));
            tint(
                    new Mat(pixels, new Rect(pixels.cols() / 2, 0, pixels.cols() / 2, pixels.rows())),
                    new Scalar(0.3, 0.8, 1, 0));
            return pixels;
        });
        assertThat(deliver(plan(shoot())).failures()).isEmpty();
        assertThat(list().get("raw/fern-0174.jpg").get("pixels")).isEqualTo("photo: the raw is not like it");
    }

    /** A raw file in which an entry says another number. */
    private static byte[] lying(byte[] raw, int tag, int number) {
        byte[] lying = raw.clone();
        ByteBuffer file = ByteBuffer.wrap(lying).order(ByteOrder.LITTLE_ENDIAN);
        for (int at = 8; at + 12 <= lying.length; at += 2) {
            boolean isEntry = (file.getShort(at) & 0xFFFF) == tag
                    && (file.getShort(at + 2) == 3 || file.getShort(at + 2) == 4)
                    && file.getInt(at + 4) == 1;
            if (isEntry) {
                file.putInt(at + 8, number);
            }
        }
        assertThat(lying).isNotEqualTo(raw);
        return lying;
    }

    @ParameterizedTest
    @CsvSource({"50717, 0", "50717, 90"})
    void aRawPhotoWhoseNumbersLieGivesItsCamerasPicture(int tag, int number) throws Exception {
        Path alone = source.resolve("fern-0173.dng");
        Files.write(alone, lying(Files.readAllBytes(alone), tag, number));
        Shoot shoot = shoot();
        PixelSize size = shoot.photo("fern-0173.dng").pixels().orElseThrow();
        assertThat(deliver(plan(shoot)).failures()).isEmpty();
        assertThat(list().get("photo/fern-0173.jpg").get("pixels")).isEqualTo("photo: the raw is not like it");
        BufferedImage file = ImageIO.read(out.resolve("photo/fern-0173.jpg").toFile());
        assertThat(file.getWidth()).isEqualTo(Math.min(size.width(), size.height()));
    }

    @Test
    void aRawFileOfWhichItsCameraWantsLessThanTheSensorSawIsDeliveredFromIt() throws Exception {
        Path alone = source.resolve("fern-0173.dng");
        byte[] raw = Files.readAllBytes(alone);
        ByteBuffer file = ByteBuffer.wrap(raw).order(ByteOrder.LITTLE_ENDIAN);
        for (int at = 8; at + 12 <= raw.length; at += 2) {
            // The size that is wanted, as two fractions.
            if ((file.getShort(at) & 0xFFFF) == 50_720 && file.getShort(at + 2) == 5 && file.getInt(at + 4) == 2) {
                int sizes = file.getInt(at + 8);
                file.putInt(sizes, 300).putInt(sizes + 8, 200);
            }
        }
        Files.write(alone, raw);
        assertThat(deliver(plan(shoot())).failures()).isEmpty();
        assertThat(list().get("photo/fern-0173.jpg").get("pixels")).isEqualTo("raw");
    }

    @Test
    void aPictureOfAnotherSizeThanTheSensorsIsRefused() throws Exception {
        standIn("printf 'P6\\n300 200\\n65535\\n'; head -c 360000 /dev/zero");
        Delivery.Result result = deliver(plan(shoot()));
        assertThat(result.failures())
                .extracting(failure -> failure.item().name())
                .containsExactlyInAnyOrder("raw/fern-0173.jpg", "photo/fern-0173.jpg", "raw/fern-0174.jpg");
        assertThat(TestPhotos.WORDS.say(result.failures().get(0).reason())).contains("LibRaw makes no picture of");
    }

    @Test
    void howARawFileLooksIsKeptWithWhatWasDelivered() throws Exception {
        deliver(plan(shoot()));
        String look = list().get("raw/fern-0174.jpg").get("look");
        assertThat(look).isNotEmpty();
        assertThat(deliver(plan(shoot())).written()).isEmpty();
        assertThat(list().get("raw/fern-0174.jpg").get("look")).isEqualTo(look);
    }
}
