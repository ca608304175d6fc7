package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Bounds;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javax.imageio.ImageIO;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.shoot.Shoot;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.testfx.util.WaitForAsyncUtils;

/** From a folder of photos to one delivered crop. */
class FirstCropTest extends WindowTest {
    private Path folder;
    private Map<String, Long> photos;

    @BeforeEach
    void openSample() throws Exception {
        folder = sample();
        photos = Checksums.of(folder);
        open(folder);
    }

    @AfterEach
    void thePhotosWereOnlyRead() throws Exception {
        assertThat(Checksums.of(folder)).isEqualTo(photos);
    }

    @Test
    void aCropIsMadeKeptUndoneFoundAgainAndDelivered() throws Exception {
        goToEasel("fern-0147.jpg");
        clickOn("#format-tile");
        waitFor(() -> session().formatProperty().get().equals("tile"));
        assertThat(session().formatProperty().get()).isEqualTo("tile");
        awaitPicture();
        Crop first = crop();
        assertThat(first.size().ratio()).isCloseTo(1, within(1e-9));

        Crop resized = resized(first);
        Crop slid = slid(resized);
        assertUndoingGoesToWhatItChanged(resized, slid);
        assertFoundAgain(slid);
        assertDelivered(slid);
    }

    private Crop resized(Crop first) {
        dragBy("#handle-bottom_right", -120, -90);
        Crop resized = crop();
        assertThat(resized.size().width()).isLessThan(first.size().width() - 50);
        assertThat(topLeft(resized).distance(topLeft(first))).isLessThan(1e-6);
        return resized;
    }

    private Crop slid(Crop resized) {
        awaitStill();
        Bounds stage =
                lookup(".stage").query().localToScreen(lookup(".stage").query().getBoundsInLocal());
        drag(stage.getCenterX(), stage.getCenterY(), MouseButton.PRIMARY)
                .moveBy(60, 30)
                .drop();
        WaitForAsyncUtils.waitForFxEvents();
        waitFor(() -> !crop().equals(resized));
        Crop slid = crop();
        assertThat(slid.size().width()).isEqualTo(resized.size().width());
        assertThat(slid.centre().x())
                .as("the photo goes right, so the crop goes left over it")
                .isLessThan(resized.centre().x());
        return slid;
    }

    private void assertUndoingGoesToWhatItChanged(Crop resized, Crop slid) {
        push(KeyCode.PAGE_DOWN);
        waitFor(() -> isAt("fern-0148.jpg"));
        assertThat(session().photo().orElseThrow().file()).isEqualTo("fern-0148.jpg");

        push(KeyCode.CONTROL, KeyCode.Z);
        waitFor(() -> isAt("fern-0147.jpg"));
        assertThat(session().photo().orElseThrow().file())
                .as("undoing goes to what it changed")
                .isEqualTo("fern-0147.jpg");
        assertSame(crop(), resized);
        push(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
        waitFor(() -> !crop().equals(resized));
        assertSame(crop(), slid);
    }

    private void assertFoundAgain(Crop slid) throws Exception {
        Shoot before = session().shoot();
        closeAndReopen(folder);
        assertThat(session().shoot())
                .usingRecursiveComparison()
                // Read of the pixels, in the background.
                .ignoringFieldsMatchingRegexes(".*texture")
                .withComparatorForType((a, b) -> Math.abs(a - b) < 1e-9 ? 0 : 1, Double.class)
                .isEqualTo(before);
        goToEasel("fern-0147.jpg");
        clickOn("#format-tile");
        waitFor(() -> session().formatProperty().get().equals("tile"));
        assertSame(crop(), slid);
    }

    private void assertDelivered(Crop slid) throws Exception {
        clickOn("#stop-handover");
        clickInTurn("#goes-page", "#goes-feed", "#goes-own");
        clickOn("#deliver");
        waitFor(() -> detail().contains("delivered into"));
        int side = (int) Math.round(slid.size().width());
        Path file = folder.resolve("delivery/shop/fern-0147 " + side + "x" + side + ".jpg");
        BufferedImage delivered = ImageIO.read(file.toFile());
        assertThat(delivered.getWidth()).isEqualTo(side);
        assertThat(delivered.getHeight()).isEqualTo(side);
        try (var files = Files.list(folder.resolve("delivery/shop"))) {
            assertThat(files.count()).as("every photo but the damaged one").isEqualTo(41);
        }
    }

    @Test
    void theKeyboardAloneMakesACrop() {
        push(KeyCode.F5);
        awaitStill("#sheet-photo-fern-0169");
        clickOn("#sheet-photo-fern-0169");
        waitFor(() -> isAt("fern-0169.jpg"));
        interact(() -> lookup("#sheet").query().requestFocus());
        push(KeyCode.ENTER);
        awaitPicture();
        push(KeyCode.DIGIT1);
        Crop wide = session().photo().orElseThrow().outline().untouched(4 / 3.0);
        push(KeyCode.W);
        waitFor(() -> crop().size().ratio() < 1);
        assertThat(crop().size().ratio()).isCloseTo(0.75, within(1e-9));
        push(KeyCode.W);
        waitFor(() -> crop().size().ratio() > 1);
        push(KeyCode.HOME);
        waitFor(() -> crop().size().width() > wide.size().width() - 1e-6);
        assertThat(crop().size().width()).isCloseTo(wide.size().width(), within(1e-6));
        assertThat(crop().centre().distance(wide.centre())).isLessThan(1e-6);
        pushAtOnce(KeyCode.PLUS, KeyCode.PLUS);
        push(KeyCode.ENTER);
        waitFor(() -> session().shoot().photo("fern-0169.jpg").entry("page").isDone());
        assertThat(session().shoot().photo("fern-0169.jpg").entry("page").isDone())
                .isTrue();
        waitFor(() -> isAt("fern-0170.jpg"));
        push(KeyCode.PAGE_UP);
        waitFor(() -> isAt("fern-0169.jpg"));
        assertThat(crop().size().width()).isCloseTo(wide.size().width() * 0.96 * 0.96, within(1e-6));
        assertThat(session().edits().historyProperty().get().edits())
                .as("keys that follow each other are one edit")
                .hasSize(5);
    }

    @Test
    void goingOnWhileAGestureIsNotYetAnEditKeepsIt() {
        goToEasel("fern-0147.jpg");
        Crop before = crop();
        push(KeyCode.PLUS);
        waitFor(() -> lookup(".stage-tag").<Labeled>query().getText().startsWith("65"));
        interact(() -> session().goTo(Optional.of("fern-0150.jpg")));
        interact(() -> session().goTo(Optional.of("fern-0147.jpg")));
        assertThat(crop().size().width()).isCloseTo(before.size().width() * 0.96, within(1e-6));
    }

    private boolean isAt(String file) {
        return session().photo().orElseThrow().file().equals(file);
    }

    private String detail() {
        return lookup("#delivery-detail").<Labeled>query().getText();
    }

    private Point topLeft(Crop crop) {
        return crop.at(0, 0, session().photo().orElseThrow().angle());
    }
}
