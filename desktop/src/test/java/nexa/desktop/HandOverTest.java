package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** Files delivered, stopped in the middle, and gone on with. */
class HandOverTest extends WindowTest {
    @Test
    void aDeliveryIsStoppedInTheMiddleAndGoesOn() throws Exception {
        Path folder = sample();
        open(folder);
        clickOn("#stop-handover");
        deliverAndPause(folder);
        clickOn("#stop-delivery");
        waitFor(() -> detail().startsWith("Stopped."));
        List<String> first = delivered(folder);
        assertThat(first.size()).isLessThan(82);

        clickOn("#deliver");
        waitFor(() -> detail().contains("there already, just the same"));
        assertThat(delivered(folder)).hasSize(82).containsAll(first);
        assertThat(folder.resolve("delivery/nexa-files.csv")).exists();
    }

    @Test
    void whatGoesWithEachFileIsSetOnceAndShowLeadsToWhatItTellsOf() throws Exception {
        Path folder = sample();
        open(folder);
        push(KeyCode.F8);
        awaitStill("#deliver");
        interact(() -> {
            lookup("#terms-copyright").<TextField>query().setText("© Fernhill Pottery");
            lookup("#terms-list").<CheckBox>query().setSelected(false);
        });
        clickInTurn("#goes-page", "#goes-own", "#goes-tile", "#which-selects");
        waitFor(() -> lookup("#deliver").<Labeled>query().getText().equals("Deliver 1 file"));
        clickOn("#deliver");
        waitFor(() -> detail().contains("1 file delivered"));
        Path file = folder.resolve("delivery").resolve(delivered(folder).get(0));
        ExifIFD0Directory told =
                ImageMetadataReader.readMetadata(file.toFile()).getFirstDirectoryOfType(ExifIFD0Directory.class);
        assertThat(told.getString(ExifIFD0Directory.TAG_COPYRIGHT)).isEqualTo("© Fernhill Pottery");
        assertThat(folder.resolve("delivery/nexa-files.csv")).doesNotExist();

        clickOn("#which-all_but_out");
        waitFor(() -> lookup("#show-untouched").tryQuery().isPresent());
        clickOn("#show-untouched");
        waitFor(() -> lookup("#sheet-photo-fern-0138").tryQuery().isPresent());
        assertThat(session().chosenProperty().get()).hasSizeGreaterThan(20);
        assertThat(session().formatProperty().get()).isEqualTo("feed");
    }

    @Test
    void whatMayLeaveWithTheMakersNotesIsSaidWhereTheyAreTicked() throws Exception {
        open(sample());
        push(KeyCode.F8);
        awaitStill("#deliver");
        assertThat(lookup("#terms-makerNotes-warning").query().isVisible()).isFalse();
        interact(() -> lookup("#terms-makerNotes").<CheckBox>query().setSelected(true));
        waitFor(() -> isShown(lookup("#terms-makerNotes-warning").query()));
        assertThat(words()).anyMatch(text -> text.contains("Places, and pictures of the whole photo, may be in it"));
        interact(() -> lookup("#terms-camera").<CheckBox>query().setSelected(false));
        assertThat(lookup("#terms-makerNotes").query().isDisabled()).isTrue();
        assertThat(lookup("#terms-makerNotes-warning").query().isVisible()).isFalse();
    }

    @Test
    void aDeliveryGoesOnBehindEverythingAndClosingTheWindowAsks() throws Exception {
        Path folder = sample();
        open(folder);
        push(KeyCode.F8);
        deliverAndPause(folder);
        push(KeyCode.F5);
        waitFor(() -> lookup("#delivery-tag").<Labeled>query().getText().startsWith("Delivering"));

        clickOn(".shoot-title");
        waitFor(() -> shell.session().isEmpty());
        waitFor(() -> lookup("#delivery-tag").<Labeled>query().getText().startsWith("Delivering"));
        interact(() -> assertThat(shell.mayClose()).isFalse());
        waitFor(() -> words().contains("A delivery is under way"));
        clickOn("#closing-stay");
        waitFor(() -> lookup("#closing-stay").tryQuery().isEmpty());

        clickOn("#delivery-tag");
        waitFor(() ->
                lookup("#pause-delivery").tryQuery().map(WindowTest::isShown).orElse(false));
        clickOn("#pause-delivery");
        waitFor(() -> detail().startsWith("82 files delivered"));
        interact(() -> assertThat(shell.mayClose()).isTrue());
        assertThat(delivered(folder)).hasSize(82);
        waitFor(() -> words().stream().anyMatch(text -> text.matches(".*: 82 files delivered in [\\d.]+ s.*")));
        push(KeyCode.ESCAPE);
        waitFor(() -> lookup("#delivery-detail").tryQuery().isEmpty());
        awaitStill("#delivered-open");
        clickOn("#delivered-open");
        waitFor(() -> !openedOutside.isEmpty());
        assertThat(openedOutside).hasSize(1).allMatch(opened -> opened.endsWith("delivery"));
        assertThat(lookup("#delivery-tag").tryQuery().map(WindowTest::isShown)).hasValue(false);
    }

    /** Begins to deliver two formats and pauses before they are all delivered. */
    private void deliverAndPause(Path folder) {
        clickInTurn("#goes-page", "#goes-own");
        waitFor(() -> lookup("#deliver").<Labeled>query().getText().matches("Deliver 8[0-9] files"));
        clickOn("#deliver");
        waitFor(() -> !delivered(folder).isEmpty());
        clickOn("#pause-delivery");
        waitFor(() -> lookup("#pause-delivery").<Labeled>query().getText().equals("Go on"));
    }

    private static List<String> delivered(Path folder) throws Exception {
        Path delivery = folder.resolve("delivery");
        if (!Files.exists(delivery)) {
            return List.of();
        }
        try (Stream<Path> files = Files.walk(delivery)) {
            return files.map(file -> delivery.relativize(file).toString())
                    .filter(name -> name.endsWith(".jpg"))
                    .toList();
        }
    }

    private String detail() {
        return lookup("#delivery-detail").<Labeled>query().getText();
    }
}
