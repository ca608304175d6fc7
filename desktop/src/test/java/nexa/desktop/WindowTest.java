package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.Collectors;
import javafx.animation.AnimationTimer;
import javafx.event.Event;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import nexa.core.geometry.Crop;
import nexa.desktop.session.ShootSession;
import nexa.desktop.shell.Shell;
import nexa.imaging.pictures.TextureReading;
import nexa.store.document.ShootDocument;
import nexa.store.user.UserData;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.framework.junit5.ApplicationTest;
import org.testfx.util.WaitForAsyncUtils;

/** The real window, driven with real input, on folders made for the test. */
abstract class WindowTest extends ApplicationTest {
    private static final Path SAMPLE = Path.of("..", "sample", "photos");
    /** The sample's photos drawn with a quarter of their sides: most of a window's time goes into reading them. */
    private static final Path SMALL = Path.of("src", "test", "sample");

    /** Only ends a test that would hang: a machine that has other things to do may take long. */
    private static final int MOST_SECONDS = 180;

    @TempDir
    Path temporary;

    /** The folders that were to be shown outside of the program. */
    final List<Path> openedOutside = new ArrayList<>();

    private Stage stage;
    Shell shell;

    @Override
    public void start(Stage primary) {
        // Stays unused and never shown: it lives through all tests, and with it all that listens to it.
    }

    @BeforeEach
    void openWindow() {
        interact(() -> {
            stage = new Stage();
            shell = NexaApplication.open(stage, new UserData(temporary), Optional.empty(), openedOutside::add);
            stage.setX(0);
            stage.setY(0);
            stage.show();
        });
    }

    /** The sample shoot with small photos. */
    Path sample() throws Exception {
        Path folder = new SampleShoot(SMALL, new UserData(temporary)).copy();
        Files.copy(SAMPLE.resolve(ShootDocument.NAME), folder.resolve(ShootDocument.NAME));
        return folder;
    }

    /** A shoot of a few of the sample's photos, with what was done in the sample: it opens sooner than all of it. */
    Path sampleOf(String... photos) throws Exception {
        Path folder = Files.createDirectory(temporary.resolve("a few"));
        for (String photo : photos) {
            Files.copy(SAMPLE.resolve(photo), folder.resolve(photo));
        }
        Files.copy(SAMPLE.resolve(ShootDocument.NAME), folder.resolve(ShootDocument.NAME));
        return folder;
    }

    /** Opens a folder and waits until all its photos have been read, or found unreadable. */
    void open(Path folder) {
        interact(() -> shell.open(List.of(folder)));
        waitFor(() -> shell.session().isPresent()
                && shell.session().get().shoot().photos().stream()
                        .allMatch(session().readingProperty().get()::has)
                && TextureReading.wanted(session().shoot()).isEmpty());
    }

    @AfterEach
    void close() {
        Set<String> styleClasses = new HashSet<>();
        interact(() -> {
            lookup("*").<Node>queryAll().forEach(node -> styleClasses.addAll(node.getStyleClass()));
            shell.closeShoot();
            stage.close();
        });
        assertThat(styleClasses).as("has a look, of which the theme is not cut").noneMatch(Theme::isUnused);
    }

    void goToEasel(String file) {
        interact(() -> session().goTo(Optional.of(file)));
        push(KeyCode.F6);
        awaitPicture();
    }

    void awaitPicture() {
        waitFor(() -> lookup(".crop-edge").tryQuery().map(this::isSeen).orElse(false));
        awaitStill();
    }

    private boolean isSeen(Node node) {
        return node.isVisible() && node.getParent().isVisible();
    }

    /** Waits until the picture has settled. */
    void awaitStill() {
        awaitStill("#handle-bottom_right");
    }

    /** Waits until something is there and lies at the same place in a row of frames. */
    void awaitStill(String query) {
        StillFrames frames = new StillFrames(query);
        interact(frames::start);
        try {
            waitFor(frames::areEnough);
        } finally {
            interact(frames::stop);
        }
    }

    /** Counts the frames in which something lies at the same place. */
    private final class StillFrames extends AnimationTimer {
        private static final int ENOUGH = 15;

        private final String query;
        private Optional<Bounds> last = Optional.empty();
        private volatile int same;

        private StillFrames(String query) {
            this.query = query;
        }

        @Override
        public void handle(long now) {
            Optional<Bounds> here =
                    lookup(query).<Node>tryQuery().map(node -> node.localToScreen(node.getBoundsInLocal()));
            same = here.isPresent() && here.equals(last) ? same + 1 : 0;
            last = here;
        }

        private boolean areEnough() {
            return same >= ENOUGH;
        }
    }

    /** Clicks on one after the other, each once what the click before made anew lies still. */
    void clickInTurn(String... queries) {
        for (String query : queries) {
            awaitStill(query);
            clickOn(query);
        }
    }

    void dragBy(String query, double x, double y) {
        awaitStill();
        Crop before = crop();
        drag(query, MouseButton.PRIMARY).moveBy(x, y).drop();
        waitFor(() -> !crop().equals(before));
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** Types something in place of what a field says: at one go, since a field that is not typed in shows what is so. */
    void type(String query, String text) {
        TextField field = lookup(query).query();
        interact(() -> {
            field.requestFocus();
            field.setText(text);
        });
        push(KeyCode.ENTER);
    }

    /** Presses keys one after the other with no time between them, however slow the machine is. */
    void pushAtOnce(KeyCode... keys) {
        interact(() -> {
            Node focus = stage.getScene().getFocusOwner();
            for (KeyCode key : keys) {
                Event.fireEvent(focus, new KeyEvent(KeyEvent.KEY_PRESSED, "", "", key, false, false, false, false));
                Event.fireEvent(focus, new KeyEvent(KeyEvent.KEY_RELEASED, "", "", key, false, false, false, false));
            }
        });
    }

    /** Closes the shoot, waits until it is saved, and opens it again. */
    void closeAndReopen(Path folder) throws Exception {
        AtomicReference<CompletableFuture<Void>> closed = new AtomicReference<>();
        interact(() -> closed.set(shell.closeShoot()));
        closed.get().get(MOST_SECONDS, TimeUnit.SECONDS);
        open(folder);
    }

    /** All words that labels and buttons show. */
    Set<String> words() {
        return lookup(node -> node instanceof Labeled label && isShown(label) && label.getText() != null)
                .<Labeled>queryAll()
                .stream()
                .map(Labeled::getText)
                .collect(Collectors.toSet());
    }

    /** Whether a node and all it stands in are visible: lists keep rows they do not show. */
    static boolean isShown(Node node) {
        for (Node part = node; part != null; part = part.getParent()) {
            if (!part.isVisible()) {
                return false;
            }
        }
        return true;
    }

    ShootSession session() {
        return shell.session().orElseThrow();
    }

    Crop crop() {
        return session().crop().orElseThrow().crop();
    }

    /** The same to a millionth of a pixel: a crop that went through the document may differ in its last digit. */
    static void assertSame(Crop actual, Crop expected) {
        assertThat(actual.centre().distance(expected.centre())).isLessThan(1e-6);
        assertThat(actual.size().width()).isCloseTo(expected.size().width(), within(1e-6));
        assertThat(actual.size().height()).isCloseTo(expected.size().height(), within(1e-6));
    }

    void waitFor(Callable<Boolean> condition) {
        try {
            WaitForAsyncUtils.waitFor(MOST_SECONDS, TimeUnit.SECONDS, () -> {
                WaitForAsyncUtils.waitForFxEvents();
                return condition.call();
            });
        } catch (TimeoutException e) {
            Node focus = stage.getScene().getFocusOwner();
            String file =
                    shell.session().flatMap(open -> open.photoProperty().get()).orElse("none");
            throw new AssertionError(
                    "it did not come to this within " + MOST_SECONDS + " s; the focus is on " + focus
                            + ", the photo is " + file,
                    e);
        }
    }
}
