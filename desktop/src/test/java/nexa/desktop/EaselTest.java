package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Bounds;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import nexa.core.format.Format;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Eyes;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Subject;
import org.junit.jupiter.api.Test;

class EaselTest extends EaselWindowTest {
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
        double scale = edge.getWidth() / before.size().width();
        assertThat((crop().centre().x() - before.centre().x()) * scale)
                .as("as far as the pointer")
                .isCloseTo(50, within(3.0));
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

    @Test
    void aFoundSubjectHasABoxWhoseSidesAreDraggedAndEyesThatArePutUp() {
        dragBy("#handle-bottom_right", -320, -240);
        Eyes found = new Eyes(new Point(-0.02, 0), new Point(0.02, 0), Optional.empty());
        interact(() -> session()
                .edit(
                        Edit.Kind.SUBJECT,
                        shoot -> shoot.with(
                                photo().file(), photo -> photo.withSubject(Optional.of(person(photo, found))))));
        waitFor(() -> lookup(".subject-ring.subject-box").query().isVisible());
        awaitStill();
        Bounds box = placeOf(".subject-ring.subject-box");
        double before = eyes();
        push(KeyCode.P);
        waitFor(() -> words().stream().anyMatch(text -> text.startsWith("Drag a side of its box")));
        drag(box.getMaxX() - 1, box.getCenterY(), MouseButton.PRIMARY)
                .moveBy(40, 5)
                .drop();
        waitFor(() -> placeOf(".subject-ring.subject-box").getWidth() > box.getWidth() + 30);
        Bounds wider = placeOf(".subject-ring.subject-box");
        assertThat(wider.getWidth()).isCloseTo(box.getWidth() + 40, within(2.0));
        assertThat(wider.getHeight()).isCloseTo(box.getHeight(), within(1.0));
        assertThat(wider.getMinX()).isCloseTo(box.getMinX(), within(1.0));
        assertThat(eyes()).as("the eyes stay where they are on the photo").isCloseTo(before, within(1e-6));

        push(KeyCode.P);
        push(KeyCode.P);
        waitFor(() -> Math.abs(eyesInCrop() - 1.0 / 3) < 1e-6);
        push(KeyCode.CONTROL, KeyCode.Z);
        waitFor(() -> Math.abs(eyesInCrop() - 1.0 / 3) > 1e-3);
        Bounds stage = placeOf(".stage");
        rightClickOn(stage.getCenterX(), stage.getCenterY()).clickOn("Eyes on the upper third");
        waitFor(() -> Math.abs(eyesInCrop() - 1.0 / 3) < 1e-6);
    }

    private static Subject person(Photo photo, Eyes eyes) {
        nexa.core.geometry.Bounds box = new nexa.core.geometry.Bounds(new Point(0.2, 0.1), new Point(0.3, 0.4));
        return Subject.around(box.middle(), box, photo.size()).withEyes(Optional.of(eyes));
    }

    private double eyes() {
        return photo().subject()
                .orElseThrow()
                .eyesIn(photo().space())
                .orElseThrow()
                .middle()
                .y();
    }

    private double eyesInCrop() {
        Point middle = photo().subject()
                .orElseThrow()
                .eyesIn(photo().space())
                .orElseThrow()
                .middle();
        return crop().placeOf(middle, photo().angle()).y();
    }

    private static boolean isOnThird(Point place) {
        double across = Math.min(Math.abs(place.x() - 1.0 / 3), Math.abs(place.x() - 2.0 / 3));
        double down = Math.min(Math.abs(place.y() - 1.0 / 3), Math.abs(place.y() - 2.0 / 3));
        return across < 1e-6 && down < 1e-6;
    }
}
