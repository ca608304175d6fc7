package nexa.imaging.facts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collections;
import java.util.List;
import nexa.core.format.PixelSize;
import nexa.core.shoot.EdgeTexture;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.TestPhotos;
import nexa.imaging.decode.PhotoProblem;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is known of photos is what their files say as they are now. */
class PhotoFolderTest {
    @TempDir
    Path temporary;

    private PhotoFolder folder;

    @BeforeEach
    void writePhoto() {
        folder = new PhotoFolder(temporary);
        write("a.png", 60, 40);
    }

    private void write(String name, int width, int height) {
        TestPhotos.write(TestPhotos.scene(width, height), temporary.resolve(name));
    }

    @Test
    void aFileIsReadOnceForWhoeverAsksAndAgainWhenItIsAnotherOne() throws Exception {
        PhotoFacts first = folder.facts("a.png");
        assertThat(folder.facts("a.png")).isSameAs(first);
        folder.forget("a.png");
        assertThat(folder.facts("a.png")).isNotSameAs(first).isEqualTo(first);
        write("a.png", 90, 60);
        PhotoFacts then = folder.facts("a.png");
        assertThat(then.pixels()).isEqualTo(new PixelSize(90, 60));
        assertThat(then.identity()).isNotEqualTo(first.identity());
    }

    @Test
    void whatCannotBeReadIsTriedAgainWheneverItIsAskedFor() throws Exception {
        assertThatExceptionOfType(PhotoProblem.class)
                .isThrownBy(() -> folder.facts("b.png"))
                .matches(problem -> problem.reason() == PhotoProblem.Reason.MISSING);
        write("b.png", 60, 40);
        assertThat(folder.facts("b.png").pixels()).isEqualTo(new PixelSize(60, 40));
        Files.delete(temporary.resolve("b.png"));
        assertThatExceptionOfType(PhotoProblem.class).isThrownBy(() -> folder.facts("b.png"));
    }

    @Test
    void howBusyAPhotoIsIsForgottenWithTheFileOfWhichThatWasRead() {
        Shoot shoot = Shoot.of("", Shoot.Order.NAME, List.of(), List.of(Photo.untouched("a.png")));
        Shoot read = ShootReading.of(shoot.photos(), folder).appliedTo(shoot);
        EdgeTexture calm = new EdgeTexture(
                read.photo("a.png").preparation().beforeShape(), Collections.nCopies(4 * EdgeTexture.DEPTHS, 0.0));
        Shoot known = read.with("a.png", photo -> photo.withTexture(calm));
        assertThat(ShootReading.of(known.photos(), folder).appliedTo(known)).isEqualTo(known);
        write("a.png", 90, 60);
        Photo replaced =
                ShootReading.of(known.photos(), folder).appliedTo(known).photo("a.png");
        assertThat(replaced.texture()).isEmpty();
        assertThat(replaced.pixels()).contains(new PixelSize(90, 60));
    }
}
