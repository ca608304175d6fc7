package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.List;
import java.util.Optional;
import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import nexa.store.document.ShootDocument;
import nexa.store.shoot.ShootFolder;
import nexa.store.user.UserData;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What the window says when something is not as it should be. */
class TroubleTest extends WindowTest {
    private Path folder;

    @BeforeEach
    void makeFolder() throws Exception {
        folder = Files.createDirectory(temporary.resolve("spring \"ü\" 🏺"));
        Path sample = sample();
        for (String name : List.of("fern-0138.jpg", "fern-0139.jpg")) {
            Files.copy(sample.resolve(name), folder.resolve(name));
        }
    }

    @Test
    void aBrokenPhotoBecomesACellThatSaysWhyWhileTheRestWorks() throws Exception {
        Files.writeString(folder.resolve("broken.jpg"), "no photo");
        open(folder);
        waitFor(() -> words().contains("is not a photo of a kind that can be read"));
        assertThat(words()).contains("broken.jpg is not a photo of a kind that can be read");
        goToEasel("fern-0139.jpg");
        push(KeyCode.W);
        waitFor(() -> crop().size().ratio() > 1);
        assertThat(session().photo().orElseThrow().file()).isEqualTo("fern-0139.jpg");
    }

    @Test
    void aKeyPressedWhileNothingHasTheFocusIsHeard() {
        open(folder);
        Scene scene = shell.getScene();
        // So it is for a moment when a button that was pressed goes away.
        interact(() -> Event.fireEvent(
                scene, new KeyEvent(KeyEvent.KEY_PRESSED, "", "", KeyCode.F8, false, false, false, false)));
        waitFor(() -> words().contains("Delivery note"));
        assertThat(words()).contains("Before it goes");
    }

    @Test
    void openingSeveralPhotosShowsOnlyThese() throws Exception {
        Files.copy(folder.resolve("fern-0139.jpg"), folder.resolve("fern-0148.jpg"));
        Files.writeString(folder.resolve("broken.jpg"), "no photo");
        interact(() -> shell.open(List.of(folder.resolve("fern-0138.jpg"), folder.resolve("fern-0148.jpg"))));
        waitFor(() -> words().stream().anyMatch(text -> text.startsWith("Only the 2 photos you opened are shown.")));
        waitFor(() -> lookup("#sheet-photo-fern-0148").tryQuery().isPresent());
        assertThat(lookup(".sheet-photo").queryAll().stream().filter(Node::isVisible))
                .hasSize(2);
        assertThat(session().shoot().photos())
                .as("the others stay in the shoot")
                .hasSize(4);
        push(KeyCode.F8);
        waitFor(() -> words().contains("Only the 2 photos you opened are delivered."));
        awaitStill("#goes-post");
        clickOn("#goes-post");
        waitFor(() -> words().contains("2 crops are untouched."));
        assertThat(words()).noneMatch(text -> text.contains("can't be read"));
    }

    @Test
    void aSecondWindowCanOnlyLook() throws Exception {
        try (ShootFolder writer = ShootFolder.open(folder, new UserData(temporary))) {
            open(folder);
            waitFor(() -> words().stream().anyMatch(text -> text.startsWith("Another window works on")));
            goToEasel("fern-0138.jpg");
            var before = session().shoot();
            push(KeyCode.W);
            assertThat(session().shoot()).isEqualTo(before);
        }
    }

    @Test
    void aPhotoRemovedMeanwhileIsToldOnTheEasel() throws Exception {
        open(folder);
        Files.delete(folder.resolve("fern-0139.jpg"));
        interact(() -> session().goTo(Optional.of("fern-0139.jpg")));
        push(KeyCode.F6);
        waitFor(() -> words().contains("fern-0139.jpg is not in the folder any more"));
        push(KeyCode.PAGE_UP);
        waitFor(() -> session().photo().orElseThrow().file().equals("fern-0138.jpg"));
        awaitPicture();
        assertThat(session().photo().orElseThrow().file()).isEqualTo("fern-0138.jpg");
    }

    @Test
    void aDocumentCutInHalfIsToldAndLeftAsItIs() throws Exception {
        Path document = Files.writeString(folder.resolve(ShootDocument.NAME), "{ \"nexa\": 1, \"photos\": [");
        interact(() -> shell.open(List.of(folder)));
        waitFor(() -> words().stream().anyMatch(text -> text.contains("not whole")));
        assertThat(shell.session()).isEmpty();
        assertThat(document).hasContent("{ \"nexa\": 1, \"photos\": [");
    }

    @Test
    void aFolderThatCannotBeWrittenIsToldOnceAndTheWorkIsKept() throws Exception {
        // Nobody can take a lock that is a folder, so nothing is written here.
        Files.createDirectory(folder.resolve(".nexa-shoot.lock"));
        open(folder);
        goToEasel("fern-0138.jpg");
        push(KeyCode.W);
        waitFor(() -> words().stream().anyMatch(text -> text.contains("can't be written to")));
        var turned = crop();
        closeAndReopen(folder);
        goToEasel("fern-0138.jpg");
        assertSame(crop(), turned);
    }

    @Test
    void aFolderWithoutPhotosSaysSo() throws Exception {
        Path empty = Files.createDirectory(temporary.resolve("empty"));
        open(empty);
        waitFor(() -> words().stream().anyMatch(text -> text.startsWith("There are no photos in")));
        push(KeyCode.F6);
        waitFor(() -> words().contains("There is no photo here."));
    }

    @Test
    void aShootOpenedTwiceAtOnceIsOpenedOnceAndCanBeChanged() throws Exception {
        interact(() -> {
            shell.open(List.of(folder));
            shell.open(List.of(folder));
        });
        waitFor(() -> shell.session().isPresent());
        open(folder);
        assertThat(session().isReadOnly()).isFalse();
        assertThat(words()).noneMatch(text -> text.startsWith("Another window"));
    }

    @Test
    void aPhotoThatFailedIsReadAgainAndNewOnesAreAddedAtAClick() throws Exception {
        Path broken = Files.writeString(folder.resolve("late.jpg"), "no photo");
        FileTime time = Files.getLastModifiedTime(broken);
        open(folder);
        interact(() -> session().goTo(Optional.of("late.jpg")));
        push(KeyCode.F6);
        waitFor(() -> lookup("#read-again").tryQuery().map(WindowTest::isShown).orElse(false));
        // Of the same length and time, so that nothing but the click tells.
        byte[] photo = Files.readAllBytes(folder.resolve("fern-0138.jpg"));
        Files.write(folder.resolve("new.jpg"), photo);
        Files.write(broken, photo);
        Files.setLastModifiedTime(broken, time);
        clickOn("#read-again");
        awaitPicture();
        assertThat(session().isReady(session().shoot().photo("late.jpg"))).isTrue();
        waitFor(() -> words().contains("1 new photo in the folder."));
        clickOn("#fresh-add");
        waitFor(() -> session().shoot().find("new.jpg").isPresent());
        assertThat(words()).doesNotContain("1 new photo in the folder.");
    }
}
