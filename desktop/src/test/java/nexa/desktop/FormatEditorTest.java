package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import nexa.core.format.FileSpec;
import nexa.core.format.Format;
import nexa.core.format.OutputSize;
import nexa.core.format.Ratio;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Changing a format, with real input. */
class FormatEditorTest extends WindowTest {
    @BeforeEach
    void openEditor() throws Exception {
        open(sample());
        push(KeyCode.F8);
        awaitStill("#change-feed");
        clickOn("#change-feed");
        awaitStill("#format-name");
    }

    @Test
    void anyRatioCanBeTypedAndTheSizeGoesAlong() {
        typeInBox("#format-ratio", "1.91:1");
        waitFor(() -> format().ratio().equals(Ratio.of("1.91", "1")));
        assertThat(format().size()).isEqualTo(new OutputSize.Pixels(1080, 565));
        typeInBox("#format-ratio", "2,39");
        waitFor(() -> format().ratio().equals(Ratio.of("2.39", "1")));
        typeInBox("#format-ratio", "a:b");
        waitFor(() -> words().stream().anyMatch(text -> text.startsWith("Not like this")));
        assertThat(format().ratio()).as("left as it was").isEqualTo(Ratio.of("2.39", "1"));
    }

    @Test
    void aSizeThatDoesNotFitTheRatioIsNotTakenAndSaysWhy() {
        interact(() -> lookup("#format-width").<TextField>query().setText("1200"));
        clickOn("#format-width");
        push(KeyCode.ENTER);
        waitFor(() -> words().stream().anyMatch(text -> text.contains("must agree with its ratio")));
        assertThat(format().size()).isEqualTo(new OutputSize.Pixels(1080, 1350));
    }

    @Test
    void aPaperNearlyOfTheSameRatioSaysByHowMuchItMisses() {
        clickOn("#format-papers").clickOn("8 × 10 in");
        waitFor(() -> format().ratio().equals(Ratio.of("10", "8")));
        typeInBox("#format-ratio", "1.29:1");
        waitFor(() -> format().ratio().equals(Ratio.of("1.29", "1")));
        clickOn("#format-papers").clickOn("Letter, 8.5 × 11 in");
        waitFor(() -> words().stream().anyMatch(text -> text.contains("easily mistaken for one another")));
        assertThat(format().ratio()).isEqualTo(Ratio.of("11", "8.5"));
    }

    @Test
    void theFilesAreSetWithTheirNameShownAsItWillBe() {
        interact(() -> lookup("#file-kind")
                .<ComboBox<String>>query()
                .getSelectionModel()
                .select("TIFF"));
        waitFor(() -> format().file().type() == FileSpec.Type.TIFF);
        waitFor(() -> lookup("#file-depth").tryQuery().isPresent());
        clickOn("#file-enlarges");
        waitFor(() -> !format().file().enlarges());
        interact(() -> {
            TextField name = lookup("#file-name").query();
            name.setText("post ");
            name.end();
        });
        clickOn("#word-size");
        waitFor(() -> format().file().name().equals("post {size}"));
        assertThat(words()).anyMatch(text -> text.startsWith("For example feed/post ") && text.endsWith(".tif"));
        interact(() -> lookup("#file-name").<TextField>query().setText("post {weight}"));
        waitFor(() -> words().stream().anyMatch(text -> text.contains("{weight}")));
        assertThat(format().file().name()).isEqualTo("post {size}");
    }

    private Format format() {
        return session().shoot().format("feed");
    }

    private void typeInBox(String box, String text) {
        interact(() -> {
            ComboBox<String> combo = lookup(box).query();
            combo.getEditor().requestFocus();
            combo.getEditor().setText(text);
        });
        push(KeyCode.ENTER);
    }
}
