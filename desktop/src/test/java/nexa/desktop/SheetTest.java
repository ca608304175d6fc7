package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import nexa.core.geometry.Orientation;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.QuarterTurn;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Looking a shoot through on the sheet, with real input. */
class SheetTest extends WindowTest {
    @BeforeEach
    void openSample() throws Exception {
        open(sample());
        awaitStill("#sheet-photo-fern-0144");
    }

    @Test
    void arrowsMoveShiftExtendsAndEnterOpensTheEaselThere() {
        clickOn("#sheet-photo-fern-0138");
        push(KeyCode.RIGHT);
        waitFor(() -> current().equals("fern-0141.jpg"));
        press(KeyCode.SHIFT);
        push(KeyCode.RIGHT);
        push(KeyCode.RIGHT);
        release(KeyCode.SHIFT);
        waitFor(() -> session().chosenProperty().get().size() == 3);
        assertThat(session().chosenProperty().get())
                .containsExactlyInAnyOrder("fern-0141.jpg", "fern-0144.jpg", "fern-0147.jpg");
        push(KeyCode.ENTER);
        awaitPicture();
        assertThat(current()).isEqualTo("fern-0147.jpg");
        push(KeyCode.F5);
        waitFor(() -> lookup("#sheet-photo-fern-0147").tryQuery().isPresent());
        assertThat(session().chosenProperty().get()).as("still chosen").hasSize(3);
    }

    @Test
    void aWholeLaneIsChosenAndTurnedAsOneStepThatIsUndone() {
        List<Photo> before = session().shoot().photos();
        clickOn(lookup(node -> node instanceof Button button && "Choose all 25".equals(button.getText()))
                .<Node>query());
        waitFor(() -> session().chosenProperty().get().size() == 25);
        assertThat(words()).anyMatch(text -> text.startsWith("24 wide\nTurned by −6.0° to 3.1°\nKept"));
        interact(() -> lookup("#sheet").query().requestFocus());
        push(KeyCode.CONTROL, KeyCode.RIGHT);
        waitFor(() -> session().shoot().photos().stream()
                .anyMatch(photo -> photo.preparation().turn() == QuarterTurn.RIGHT));
        assertThat(session().shoot().photos().stream()
                        .filter(photo -> photo.preparation().turn() == QuarterTurn.RIGHT))
                .as("all of them but the one that can't be read")
                .hasSize(24);
        push(KeyCode.CONTROL, KeyCode.Z);
        waitFor(() -> session().shoot().photos().equals(before));
        assertThat(session().shoot().photos()).isEqualTo(before);
    }

    @Test
    void marksNarrowTheSheetAndCountForEveryChosenPhoto() {
        clickOn("#sheet-photo-fern-0141");
        press(KeyCode.CONTROL).clickOn("#sheet-photo-fern-0153").release(KeyCode.CONTROL);
        push(KeyCode.S);
        waitFor(() -> mark("fern-0153.jpg") == Mark.SELECT);
        assertThat(mark("fern-0141.jpg")).isEqualTo(Mark.SELECT);
        choose("#sheet-filter", "selects");
        waitFor(() -> shownPhotos()
                .equals(Set.of("sheet-photo-fern-0141", "sheet-photo-fern-0147", "sheet-photo-fern-0153")));
        choose("#sheet-filter", "not done");
        waitFor(() -> !shownPhotos().contains("sheet-photo-fern-0141"));
        assertThat(shownPhotos()).as("done in this format already").doesNotContain("sheet-photo-fern-0147");
    }

    @Test
    void chosenPhotosAreLetGoAndFollowAgain() {
        clickOn("#sheet-photo-fern-0141");
        press(KeyCode.SHIFT).clickOn("#sheet-photo-fern-0144").release(KeyCode.SHIFT);
        waitFor(() -> session().chosenProperty().get().size() == 2);
        var followed = crop("fern-0141.jpg").crop();
        clickOn("#chosen-more").clickOn("On its own");
        waitFor(() -> crop("fern-0141.jpg").state() == PhotoCrop.State.OWN);
        assertThat(crop("fern-0141.jpg").crop().centre().distance(followed.centre()))
                .as("it stays where it is")
                .isLessThan(1e-6);
        clickOn("#chosen-more").clickOn("Follow again");
        waitFor(() -> crop("fern-0141.jpg").state() == PhotoCrop.State.FOLLOW);
        assertThat(crop("fern-0144.jpg").state()).isEqualTo(PhotoCrop.State.FOLLOW);
    }

    @Test
    void openedAtAPhotoTheSheetShowsWhereItLies() {
        Path photo = session().path().resolve("fern-0172.jpg");
        interact(() -> shell.open(List.of(photo)));
        waitFor(() -> shell.session().isPresent() && current().equals("fern-0172.jpg"));
        awaitPicture();
        push(KeyCode.F5);
        awaitStill("#sheet-photo-fern-0172");
        assertThat(shownPhotos()).contains("sheet-photo-fern-0172");
    }

    @Test
    void whatNeedsALookIsAClickAway() {
        waitFor(() -> words().contains("Out of step"));
        Node entry = lookup(node -> node instanceof Button button && "fern-0160".equals(button.getText()))
                .query();
        clickOn("#look-out_of_step");
        waitFor(() -> entry.getScene() == null || !isShown(entry));
        clickOn("#look-out_of_step");
        awaitStill("#look-out_of_step");
        clickOn(lookup(node -> node instanceof Button button && "fern-0160".equals(button.getText()) && isShown(node))
                .<Node>query());
        awaitPicture();
        assertThat(current()).isEqualTo("fern-0160.jpg");
        assertThat(crop("fern-0160.jpg").crop().size().orientation()).isEqualTo(Orientation.WIDE);
    }

    private void choose(String box, String item) {
        interact(() -> lookup(box).<ComboBox<String>>query().getSelectionModel().select(item));
    }

    private Set<String> shownPhotos() {
        return lookup(".sheet-photo").queryAll().stream()
                .filter(photo -> photo.getScene() != null && isShown(photo))
                .map(Node::getId)
                .collect(Collectors.toSet());
    }

    private String current() {
        return session().photoProperty().get().orElse("");
    }

    private Mark mark(String file) {
        return session().shoot().photo(file).mark();
    }

    private PhotoCrop crop(String file) {
        return session().crop(session().shoot().photo(file), session().format());
    }
}
