package nexa.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import javafx.animation.AnimationTimer;
import javafx.animation.PauseTransition;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;
import javafx.util.Duration;
import nexa.core.series.Leads;
import nexa.core.shoot.Edit;
import nexa.desktop.NexaApplication;
import nexa.desktop.session.ShootSession;
import nexa.desktop.shell.Shell;
import nexa.store.user.UserData;

/**
 * What is done with a shoot of 10,000 photos at one go: how long the JavaFX thread works for each action, in its longest frame
 * and in all. By real keys where there are keys for it.
 */
public final class SetsBench {
    private static final int PHOTOS = Integer.getInteger("nexa.photos", 10_000);
    /** Work in a frame that is not worth telling. */
    private static final double LITTLE = 6;

    private static final int QUIET_FRAMES = 45;

    private SetsBench() {}

    public static void main(String[] arguments) {
        Application.launch(Bench.class, arguments);
    }

    /** The application that is measured. */
    public static final class Bench extends Application {
        private final Deque<Runnable> script = new ArrayDeque<>();
        private Robot robot;
        private Path folder;
        private Shell shell;
        private Stage stage;

        @Override
        public void init() throws Exception {
            folder = Files.createTempDirectory("nexa-bench");
            LargePhotos.linkedShootOf(folder.resolve("shoot"), PHOTOS);
        }

        @Override
        public void start(Stage given) {
            stage = given;
            robot = new Robot();
            shell = NexaApplication.open(stage, new UserData(folder.resolve("data")), Optional.empty(), outside -> {});
            stage.setX(0);
            stage.setY(0);
            stage.show();
            then("open and read all", () -> shell.open(List.of(folder.resolve("shoot"))), this::hasReadAll);
            key("mark one photo", KeyCode.S);
            key("choose all", KeyCode.CONTROL, KeyCode.A);
            key("mark all chosen", KeyCode.S);
            key("turn all chosen by a quarter", KeyCode.CONTROL, KeyCode.RIGHT);
            key("undo that", KeyCode.CONTROL, KeyCode.Z);
            key("open the carry panel with all chosen", KeyCode.C);
            then("carry to all", () -> ((ButtonBase) find("#carry-do")).fire(), () -> true);
            then("mark all done", () -> ((ButtonBase) find("#chosen-done")).fire(), () -> true);
            key("to the easel", KeyCode.F6);
            for (int i = 0; i < Integer.getInteger("nexa.times", 4); i++) {
                then("drag a handle of the lead", this::dragHandle, () -> true);
                then("let go of it", () -> robot.mouseRelease(MouseButton.PRIMARY), () -> true);
            }
            key("slide the lead", KeyCode.RIGHT);
            key("mark done and go on", KeyCode.ENTER);
            key("next photo", KeyCode.PAGE_DOWN);
            key("slide a follower", KeyCode.RIGHT);
            key("to the line-up", KeyCode.F7);
            key("next crop", KeyCode.RIGHT);
            key("back to the easel", KeyCode.F6);
            then("take the lead away", this::takeLeadAway, () -> true);
            key("undo that", KeyCode.CONTROL, KeyCode.Z);
            then("take the lead away again", this::takeLeadAway, () -> true);
            key("undo that", KeyCode.CONTROL, KeyCode.Z);
            key("to hand over", KeyCode.F8);
            key("to the sheet", KeyCode.F5);
            key("mark one photo again", KeyCode.S);
            key("mark one photo once more", KeyCode.S);
            next();
        }

        private void dragHandle() {
            Bounds handle = find("#handle-bottom_right")
                    .localToScreen(find("#handle-bottom_right").getBoundsInLocal());
            robot.mouseMove(handle.getCenterX(), handle.getCenterY());
            robot.mousePress(MouseButton.PRIMARY);
            // The press has to arrive before the move, or that moves nothing.
            PauseTransition later = new PauseTransition(Duration.millis(100));
            later.setOnFinished(event -> robot.mouseMove(handle.getCenterX() - 60, handle.getCenterY() - 40));
            later.play();
        }

        private void takeLeadAway() {
            ShootSession session = shell.session().orElseThrow();
            String format = session.formatProperty().get();
            session.format()
                    .leads()
                    .values()
                    .forEach(lead ->
                            session.editMany(Edit.Kind.LEAD, format, shoot -> Leads.takeAway(shoot, lead, format)));
        }

        private Node find(String query) {
            return stage.getScene().getRoot().lookup(query);
        }

        private void key(String name, KeyCode... keys) {
            then(
                    name,
                    () -> {
                        for (KeyCode key : keys) {
                            robot.keyPress(key);
                        }
                        for (int i = keys.length - 1; i >= 0; i--) {
                            robot.keyRelease(keys[i]);
                        }
                    },
                    () -> true);
        }

        private void then(String name, Runnable action, BooleanSupplier isDone) {
            script.add(() -> measure(name, action, isDone));
        }

        private void next() {
            if (script.isEmpty()) {
                Platform.exit();
            } else {
                Platform.runLater(script.poll());
            }
        }

        /** Runs an action and listens to the frames until nothing happens any more. */
        private void measure(String name, Runnable action, BooleanSupplier isDone) {
            double[] longest = new double[1];
            double[] all = new double[1];
            int[] quiet = new int[1];
            FrameWork[] work = new FrameWork[1];
            work[0] = new FrameWork(frame -> {
                longest[0] = Math.max(longest[0], frame.work());
                all[0] += frame.work() > LITTLE ? frame.work() : 0;
                quiet[0] = frame.work() > LITTLE || !isDone.getAsBoolean() ? 0 : quiet[0] + 1;
                if (quiet[0] > QUIET_FRAMES) {
                    work[0].stop();
                    System.out.println(String.format(
                            Locale.ROOT,
                            "%-40s longest frame %8.1f ms   in all %8.1f ms of the JavaFX thread",
                            name,
                            longest[0],
                            all[0]));
                    next();
                }
            });
            work[0].start();
            new AnimationTimer() {
                private int frame;

                @Override
                public void handle(long now) {
                    // The measuring itself has begun by then.
                    if (frame++ == 2) {
                        stop();
                        Platform.runLater(action);
                    }
                }
            }.start();
        }

        private boolean hasReadAll() {
            return shell.session()
                    .map(session -> session.readingProperty().get().facts().size() == PHOTOS)
                    .orElse(false);
        }

        @Override
        public void stop() {
            shell.closeShoot().join();
            LargePhotos.delete(folder);
        }
    }
}
