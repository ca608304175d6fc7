package nexa.imaging.pictures;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Map;
import nexa.core.format.PixelSize;
import nexa.core.shoot.Photo;
import nexa.imaging.TestPhotos;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.facts.PhotoFacts;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PhotoPixelsTest {
    /** What is seen: red top left, green top right, blue bottom right, white bottom left. */
    private static final Map<String, Color> CORNERS = Map.of(
            "top left", Color.RED, "top right", Color.GREEN, "bottom right", Color.BLUE, "bottom left", Color.WHITE);

    @TempDir
    Path folder;

    /** The tag says at which side of what is seen the stored row 0 and the stored column 0 lie. */
    @ParameterizedTest
    @CsvSource({
        "1,top,left", "2,top,right", "3,bottom,right", "4,bottom,left",
        "5,left,top", "6,right,top", "7,right,bottom", "8,left,bottom"
    })
    void everyOrientationIsSeenUpright(int orientation, String row, String column) throws Exception {
        for (String kind : new String[] {"jpg", "png"}) {
            boolean swaps = orientation >= 5;
            BufferedImage stored = new BufferedImage(swaps ? 32 : 48, swaps ? 48 : 32, BufferedImage.TYPE_INT_RGB);
            for (int y = 0; y < stored.getHeight(); y++) {
                for (int x = 0; x < stored.getWidth(); x++) {
                    String rowSide = y < stored.getHeight() / 2 ? row : opposite(row);
                    String columnSide = x < stored.getWidth() / 2 ? column : opposite(column);
                    stored.setRGB(x, y, corner(rowSide, columnSide).getRGB());
                }
            }
            Path file = TestPhotos.write(stored, folder.resolve("o" + orientation + "." + kind));
            TestPhotos.addMetadata(
                    file, TestPhotos.exif(orientation, new PixelSize(stored.getWidth(), stored.getHeight())), null);

            Photo photo = TestPhotos.photo(file);
            assertThat(photo.pixels()).contains(new PixelSize(48, 32));
            Picture picture = new PhotoPixels(file, photo).picture(400);
            assertThat(picture.width()).isEqualTo(48);
            assertColour(picture, 8, 8, CORNERS.get("top left"));
            assertColour(picture, 40, 8, CORNERS.get("top right"));
            assertColour(picture, 40, 24, CORNERS.get("bottom right"));
            assertColour(picture, 8, 24, CORNERS.get("bottom left"));
        }
    }

    private static Color corner(String one, String other) {
        boolean upright = one.equals("top") || one.equals("bottom");
        return CORNERS.get(upright ? one + " " + other : other + " " + one);
    }

    private static String opposite(String side) {
        return Map.of("top", "bottom", "bottom", "top", "left", "right", "right", "left")
                .get(side);
    }

    private static void assertColour(Picture picture, int x, int y, Color expected) {
        Color actual = new Color(picture.argb().get(y * picture.width() + x));
        assertThat(Math.abs(actual.getRed() - expected.getRed())
                        + Math.abs(actual.getGreen() - expected.getGreen())
                        + Math.abs(actual.getBlue() - expected.getBlue()))
                .as("%s at %d, %d", actual, x, y)
                .isLessThan(40);
    }

    @Test
    void picturesAreNoLargerThanAskedAndSmallPhotosStayAsTheyAre() throws Exception {
        Path large = TestPhotos.write(TestPhotos.scene(1500, 1000), folder.resolve("large.jpg"));
        Picture small = new PhotoPixels(large, TestPhotos.photo(large)).picture(300);
        assertThat(small.width()).isEqualTo(300);
        assertThat(small.height()).isEqualTo(200);
        Path dot = TestPhotos.write(new BufferedImage(1, 1, BufferedImage.TYPE_INT_RGB), folder.resolve("dot.png"));
        assertThat(new PhotoPixels(dot, TestPhotos.photo(dot)).picture(300).width())
                .isEqualTo(1);
        Path strip = TestPhotos.write(
                new BufferedImage(20_000, 50, BufferedImage.TYPE_BYTE_GRAY), folder.resolve("strip.jpg"));
        Picture narrow = new PhotoPixels(strip, TestPhotos.photo(strip)).picture(400);
        assertThat(narrow.width()).isEqualTo(400);
        assertThat(narrow.height()).isEqualTo(1);
    }

    @Test
    void whatCannotBeReadSaysWhy() throws Exception {
        assertReason("empty.jpg", new byte[0], PhotoProblem.Reason.EMPTY);
        assertReason(
                "text.jpg", "not a photo at all".getBytes(StandardCharsets.UTF_8), PhotoProblem.Reason.UNKNOWN_KIND);
        Path whole = TestPhotos.write(TestPhotos.scene(300, 200), folder.resolve("whole.png"));
        byte[] header = Arrays.copyOf(Files.readAllBytes(whole), 60);
        assertReason("cut.png", header, PhotoProblem.Reason.DAMAGED);
        assertThatExceptionOfType(PhotoProblem.class)
                .isThrownBy(() -> PhotoFacts.read(folder.resolve("gone.jpg")))
                .satisfies(problem ->
                        assertThat(TestPhotos.WORDS.say(problem)).isEqualTo("gone.jpg is not in the folder any more"));
    }

    private void assertReason(String name, byte[] contents, PhotoProblem.Reason reason) throws Exception {
        Path file = Files.write(folder.resolve(name), contents);
        assertThatExceptionOfType(PhotoProblem.class)
                .isThrownBy(() -> new PhotoPixels(file, Photo.untouched(name)).picture(100))
                .satisfies(problem -> assertThat(problem.reason()).isEqualTo(reason))
                .withMessageContaining(name);
    }
}
