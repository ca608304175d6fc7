package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import nexa.core.geometry.Crop;
import org.junit.jupiter.api.Test;

/** Levelling on the easel: by lines traced, by the vernier, by a typed angle, by quarters. */
class LevelTest extends EaselWindowTest {
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
}
