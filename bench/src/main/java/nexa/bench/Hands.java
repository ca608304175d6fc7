package nexa.bench;

import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.FutureTask;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;

/** The hands of who works with the program: real input, counted. For a thread of their own. */
final class Hands {
    private static final long PATIENCE_MILLIS = 60_000;

    private final Stage stage;
    private final Robot robot;
    private int gestures;

    /** To be made on the JavaFX thread. */
    Hands(Stage stage) {
        this.stage = stage;
        this.robot = new Robot();
    }

    /** How many so far. */
    int gestures() {
        return gestures;
    }

    /** Something was done that is counted as one gesture. */
    void count() {
        gestures++;
    }

    /** Holds a key for some time. */
    void hold(KeyCode code, long millis) throws Exception {
        gestures++;
        onScreen(() -> {
            robot.keyPress(code);
            return null;
        });
        Thread.sleep(millis);
        onScreen(() -> {
            robot.keyRelease(code);
            return null;
        });
    }

    Optional<Node> find(String query) {
        return Optional.ofNullable(stage.getScene().lookup(query)).filter(Node::isVisible);
    }

    void key(KeyCode code) throws Exception {
        gestures++;
        onScreen(() -> {
            robot.keyPress(code);
            robot.keyRelease(code);
            return null;
        });
    }

    void press(KeyCode held, KeyCode code) throws Exception {
        gestures++;
        onScreen(() -> {
            robot.keyPress(held);
            robot.keyPress(code);
            robot.keyRelease(code);
            robot.keyRelease(held);
            return null;
        });
    }

    void click(String query) throws Exception {
        clickOn(onScreen(() -> find(query).orElseThrow()));
    }

    void point(Node node) {
        Bounds place = node.localToScreen(node.getBoundsInLocal());
        robot.mouseMove(place.getCenterX(), place.getCenterY());
    }

    void clickOn(Node node) throws Exception {
        gestures++;
        onScreen(() -> {
            point(node);
            robot.mousePress(MouseButton.PRIMARY);
            robot.mouseRelease(MouseButton.PRIMARY);
            return null;
        });
    }

    /** Some frames, so that what was done is seen before the next thing is. */
    void settle() throws Exception {
        for (int i = 0; i < 12; i++) {
            onScreen(() -> null);
            Thread.sleep(16);
        }
    }

    void await(Callable<Boolean> condition) throws Exception {
        long until = System.currentTimeMillis() + PATIENCE_MILLIS;
        while (!onScreen(condition)) {
            if (System.currentTimeMillis() > until) {
                throw new IllegalStateException("what was waited for did not come, after " + gestures + " gestures");
            }
            Thread.sleep(10);
        }
    }

    static <T> T onScreen(Callable<T> work) throws Exception {
        FutureTask<T> task = new FutureTask<>(work);
        Platform.runLater(task);
        return task.get();
    }
}
