package nexa.imaging.deliver;

import static org.assertj.core.api.Assertions.assertThat;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import com.drew.metadata.icc.IccDirectory;
import com.drew.metadata.jfif.JfifDirectory;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import javax.imageio.ImageIO;
import nexa.core.format.FileSpec;
import nexa.core.format.Format;
import nexa.core.format.FormatTurn;
import nexa.core.format.OutputSize;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Size;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Preparation;
import nexa.core.shoot.QuarterTurn;
import nexa.core.shoot.Shoot;
import nexa.imaging.facts.ShootReading;
import org.bytedeco.javacpp.ShortPointer;
import org.bytedeco.javacpp.indexer.UShortIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.Test;

/** What the delivered files are: their size, pixels, metadata. */
class DeliveredFilesTest extends DeliveredShoot {
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
    void everyFileHasExactlyThePixelsAskedForHoweverThePhotoLies() throws Exception {
        Random random = new Random(3);
        List<Format> formats = new ArrayList<>();
        int count = Boolean.getBoolean("nexa.thorough") ? 67 : 12;
        for (int i = 0; i < count; i++) {
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
        assertThat(deliver(ids).written()).hasSize(3 * count);
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

    private static short[] values(Mat pixels) {
        short[] values = new short[(int) (pixels.total() * pixels.channels())];
        new ShortPointer(pixels.data()).get(values);
        return values;
    }
}
