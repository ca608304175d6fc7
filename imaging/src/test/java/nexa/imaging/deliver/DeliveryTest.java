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
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import nexa.core.format.FileSpec;
import nexa.core.format.Format;
import nexa.core.format.FormatTurn;
import nexa.core.format.LengthUnit;
import nexa.core.format.OutputSize;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.TestPhotos;
import nexa.imaging.read.ShootReading;
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
        shoot = shoot.withFormats(
                List.of(whole.withFile(new FileSpec(FileSpec.Type.JPEG, 100, FileSpec.Colour.KEEP, "", "{photo}"))));
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
        Delivery.Result result = new Delivery(plan, source, out, (done, total, name) -> {}).run(2);
        assertThat(result.failures()).hasSize(1);
        assertThat(result.failures().get(0).reason()).contains("a.jpg is not in the folder any more");
        assertThat(files()).hasSize(2);
    }

    @Test
    void stoppingKeepsWhatIsFinishedAndLeavesNoHalfFile() throws Exception {
        DeliveryPlan plan = plan(Set.of("print", "feed"));
        Delivery[] delivery = new Delivery[1];
        delivery[0] = new Delivery(plan, source, out, (done, total, name) -> delivery[0].stop());
        Delivery.Result result = delivery[0].run(1);
        assertThat(result.wasStopped()).isTrue();
        assertThat(result.written()).hasSize(1);
        assertThat(files()).containsExactly("print/a.jpg");
        assertThat(size("print/a.jpg")).isEqualTo(new PixelSize(450, 300));
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
        return new Delivery(plan(formats), source, out, (done, total, name) -> {}).run(2);
    }

    private List<String> files() throws Exception {
        try (Stream<Path> all = Files.walk(out)) {
            return all.filter(Files::isRegularFile)
                    .map(file -> out.relativize(file).toString())
                    .toList();
        }
    }

    private PixelSize size(String name) throws Exception {
        BufferedImage image = ImageIO.read(out.resolve(name).toFile());
        return new PixelSize(image.getWidth(), image.getHeight());
    }
}
