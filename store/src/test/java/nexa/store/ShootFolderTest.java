package nexa.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import nexa.core.geometry.Angle;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ShootFolderTest {
    @TempDir
    Path temporary;

    private Path folder;
    private UserData userData;

    @BeforeEach
    void makeFolder() throws IOException {
        folder = Files.createDirectory(temporary.resolve("spring firing"));
        userData = new UserData(temporary.resolve("data"));
        for (String name : List.of("b.JPG", "a.jpg", "über \"x\" 🏺.png", "notes.txt", ".hidden.jpg")) {
            Files.createFile(folder.resolve(name));
        }
        Files.createDirectory(folder.resolve("below.jpg"));
    }

    @Test
    void aFolderWithoutADocumentOpensWithItsPhotosUntouched() throws Exception {
        Shoot shoot = ShootFolder.look(folder, userData).shoot();
        assertThat(shoot.title()).isEqualTo("spring firing");
        assertThat(shoot.photos()).extracting(Photo::file).containsExactly("a.jpg", "b.JPG", "über \"x\" 🏺.png");
        assertThat(shoot.formats())
                .extracting(format -> format.ratio().toString())
                .contains("photo", "free");
        assertThat(folder.resolve(ShootFolder.DOCUMENT)).doesNotExist();
    }

    @Test
    void whatWasSavedIsThereAgainAndNewPhotosJoinIn() throws Exception {
        ShootFolder first = ShootFolder.open(folder, userData);
        Shoot turned = first.shoot().with("a.jpg", photo -> photo.withAngle(new Angle(2)));
        first.save(turned);
        first.close();
        assertThat(ShootFolder.look(folder, userData).shoot()).isEqualTo(turned);

        Files.createFile(folder.resolve("c.jpg"));
        Files.delete(folder.resolve("b.JPG"));
        Shoot again = ShootFolder.look(folder, userData).shoot();
        assertThat(again.photo("a.jpg").angle()).isEqualTo(new Angle(2));
        assertThat(again.photos()).extracting(Photo::file).contains("b.JPG", "c.jpg");
    }

    @Test
    void aSecondWindowLooksOnUntilTheFirstIsClosed() throws Exception {
        try (ShootFolder first = ShootFolder.open(folder, userData)) {
            ShootFolder second = ShootFolder.open(folder, userData);
            assertThat(second.isReadOnly()).isTrue();
            assertThatExceptionOfType(ShootProblem.class)
                    .isThrownBy(() -> second.save(second.shoot()))
                    .withMessageContaining("open in another window");
            assertThat(first.isReadOnly()).isFalse();
        }
        try (ShootFolder third = ShootFolder.open(folder, userData)) {
            assertThat(third.isReadOnly()).isFalse();
        }
    }

    @Test
    void aDocumentChangedFromOutsideIsLeftAndTheWorkKeptAside() throws Exception {
        try (ShootFolder opened = ShootFolder.open(folder, userData)) {
            opened.save(opened.shoot());
            Path document = folder.resolve(ShootFolder.DOCUMENT);
            Files.writeString(document, Files.readString(document).replace("spring firing", "autumn firing"));
            Shoot turned = opened.shoot().with("a.jpg", photo -> photo.withAngle(new Angle(2)));
            assertThatExceptionOfType(ShootProblem.class)
                    .isThrownBy(() -> opened.save(turned))
                    .withMessageContaining("changed by something else")
                    .withMessageContaining("kept aside");
            opened.save(turned.with("a.jpg", photo -> photo.withAngle(new Angle(4))));
            assertThat(document).content().contains("autumn firing").doesNotContain("\"angle\"");
            try (var files = Files.list(folder)) {
                Path aside = files.filter(file -> file.getFileName().toString().contains("kept aside"))
                        .findFirst()
                        .orElseThrow();
                assertThat(aside).content().contains("\"angle\" : 4.0");
            }
        }
    }

    @Test
    void foldersBelowAreOfferedAndTenThousandOtherFilesAreNoMatter() throws Exception {
        for (int i = 0; i < 10_000; i++) {
            Files.createFile(folder.resolve("note " + i + ".txt"));
        }
        ShootFolder opened = ShootFolder.look(folder, userData);
        assertThat(opened.below()).containsExactly(folder.resolve("below.jpg"));
        assertThat(opened.shoot().photos()).hasSize(3);
    }

    @Test
    void whereTheFolderCannotBeWrittenTheShootIsKeptInTheUsersData() throws Exception {
        Path obstacle = Files.createDirectory(folder.resolve("." + ShootFolder.DOCUMENT + ".tmp"));
        Files.createFile(obstacle.resolve("in the way"));
        ShootFolder first = ShootFolder.open(folder, userData);
        Shoot turned = first.shoot().with("a.jpg", photo -> photo.withAngle(new Angle(3)));
        first.save(turned);
        assertThat(first.isKeptApart()).isTrue();
        assertThat(folder.resolve(ShootFolder.DOCUMENT)).doesNotExist();
        first.close();
        assertThat(ShootFolder.look(folder, userData).shoot()).isEqualTo(turned);
    }

    @Test
    void whereNeitherCanBeWrittenTheMessageNamesBothAndWhatIsSafe() throws Exception {
        Path obstacle = Files.createDirectory(folder.resolve("." + ShootFolder.DOCUMENT + ".tmp"));
        Files.createFile(obstacle.resolve("in the way"));
        ShootFolder opened = ShootFolder.open(folder, new UserData(Files.createFile(temporary.resolve("file"))));
        assertThatExceptionOfType(ShootProblem.class)
                .isThrownBy(() -> opened.save(opened.shoot()))
                .withMessageContaining("spring firing")
                .withMessageContaining("still here");
    }

    @Test
    void aFolderThatIsNotThereIsNamed() {
        assertThatExceptionOfType(ShootProblem.class)
                .isThrownBy(() -> ShootFolder.open(folder.resolve("gone"), userData))
                .withMessageContaining("gone is not there");
        assertThatExceptionOfType(ShootProblem.class)
                .isThrownBy(() -> ShootFolder.open(folder.resolve("a.jpg"), userData))
                .withMessageContaining("is not a folder");
    }

    @Test
    void theLatestShootsComeFirstAndThoseGoneAreLeftOut() throws Exception {
        RecentShoots recent = new RecentShoots(userData);
        assertThat(recent.list()).isEmpty();
        Path other = Files.createDirectory(temporary.resolve("other"));
        recent.add(folder);
        recent.add(other);
        recent.add(temporary.resolve("gone"));
        recent.add(folder);
        assertThat(new RecentShoots(userData).list()).containsExactly(folder, other);
    }
}
