package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.geometry.Bounds;
import javafx.geometry.Rectangle2D;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.control.OverrunStyle;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import javafx.stage.Stage;
import javafx.stage.Window;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** In the smallest window everything can be read and reached, and a long name tears nothing apart. */
class SmallWindowTest extends WindowTest {
    private static final String LONG = "a-photo-with-a-name-of-its-own-".repeat(4) + "end";
    private static final double WIDTH = 1024;
    private static final double HEIGHT = 640;

    @BeforeEach
    void openInASmallWindow() throws Exception {
        Path folder = sampleOf("fern-0147.jpg", "fern-0139.jpg", "fern-0160.jpg");
        Files.copy(folder.resolve("fern-0139.jpg"), folder.resolve(LONG + ".jpg"));
        interact(() -> {
            Window window = lookup(".shell").query().getScene().getWindow();
            window.setWidth(WIDTH);
            window.setHeight(HEIGHT);
        });
        open(folder);
    }

    @Test
    void nothingIsCutOffOnAnyViewAndThePartsOfTheDeskAreAllWithinReach() {
        awaitStill("#sheet-photo-fern-0147");
        assertNothingIsCutOff();
        goToEasel("fern-0147.jpg");
        assertNothingIsCutOff();
        for (String heading : List.of("#desk-crop", "#desk-step", "#desk-guide")) {
            clickOn(lookup(heading).match(WindowTest::isShown).<Node>query());
            awaitStill();
            assertNothingIsCutOff();
        }
        clickOn("#desk-shape");
        assertNothingIsCutOff();
        clickOn("#page-trim");
        assertNothingIsCutOff();
        clickOn(lookup("#desk-level").match(WindowTest::isShown).<Node>query());
        push(KeyCode.K);
        waitFor(() -> lookup("#proposals").query().isVisible());
        for (int i = 0; i < 3; i++) {
            awaitStill("#proposal-1");
            assertNothingIsCutOff();
            push(KeyCode.K);
        }
        push(KeyCode.ESCAPE);
        clickOn(lookup("#desk-step").match(WindowTest::isShown).<Node>query());
        clickOn("#carry");
        awaitStill("#carry-do");
        assertNothingIsCutOff();
        push(KeyCode.ESCAPE);
        push(KeyCode.F7);
        awaitStill("#lineup-fern-0147");
        assertNothingIsCutOff();
        push(KeyCode.F8);
        awaitStill("#deliver");
        assertNothingIsCutOff();
    }

    @Test
    void aWindowTakesNoMoreThanItsScreenHasRoomFor() {
        Rectangle2D small = new Rectangle2D(100, 40, 1000, 600);
        interact(() -> {
            Stage stage = new Stage();
            NexaApplication.fit(stage, small);
            assertThat(small.contains(stage.getX(), stage.getY(), stage.getWidth(), stage.getHeight()))
                    .isTrue();
            assertThat(stage.getMinHeight()).isLessThanOrEqualTo(small.getHeight());
            Stage onLarge = new Stage();
            NexaApplication.fit(onLarge, new Rectangle2D(0, 0, 3840, 2160));
            assertThat(onLarge.getWidth()).as("left to its scene").isNaN();
        });
    }

    @Test
    void theTagOfAPhotoLeavesTheCropsHandlesFree() {
        for (String photo : List.of("fern-0147.jpg", "fern-0139.jpg", LONG + ".jpg")) {
            goToEasel(photo);
            Node tag = lookup(".photo-tag").query();
            waitFor(() -> isShown(tag));
            waitFor(() -> lookup(".handle").queryAll().stream()
                    .filter(WindowTest::isShown)
                    .noneMatch(handle -> onScreen(handle).intersects(onScreen(tag))));
            assertThat(lookup(".handle").queryAll()).isNotEmpty();
            push(KeyCode.F5);
        }
    }

    @Test
    void panelsOverTheWindowAreInItAsAWhole() {
        awaitStill("#sheet-photo-fern-0147");
        interact(() -> lookup("#sheet").query().requestFocus());
        push(KeyCode.SHIFT, KeyCode.F);
        waitFor(() -> words().contains("4 photos looked at"));
        awaitStill("#find-take");
        assertNothingIsCutOff();
        assertThat(lookup(".panel-scroll .scroll-bar")
                        .match(WindowTest::isShown)
                        .<Node>queryAll())
                .as("only its list scrolls")
                .allMatch(bar -> isIn(bar, "found-place"));
        push(KeyCode.ESCAPE);
        push(KeyCode.F8);
        clickInTurn("#change-page", "#editor-page-asked");
        awaitStill("#ask-room");
        assertNothingIsCutOff();
        push(KeyCode.ESCAPE);
        goToEasel("fern-0147.jpg");
        clickOn("#add-format").clickOn("A brief…");
        awaitStill("#brief-make");
        assertNothingIsCutOff();
    }

    private static boolean isIn(Node node, String style) {
        for (Node part = node; part != null; part = part.getParent()) {
            if (part.getStyleClass().contains(style)) {
                return true;
            }
        }
        return false;
    }

    private static Bounds onScreen(Node node) {
        return node.localToScreen(node.getBoundsInLocal());
    }

    @Test
    void aLongNameTakesNoMoreRoomThanItsPicture() {
        goToEasel(LONG + ".jpg");
        Labeled name = lookup(".proof-caption .label")
                .match(node -> node instanceof Labeled label && label.getText().equals(LONG) && isShown(node))
                .query();
        double picture = name.getParent()
                .getParent()
                .lookup(".proof-frame")
                .getBoundsInParent()
                .getWidth();
        assertThat(name.getWidth()).isLessThanOrEqualTo(picture);
        assertThat(name.getTooltip().getText()).isEqualTo(LONG + ".jpg");
    }

    /** Every word is whole and inside the window, but for names of photos and files, and what a list scrolls to. */
    private void assertNothingIsCutOff() {
        interact(() -> {
            for (Labeled label :
                    lookup(node -> node instanceof Labeled && isShown(node)).<Labeled>queryAll()) {
                boolean mayBeCut = label.getTextOverrun() == OverrunStyle.CENTER_ELLIPSIS
                        || label.getText() == null
                        || label.getText().isEmpty()
                        || label.getText().contains("/")
                        || isScrolled(label);
                Text drawn = (Text) label.lookup(".text");
                if (!mayBeCut && drawn != null && label.getScene() != null) {
                    assertThat(drawn.getText()).as(label.toString()).isEqualTo(label.getText());
                    Bounds place = label.localToScene(label.getBoundsInLocal());
                    assertThat(place.getMaxX()).as(label.toString()).isLessThanOrEqualTo(WIDTH + 0.5);
                    assertThat(place.getMaxY()).as(label.toString()).isLessThanOrEqualTo(HEIGHT + 0.5);
                }
            }
        });
    }

    private static boolean isScrolled(Node node) {
        for (Node part = node; part != null; part = part.getParent()) {
            boolean isScrolling = part instanceof ScrollPane pane
                            && pane.getContent().getBoundsInLocal().getHeight() > pane.getHeight()
                    || part.getStyleClass().contains("virtual-flow");
            if (isScrolling) {
                return true;
            }
        }
        return false;
    }
}
