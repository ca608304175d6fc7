package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.shape.Lens;
import nexa.core.shape.LensProfile;
import nexa.core.shape.Vignette;
import nexa.core.shoot.Photo;
import nexa.desktop.stage.PhotoStage;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Lenses are put right with real input: of many photos, by how much, by hand; and the edge that is wanted instead. */
class LensTest extends WindowTest {
    private static final String SHELF = "fern-0181.jpg";
    private static final String LENS = "Fernlight 35 mm f/2.8";

    @BeforeEach
    void openSheet() throws Exception {
        Path folder = sampleOf(SHELF, "fern-0176.jpg", "fern-0182.jpg", "fern-0147.jpg");
        open(folder);
    }

    private Optional<Lens> lens(String file) {
        return session().shoot().photo(file).preparation().lens();
    }

    private List<Boolean> putRight(String... files) {
        return List.of(files).stream().map(file -> lens(file).isPresent()).toList();
    }

    private void openLensPage() {
        goToEasel(SHELF);
        clickOn("#desk-shape");
        clickOn("#page-lens");
        waitFor(() -> lookup("#lens-name").<Labeled>query().getText().equals(LENS));
    }

    private Point mean() {
        Photo photo = session().photo().orElseThrow();
        Crop crop = crop();
        return photo.space().toStored(crop.centre());
    }

    @Test
    void ofThreePhotosFromTheSheetThenLessOfOneThenTakenBack() {
        clickOn("#sheet-photo-fern-0176");
        press(KeyCode.CONTROL)
                .clickOn("#sheet-photo-fern-0181")
                .clickOn("#sheet-photo-fern-0147")
                .release(KeyCode.CONTROL);
        waitFor(() -> session().chosenProperty().get().size() == 3);
        clickOn("#chosen-more").clickOn("Put lenses right …");
        waitFor(() -> words().contains(LENS + ": 2 photos"));
        assertThat(words()).contains("Not known, and left as they are: 1. fern-0147");
        clickOn("#lenses-do");
        waitFor(() -> lens(SHELF).isPresent());
        assertThat(putRight(SHELF, "fern-0176.jpg", "fern-0147.jpg", "fern-0182.jpg"))
                .containsExactly(true, true, false, false);

        openLensPage();
        Point before = mean();
        type("#lens-distortion-number", "50 %");
        waitFor(() -> lens(SHELF).orElseThrow().distortion() == 0.5);
        assertThat(mean().distance(before)).as("the crop stays on its scene").isLessThan(0.02);
        assertThat(session().photo().orElseThrow().outline().contains(crop(), 1e-6))
                .isTrue();
        type("#lens-distortion-number", "250");
        waitFor(() -> words().stream().anyMatch(text -> text.startsWith("“250” does not fit there.")));
        assertThat(lens(SHELF).orElseThrow().distortion()).isEqualTo(0.5);

        // By its button: held down on a slow machine, the keys undo more than once.
        clickOn("Undo");
        waitFor(() -> lens(SHELF).orElseThrow().distortion() == 1);
        clickOn("Undo");
        waitFor(() -> lens(SHELF).isEmpty());
        assertThat(putRight("fern-0176.jpg")).containsExactly(false);
    }

    @Test
    void aLensIsChosenWhereNoneIsKnownAndGivenToOthersTakenWithTheSame() {
        goToEasel("fern-0147.jpg");
        clickOn("#desk-shape");
        clickOn("#page-lens");
        waitFor(() -> lookup("#lens-name").<Labeled>query().getText().startsWith("Not known: Fernlight 50 mm"));
        assertThat(lookup("#lens-put-right").query().isDisabled()).isTrue();
        clickOn("#lens-choose-other");
        clickOn("#lens-search").write("20-40");
        waitFor(() -> lookup("#lenses").<ListView<?>>query().getItems().size() == 1);
        push(KeyCode.ENTER);
        waitFor(() -> lens("fern-0147.jpg").isPresent());
        assertThat(lens("fern-0147.jpg").flatMap(Lens::profile).map(LensProfile::name))
                .contains("Fernlight 20-40 mm f/4");
        type("#lens-bulge-number", "-20");
        waitFor(() -> lens("fern-0147.jpg").orElseThrow().bulge() == -20);
        clickOn("#lens-as-shot");
        waitFor(() -> lens("fern-0147.jpg").isEmpty());
    }

    @Test
    void lensAndEdgeAreCarriedEachForItself() {
        openLensPage();
        clickOn("#lens-put-right");
        waitFor(() -> lens(SHELF).isPresent());
        type("#lens-colour-number", "80");
        clickOn("#desk-colour");
        type("#edge-stops-number", "-1.5");
        Vignette wanted = new Vignette(-1.5, 0.7);
        waitFor(() -> session().photo().orElseThrow().preparation().vignette().equals(wanted));
        clickOn("#carry");
        clickOn("#carry-both");
        clickOn("#carry-lens");
        clickOn("#carry-edge");
        waitFor(() ->
                words().stream().anyMatch(text -> text.contains("The lens of 1 is not known and stays as shot.")));
        clickOn("#carry-do");
        waitFor(() -> lens("fern-0176.jpg").isPresent());
        assertThat(lens("fern-0176.jpg").orElseThrow().colour()).isCloseTo(0.8, within(1e-12));
        assertThat(lens("fern-0176.jpg").flatMap(Lens::profile))
                .as("its own profile, at its own focal length")
                .isNotEqualTo(lens(SHELF).flatMap(Lens::profile));
        assertThat(lens("fern-0147.jpg")).isEmpty();
        assertThat(session().shoot().photo("fern-0147.jpg").preparation().vignette())
                .isEqualTo(wanted);
    }

    /** Where a place of the photo is on screen. */
    private Point onScreen(double across, double down) {
        Node stage = lookup(".stage").query();
        Bounds bounds = stage.localToScreen(stage.getBoundsInLocal());
        PhotoStage photos = (PhotoStage) stage;
        Photo photo = session().photo().orElseThrow();
        Point at = photos.projection().orElseThrow().toScreen(photo.space().toPlane(new Point(across, down)));
        return new Point(bounds.getMinX() + at.x(), bounds.getMinY() + at.y());
    }

    private void clickAlong(double... places) {
        for (int i = 0; i < places.length; i += 2) {
            Point at = onScreen(places[i], places[i + 1]);
            moveTo(at.x(), at.y());
            clickOn(MouseButton.PRIMARY);
        }
    }

    @Test
    void aProfileOfOnesOwnIsMadeFromLinesAndKeptForOthers() throws Exception {
        openLensPage();
        clickOn("#lens-by-lines");
        waitFor(() -> lookup("#bent-bar").query().isVisible());
        // Level lines as a lens bends them outwards, above and below the middle.
        clickAlong(0.15, 0.36, 0.5, 0.34, 0.85, 0.36);
        clickOn("#bent-next");
        clickAlong(0.15, 0.65, 0.5, 0.67, 0.85, 0.65);
        clickOn("#bent-next");
        clickAlong(0.15, 0.5, 0.5, 0.5, 0.85, 0.5);
        waitFor(() -> !lookup("#bent-straighten").query().isDisabled());
        clickOn("#bent-straighten");
        waitFor(() -> lens(SHELF).isPresent());
        assertThat(words()).anyMatch(text -> text.startsWith("Straight within "));
        assertThat(lens(SHELF)
                        .orElseThrow()
                        .profile()
                        .orElseThrow()
                        .distortion()
                        .orElseThrow()
                        .terms()
                        .get(1))
                .as("bent outwards")
                .isLessThan(-0.01);
        // What is found instead.
        clickOn("#bent-find");
        waitFor(() -> lookup("#bent-keep").tryQuery().isEmpty());
        waitFor(() -> words().contains("4 lines"));
        clickOn("#bent-straighten");
        waitFor(() -> lookup("#bent-keep").tryQuery().isPresent());
        clickOn("#bent-keep");
        waitFor(() -> words().stream().anyMatch(text -> text.startsWith("Kept for " + LENS + " at 30 mm")));
        push(KeyCode.ESCAPE);
        waitFor(() -> !lookup("#bent-bar").query().isVisible());
        Optional<Lens> own = lens(SHELF);
        clickOn("#lens-as-shot");
        waitFor(() -> lens(SHELF).isEmpty());
        clickOn("#lens-put-right");
        waitFor(() -> lens(SHELF).isPresent());
        assertThat(lens(SHELF).flatMap(Lens::profile).flatMap(LensProfile::distortion))
                .as("one's own counts before the data")
                .isEqualTo(own.flatMap(Lens::profile).flatMap(LensProfile::distortion));
    }
}
