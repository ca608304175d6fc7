package nexa.imaging.deliver;

import static org.assertj.core.api.Assertions.assertThat;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import com.drew.metadata.icc.IccDirectory;
import com.drew.metadata.jfif.JfifDirectory;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import nexa.core.format.DeliveredFile;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.FileSpec;
import nexa.core.format.Format;
import nexa.core.format.FormatTurn;
import nexa.core.format.LengthUnit;
import nexa.core.format.OutputSize;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Size;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Preparation;
import nexa.core.shoot.QuarterTurn;
import nexa.core.shoot.Shoot;
import nexa.imaging.TestPhotos;
import nexa.imaging.facts.ShootReading;
import org.bytedeco.javacpp.ShortPointer;
import org.bytedeco.javacpp.indexer.UShortIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class DeliveryTest {
    private static final Format PRINT =
            Format.of("print", "Print", Ratio.of("3", "2")).withSize(new OutputSize.Print(3, 2, LengthUnit.IN, 150));
    private static final Format FEED = Format.of("feed", "Feed", Ratio.of("4", "5"))
            .withTurn(FormatTurn.TALL)
            .withSize(new OutputSize.Pixels(200, 250))
            .withFile(FileSpec.usual("social").withName("{number} {photo} {size}"));

    @TempDir
    Path temporary;

    private Path source;
    private Path out;
    private Shoot shoot;

    @BeforeEach
    void makeShoot() throws Exception {
        source = Files.createDirectory(temporary.resolve("source"));
        out = temporary.resolve("out");
        TestPhotos.write(TestPhotos.scene(900, 600), source.resolve("a.jpg"));
        TestPhotos.write(TestPhotos.scene(600, 900), source.resolve("über \"b\".png"));
        TestPhotos.write(TestPhotos.scene(900, 600), source.resolve("c.jpg"));
        byte[] profile = ICC_Profile.getInstance(ColorSpace.CS_LINEAR_RGB).getData();
        TestPhotos.addMetadata(source.resolve("c.jpg"), TestPhotos.exif(6, new PixelSize(900, 600)), profile);
        List<Photo> photos = Stream.of("a.jpg", "über \"b\".png", "c.jpg")
                .map(Photo::untouched)
                .toList();
        Shoot plain = Shoot.of("Firing", Shoot.Order.NAME, List.of(PRINT, FEED), photos);
        shoot = ShootReading.of(plain, source).appliedTo(plain).with("a.jpg", photo -> photo.withAngle(new Angle(3)));
    }

    @Test
    void everyPhotoComesOutInEveryFormatAtItsExactSize() throws Exception {
        Delivery.Result result = deliver(Set.of("print", "feed"));
        assertThat(result.failures()).isEmpty();
        assertThat(result.wasStopped()).isFalse();
        assertThat(files())
                .containsExactlyInAnyOrder(
                        "print/a.jpg",
                        "print/c.jpg",
                        "print/über -b-.jpg",
                        "social/01 a 200x250.jpg",
                        "social/02 c 200x250.jpg",
                        "social/03 über -b- 200x250.jpg");
        assertThat(size("print/a.jpg")).isEqualTo(new PixelSize(450, 300));
        assertThat(size("print/c.jpg")).isEqualTo(new PixelSize(300, 450));
        assertThat(size("social/01 a 200x250.jpg")).isEqualTo(new PixelSize(200, 250));
    }

    @Test
    void metadataAndProfileGoWithThePictureAndTheOrientationIsReset() throws Exception {
        deliver(Set.of("print"));
        Metadata metadata =
                ImageMetadataReader.readMetadata(out.resolve("print/c.jpg").toFile());
        ExifIFD0Directory exif = metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
        assertThat(exif.getInt(ExifIFD0Directory.TAG_ORIENTATION)).isEqualTo(1);
        assertThat(exif.getString(ExifIFD0Directory.TAG_MAKE)).isEqualTo("Kilnaro");
        ExifSubIFDDirectory sub = metadata.getFirstDirectoryOfType(ExifSubIFDDirectory.class);
        assertThat(sub.getInt(ExifSubIFDDirectory.TAG_EXIF_IMAGE_WIDTH)).isEqualTo(300);
        assertThat(metadata.containsDirectoryOfType(IccDirectory.class)).isTrue();
        assertThat(metadata.getFirstDirectoryOfType(JfifDirectory.class).getResX())
                .isEqualTo(150);
    }

    @Test
    void anUnturnedCropAtItsOwnSizeKeepsEveryPixelUpToJpegsOwnLoss() throws Exception {
        Format whole = Format.of("own", "Own", Ratio.PHOTO);
        shoot = shoot.withFormats(List.of(whole.withFile(FileSpec.usual("").withQuality(100, FileSpec.Sampling.FULL))));
        deliver(Set.of("own"));
        BufferedImage delivered = ImageIO.read(out.resolve("über -b-.jpg").toFile());
        BufferedImage original = ImageIO.read(source.resolve("über \"b\".png").toFile());
        assertThat(delivered.getWidth()).isEqualTo(600);
        double squares = 0;
        for (int y = 0; y < 900; y++) {
            for (int x = 0; x < 600; x++) {
                int off = (delivered.getRGB(x, y) >> 8 & 0xFF) - (original.getRGB(x, y) >> 8 & 0xFF);
                squares += off * off;
            }
        }
        assertThat(Math.sqrt(squares / (600 * 900))).isLessThan(1.5);
    }

    @Test
    void nothingThatIsThereIsReplaced() throws Exception {
        Files.createDirectories(out.resolve("print"));
        Files.writeString(out.resolve("print/a.jpg"), "somebody's");
        deliver(Set.of("print"));
        assertThat(out.resolve("print/a.jpg")).hasContent("somebody's");
        assertThat(files()).contains("print/a-2.jpg");

        byte[] before = Files.readAllBytes(source.resolve("a.jpg"));
        shoot = shoot.withFormats(List.of(PRINT.withFile(FileSpec.usual("").withName("{photo}"))));
        out = source;
        deliver(Set.of("print"));
        assertThat(Files.readAllBytes(source.resolve("a.jpg"))).isEqualTo(before);
        assertThat(source.resolve("a-2.jpg")).exists();
    }

    @Test
    void aPhotoThatIsGoneIsListedAndTheRestGoesOn() throws Exception {
        DeliveryPlan plan = plan(Set.of("print"));
        Files.delete(source.resolve("a.jpg"));
        Delivery.Result result = new Delivery(
                        plan, source, out, DeliveryTerms.USUAL, TestPhotos.WORDS::say, (done, total, name) -> {})
                .run(2);
        assertThat(result.failures()).hasSize(1);
        assertThat(TestPhotos.WORDS.say(result.failures().get(0).reason()))
                .contains("a.jpg is not in the folder any more");
        assertThat(files()).hasSize(2);
    }

    @Test
    void stoppingKeepsWhatIsFinishedAndLeavesNoHalfFile() throws Exception {
        DeliveryPlan plan = plan(Set.of("print", "feed"));
        Delivery[] delivery = new Delivery[1];
        delivery[0] = new Delivery(
                plan,
                source,
                out,
                DeliveryTerms.USUAL,
                TestPhotos.WORDS::say,
                (done, total, name) -> delivery[0].stop());
        Delivery.Result result = delivery[0].run(1);
        assertThat(result.wasStopped()).isTrue();
        assertThat(result.written()).hasSize(1);
        assertThat(files()).containsExactly("print/a.jpg");
        assertThat(size("print/a.jpg")).isEqualTo(new PixelSize(450, 300));
    }

    @Test
    void aStoppedDeliveryGoesOnAndGivesTheSameFilesAsOneThatWasNot() throws Exception {
        deliver(Set.of("print", "feed"));
        Map<String, Long> whole = sums();
        out = temporary.resolve("resumed");
        DeliveryPlan plan = plan(Set.of("print", "feed"));
        Delivery[] stopped = new Delivery[1];
        stopped[0] = new Delivery(
                plan,
                source,
                out,
                DeliveryTerms.USUAL,
                TestPhotos.WORDS::say,
                (done, total, name) -> stopped[0].stop());
        stopped[0].run(1);
        Files.writeString(out.resolve("print").resolve(".nexa-left.part"), "half a file that a crash left");
        Delivery.Result resumed = deliver(Set.of("print", "feed"));
        assertThat(resumed.kept()).hasSize(1);
        assertThat(resumed.written()).hasSize(5);
        assertThat(sums()).isEqualTo(whole);
    }

    @Test
    void aChangedCropReplacesItsEarlierFileOrGetsANumberAsAsked() throws Exception {
        deliver(Set.of("print"));
        byte[] before = Files.readAllBytes(out.resolve("print/a.jpg"));
        shoot = shoot.with("a.jpg", photo -> photo.withAngle(new Angle(-8)));
        new Delivery(
                        plan(Set.of("print")),
                        source,
                        out,
                        DeliveryTerms.USUAL.withReplacesOwn(false),
                        TestPhotos.WORDS::say,
                        (done, total, name) -> {})
                .run(2);
        assertThat(Files.readAllBytes(out.resolve("print/a.jpg"))).isEqualTo(before);
        assertThat(out.resolve("print/a-2.jpg")).exists();
        shoot = shoot.with("a.jpg", photo -> photo.withAngle(new Angle(5)));
        Delivery.Result again = deliver(Set.of("print"));
        assertThat(again.kept()).hasSize(2);
        assertThat(files()).as("the latest of its own is replaced").hasSize(4);
    }

    @Test
    void aListOfWhatWasDeliveredThatLeadsElsewhereIsNotFollowed() throws Exception {
        Files.createDirectories(out);
        Path other = Files.writeString(temporary.resolve("other.jpg"), "precious");
        Files.writeString(out.resolve(DeliveredFile.LIST), "print/a.jpg\t../other.jpg\tx\t8\n");
        deliver(Set.of("print"));
        assertThat(other).hasContent("precious");
        assertThat(out.resolve("print/a.jpg")).exists();
    }

    @Test
    void anUnturnedPngOrTiffAtItsOwnSizeIsThePhotoBitForBit() throws Exception {
        Mat deep = new Mat(40, 60, opencv_core.CV_16UC3);
        try (UShortIndexer values = deep.createIndexer()) {
            for (int y = 0; y < 40; y++) {
                for (int x = 0; x < 60; x++) {
                    values.put((long) y, (long) x, x * 1000 + 7, y * 1500 + 3, x * y * 11 + 1);
                }
            }
        }
        opencv_imgcodecs.imwrite(source.resolve("deep.png").toString(), deep);
        Format png = Format.of("png", "PNG", Ratio.PHOTO)
                .withFile(FileSpec.usual("png").withType(FileSpec.Type.PNG));
        Format tiff = Format.of("tiff", "TIFF", Ratio.PHOTO)
                .withSize(new OutputSize.AsCropped())
                .withFile(FileSpec.usual("tiff").withType(FileSpec.Type.TIFF));
        Shoot plain = Shoot.of("Deep", Shoot.Order.NAME, List.of(png, tiff), List.of(Photo.untouched("deep.png")));
        shoot = ShootReading.of(plain, source).appliedTo(plain);
        assertThat(deliver(Set.of("png", "tiff")).failures()).isEmpty();
        assertThat(values(opencv_imgcodecs.imread(
                        out.resolve("png/deep.png").toString(), opencv_imgcodecs.IMREAD_UNCHANGED)))
                .isEqualTo(values(deep));
        assertThat(values(opencv_imgcodecs.imread(
                        out.resolve("tiff/deep.tif").toString(), opencv_imgcodecs.IMREAD_UNCHANGED)))
                .isEqualTo(values(deep));
    }

    private static short[] values(Mat pixels) {
        short[] values = new short[(int) (pixels.total() * pixels.channels())];
        new ShortPointer(pixels.data()).get(values);
        return values;
    }

    @Test
    void everyKindCarriesItsProfileAndPixelsAnInch() throws Exception {
        Format png = PRINT.withFile(FileSpec.usual("").withType(FileSpec.Type.PNG));
        Format tiff = PRINT.withId("tiff")
                .withFile(FileSpec.usual("")
                        .withType(FileSpec.Type.TIFF)
                        .withColour(FileSpec.Colour.SRGB, FileSpec.Depth.PHOTO));
        shoot = shoot.withFormats(List.of(png, tiff));
        assertThat(deliver(Set.of("print", "tiff")).failures()).isEmpty();
        for (String name : List.of("c.png", "c.tif")) {
            Metadata metadata =
                    ImageMetadataReader.readMetadata(out.resolve(name).toFile());
            assertThat(metadata.containsDirectoryOfType(IccDirectory.class))
                    .as(name)
                    .isTrue();
            assertThat(size(name)).isEqualTo(new PixelSize(300, 450));
        }
        ExifIFD0Directory tags = ImageMetadataReader.readMetadata(
                        out.resolve("c.tif").toFile())
                .getFirstDirectoryOfType(ExifIFD0Directory.class);
        assertThat(tags.getRational(ExifIFD0Directory.TAG_X_RESOLUTION).doubleValue())
                .isEqualTo(150);
    }

    @Test
    void theListNamesEveryFileAndWhereItCameFrom() throws Exception {
        shoot = shoot.withFormats(List.of(PRINT, FEED.withName("=Feed, \"tall\"")));
        deliver(Set.of("print", "feed"));
        List<String> lines = Files.readAllLines(out.resolve(DeliveryList.NAME));
        assertThat(lines).hasSize(7);
        assertThat(lines.get(1)).startsWith("print/a.jpg,a.jpg,Print,delivered,");
        assertThat(lines).anySatisfy(line -> assertThat(line).contains("\"'=Feed, \"\"tall\"\"\""));
    }

    @Test
    void theCheckTellsWhatToKnowBeforeItGoes() throws Exception {
        Files.writeString(source.resolve("broken.jpg"), "no photo");
        List<Photo> photos = new ArrayList<>(shoot.photos());
        photos.add(Photo.untouched("broken.jpg"));
        Format same = FEED.withFile(FileSpec.usual("social").withName("same"));
        Shoot all = shoot.withPhotos(photos).withFormats(List.of(same));
        ShootReading reading = ShootReading.of(all, source);
        DeliveryPlan plan = DeliveryPlan.of(all, reading, new DeliveryPlan.Choice(Set.of("feed"), false, false));
        List<DeliveryCheck.Finding> findings = DeliveryCheck.of(all, reading, plan);
        assertThat(findings)
                .extracting(DeliveryCheck.Finding::kind)
                .containsOnly(
                        DeliveryCheck.Kind.UNREADABLE, DeliveryCheck.Kind.UNTOUCHED, DeliveryCheck.Kind.SAME_NAME);
        assertThat(findings).contains(new DeliveryCheck.Finding(DeliveryCheck.Kind.UNREADABLE, "broken.jpg", ""));
        assertThat(DeliveryCheck.room(out)).isPositive();
    }

    @Test
    void pausedItBeginsNoFurtherFileUntilItGoesOn() throws Exception {
        CountDownLatch paused = new CountDownLatch(1);
        Delivery[] delivery = new Delivery[1];
        delivery[0] = new Delivery(
                plan(Set.of("print", "feed")),
                source,
                out,
                DeliveryTerms.USUAL,
                TestPhotos.WORDS::say,
                (done, total, name) -> {
                    delivery[0].setPaused(done == 1);
                    paused.countDown();
                });
        CompletableFuture<Delivery.Result> running = CompletableFuture.supplyAsync(() -> {
            try {
                return delivery[0].run(1);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
        paused.await();
        assertThat(files()).hasSize(1);
        assertThat(running).isNotDone();
        delivery[0].setPaused(false);
        assertThat(running.get().written()).hasSize(6);
    }

    @Test
    void whereNothingCanBeWrittenItGivesUpAndSaysWhy() throws Exception {
        Files.createDirectories(out);
        Files.writeString(out.resolve("print"), "a file where the folder should be");
        Delivery.Result result = deliver(Set.of("print"));
        assertThat(TestPhotos.WORDS.say(result.gaveUp().orElseThrow()))
                .contains(out.resolve("print").toString());
        assertThat(result.failures()).hasSize(3);
        assertThat(out.resolve("print")).hasContent("a file where the folder should be");
    }

    @Test
    void everyFileHasExactlyThePixelsAskedForHoweverThePhotoLies() throws Exception {
        Random random = new Random(3);
        List<Format> formats = new ArrayList<>();
        for (int i = 0; i < 67; i++) {
            int width = 20 + random.nextInt(280);
            int height = Math.max(20, Math.min(300, (int) (width * (0.4 + 2 * random.nextDouble()))));
            FormatTurn turn = FormatTurn.values()[random.nextInt(3)];
            formats.add(Format.of("f" + i, "F" + i, Ratio.of("" + width, "" + height))
                    .withTurn(turn)
                    .withSize(new OutputSize.Pixels(width, height)));
        }
        Shoot turned = shoot.withFormats(formats);
        for (Photo photo : shoot.photos()) {
            turned = turned.with(
                    photo.file(),
                    one -> one.withPreparation(Preparation.NONE
                            .withAngle(new Angle(90 * random.nextDouble() - 45))
                            .withTurn(QuarterTurn.of(90 * random.nextInt(4)))
                            .withMirrored(random.nextBoolean())));
        }
        shoot = turned;
        Set<String> ids = formats.stream().map(Format::id).collect(Collectors.toSet());
        DeliveryPlan plan = plan(ids);
        assertThat(deliver(ids).written()).hasSize(201);
        for (DeliveryPlan.Item item : plan.files()) {
            OutputSize.Pixels asked = (OutputSize.Pixels) item.format().size();
            boolean isSwapped = item.crop().crop().size().orientation()
                    != asked.pixels(new Size(asked.width(), asked.height()))
                            .size()
                            .orientation();
            PixelSize expected = new PixelSize(
                    isSwapped ? asked.height() : asked.width(), isSwapped ? asked.width() : asked.height());
            assertThat(size(item.name())).as(item.name()).isEqualTo(expected);
        }
    }

    @Test
    void aNameThatFileSystemsCannotTakeIsMendedAndToldBefore() throws Exception {
        String long300 = "x".repeat(300);
        shoot = shoot.withFormats(List.of(
                PRINT.withFile(FileSpec.usual("").withName("{photo} " + long300)),
                FEED.withFile(FileSpec.usual("social").withName("plain {number}"))));
        List<DeliveryCheck.Finding> findings =
                DeliveryCheck.of(shoot, ShootReading.of(shoot, source), plan(Set.of("print", "feed")));
        assertThat(findings)
                .filteredOn(finding -> finding.kind() == DeliveryCheck.Kind.NAME_MENDED)
                .extracting(DeliveryCheck.Finding::format)
                .containsOnly("print");
        assertThat(deliver(Set.of("print")).failures()).isEmpty();
    }

    private Map<String, Long> sums() throws Exception {
        Map<String, Long> sums = new TreeMap<>();
        for (String name : files()) {
            CRC32 sum = new CRC32();
            sum.update(Files.readAllBytes(out.resolve(name)));
            sums.put(name, sum.getValue());
        }
        return sums;
    }

    @Test
    void marksAndDoneDecideWhatGoes() {
        Shoot marked = shoot.with("a.jpg", photo -> photo.withMark(Mark.OUT))
                .with("c.jpg", photo -> photo.withMark(Mark.SELECT))
                .with(
                        "c.jpg",
                        photo -> photo.withEntry("print", photo.entry("print").withDone(true)));
        ShootReading reading = ShootReading.of(shoot, source);
        assertThat(DeliveryPlan.of(marked, reading, new DeliveryPlan.Choice(Set.of("print"), false, false))
                        .files())
                .hasSize(2);
        assertThat(DeliveryPlan.of(marked, reading, new DeliveryPlan.Choice(Set.of("print", "feed"), true, false))
                        .files())
                .hasSize(2);
        assertThat(DeliveryPlan.of(marked, reading, new DeliveryPlan.Choice(Set.of("print", "feed"), false, true))
                        .files())
                .hasSize(1);
    }

    private DeliveryPlan plan(Set<String> formats) {
        return DeliveryPlan.of(shoot, ShootReading.of(shoot, source), new DeliveryPlan.Choice(formats, false, false));
    }

    private Delivery.Result deliver(Set<String> formats) throws Exception {
        return new Delivery(
                        plan(formats),
                        source,
                        out,
                        DeliveryTerms.USUAL,
                        TestPhotos.WORDS::say,
                        (done, total, name) -> {})
                .run(2);
    }

    private List<String> files() throws Exception {
        try (Stream<Path> all = Files.walk(out)) {
            return all.filter(Files::isRegularFile)
                    .map(file -> out.relativize(file).toString())
                    .filter(name -> !name.startsWith(".nexa-") && !name.equals(DeliveryList.NAME))
                    .toList();
        }
    }

    private PixelSize size(String name) throws Exception {
        BufferedImage image = ImageIO.read(out.resolve(name).toFile());
        return new PixelSize(image.getWidth(), image.getHeight());
    }
}
