package nexa.imaging.find;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;
import nexa.core.find.Certainty;
import nexa.core.find.FoundLevel;
import nexa.core.find.FoundTrim;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Size;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Trim;
import nexa.core.shoot.Trim.Side;
import nexa.imaging.TestPhotos;
import nexa.imaging.facts.PhotoFolder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Plain borders are found to the pixel, and plain pictures are not taken for borders. */
class TrimFinderTest {
    private static final Path SAMPLE = Path.of("..", "sample", "photos");

    @TempDir
    Path folder;

    private static FoundTrim found(Path file) throws Exception {
        return found(file, TestPhotos.photo(file));
    }

    private static FoundTrim found(Path file, Photo photo) throws Exception {
        return PhotoFinder.find(FoundTrim.class, new PhotoFolder(file.getParent()), photo, () -> false)
                .orElseThrow();
    }

    private static BufferedImage bordered(
            BufferedImage picture, Color colour, int left, int top, int right, int bottom) {
        BufferedImage image = new BufferedImage(
                picture.getWidth() + left + right, picture.getHeight() + top + bottom, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = image.createGraphics();
        pen.setColor(colour);
        pen.fillRect(0, 0, image.getWidth(), image.getHeight());
        pen.drawImage(picture, left, top, null);
        pen.dispose();
        return image;
    }

    private static BufferedImage grained(BufferedImage image, double strength) {
        Random random = new Random(4);
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                int more = (int) Math.round(strength * random.nextGaussian());
                Color was = new Color(image.getRGB(x, y));
                image.setRGB(
                        x,
                        y,
                        new Color(level(was.getRed() + more), level(was.getGreen() + more), level(was.getBlue() + more))
                                .getRGB());
            }
        }
        return image;
    }

    private static int level(int value) {
        return Math.max(0, Math.min(255, value));
    }

    private static void assertCut(FoundTrim found, BufferedImage image, double slack, double... sides) {
        for (Side side : Side.values()) {
            double length = side.isUpright() ? image.getWidth() : image.getHeight();
            double cut = found.trim().at(side) * length;
            assertThat(cut)
                    .as("at the %s", side)
                    .isBetween(sides[side.ordinal()] - 0.01, sides[side.ordinal()] + slack);
        }
    }

    @ParameterizedTest
    @CsvSource({"#000000, jpg, 0", "#FFFFFF, jpg, 0", "#808080, png, 5", "#F5EFE0, jpg, 3", "#3C1E78, png, 0"})
    void bordersOfAnyColourAreFoundToThePixel(String colour, String kind, double grain) throws Exception {
        BufferedImage image =
                grained(bordered(TestPhotos.scene(900, 600), Color.decode(colour), 40, 55, 30, 70), grain);
        FoundTrim found = found(TestPhotos.write(image, folder.resolve("a." + kind)));
        assertThat(found.certainty()).isEqualTo(Certainty.SURE);
        assertCut(found, image, 2, 40, 55, 30, 70);
    }

    @Test
    void barsAreFoundAndOneSideAloneIsOnlyLikely() throws Exception {
        BufferedImage bars = bordered(TestPhotos.scene(900, 500), Color.BLACK, 0, 110, 0, 110);
        assertCut(found(TestPhotos.write(bars, folder.resolve("bars.jpg"))), bars, 2, 0, 110, 0, 110);
        BufferedImage one = bordered(TestPhotos.scene(900, 600), Color.BLACK, 0, 0, 0, 35);
        FoundTrim found = found(TestPhotos.write(one, folder.resolve("one.png")));
        assertThat(found.certainty()).isEqualTo(Certainty.LIKELY);
        assertCut(found, one, 2, 0, 0, 0, 35);
    }

    @Test
    void ofAPictureLaidCrookedNothingOfTheBorderIsLeft() throws Exception {
        BufferedImage picture = TestPhotos.scene(900, 600);
        BufferedImage image = new BufferedImage(1000, 700, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = image.createGraphics();
        pen.setColor(Color.WHITE);
        pen.fillRect(0, 0, 1000, 700);
        pen.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        pen.rotate(Math.toRadians(1), 500, 350);
        pen.drawImage(picture, 50, 50, null);
        pen.dispose();
        // The corner furthest in: half the picture's height or width further by the sine of the angle.
        double across = 50 + 300 * Math.sin(Math.toRadians(1)) + 450 * (1 - Math.cos(Math.toRadians(1)));
        double down = 50 + 450 * Math.sin(Math.toRadians(1)) + 300 * (1 - Math.cos(Math.toRadians(1)));
        FoundTrim found = found(TestPhotos.write(image, folder.resolve("a.png")));
        assertCut(found, image, 4, across - 1.5, down - 1.5, across - 1.5, down - 1.5);
    }

    @Test
    void aTransparentMarginIsFound() throws Exception {
        BufferedImage image = new BufferedImage(400, 300, BufferedImage.TYPE_INT_ARGB);
        Graphics2D pen = image.createGraphics();
        pen.drawImage(TestPhotos.scene(300, 250), 60, 20, null);
        pen.dispose();
        FoundTrim found = found(TestPhotos.write(image, folder.resolve("a.png")));
        assertThat(found.reason()).isEqualTo(FoundTrim.Reason.TRANSPARENT);
        assertCut(found, image, 0.01, 60, 20, 40, 30);
    }

    @Test
    void noPhotoOfTheSampleIsTrimmedButTheTwoThatHaveABorder() throws Exception {
        for (int number = 138; number <= 186; number++) {
            Path file = SAMPLE.resolve("fern-0" + number + ".jpg");
            if (Files.exists(file) && number != 171) {
                boolean hasBorder = number == 169 || number == 170;
                assertThat(found(file).isSomething()).as(file.toString()).isEqualTo(hasBorder);
            }
        }
    }

    @Test
    void nightSkiesAndBackdropsAreNoBorder() throws Exception {
        BufferedImage night =
                bordered(new BufferedImage(1, 1, BufferedImage.TYPE_INT_RGB), new Color(6, 6, 9), 599, 699, 600, 100);
        Random random = new Random(2);
        for (int i = 0; i < 120; i++) {
            night.setRGB(random.nextInt(1200), random.nextInt(500), Color.WHITE.getRGB());
        }
        Graphics2D pen = night.createGraphics();
        pen.setColor(new Color(30, 34, 28));
        for (int x = 0; x < 1200; x += 40) {
            pen.fillRect(x, 620 + random.nextInt(60), 40, 200);
        }
        pen.dispose();
        assertThat(found(TestPhotos.write(grained(night, 1), folder.resolve("night.jpg")))
                        .isSomething())
                .isFalse();

        BufferedImage backdrop = bordered(
                new BufferedImage(1, 1, BufferedImage.TYPE_INT_RGB), new Color(210, 208, 205), 599, 399, 600, 400);
        pen = backdrop.createGraphics();
        pen.setColor(new Color(90, 40, 30));
        pen.fillOval(420, 200, 360, 420);
        pen.dispose();
        assertThat(found(TestPhotos.write(grained(backdrop, 2), folder.resolve("backdrop.jpg")))
                        .isSomething())
                .isFalse();
        assertThat(found(TestPhotos.write(MadePictures.sea(0), folder.resolve("sea.jpg")))
                        .isSomething())
                .isFalse();
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void theBorderIsWhereItIsSeenHoweverThePhotoIsStored(int orientation) throws Exception {
        BufferedImage image = bordered(TestPhotos.scene(600, 400), Color.BLACK, 60, 0, 0, 0);
        Path file = TestPhotos.write(image, folder.resolve("a.jpg"));
        TestPhotos.addMetadata(file, TestPhotos.exif(orientation, new PixelSize(660, 400)), null);
        Side side = switch (orientation) {
            case 1, 4 -> Side.LEFT;
            case 2, 3 -> Side.RIGHT;
            case 5, 6 -> Side.TOP;
            default -> Side.BOTTOM;
        };
        Trim trim = found(file).trim();
        assertThat(trim.at(side) * 660).isCloseTo(60.5, within(1.6));
        assertThat(trim.with(side, 0)).isEqualTo(Trim.NONE);
        Photo photo = TestPhotos.photo(file);
        Photo turned = photo.withPreparation(photo.preparation().turnedRight());
        Side next = Side.values()[(side.ordinal() + 1) % 4];
        assertThat(found(file, turned).trim().at(next) * 660).isCloseTo(60.5, within(1.6));
    }

    @Test
    void levelsAreFoundInsideABorderAndLieWhereTheyAreInThePhoto() throws Exception {
        BufferedImage image = bordered(MadePictures.wall(1.7), Color.WHITE, 150, 90, 120, 90);
        Path file = TestPhotos.write(image, folder.resolve("a.jpg"));
        FoundLevel level = PhotoFinder.find(
                        FoundLevel.class, new PhotoFolder(folder), TestPhotos.photo(file), () -> false)
                .orElseThrow();
        assertThat(level.lean()).isCloseTo(1.7, within(0.05));
        Size whole = new Size(image.getWidth(), image.getHeight());
        assertThat(level.lines()).allSatisfy(line -> {
            assertThat(line.segment().from().x()).isBetween(149.0, whole.width() - 119);
            assertThat(line.segment().from().y()).isBetween(89.0, whole.height() - 89);
        });
    }
}
