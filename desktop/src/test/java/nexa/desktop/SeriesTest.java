package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.Set;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Orientation;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Tune;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A whole shoot kept in step, with real input. */
class SeriesTest extends WindowTest {
    @BeforeEach
    void openSample() throws Exception {
        open(sample());
    }

    @Test
    void aLeadIsCarriedToBothLanesTunedChangedBroughtIntoStepAndAllIsUndone() {
        goToEasel("fern-0147.jpg");
        clickOn("#format-tile");
        waitFor(() -> session().formatProperty().get().equals("tile"));
        Shoot start = session().shoot();
        dragBy("#handle-bottom_right", -120, -120);

        carryToBothLanes();

        goTo("fern-0142.jpg");
        Crop followed = crop();
        dragBy("#handle-bottom_right", -90, -90);
        assertThat(state()).isEqualTo(PhotoCrop.State.TUNED);
        Tune tune = tune("fern-0142.jpg");

        goTo("fern-0147.jpg");
        Crop before = crop();
        dragBy("#handle-bottom_right", -60, -60);
        assertThat(crop().size().width()).isLessThan(before.size().width());
        goTo("fern-0142.jpg");
        assertThat(tune("fern-0142.jpg")).as("the tune is kept").isEqualTo(tune);
        assertThat(crop().size().width())
                .as("the lead moved it")
                .isLessThan(followed.size().width());

        push(KeyCode.F7);
        waitFor(() -> lookup("#lineup-fern-0142").tryQuery().isPresent());
        assertThat(words()).contains("1 out of step");
        clickOn("#bring");
        waitFor(() -> words().contains("all in step"));
        assertThat(tune("fern-0142.jpg")).isEqualTo(Tune.NONE);

        for (int i = 0; i < 5; i++) {
            push(KeyCode.CONTROL, KeyCode.Z);
        }
        waitFor(() -> session().shoot().equals(start));
        assertThat(session().shoot()).isEqualTo(start);
    }

    private void carryToBothLanes() {
        push(KeyCode.C);
        waitFor(() -> words().contains("Wide and tall"));
        clickOn("#carry-both");
        waitFor(() -> words().stream().anyMatch(text -> text.matches("4[01] photos: 2[45] wide, 16 tall\\..*")));
        clickOn("#carry-do");
        waitFor(() -> followers() >= 40);
        assertThat(session().format().leads()).containsEntry(Orientation.WIDE, "fern-0147.jpg");
    }

    @Test
    void aCropIsSlidAndTightenedInTheLineUp() {
        interact(() -> session().goTo(Optional.of("fern-0141.jpg")));
        push(KeyCode.F7);
        awaitStill("#lineup-fern-0156");
        Bounds cell = frame("#lineup-fern-0156");
        Crop before = crop("fern-0156.jpg");
        drag(cell.getCenterX(), cell.getCenterY(), MouseButton.PRIMARY)
                .moveBy(12, 0)
                .moveBy(12, 0)
                .drop();
        waitFor(() -> crop("fern-0156.jpg").centre().x() < before.centre().x() - 1);
        assertThat(crop("fern-0156.jpg").size().width()).isCloseTo(before.size().width(), within(1e-6));
        assertThat(session().edits().historyProperty().get().edits()).hasSize(1);
        push(KeyCode.ENTER);
        awaitPicture();
        assertThat(session().photo().orElseThrow().file()).isEqualTo("fern-0156.jpg");
    }

    @Test
    void photosAreChosenMarkedAndLevelledTogetherOnTheSheet() {
        awaitStill("#sheet-photo-fern-0144");
        clickOn("#sheet-photo-fern-0141");
        press(KeyCode.SHIFT).clickOn("#sheet-photo-fern-0147").release(KeyCode.SHIFT);
        waitFor(() -> session().chosenProperty().get().size() == 3);
        press(KeyCode.CONTROL).clickOn("#sheet-photo-fern-0144").release(KeyCode.CONTROL);
        waitFor(() -> session().chosenProperty().get().equals(Set.of("fern-0141.jpg", "fern-0147.jpg")));
        push(KeyCode.DELETE);
        waitFor(() -> session().shoot().photo("fern-0141.jpg").mark() == Mark.OUT);
        assertThat(session().shoot().photo("fern-0147.jpg").mark()).isEqualTo(Mark.OUT);
        push(KeyCode.DELETE);
        waitFor(() -> session().shoot().photo("fern-0141.jpg").mark() == Mark.OPEN);

        interact(() -> lookup("#chosen-angle").<TextField>query().setText("1.5"));
        clickOn("#chosen-angle");
        push(KeyCode.ENTER);
        waitFor(() -> session().shoot().photo("fern-0147.jpg").angle().degrees() == 1.5);
        assertThat(session().shoot().photo("fern-0141.jpg").angle().degrees()).isEqualTo(1.5);
        assertThat(session().edits().historyProperty().get().edits()).hasSize(3);
    }

    @Test
    void aRubberBandChoosesWhatItTouches() {
        awaitStill("#sheet-photo-fern-0144");
        Bounds first = frame("#sheet-photo-fern-0138");
        Bounds last = frame("#sheet-photo-fern-0144");
        drag(first.getMinX() + 4, first.getMaxY() - 4, MouseButton.PRIMARY)
                .moveTo(last.getCenterX() - 20, last.getMaxY() - 10)
                .moveTo(last.getCenterX(), last.getMaxY() - 8)
                .drop();
        waitFor(() -> session().chosenProperty().get().size() == 3);
        assertThat(session().chosenProperty().get())
                .containsExactlyInAnyOrder("fern-0138.jpg", "fern-0141.jpg", "fern-0144.jpg");
    }

    private void goTo(String file) {
        interact(() -> session().goTo(Optional.of(file)));
        awaitPicture();
    }

    private long followers() {
        return session().shoot().photos().stream()
                .filter(photo -> photo.entry("tile").placement() instanceof Placement.Follow)
                .count();
    }

    private PhotoCrop.State state() {
        return session().crop().orElseThrow().state();
    }

    private Tune tune(String file) {
        return ((Placement.Follow) session().shoot().photo(file).entry("tile").placement()).tune();
    }

    private Crop crop(String file) {
        return session().crop(session().shoot().photo(file), session().format()).crop();
    }

    private Bounds frame(String query) {
        Node node = lookup(query).query();
        return node.localToScreen(node.getBoundsInLocal());
    }
}
