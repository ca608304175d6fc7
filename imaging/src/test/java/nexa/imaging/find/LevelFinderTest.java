package nexa.imaging.find;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import nexa.core.find.Certainty;
import nexa.core.find.FoundLevel;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Angle;
import nexa.core.shoot.Photo;
import nexa.core.shoot.QuarterTurn;
import nexa.imaging.TestPhotos;
import nexa.imaging.facts.PhotoFolder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** How far photos are off level: those of the sample shoot against what was drawn, and pictures made for the purpose. */
class LevelFinderTest {
    private static final Path SAMPLE = Path.of("..", "sample");
    private static final boolean IS_THOROUGH = Boolean.getBoolean("nexa.thorough");
    /** One of each kind of file and way it lies, and those of which more is known; the others as well take their time. */
    private static final Set<String> TRIED = Set.of(
            "fern-0139.jpg",
            "fern-0150.jpg",
            "fern-0168.webp",
            "fern-0173.dng",
            "fern-0178.jpg",
            "fern-0163.jpg",
            "fern-0180.jpg",
            "fern-0181.jpg",
            "fern-0183.jpg");

    private static final Pattern TRUTH =
            Pattern.compile("\"file\": \"(.*?)\".*\"lean\": (.*?),.*\"readable\": (true|false)");

    @TempDir
    Path folder;

    private FoundLevel level(BufferedImage picture) throws Exception {
        return level(TestPhotos.write(picture, folder.resolve("made.png")));
    }

    private static FoundLevel level(Path file) throws Exception {
        return level(file, TestPhotos.photo(file));
    }

    private static FoundLevel level(Path file, Photo photo) throws Exception {
        return PhotoFinder.find(FoundLevel.class, new PhotoFolder(file.getParent()), photo, () -> false)
                .orElseThrow();
    }

    @Test
    void theSampleIsLevelledAsItWasDrawnAndWhatTellsNothingIsNot() throws Exception {
        Map<String, FoundLevel> found = new HashMap<>();
        List<Double> errors = new ArrayList<>();
        for (String line : Files.readAllLines(SAMPLE.resolve("truth.json"))) {
            Matcher truth = TRUTH.matcher(line);
            boolean isWhole = truth.find() && truth.group(3).equals("true");
            if (isWhole && (IS_THOROUGH || TRIED.contains(truth.group(1)))) {
                FoundLevel level = level(SAMPLE.resolve("photos").resolve(truth.group(1)));
                found.put(truth.group(1), level);
                if (level.certainty() == Certainty.SURE) {
                    double error = level.lean() - Double.parseDouble(truth.group(2));
                    assertThat(error).as(truth.group(1)).isCloseTo(0, within(0.05));
                    errors.add(Math.abs(error));
                }
            }
        }
        assertThat(errors.size()).isGreaterThanOrEqualTo(IS_THOROUGH ? 31 : 5);
        assertThat(errors.stream().sorted().toList().get(errors.size() / 2)).isLessThan(0.015);
        assertThat(found.get("fern-0163.jpg").certainty()).as("leans by 6°").isEqualTo(Certainty.LIKELY);
        assertThat(found.get("fern-0163.jpg").lean()).isCloseTo(6, within(0.05));
        assertThat(found.get("fern-0180.jpg"))
                .as("a shelf seen at an angle")
                .isEqualTo(FoundLevel.notSure(FoundLevel.Reason.RUN_TOGETHER));
        assertThat(found.get("fern-0181.jpg").certainty()).as("bent").isEqualTo(Certainty.NOT_SURE);
        assertThat(found.get("fern-0183.jpg").certainty()).as("hills").isEqualTo(Certainty.NOT_SURE);
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 1.7, -3.2})
    void aWallAndTheSeaAreLevelled(double lean) throws Exception {
        FoundLevel wall = level(MadePictures.wall(lean));
        assertThat(wall.certainty()).isEqualTo(Certainty.SURE);
        assertThat(wall.lean()).isCloseTo(lean, within(0.05));
        assertThat(wall.lines()).hasSizeBetween(2, FoundLevel.MOST_LINES);
        FoundLevel sea = level(MadePictures.sea(lean));
        assertThat(sea.certainty()).isEqualTo(Certainty.SURE);
        assertThat(sea.reason()).isEqualTo(FoundLevel.Reason.HORIZON);
        assertThat(sea.lean()).isCloseTo(lean, within(0.05));
        assertThat(sea.lines().get(0).segment().from().y())
                .as("the line lies on the horizon")
                .isCloseTo(
                        MadePictures.SCALE
                                * (430
                                        - 750 * Math.tan(Math.toRadians(lean))
                                        + 70 * (1 / Math.cos(Math.toRadians(lean)) - 1)),
                        within(3.0));
    }

    @Test
    void whereNothingTellsTheReasonIsSaid() throws Exception {
        assertThat(level(MadePictures.plain())).isEqualTo(FoundLevel.notSure(FoundLevel.Reason.PLAIN));
        assertThat(level(MadePictures.noise()).reason())
                .isIn(FoundLevel.Reason.PLAIN, FoundLevel.Reason.NOTHING_STRAIGHT);
        assertThat(level(MadePictures.hills()).certainty()).isEqualTo(Certainty.NOT_SURE);
        FoundLevel boards = level(MadePictures.boards());
        assertThat(boards).isEqualTo(FoundLevel.notSure(FoundLevel.Reason.LINES_DISAGREE));
    }

    @Test
    void howAPhotoIsStoredMakesNoDifference() throws Exception {
        BufferedImage wall = MadePictures.wall(1.7);
        double upright = level(wall).lean();
        // A mirror, a quarter, and both; PhotoPixelsTest has them all.
        for (int orientation : new int[] {2, 6, 7}) {
            BufferedImage stored = stored(wall, orientation);
            Path file = TestPhotos.write(stored, folder.resolve("turned-" + orientation + ".jpg"));
            TestPhotos.addMetadata(
                    file,
                    TestPhotos.exif(orientation, new PixelSize(stored.getWidth(), stored.getHeight())),
                    new byte[0]);
            FoundLevel found = level(file);
            assertThat(found.certainty()).isEqualTo(Certainty.SURE);
            assertThat(found.lean()).as("orientation %d", orientation).isCloseTo(upright, within(0.03));
        }
    }

    /** The pixels as they are stored with an EXIF orientation, so that it sets them upright again. */
    private static BufferedImage stored(BufferedImage seen, int orientation) {
        boolean swaps = orientation > 4;
        int width = swaps ? seen.getHeight() : seen.getWidth();
        int height = swaps ? seen.getWidth() : seen.getHeight();
        BufferedImage stored = new BufferedImage(width, height, BufferedImage.TYPE_3BYTE_BGR);
        for (int y = 0; y < seen.getHeight(); y++) {
            for (int x = 0; x < seen.getWidth(); x++) {
                int right = seen.getWidth() - 1 - x;
                int below = seen.getHeight() - 1 - y;
                int rgb = seen.getRGB(x, y);
                switch (orientation) {
                    case 2 -> stored.setRGB(right, y, rgb);
                    case 6 -> stored.setRGB(y, right, rgb);
                    default -> stored.setRGB(below, right, rgb);
                }
            }
        }
        return stored;
    }

    @Test
    void howLargeAPhotoIsMakesNoDifference() throws Exception {
        BufferedImage sea = MadePictures.sea(-2.4);
        double usual = level(sea).lean();
        for (double factor : new double[] {0.9, 1.1}) {
            FoundLevel found = level(scaled(sea, factor));
            assertThat(found.lean()).isCloseTo(usual, within(Math.max(0.02, found.uncertainty())));
        }
    }

    private static BufferedImage scaled(BufferedImage image, double factor) {
        BufferedImage scaled = new BufferedImage(
                (int) (image.getWidth() * factor), (int) (image.getHeight() * factor), BufferedImage.TYPE_3BYTE_BGR);
        Graphics2D pen = scaled.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        pen.drawImage(image, AffineTransform.getScaleInstance(factor, factor), null);
        pen.dispose();
        return scaled;
    }

    @Test
    void itIsFoundAsThePhotoIsSeenAndTheAngleDoesNotCount() throws Exception {
        Path file = TestPhotos.write(MadePictures.wall(1.7), folder.resolve("wall.png"));
        Photo photo = TestPhotos.photo(file);
        Photo mirrored = photo.withPreparation(photo.preparation().withMirrored(true));
        assertThat(level(file, mirrored).lean()).isCloseTo(-1.7, within(0.05));
        Photo turned = mirrored.withPreparation(photo.preparation().withTurn(QuarterTurn.RIGHT));
        assertThat(level(file, turned).lean()).isCloseTo(1.7, within(0.05));
        assertThat(level(file, photo.withAngle(new Angle(9))).lean()).isCloseTo(1.7, within(0.05));
    }

    @Test
    void onceItIsUnwantedNoFurtherStageBegins() throws Exception {
        Path file = TestPhotos.write(MadePictures.sea(1), folder.resolve("sea.png"));
        for (int wanted = 0; wanted < 8; wanted++) {
            int until = wanted;
            AtomicInteger asked = new AtomicInteger();
            AtomicInteger after = new AtomicInteger();
            assertThat(PhotoFinder.find(FoundLevel.class, new PhotoFolder(folder), TestPhotos.photo(file), () -> {
                        boolean isUnwanted = asked.getAndIncrement() >= until;
                        after.addAndGet(isUnwanted ? 1 : 0);
                        return isUnwanted;
                    }))
                    .isEmpty();
            assertThat(after.get()).as("asked after it was unwanted").isLessThanOrEqualTo(2);
        }
    }
}
