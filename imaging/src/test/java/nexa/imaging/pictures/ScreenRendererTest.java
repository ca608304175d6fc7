package nexa.imaging.pictures;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shoot.Photo;
import nexa.imaging.TestPhotos;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What the screen shows. */
class ScreenRendererTest {
    private static final Photo PHOTO = Photo.untouched("p.png").withPixels(new PixelSize(600, 400));

    @TempDir
    Path folder;

    private Picture whole;

    @BeforeEach
    void readPhoto() throws Exception {
        Path file = TestPhotos.write(TestPhotos.scene(600, 400), folder.resolve("p.png"));
        whole = new PhotoPixels(file, Photo.untouched("p.png")).picture(600);
    }

    private static int at(Picture picture, int x, int y) {
        return picture.argb().get(y * picture.width() + x);
    }

    @Test
    void anUnturnedPartAtItsOwnSizeIsThePhotosPixels() {
        Crop part = new Crop(new Point(300, 200), new Size(200, 100));
        Picture shown = ScreenRenderer.render(whole, PHOTO, part, part, 200, 100);
        for (int y = 0; y < 100; y += 7) {
            for (int x = 0; x < 200; x += 7) {
                assertThat(at(shown, x, y)).isEqualTo(at(whole, 200 + x, 150 + y));
            }
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 12, -44})
    void beyondThePhotoThereIsNothing(double degrees) {
        Crop around = new Crop(new Point(300, 200), new Size(1200, 1200));
        Picture shown = ScreenRenderer.render(whole, PHOTO.withAngle(new Angle(degrees)), around, around, 300, 300);
        assertThat(at(shown, 2, 2)).isZero();
        assertThat(at(shown, 297, 297)).isZero();
        assertThat(at(shown, 150, 150) >>> 24).isEqualTo(255);
    }

    @Test
    void aPartLooksTheSameFromASmallerPicture() throws Exception {
        Path file = TestPhotos.write(TestPhotos.scene(600, 400), folder.resolve("q.png"));
        Picture small = new PhotoPixels(file, Photo.untouched("q.png")).picture(300);
        Crop part = new Crop(new Point(250, 180), new Size(300, 200));
        Picture fine = ScreenRenderer.render(whole, PHOTO.withAngle(new Angle(5)), part, part, 75, 50);
        Picture coarse = ScreenRenderer.render(small, PHOTO.withAngle(new Angle(5)), part, part, 75, 50);
        double off = 0;
        for (int i = 0; i < 75 * 50; i++) {
            off += Math.abs((fine.argb().get(i) & 255) - (coarse.argb().get(i) & 255));
        }
        assertThat(off / (75 * 50)).isLessThan(6);
    }
}
