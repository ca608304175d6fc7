package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import nexa.core.format.FileSpec;
import nexa.core.format.Going;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.store.document.ShootDocument;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** Raw photos in the window: alone, and beside a JPEG of the same name. */
class RawPhotosTest extends WindowTest {
    private static final String ALONE = "fern-0173.dng";
    private static final String JPEG = "fern-0174.jpg";
    private static final String RAW = "fern-0174.dng";
    private static final String OTHER = "fern-0175.jpg";
    private static final String COMMAND = "nexa.raw";

    @AfterEach
    void takeBackCommand() {
        System.clearProperty(COMMAND);
    }

    private String text(String query) {
        return lookup(query).<Labeled>query().getText();
    }

    private List<String> read() {
        return session().shoot().photos().stream()
                .filter(session()::isReady)
                .map(Photo::file)
                .sorted()
                .toList();
    }

    private void choosePairs(String words) {
        awaitStill("#sheet-pairs");
        clickOn("#sheet-pairs");
        clickOn(words);
    }

    @Test
    void aPairIsOnePhotoUntilItIsChosenToBeTwo() throws Exception {
        Path folder = sampleOf(ALONE, JPEG, RAW);
        open(folder);
        waitFor(() -> read().equals(List.of(ALONE, JPEG)));
        waitFor(() ->
                lookup("#sheet-photo-fern-0174").query().getAccessibleText().contains("two files"));
        assertThat(lookup((Node node) -> "sheet-photo-fern-0173.dng".equals(node.getId()))
                        .query()
                        .getAccessibleText())
                .doesNotContain("two files");

        choosePairs("two photos");
        waitFor(() -> read().equals(List.of(ALONE, RAW, JPEG)));
        waitFor(() -> Files.exists(folder.resolve(ShootDocument.NAME))
                && Files.readString(folder.resolve(ShootDocument.NAME)).contains("\"pairs\" : \"apart\""));
        interact(() -> session().edit(Edit.Kind.MARK, shoot -> shoot.with(JPEG, photo -> photo.withMark(Mark.SELECT))));
        choosePairs("one photo");
        waitFor(() -> read().equals(List.of(ALONE, JPEG)));
        assertThat(session().shoot().photo(JPEG).mark()).isEqualTo(Mark.SELECT);
        assertThat(session().shoot().photo(JPEG).raw()).contains(RAW);
        assertThat(session().edits().historyProperty().get().edits()).isEmpty();
    }

    @Test
    void theStageSaysWhatARawPhotoIsAndWhatIsMadeOfItWithoutTheCommand() throws Exception {
        open(sampleOf(ALONE, JPEG, RAW));
        goToEasel(ALONE);
        waitFor(() -> text("#photo-tag-raw").equals("raw"));
        interact(() -> session().goTo(Optional.of(JPEG)));
        waitFor(() -> text("#photo-tag-raw").equals("two files"));

        System.setProperty(COMMAND, "/nowhere");
        interact(() -> {
            session().goTo(Optional.of(ALONE));
            session().readAgain(Set.of(ALONE));
        });
        waitFor(() -> text("#photo-tag-raw").equals("camera's picture"));
        assertThat(lookup("#photo-tag-raw").<Node>query().getAccessibleHelp()).contains("libraw-bin");
    }

    @Test
    void aFormatTakesTheRawFilesPixelsWhereItIsToldTo() throws Exception {
        open(sampleOf(JPEG, RAW));
        push(KeyCode.F8);
        awaitStill("#change-tile");
        clickOn("#change-tile");
        awaitStill("#file-source");
        clickOn("#file-source");
        clickOn("pixels of the raw");
        waitFor(() -> session().shoot().format("tile").file().source() == FileSpec.Source.RAW);
        assertThat(lookup("#file-source").<ComboBox<String>>query().getValue()).isEqualTo("pixels of the raw");
        clickOn("Close");
        waitFor(() -> lookup((Node node) ->
                        node instanceof Labeled label && label.getText().endsWith(", pixels of the raw"))
                .tryQuery()
                .isPresent());
    }

    @Test
    void aRawFileThatIsOfAnotherPictureIsSaidOnTheStageAndBeforeItGoes() throws Exception {
        Path folder = sampleOf(JPEG, RAW, OTHER);
        Files.move(folder.resolve(OTHER), folder.resolve(JPEG), StandardCopyOption.REPLACE_EXISTING);
        open(folder);
        interact(() -> session()
                .edit(
                        Edit.Kind.FORMAT,
                        shoot -> shoot.withFormats(shoot.formats().stream()
                                .map(format -> format.withGoing(Going.GOES)
                                        .withFile(format.file().withSource(FileSpec.Source.RAW)))
                                .toList())));
        goToEasel(JPEG);
        waitFor(() -> text("#photo-tag-raw").equals("raw not like it"));
        assertThat(lookup("#photo-tag-raw").<Node>query().getAccessibleHelp()).contains("shows something else");
        push(KeyCode.F8);
        waitFor(() -> lookup("#show-raw_unlike").tryQuery().isPresent());
    }
}
