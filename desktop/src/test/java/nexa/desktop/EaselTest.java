package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import nexa.core.format.Format;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.shoot.Photo;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Everything that is done to one photo on the easel, with real input. */
class EaselTest extends WindowTest {
    private Path folder;

    @BeforeEach
    void openSample() throws Exception {
        folder = sampleOf("fern-0139.jpg", "fern-0147.jpg", "fern-0169.jpg");
        open(folder);
        goToEasel("fern-0169.jpg");
    }

    @Test
    void aTracedLineLevelsAndTurningBackGivesTheFirstCrop() {
        double before = angle();
        Crop first = crop();
        push(KeyCode.L);
        waitFor(() -> isSelected("#trace"));
        Bounds stage = placeOf(".stage");
        drag(stage.getCenterX() - 200, stage.getCenterY(), MouseButton.PRIMARY)
                .moveTo(stage.getCenterX() + 200, stage.getCenterY() + 14)
                .drop();
        waitFor(() -> angle() != before);
        assertThat(angle()).isCloseTo(before - 2.0, within(0.3));
        assertThat(isSelected("#trace")).as("the tool is for one line").isFalse();
        assertThat(words()).contains("1 line traced");

        push(KeyCode.CONTROL, KeyCode.Z);
        waitFor(() -> angle() == before);
        assertThat(crop()).isEqualTo(first);
    }

    @Test
    void theBarOfTracedLinesLiesOverNoneOfThem() {
        double before = angle();
        Bounds stage = placeOf(".stage");
        push(KeyCode.L);
        waitFor(() -> isSelected("#trace"));
        drag(stage.getCenterX() - 200, stage.getMaxY() - 60, MouseButton.PRIMARY)
                .moveTo(stage.getCenterX() + 200, stage.getMaxY() - 50)
                .drop();
        waitFor(() -> angle() != before);
        awaitStill();
        awaitStill(".trace-bar");
        assertThat(placeOf(".trace-bar").intersects(placeOf(".trace-line")))
                .as("the bar at " + placeOf(".trace-bar") + ", the line at " + placeOf(".trace-line"))
                .isFalse();
        push(KeyCode.CONTROL, KeyCode.Z);
        waitFor(() -> angle() == before);
    }

    @Test
    void linesThatDisagreeTurnNothingUntilOneIsChosen() {
        Bounds stage = placeOf(".stage");
        push(KeyCode.L);
        waitFor(() -> isSelected("#trace"));
        drag(stage.getCenterX() - 200, stage.getCenterY(), MouseButton.PRIMARY)
                .moveTo(stage.getCenterX() + 200, stage.getCenterY() + 21)
                .drop();
        waitFor(() -> !isSelected("#trace"));
        awaitStill();
        double byFirst = angle();
        push(KeyCode.L);
        waitFor(() -> isSelected("#trace"));
        press(KeyCode.CONTROL);
        drag(stage.getCenterX() - 200, stage.getCenterY() + 80, MouseButton.PRIMARY)
                .moveTo(stage.getCenterX() + 200, stage.getCenterY() + 120)
                .drop();
        release(KeyCode.CONTROL);
        waitFor(() -> words().stream().anyMatch(text -> text.startsWith("These lines differ by")));
        assertThat(angle()).isEqualTo(byFirst);
        clickOn(lookup(".trace-bar .button").queryAll().stream()
                .filter(node -> ((Labeled) node).getText().startsWith("By the one"))
                .findFirst()
                .orElseThrow());
        waitFor(() -> words().contains("1 line traced"));
    }

    @Test
    void aLineTooShortToMeanAnythingSaysSoAndDoesNothing() {
        double before = angle();
        Bounds stage = placeOf(".stage");
        push(KeyCode.L);
        waitFor(() -> isSelected("#trace"));
        drag(stage.getCenterX(), stage.getCenterY(), MouseButton.PRIMARY)
                .moveBy(30, 4)
                .drop();
        waitFor(() -> words().stream().anyMatch(text -> text.startsWith("That line is too short")));
        assertThat(angle()).isEqualTo(before);
    }

    @Test
    void aLineIsTracedAndTheSubjectMarkedByKeysAlone() {
        double before = angle();
        interact(() -> lookup(".stage").query().requestFocus());
        push(KeyCode.L);
        waitFor(() -> isSelected("#trace"));
        push(KeyCode.ENTER);
        for (int i = 0; i < 8; i++) {
            push(KeyCode.SHIFT, KeyCode.RIGHT);
        }
        push(KeyCode.SHIFT, KeyCode.DOWN);
        push(KeyCode.ENTER);
        waitFor(() -> angle() != before);
        assertThat(angle()).as("20 px down on 160").isCloseTo(before - 7.125, within(0.01));

        push(KeyCode.P);
        waitFor(() -> words().stream().anyMatch(text -> text.startsWith("Click on the subject")));
        push(KeyCode.ENTER);
        push(KeyCode.ENTER);
        waitFor(() -> photo().subject().isPresent());
        assertThat(photo().subject().orElseThrow().radius())
                .as("a point, as by a click")
                .isEmpty();
    }

    @Test
    void theVernierKeysATypedAngleAndADragOutsideTurnThePhoto() {
        double before = angle();
        Bounds vernier = placeOf("#vernier");
        drag(vernier.getCenterX(), vernier.getCenterY(), MouseButton.PRIMARY)
                .moveBy(64, 0)
                .drop();
        waitFor(() -> angle() != before);
        assertThat(angle()).isCloseTo(before + 2, within(0.1));
        double afterDrag = angle();

        push(KeyCode.RIGHT);
        push(KeyCode.RIGHT);
        // On a slow machine the two presses are far enough apart to be two gestures.
        waitFor(() -> angle() > afterDrag + 0.015);
        assertThat(angle()).as("arrow keys on the vernier go by hundredths").isCloseTo(afterDrag + 0.02, within(1e-9));

        type("#angle", "−3.25°");
        waitFor(() -> angle() == -3.25);
        assertThat(angle()).isEqualTo(-3.25);

        awaitStill();
        Bounds stage = placeOf(".stage");
        Bounds edge = placeOf(".crop-edge");
        Point2D outside = new Point2D(edge.getMinX() - 40, stage.getCenterY());
        drag(outside.getX(), outside.getY(), MouseButton.PRIMARY).moveBy(0, -40).drop();
        waitFor(() -> angle() != -3.25);
        assertThat(angle()).as("up on the left turns clockwise").isGreaterThan(-3.25 + 2);
        assertThat(session().photo().orElseThrow().outline().contains(crop(), 1e-6))
                .isTrue();

        doubleClickOn("#vernier");
        waitFor(() -> angle() == 0);
        assertThat(angle()).isZero();
    }

    @Test
    void quartersAndMirroringTakeTheCropAlong() {
        dragBy("#handle-bottom_right", -160, -120);
        Crop before = crop();
        push(KeyCode.CONTROL, KeyCode.RIGHT);
        waitFor(() -> photo().preparation().turn().degrees() == 90);
        assertThat(crop().size().width()).isCloseTo(before.size().height(), within(1e-6));
        clickOn("#reorient-left");
        waitFor(() -> photo().preparation().turn().degrees() == 0);
        assertSame(crop(), before);
        clickOn("#level-more").clickOn("Mirror left to right");
        waitFor(() -> photo().preparation().isMirrored());
        assertThat(crop().centre().x())
                .isCloseTo(photo().size().width() - before.centre().x(), within(1e-6));
    }

    @Test
    void aCropIsDrawnAnewTheWayTheDragLeads() {
        awaitStill();
        Bounds stage = placeOf(".stage");
        push(KeyCode.N);
        waitFor(() -> words().stream().anyMatch(text -> text.startsWith("Draw the crop anew.")));
        drag(stage.getCenterX() - 60, stage.getCenterY() - 150, MouseButton.PRIMARY)
                .moveBy(130, 260)
                .drop();
        waitFor(() -> crop().size().ratio() < 1);
        assertThat(crop().size().ratio()).isCloseTo(0.75, within(1e-9));
        push(KeyCode.W);
        waitFor(() -> crop().size().ratio() > 1);
        assertThat(session().edits().historyProperty().get().edits()).hasSize(2);
    }

    @Test
    void numbersAreTypedInPixelsAndOnPaper() {
        type("#number-width", "1200");
        waitFor(() -> crop().size().width() == 1200);
        assertThat(crop().size().height()).isCloseTo(900, within(1e-9));
        awaitStill();
        type("#number-width", "8 cm");
        waitFor(() -> crop().size().width() < 1000);
        assertThat(crop().size().width()).isCloseTo(8 / 2.54 * 300, within(1e-6));
        type("#number-width", "90000");
        waitFor(() -> words().stream().anyMatch(text -> text.startsWith("The photo's edges")));
        assertThat(session().photo().orElseThrow().outline().contains(crop(), 1e-6))
                .isTrue();
        type("#number-left", "wide");
        waitFor(() -> words().stream().anyMatch(text -> text.contains("“wide” can’t be used here")));
    }

    @Test
    void guidesAreSteppedLaidTogetherTurnedAndKeptForTheNextRun() throws Exception {
        push(KeyCode.G);
        waitFor(() -> isSelected("#guide-golden"));
        assertThat(isSelected("#guide-thirds")).isFalse();
        clickOn("#guide-spiral");
        waitFor(() -> isSelected("#guide-spiral"));
        interact(() -> lookup(".stage").query().requestFocus());
        push(KeyCode.T);
        press(KeyCode.CONTROL).clickOn("#guide-thirds").release(KeyCode.CONTROL);
        waitFor(() -> isSelected("#guide-thirds"));
        assertThat(isSelected("#guide-spiral")).isTrue();
        closeAndReopen(folder);
        goToEasel("fern-0169.jpg");
        assertThat(isSelected("#guide-spiral")).isTrue();
        assertThat(isSelected("#guide-thirds")).isTrue();
    }

    @Test
    void withThePhotoHeldStillTheCropGoesWithThePointer() {
        dragBy("#handle-bottom_right", -160, -120);
        push(KeyCode.Q);
        waitFor(() -> isSelected("#holds-photo"));
        awaitStill();
        Crop before = crop();
        Bounds edge = placeOf(".crop-edge");
        drag(edge.getCenterX(), edge.getCenterY(), MouseButton.PRIMARY)
                .moveBy(50, 20)
                .drop();
        waitFor(() -> !crop().equals(before));
        assertThat(crop().centre().x()).isGreaterThan(before.centre().x());
        Bounds moved = placeOf(".crop-edge");
        assertThat(moved.getCenterX()).isCloseTo(edge.getCenterX() + 50, within(3.0));
    }

    @Test
    void zoomedInHandlesPlaceEdgesToThePixelAndTheViewStays() {
        dragBy("#handle-bottom_right", -300, -225);
        awaitStill();
        Bounds handle = placeOf("#handle-bottom_right");
        moveTo(handle.getCenterX() - 5, handle.getCenterY() - 5);
        double fitted = placeOf(".crop-edge").getWidth();
        push(KeyCode.DIGIT0);
        waitFor(() -> placeOf(".crop-edge").getWidth() > fitted + 10);
        awaitStill();
        assertThat(placeOf(".crop-edge").getWidth()).isCloseTo(crop().size().width(), within(4.0));
        Bounds grip = placeOf("#handle-bottom_right");
        Crop before = crop();
        drag(grip.getCenterX(), grip.getCenterY(), MouseButton.PRIMARY)
                .moveBy(-40, -30)
                .drop();
        waitFor(() -> !crop().equals(before));
        assertThat(crop().size().width())
                .as("a screen pixel is a pixel of the photo")
                .isCloseTo(before.size().width() - 40, within(2.0));
        push(KeyCode.DIGIT0);
        waitFor(() -> placeOf(".crop-edge").getWidth() < crop().size().width());
    }

    @Test
    void formatsAreAddedChangedAndRemovedAndUndone() {
        List<Format> before = session().shoot().formats();
        clickOn("#add-format").clickOn("One with a size…");
        waitFor(() -> lookup("#format-name").tryQuery().isPresent());
        type("#format-name", "Cinema");
        waitFor(() -> session().format().name().equals("Cinema"));
        clickOn("#format-papers").clickOn("A6, 105 × 148 mm");
        waitFor(() -> session().format().ratio().toString().equals("148:105"));
        push(KeyCode.ESCAPE);
        waitFor(() -> lookup("#format-name").tryQuery().isEmpty());
        assertThat(crop().size().ratio()).isCloseTo(148 / 105.0, within(1e-9));
        assertThat(session().photo().map(Photo::file))
                .as("the view stays where it was")
                .hasValue("fern-0169.jpg");
        push(KeyCode.CONTROL, KeyCode.Z);
        push(KeyCode.CONTROL, KeyCode.Z);
        push(KeyCode.CONTROL, KeyCode.Z);
        waitFor(() -> session().shoot().formats().equals(before));
        assertThat(session().shoot().formats()).isEqualTo(before);
    }

    @Test
    void theSubjectIsMarkedAndPutOnACrossing() {
        dragBy("#handle-bottom_right", -320, -240);
        awaitStill();
        Bounds stage = placeOf(".stage");
        push(KeyCode.P);
        waitFor(() -> words().stream().anyMatch(text -> text.startsWith("Click on the subject")));
        drag(stage.getCenterX() - 30, stage.getCenterY() - 20, MouseButton.PRIMARY)
                .moveBy(60, 0)
                .drop();
        waitFor(() -> photo().subject().isPresent()
                && photo().subject().get().radius().isPresent());
        rightClickOn(stage.getCenterX(), stage.getCenterY()).clickOn("Put the subject on the nearest crossing");
        Point subject = photo().subject().orElseThrow().in(photo().space());
        waitFor(() -> isOnThird(crop().placeOf(subject, photo().angle())));
    }

    private static boolean isOnThird(Point place) {
        double across = Math.min(Math.abs(place.x() - 1.0 / 3), Math.abs(place.x() - 2.0 / 3));
        double down = Math.min(Math.abs(place.y() - 1.0 / 3), Math.abs(place.y() - 2.0 / 3));
        return across < 1e-6 && down < 1e-6;
    }

    private Photo photo() {
        return session().photo().orElseThrow();
    }

    private double angle() {
        return photo().angle().degrees();
    }

    private boolean isSelected(String query) {
        return lookup(query).<ToggleButton>query().isSelected();
    }

    private Bounds placeOf(String query) {
        Node node = lookup(query).query();
        return node.localToScreen(node.getBoundsInLocal());
    }

    private void type(String query, String text) {
        Optional<TextField> field = lookup(query).tryQuery();
        interact(() -> {
            field.orElseThrow().requestFocus();
            field.orElseThrow().setText(text);
        });
        push(KeyCode.ENTER);
    }
}
