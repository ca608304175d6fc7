package nexa.desktop.stage;

import static nexa.desktop.session.SessionFixture.on;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shoot.Photo;
import nexa.imaging.pictures.Picture;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxToolkit;

/** The photo on the stage is drawn in the screen's own pixels. */
class StagePictureTest {
    private static final Photo PHOTO = Photo.untouched("p.png").withPixels(new PixelSize(400, 200));

    private final StagePicture renderer = new StagePicture();
    private final Picture photo = Picture.blank(400, 200);

    @BeforeAll
    static void startToolkit() throws Exception {
        FxToolkit.registerPrimaryStage();
    }

    @AfterEach
    void dispose() {
        renderer.dispose();
    }

    private StagePicture.Drawing drawn(double beyond, double density) throws Exception {
        Projection projection = new Projection(new Size(100, 60), new Point(200, 100), 0.5, Angle.NONE);
        CompletableFuture<StagePicture.Drawing> drawing = new CompletableFuture<>();
        on(() -> {
            Pose lying = new Pose(projection, new Crop(new Point(200, 100), new Size(400, 200)));
            renderer.draw(
                    photo, PHOTO, lying, new StagePicture.Detail(beyond, density), Optional.empty(), drawing::complete);
            return null;
        });
        return drawing.get(180, TimeUnit.SECONDS);
    }

    @Test
    void aDenseScreenGetsAsManyMorePixelsOfTheSamePartOfThePhoto() throws Exception {
        for (int x = 0; x < 400; x++) {
            for (int y = 0; y < 200; y++) {
                photo.argb().put(y * 400 + x, x % 2 == 0 ? 0xFFFFFFFF : 0xFF000000);
            }
        }
        assertThat(drawn(0, 1).picture().width()).isEqualTo(100);
        Picture dense = drawn(0, 2).picture();
        assertThat(dense.width()).isEqualTo(200);
        assertThat(dense.height()).isEqualTo(120);
        assertThat(dense.argb().get(100) & 0xFF)
                .as("two pixels of the screen a pixel of the stage: the photo's own are seen, not averages")
                .isIn(0, 255);
        assertThat(dense.argb().get(101)).isNotEqualTo(dense.argb().get(100));
        assertThat(drawn(0.2, 2).picture().width()).isEqualTo(280);
    }
}
