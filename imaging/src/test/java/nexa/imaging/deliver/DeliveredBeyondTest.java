package nexa.imaging.deliver;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import javax.imageio.ImageIO;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.FileSpec;
import nexa.core.format.Format;
import nexa.core.format.OutputSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.series.Adjust;
import nexa.core.series.Crops;
import nexa.core.series.PhotoCrop;
import nexa.core.series.Reach;
import nexa.core.shape.Perspective;
import nexa.core.shape.SceneLines;
import nexa.core.shoot.Beyond;
import nexa.core.shoot.Colour;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Trim;
import nexa.imaging.TestPhotos;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.facts.ShootReading;
import nexa.imaging.pictures.Picture;
import nexa.imaging.pictures.PictureLibrary;
import nexa.imaging.work.WorkQueue;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Files of crops that reach beyond their photo. */
class DeliveredBeyondTest extends DeliveredShoot {
    private static final Format WIDE = Format.of("wide", "Wide", Ratio.of("2", "1"))
            .withFile(FileSpec.usual("wide").withType(FileSpec.Type.PNG));
    private static final Crop OUT = new Crop(new Point(450, 300), new Size(1000, 500));

    @BeforeEach
    void reachBeyond() {
        shoot = Reach.let(shoot.withFormats(List.of(WIDE)), "a.jpg", "wide", true);
        crop(0, Beyond.USUAL);
    }

    private void crop(double degrees, Beyond beyond) {
        shoot = shoot.with("a.jpg", photo -> photo.withAngle(new Angle(degrees)));
        shoot = Reach.fill(new Adjust(shoot, "a.jpg", "wide").to(OUT), "a.jpg", "wide", beyond);
    }

    private PhotoCrop crop() {
        return new Crops(shoot).of(shoot.photo("a.jpg"), WIDE);
    }

    private BufferedImage delivered() throws Exception {
        deliver(Set.of("wide"));
        return ImageIO.read(out.resolve("wide/a.png").toFile());
    }

    @Test
    void theFileHasThePhotosOwnPixelsAndRoomBesideThem() throws Exception {
        BufferedImage file = delivered();
        BufferedImage photo = ImageIO.read(source.resolve("a.jpg").toFile());
        assertThat(file.getWidth()).isEqualTo(1000);
        assertThat(file.getHeight()).isEqualTo(500);
        double off = 0;
        for (int y = 0; y < 500; y += 3) {
            for (int x = 0; x < 900; x += 3) {
                // The two decoders round otherwise, by a little.
                off += Math.abs((file.getRGB(50 + x, y) & 255) - (photo.getRGB(x, 50 + y) & 255));
            }
        }
        assertThat(off / (167 * 300)).isLessThan(2);
        assertThat(file.getRGB(5, 250)).isNotEqualTo(0xFF000000);
    }

    @ParameterizedTest
    @EnumSource(Beyond.Fill.class)
    void theScreenShowsWhatTheFileIsAlsoWhereThePhotoIsTurnedAndReshaped(Beyond.Fill fill) throws Exception {
        Perspective leaning = new Perspective(8, 0, 100, 1, 28, SceneLines.NONE);
        for (double degrees : new double[] {0, 4, 5}) {
            if (degrees == 5) {
                shoot = shoot.with("a.jpg", photo -> photo.withPerspective(Optional.of(leaning)));
            }
            crop(degrees, Beyond.USUAL.withFill(fill));
            BufferedImage file = delivered();
            Picture shown = shown(file.getHeight());
            double off = 0;
            for (int y = 1; y < file.getHeight() - 1; y += 5) {
                for (int x = 1; x < file.getWidth() - 1; x += 5) {
                    int here = shown.argb().get(y * shown.width() + x);
                    assertThat(here >>> 24).as("there is no hole").isEqualTo(255);
                    off += Math.abs((here >> 8 & 255) - (file.getRGB(x, y) >> 8 & 255));
                }
            }
            assertThat(off / (200 * 100)).as(fill + " at " + degrees).isLessThan(3);
        }
    }

    private Picture shown(int height) throws Exception {
        return shown(crop(), height);
    }

    private Picture shown(PhotoCrop crop, int height) throws Exception {
        CompletableFuture<Picture> picture = new CompletableFuture<>();
        try (PictureLibrary library = new PictureLibrary(
                new PhotoFolder(source), WorkQueue.withThreads("test", 1, Long.MAX_VALUE), Runnable::run, 50_000_000)) {
            library.crop(crop, height, new PictureLibrary.Listener() {
                @Override
                public void ready(Picture ready) {
                    picture.complete(ready);
                }

                @Override
                public void failed(PhotoProblem problem) {
                    picture.completeExceptionally(problem);
                }
            });
            return picture.get(30, TimeUnit.SECONDS);
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 3})
    void theBytesAreTheSameHoweverManyWork(int threads) throws Exception {
        crop(4, Beyond.USUAL);
        deliver(Set.of("wide"));
        byte[] wanted = Files.readAllBytes(out.resolve("wide/a.png"));
        Path again = temporary.resolve("again");
        TestDeliveries.of(plan(Set.of("wide")), source, again, DeliveryTerms.USUAL)
                .run(threads);
        assertThat(Files.readAllBytes(again.resolve("wide/a.png"))).isEqualTo(wanted);
    }

    @Test
    void anotherFillIsAnotherFileAndTheListTellsWhatIsNotPhoto() throws Exception {
        delivered();
        crop(0, Beyond.USUAL.withColour(Optional.of(new Colour(10, 200, 90))));
        BufferedImage green = delivered();
        assertThat(green.getRGB(3, 250) & 0xFFFFFF).isEqualTo(10 << 16 | 200 << 8 | 90);
        String list = Files.readString(out.resolve(DeliveryList.NAME));
        assertThat(list).contains("beyond,fill,passing").contains("0.1000,colour,");
        assertThat(DeliveryCheck.sharesBeyond(plan(Set.of("wide"))).getMax()).isCloseTo(0.1, within(1e-9));
    }

    /** Paints a border of a loud colour around the photo, and trims it away. */
    private void trimBorder() throws Exception {
        BufferedImage bordered = TestPhotos.scene(900, 600);
        for (int y = 0; y < 600; y++) {
            for (int x = 0; x < 900; x++) {
                if (x < 90 || x >= 810 || y < 60 || y >= 540) {
                    bordered.setRGB(x, y, 0xFF00FF);
                }
            }
        }
        Files.delete(source.resolve("a.jpg"));
        TestPhotos.write(bordered, source.resolve("a.png"));
        Shoot plain = Shoot.of("Firing", Shoot.Order.NAME, List.of(WIDE), List.of(Photo.untouched("a.png")));
        shoot = ShootReading.of(plain, source)
                .appliedTo(plain)
                .with(
                        "a.png",
                        photo -> photo.withPreparation(photo.preparation().withTrim(new Trim(0.1, 0.1, 0.1, 0.1))));
    }

    @ParameterizedTest
    @EnumSource(Beyond.Fill.class)
    void aTrimmedBorderIsNotSeenBesideThePhotoInFilesNorOnTheStage(Beyond.Fill fill) throws Exception {
        trimBorder();
        Perspective leaning = new Perspective(8, 0, 100, 1, 28, SceneLines.NONE);
        for (int way = 0; way < 4; way++) {
            Angle angle = new Angle(way == 1 ? 4 : 0);
            Optional<Perspective> perspective = way == 2 ? Optional.of(leaning) : Optional.empty();
            Format format = way == 3 ? WIDE.withSize(new OutputSize.Pixels(500, 250)) : WIDE;
            Shoot reaching = shoot.withFormats(List.of(format))
                    .with("a.png", photo -> photo.withAngle(angle).withPerspective(perspective));
            reaching = Reach.let(reaching, "a.png", "wide", true);
            reaching = new Adjust(reaching, "a.png", "wide").to(new Crop(new Point(450, 300), new Size(860, 430)));
            shoot = Reach.fill(reaching, "a.png", "wide", Beyond.USUAL.withFill(fill));
            deliver(Set.of("wide"));
            BufferedImage file = ImageIO.read(out.resolve("wide/a.png").toFile());
            PhotoCrop crop = new Crops(shoot).of(shoot.photo("a.png"), format);
            assertThat(crop.beyond()).isPositive();
            Picture shown = shown(crop, file.getHeight());
            for (int y = 0; y < file.getHeight(); y++) {
                for (int x = 0; x < file.getWidth(); x++) {
                    assertThat(isLoud(file.getRGB(x, y)))
                            .as("%s, way %d, at %d, %d of the file", fill, way, x, y)
                            .isFalse();
                }
            }
            for (int i = 0; i < shown.width() * shown.height(); i++) {
                assertThat(isLoud(shown.argb().get(i)))
                        .as("%s, way %d, on the stage", fill, way)
                        .isFalse();
            }
        }
    }

    private static boolean isLoud(int rgb) {
        return (rgb >> 16 & 255) > 230 && (rgb >> 8 & 255) < 25 && (rgb & 255) > 230;
    }
}
