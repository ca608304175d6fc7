package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Carry;
import nexa.core.shoot.Placement;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Keeping a set in step in the line-up, and what can be carried, with real input. */
class LineUpViewTest extends WindowTest {
    @BeforeEach
    void openSample() throws Exception {
        open(sample());
        interact(() -> session().goTo(Optional.of("fern-0160.jpg")));
        push(KeyCode.F7);
        awaitStill("#lineup-fern-0160");
    }

    @Test
    void whatIsLeftAsItIsIsNoLongerOutOfStepUntilUndone() {
        assertThat(words()).contains("3 out of step", "16 % tighter");
        clickOn("#leave");
        waitFor(() -> words().contains("2 out of step"));
        assertThat(words()).contains("left as it is");
        push(KeyCode.CONTROL, KeyCode.Z);
        waitFor(() -> words().contains("3 out of step"));
        assertThat(session().photoProperty().get()).hasValue("fern-0160.jpg");
    }

    @Test
    void widerTolerancesTakeCropsIntoStep() {
        interact(() -> lookup("#lineup-tolerance-tightness").<TextField>query().setText("20"));
        clickOn("#lineup-tolerance-tightness");
        push(KeyCode.ENTER);
        waitFor(() -> words().contains("2 out of step"));
        assertThat(session().format().tolerance().tightness()).isEqualTo(0.2);
        interact(() -> lookup("#lineup-tolerance-position").<TextField>query().setText("much"));
        clickOn("#lineup-tolerance-position");
        push(KeyCode.ENTER);
        assertThat(session().format().tolerance().position())
                .as("what means nothing is not taken")
                .isEqualTo(0.05);
    }

    @Test
    void aSecondDragIsShownAsWellAfterTheFirstHasSortedTheCropsAnew() {
        List<String> seen = new ArrayList<>();
        for (String cell : List.of("#lineup-fern-0160", "#lineup-fern-0138", "#lineup-fern-0156")) {
            awaitStill(cell);
            int before = session().edits().historyProperty().get().edits().size();
            String resting = said(cell);
            drag(cell + " .lineup-frame", MouseButton.PRIMARY).moveBy(30, 0).moveBy(25, 0);
            waitFor(() -> !said(cell).equals(resting));
            seen.add(said(cell));
            drop();
            waitFor(() -> session().edits().historyProperty().get().edits().size() == before + 1);
        }
        assertThat(seen).as("each is told while it is dragged").hasSize(3);
        clickOn("Tall");
        awaitStill("#lineup-fern-0142");
        String resting = said("#lineup-fern-0142");
        drag("#lineup-fern-0142 .lineup-frame", MouseButton.PRIMARY)
                .moveBy(0, 20)
                .moveBy(0, 25);
        waitFor(() -> !said("#lineup-fern-0142").equals(resting));
        drop();
    }

    private String said(String cell) {
        return lookup(cell).query().getAccessibleText();
    }

    @Test
    void aToleranceKeepsItsDecimals() {
        interact(() -> lookup("#lineup-tolerance-tightness").<TextField>query().setText("7.5"));
        clickOn("#lineup-tolerance-tightness");
        push(KeyCode.ENTER);
        waitFor(() -> session().format().tolerance().tightness() == 0.075);
        clickOn("#lineup-tolerance-tightness").clickOn("#lineup-tolerance-position");
        clickOn("#lineup-tolerance-tightness");
        assertThat(session().format().tolerance().tightness())
                .as("leaving the field changes nothing")
                .isEqualTo(0.075);
        assertThat(lookup("#lineup-tolerance-tightness").<TextField>query().getText())
                .isEqualTo("7.5");
    }

    @Test
    void heldSpaceFlicksThroughAndArrowsStepByHand() {
        press(KeyCode.SPACE);
        waitFor(() -> lookup(".flick").query().isVisible());
        push(KeyCode.RIGHT);
        push(KeyCode.RIGHT);
        release(KeyCode.SPACE);
        waitFor(() -> !lookup(".flick").query().isVisible());
        assertThat(session().photoProperty().get())
                .as("it stays where one stopped")
                .isNotEqualTo(Optional.of("fern-0160.jpg"));
        assertThat(session().edits().historyProperty().get().edits()).isEmpty();
    }

    @Test
    void onlyWhatIsAskedForIsCarriedAndTunedOnesAreTakenBackWhenAsked() {
        goToEasel("fern-0147.jpg");
        push(KeyCode.C);
        awaitStill("#carry-do");
        clickOn("#carry-lane");
        waitFor(() ->
                words().stream().anyMatch(text -> text.matches("\\d+ photos: \\d+ wide, 0 tall\\..*are left\\.")));
        clickOn("#carry-back").clickOn("#carry-subject");
        waitFor(() -> words().stream().anyMatch(text -> text.matches("23 photos: 23 wide, 0 tall\\..*")));
        clickOn("#carry-do");
        waitFor(() -> placement("fern-0160.jpg") instanceof Placement.Follow follow && !follow.isTuned());
        assertThat(((Placement.Follow) placement("fern-0160.jpg")).carry())
                .containsExactlyInAnyOrder(Carry.TIGHTNESS, Carry.POSITION);
        assertThat(List.of(state("fern-0142.jpg"), state("fern-0147.jpg")))
                .as("a tall one, and the lead")
                .containsExactly(PhotoCrop.State.FOLLOW, PhotoCrop.State.LEAD);
        push(KeyCode.CONTROL, KeyCode.Z);
        waitFor(() -> placement("fern-0160.jpg") instanceof Placement.Follow follow && follow.isTuned());
    }

    private Placement placement(String file) {
        return session().shoot().photo(file).entry("page").placement();
    }

    private PhotoCrop.State state(String file) {
        return session().crop(session().shoot().photo(file), session().format()).state();
    }
}
