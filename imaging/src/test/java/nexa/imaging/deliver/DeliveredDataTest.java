package nexa.imaging.deliver;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import com.drew.metadata.exif.GpsDirectory;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import javax.imageio.ImageIO;
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
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What goes along with delivered files. */
class DeliveredDataTest extends DeliveredPhoto {
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

    @Test
    void theLensGoesIntoATiffAndOutOfIt() throws Exception {
        photo("a.jpg", block(new Object[] {0xA434, 2, ascii("Kilnaro 52 mm\0")}), null);
        Path tiff = deliver("a.jpg", FileSpec.usual("").withType(FileSpec.Type.TIFF), WITH_LINES);
        assertThat(lens(tiff)).isEqualTo("Kilnaro 52 mm");
        Files.copy(tiff, source.resolve("b.tif"));
        assertThat(lens(deliver("b.tif", FileSpec.usual(""), WITH_LINES))).isEqualTo("Kilnaro 52 mm");
    }

    @Test
    void makersNotesThatAJpegHasNoRoomForAreLeftOutAndToldButNeverTheLines() throws Exception {
        photo(
                "a.png",
                block(new Object[] {0xA434, 2, ascii("Kilnaro 52 mm\0")}, new Object[] {37_500, 7, new byte[80_000]}),
                null);
        Path file = deliver("a.png", FileSpec.usual(""), WITH_LINES.withMakerNotes(true));
        assertThat(lens(file)).isEqualTo("Kilnaro 52 mm");
        assertThat(ImageMetadataReader.readMetadata(file.toFile())
                        .getFirstDirectoryOfType(ExifIFD0Directory.class)
                        .getString(ExifIFD0Directory.TAG_COPYRIGHT))
                .isEqualTo("© Fernhill Pottery");
        assertThat(Files.readString(out.resolve(DeliveryList.NAME)))
                .contains("delivered without")
                .contains("notes");
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
        Delivery.Result result =
                TestDeliveries.of(plan, source, out, DeliveryTerms.USUAL).run(1);
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

    private static String lens(Path file) throws Exception {
        return ImageMetadataReader.readMetadata(file.toFile())
                .getFirstDirectoryOfType(ExifSubIFDDirectory.class)
                .getString(ExifSubIFDDirectory.TAG_LENS_MODEL);
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
}
