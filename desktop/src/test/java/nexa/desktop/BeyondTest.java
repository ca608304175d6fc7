package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Stream;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javax.imageio.ImageIO;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Size;
import nexa.core.series.Adjust;
import nexa.core.series.Passing;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Beyond;
import nexa.core.shoot.Colour;
import nexa.core.shoot.Edit;
import org.junit.jupiter.api.Test;

/** A crop that takes in room which its photo does not have. */
class BeyondTest extends WindowTest {
    private static final String BUST = "fern-0185.jpg";
    private static final String BOTTLE = "fern-0169.jpg";

    private PhotoCrop cropNow() {
        return session().crop().orElseThrow();
    }

    private boolean isSeen(String query) {
        return lookup(query).query().isVisible();
    }

    private String said() {
        return lookup("#beyond-said").<Labeled>query().getText();
    }

    private void fillBy(String how) {
        awaitStill("#beyond-fill");
        clickOn("#beyond-fill");
        clickOn(how);
    }

    /** On the easel, in a free format, where the crop's right side lies well inside the photo. */
    private void openWithRoomToTheEdge(String file) throws Exception {
        open(sampleOf(file));
        interact(() -> {
            session().formatProperty().set("own");
            session().goTo(Optional.of(file));
            Size photo = session().photo().orElseThrow().size();
            session()
                    .edit(
                            Edit.Kind.RESIZE,
                            shoot -> new Adjust(shoot, file, "own").to(new Crop(photo.middle(), photo.times(0.9))));
        });
        goToEasel(file);
    }

    @Test
    void aSideStopsAtTheEdgeUntilTheCropMayReachBeyondIt() throws Exception {
        openWithRoomToTheEdge(BOTTLE);
        dragBy("#handle-right", 200, 0);
        assertThat(cropNow().beyond()).isZero();
        push(KeyCode.E);
        waitFor(() -> isSeen("#beyond-bar"));
        assertThat(said()).isEqualTo("May reach beyond the photo: drag a side past its edge");
        dragBy("#handle-right", 60, 0);
        waitFor(() -> cropNow().beyond() > 0);
        waitFor(() -> cropNow().passing().isPresent() && said().contains(" % not photo"));
        double share = cropNow().beyond();

        push(KeyCode.E);
        waitFor(() -> cropNow().beyond() == 0 && !isSeen("#beyond-bar"));
        push(KeyCode.E);
        waitFor(() -> cropNow().beyond() > 0);
        assertThat(cropNow().beyond()).isCloseTo(share, within(1e-9));
        clickOn("Undo");
        clickOn("Undo");
        clickOn("Undo");
        waitFor(() -> cropNow().beyond() == 0);
    }

    @Test
    void asFarAsItGoesIsSaidAndWhatIsFilledIsHatchedForAMoment() throws Exception {
        openWithRoomToTheEdge(BOTTLE);
        push(KeyCode.E);
        waitFor(() -> isSeen("#beyond-bar"));
        AtomicBoolean wasHatched = new AtomicBoolean();
        interact(() -> lookup("#beyond-hatch")
                .query()
                .visibleProperty()
                .addListener((observed, before, now) -> wasHatched.compareAndSet(false, now)));
        // The photo goes with the pointer, and the crop over it the other way.
        drag(".stage", MouseButton.PRIMARY).moveBy(-60, 0).moveBy(-300, 0);
        drop();
        waitFor(() -> said().endsWith("no further"));
        assertThat(wasHatched).isTrue();
        waitFor(() -> !isSeen("#beyond-hatch"));
    }

    @Test
    void itIsFilledAsAskedAndAColourThatIsNoneIsTold() throws Exception {
        openWithRoomToTheEdge(BUST);
        push(KeyCode.E);
        waitFor(() -> isSeen("#beyond-bar"));
        dragBy("#handle-right", 60, 0);
        waitFor(() -> cropNow().passing().equals(Optional.of(Passing.PASSES)));
        fillBy("stretched");
        waitFor(() -> entry().fill() == Beyond.Fill.STRETCH);
        fillBy("white");
        waitFor(() -> entry().colour().equals(Optional.of(Colour.WHITE)));
        waitFor(() -> isSeen("#beyond-colour"));
        type("#beyond-colour", "greenish");
        waitFor(() -> words().stream().anyMatch(words -> words.startsWith("greenish is no colour")));
        assertThat(entry().colour()).contains(Colour.WHITE);
        type("#beyond-colour", "#20a040");
        waitFor(() -> entry().colour().equals(Optional.of(new Colour(0x20, 0xa0, 0x40))));
    }

    private Beyond entry() {
        return cropNow().photo().entry("own").beyond();
    }

    @Test
    void whatWasFilledIsDeliveredAndToldBeforeItGoes() throws Exception {
        Path folder = sampleOf(BUST);
        open(folder);
        interact(() -> session().formatProperty().set("banner"));
        goToEasel(BUST);
        waitFor(() -> isSeen("#beyond-bar"));
        assertThat(said()).startsWith("20 % not photo");
        fillBy("a colour …");
        waitFor(() -> isSeen("#beyond-colour"));
        type("#beyond-colour", "#20a040");
        waitFor(() -> cropNow().photo().entry("banner").beyond().colour().equals(Optional.of(new Colour(32, 160, 64))));

        clickOn("#stop-handover");
        awaitStill("#goes-banner");
        clickOn("#goes-banner");
        awaitStill("#deliver");
        waitFor(() -> words().contains("1 crop reaches beyond the photo: 20.0 % of it is not photo."));
        clickOn("#deliver");
        waitFor(() -> banner(folder).isPresent());
        BufferedImage image = ImageIO.read(banner(folder).orElseThrow().toFile());
        assertThat(image.getWidth()).isEqualTo(1920);
        assertColour(image.getRGB(20, 400), 32, 160, 64);
        assertColour(image.getRGB(image.getWidth() - 20, 400), 32, 160, 64);
        int plain = image.getRGB(260, 60);
        assertThat(plain >> 8 & 0xFF).as("the backdrop").isBetween(80, 180);
    }

    private static Optional<Path> banner(Path folder) throws IOException {
        Path into = folder.resolve("delivery").resolve("banner");
        if (!Files.exists(into)) {
            return Optional.empty();
        }
        try (Stream<Path> files = Files.list(into)) {
            return files.filter(one -> one.getFileName().toString().startsWith("fern-0185"))
                    .findFirst();
        }
    }

    private static void assertColour(int rgb, int red, int green, int blue) {
        assertThat(rgb >> 16 & 0xFF).isCloseTo(red, within(6));
        assertThat(rgb >> 8 & 0xFF).isCloseTo(green, within(6));
        assertThat(rgb & 0xFF).isCloseTo(blue, within(6));
    }
}
