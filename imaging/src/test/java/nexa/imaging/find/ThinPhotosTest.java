package nexa.imaging.find;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.nio.file.Path;
import java.util.List;
import javax.imageio.ImageIO;
import nexa.core.find.Found;
import nexa.core.find.FoundLevel;
import nexa.core.find.FoundSubject;
import nexa.core.find.FoundTrim;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Trim;
import nexa.imaging.TestPhotos;
import nexa.imaging.facts.PhotoFacts;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.pictures.PhotoPixels;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Photos with next to no width or height are looked at as any other, trimmed or not. */
class ThinPhotosTest {
    @TempDir
    Path folder;

    @ParameterizedTest
    @CsvSource({"1, 1", "1, 30000", "30000, 1", "2, 9000", "9000, 3"})
    void thinPhotosAreShownAndLookedAt(int width, int height) throws Exception {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        for (int i = 0; i < width * height; i++) {
            image.setRGB(i % width, i / width, 0x808080 + 0x010203 * (i % 97));
        }
        Path file = folder.resolve("thin.png");
        ImageIO.write(image, "png", file.toFile());
        Photo plain = TestPhotos.photo(file).withPixels(PhotoFacts.read(file).pixels());
        for (Photo photo : List.of(plain, plain.withTrim(new Trim(0.1, 0.1, 0.1, 0.1)))) {
            for (Class<? extends Found> what : List.of(FoundLevel.class, FoundTrim.class, FoundSubject.class)) {
                assertThat(PhotoFinder.find(what, new PhotoFolder(folder), photo, () -> false))
                        .isPresent();
            }
            assertThat(PhotoFinder.bentLines(new PhotoFolder(folder), photo, () -> false)
                            .orElseThrow())
                    .isEmpty();
        }
        assertThat(new PhotoPixels(file, plain).picture(400).width()).isPositive();
    }
}
