package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.series.Trimming;
import nexa.core.shape.Perspective;
import nexa.core.shape.Plane;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Trim;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The perspective is put right by lines, by scales and numbers, and by what is found. */
class PerspectiveTest extends WindowTest {
    /** Taken from above, so that what is upright runs together below. */
    private static final String TILTED = "fern-0176.jpg";

    private static final String OTHER = "fern-0177.jpg";

    private Path folder;

    @BeforeEach
    void openOnEasel() throws Exception {
        folder = sampleOf(TILTED, OTHER);
        open(folder);
        goToEasel(TILTED);
    }

    private Photo photo() {
        return session().photo().orElseThrow();
    }

    private Optional<Perspective> perspective() {
        return photo().preparation().perspective();
    }

    /** A place of the stage, as shares of its width and height. */
    private Point onStage(double across, double down) {
        Node stage = lookup(".stage").query();
        Bounds bounds = stage.localToScreen(stage.getBoundsInLocal());
        return new Point(bounds.getMinX() + across * bounds.getWidth(), bounds.getMinY() + down * bounds.getHeight());
    }

    private void draw(int number, double fromX, double fromY, double toX, double toY) {
        Point from = onStage(fromX, fromY);
        Point to = onStage(toX, toY);
        String drawn = number == 1 ? "1 line drawn" : number + " lines drawn";
        drag(from.x(), from.y(), MouseButton.PRIMARY).moveTo(to.x(), to.y()).drop();
        waitFor(() -> words().contains(drawn));
    }

    private void drawTwoUprights() {
        clickOn("#desk-shape");
        clickOn("#by-lines");
        draw(1, 0.45, 0.3, 0.46, 0.7);
        draw(2, 0.56, 0.3, 0.54, 0.7);
    }

    /** By how many degrees the first two lines are off each other, and the first off upright, as they lie on screen. */
    private double[] off() {
        Photo photo = photo();
        Plane plane = photo.plane();
        List<Segment> lines = perspective().orElseThrow().lines().all();
        double[] degrees = new double[2];
        for (int i = 0; i < 2; i++) {
            Point from = plane.toPlane(photo.space().inPhoto(lines.get(i).from()));
            Point to = plane.toPlane(photo.space().inPhoto(lines.get(i).to()));
            Point way = photo.angle().toScreen(to.minus(from));
            degrees[i] = Math.toDegrees(Math.atan2(way.x(), way.y()));
        }
        return new double[] {degrees[0] - degrees[1], degrees[0]};
    }

    @Test
    void twoUprightsAreMadeParallelAndFadedAndTakenBack() throws Exception {
        Angle before = photo().angle();
        drawTwoUprights();
        assertThat(perspective()).isEmpty();
        assertThat(photo().angle())
                .as("lines that are being drawn turn nothing")
                .isEqualTo(before);
        clickOn("#trace-makeUprights");
        waitFor(() -> perspective().isPresent());
        assertThat(off()[0]).isCloseTo(0, within(1e-6));
        assertThat(off()[1]).isCloseTo(0, within(1e-6));
        assertThat(photo().outline().contains(crop(), 1e-6)).isTrue();

        Perspective whole = perspective().orElseThrow();
        type("#strength", "40 %");
        waitFor(() -> perspective().orElseThrow().strength() == 40);
        assertThat(perspective().orElseThrow().tilt()).isEqualTo(whole.tilt());
        assertThat(Math.abs(off()[0])).isGreaterThan(0.5);

        closeAndReopen(folder);
        assertThat(session()
                        .shoot()
                        .photo(TILTED)
                        .preparation()
                        .perspective()
                        .orElseThrow()
                        .lines())
                .isEqualTo(whole.lines());
        goToEasel(TILTED);
        clickOn("#desk-shape");
        clickOn("#perspective-as-shot");
        waitFor(() -> perspective().isEmpty());
        push(KeyCode.CONTROL, KeyCode.Z);
        waitFor(() -> perspective().isPresent());
    }

    @Test
    void faceOnGoesByBothKindsAndAnEndThatIsMovedCountsAtOnce() {
        drawTwoUprights();
        draw(3, 0.4, 0.4, 0.6, 0.41);
        draw(4, 0.4, 0.6, 0.6, 0.6);
        clickOn("#trace-faceOn");
        waitFor(() -> perspective().isPresent());
        assertThat(perspective().orElseThrow().lines().isBoth()).isTrue();
        assertThat(Math.hypot(
                        perspective().orElseThrow().tilt(),
                        perspective().orElseThrow().swing()))
                .isPositive();
        awaitStill("#line-1-first");
        Perspective made = perspective().orElseThrow();
        drag("#line-1-first", MouseButton.PRIMARY).moveBy(6, 0).moveBy(4, 0).drop();
        waitFor(() -> !perspective().orElseThrow().equals(made));
        assertThat(perspective().orElseThrow().lines().levels())
                .isEqualTo(made.lines().levels());
        push(KeyCode.CONTROL, KeyCode.Z);
        waitFor(() -> perspective().equals(Optional.of(made)));
        clickOn("#lines-turn-only");
        waitFor(() -> perspective().isEmpty());
        push(KeyCode.CONTROL, KeyCode.Z);
        waitFor(() -> perspective().equals(Optional.of(made)));
    }

    /** Uprights that run together alike to both sides are level in the mean. */
    @Test
    void linesDrawnForAPerspectiveCanTurnOnly() {
        drawTwoUprights();
        clickOn("#trace-turn-only");
        waitFor(() -> !photo().angle().equals(Angle.NONE));
        assertThat(perspective()).isEmpty();
        assertThat(photo().angle().degrees()).isBetween(-6.0, 6.0);
    }

    @Test
    void aCropMadeBeforeStaysOnItsPot() {
        push(KeyCode.N);
        Point from = onStage(0.44, 0.3);
        Point to = onStage(0.52, 0.6);
        drag(from.x(), from.y(), MouseButton.PRIMARY).moveTo(to.x(), to.y()).drop();
        waitFor(() -> crop().size().width() < 700);
        Crop before = crop();
        Point inPhoto = before.centre();
        clickOn("#desk-shape");
        type("#tilt-number", "-12");
        waitFor(() -> perspective().isPresent());
        assertThat(perspective().orElseThrow().tilt()).isEqualTo(-12);
        Plane plane = photo().plane();
        assertThat(plane.toPhoto(crop().centre()).distance(inPhoto)).isLessThan(1e-6);
        clickOn("#tilt");
        push(KeyCode.LEFT);
        waitFor(() -> Math.abs(perspective().orElseThrow().tilt() + 12.05) < 1e-9);
        type("#tilt-number", "0");
        waitFor(() -> perspective().isEmpty());
        assertSame(crop(), before);
    }

    @Test
    void uprightsThatWereFoundAreMadeParallelOnlyWhenAskedAgain() {
        push(KeyCode.F);
        waitFor(() -> !photo().angle().equals(Angle.NONE));
        push(KeyCode.F);
        waitFor(() -> words().stream().anyMatch(said -> said.startsWith("Uprights run together")));
        assertThat(perspective()).isEmpty();
        push(KeyCode.F);
        waitFor(() -> perspective().isPresent());
        // The camera looked down by 28.9°.
        assertThat(perspective().orElseThrow().tilt()).isCloseTo(-28.9, within(4.0));
    }

    @Test
    void itIsGivenToOthersOnceWithTheCrop() {
        clickOn("#desk-shape");
        type("#tilt-number", "-8");
        waitFor(() -> perspective().isPresent());
        interact(() -> lookup(".stage").query().requestFocus());
        push(KeyCode.C);
        awaitStill("#carry-do");
        clickOn("#carry-perspective");
        waitFor(() -> !lookup("#carry-do").query().isDisabled());
        clickOn("#carry-do");
        waitFor(() -> session().shoot().photo(OTHER).preparation().perspective().isPresent());
        assertThat(session()
                        .shoot()
                        .photo(OTHER)
                        .preparation()
                        .perspective()
                        .orElseThrow()
                        .tilt())
                .isEqualTo(-8);
    }

    @Test
    void whereNothingOfThePhotoWouldBeLeftANumberIsRefusedAndADragStops() {
        interact(() ->
                session().edit(Edit.Kind.TRIM, shoot -> Trimming.of(shoot, photo().file(), new Trim(0, 0, 0.9, 0))));
        clickOn("#desk-shape");
        type("#focal-length", "20");
        for (int way : new int[] {1, -1}) {
            type("#swing-number", "0");
            double now = perspective().map(Perspective::swing).orElse(0.0);
            assertThat(now).isZero();
            type("#swing-number", String.valueOf(60 * way));
            boolean isRefused = perspective().map(Perspective::swing).orElse(0.0) == 0;
            assertThat(words().contains("Nothing of the photo would be left")).isEqualTo(isRefused);
            assertThat(isRefused).isEqualTo(way < 0);
        }
        type("#swing-number", "0");
        drag("#swing", MouseButton.PRIMARY).moveBy(-400, 0);
        waitFor(() -> words().contains("Nothing of the photo would be left"));
        moveBy(10, 0);
        drop();
        waitFor(() -> perspective().map(Perspective::swing).orElse(0.0) < -1);
        assertThat(photo().isCroppable()).isTrue();
        assertThat(photo().preparation().trim()).isEqualTo(new Trim(0, 0, 0.9, 0));
    }
}
