package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import nexa.core.format.Format;
import nexa.store.document.ShootDocument;
import nexa.store.user.Preferences;
import nexa.store.user.UserData;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A folder that Nexa has never seen: from a photo to a crop, and what goes then. */
class FirstMinuteTest extends WindowTest {
    @BeforeEach
    void openNewFolder() throws Exception {
        Path folder = sampleOf("fern-0138.jpg", "fern-0139.jpg");
        Files.delete(folder.resolve(ShootDocument.NAME));
        open(folder);
    }

    @Test
    void aCommonRatioIsOnePickAwayAndOneThatIsTypedToo() {
        goToEasel("fern-0138.jpg");
        clickOn("#add-format").clickOn("7 : 5   tall 5 : 7");
        waitFor(() -> session().format().name().equals("7 : 5"));
        awaitPicture();
        assertThat(crop().size().ratio()).isCloseTo(7 / 5.0, within(1e-9));
        assertThat(lookup("#format-name").tryQuery()).as("nothing to fill in").isEmpty();

        clickOn("#add-format").clickOn("#typed-ratio").write("nonsense").push(KeyCode.ENTER);
        waitFor(() -> words().contains("A ratio is two numbers, like 5:7 or 2.39:1."));
        push(KeyCode.ESCAPE);
        clickOn("#add-format").clickOn("#typed-ratio").write("11:4").push(KeyCode.ENTER);
        waitFor(() -> session().format().name().equals("11 : 4"));
        awaitPicture();
        assertThat(crop().size().ratio()).isCloseTo(11 / 4.0, within(1e-9));

        clickOn("#add-format").clickOn("7 : 5   tall 5 : 7");
        waitFor(() -> session().format().name().equals("7 : 5"));
        assertThat(session().shoot().formats().stream().filter(one -> one.name().equals("7 : 5")))
                .as("what is there already is not added again")
                .hasSize(1);
    }

    @Test
    void nothingGoesUntilACropIsMadeOrAFormatIsLetGo() {
        push(KeyCode.F8);
        waitFor(() -> lookup("#deliver").<Labeled>query().getText().equals("Deliver nothing"));
        assertThat(words()).contains("waits");
        clickOn("#goes-square");
        waitFor(() -> lookup("#deliver").<Labeled>query().getText().equals("Deliver 2 files"));
        goToEasel("fern-0139.jpg");
        push(KeyCode.DIGIT2);
        waitFor(() -> session().formatProperty().get().equals("post"));
        awaitPicture();
        push(KeyCode.RIGHT);
        push(KeyCode.ENTER);
        waitFor(() -> session().shoot().format("post").goes());
        assertThat(session().shoot().formats().stream().filter(Format::goes).map(Format::id))
                .containsExactly("post", "square");

        waitFor(() -> words().contains("1 of 2 done"));
        push(KeyCode.DIGIT3);
        waitFor(() -> words().contains("0 of 2 done"));
        push(KeyCode.M);
        interact(() -> shell.close());
        try (Preferences kept = Preferences.load(new UserData(temporary))) {
            assertThat(kept.get("mat"))
                    .as("what was preferred last is written before the program ends")
                    .isPresent();
        }
    }
}
