package nexa.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.FutureTask;
import java.util.stream.Stream;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;
import nexa.core.format.Format;
import nexa.core.geometry.Orientation;
import nexa.core.series.StartAgain;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.desktop.NexaApplication;
import nexa.desktop.session.ShootSession;
import nexa.desktop.shell.Shell;
import nexa.store.UserData;

/**
 * The effort of a whole shoot, counted: with real input, every readable photo of the sample shoot is brought to every format,
 * with a lead for wide and one for tall photos, carrying, and a look at each crop. A click, a drag and a key each count as
 * one gesture.
 */
public final class EffortBench {
    private EffortBench() {}

    public static void main(String[] arguments) {
        Application.launch(Bench.class, arguments);
    }

    /** The application that is worked with. */
    public static final class Bench extends Application {
        private static final long PATIENCE_MILLIS = 20_000;

        private Path folder;
        private Shell shell;
        private Stage stage;
        private Robot robot;
        private int gestures;

        @Override
        public void init() throws Exception {
            folder = Files.createTempDirectory("nexa-effort");
            Path shoot = Files.createDirectory(folder.resolve("shoot"));
            try (Stream<Path> files = Files.list(LargePhotos.sample())) {
                for (Path file : files.toList()) {
                    Files.copy(file, shoot.resolve(file.getFileName().toString()));
                }
            }
        }

        @Override
        public void start(Stage given) {
            stage = given;
            robot = new Robot();
            shell = NexaApplication.open(stage, new UserData(folder.resolve("data")), Optional.empty(), outside -> {});
            stage.setX(0);
            stage.setY(0);
            stage.show();
            shell.open(List.of(folder.resolve("shoot")));
            Thread photographer = new Thread(this::work, "photographer");
            photographer.setDaemon(true);
            photographer.start();
        }

        @Override
        public void stop() {
            shell.closeShoot().join();
            LargePhotos.delete(folder);
        }

        private void work() {
            try {
                await(() -> shell.session().isPresent());
                int photos = session().shoot().photos().size();
                await(() -> session().readingProperty().get().facts().size() == photos);
                // As a photographer finds it: nothing done yet.
                onScreen(() -> {
                    session().edit(Edit.Kind.START_AGAIN, EffortBench::untouched);
                    return null;
                });
                key(KeyCode.F6);
                List<Format> formats = session().shoot().formats();
                for (int i = 0; i < formats.size(); i++) {
                    bringAllTo(formats.get(i), i + 1);
                }
                tell(formats.size());
            } catch (Exception e) {
                System.out.println("the shoot was not finished: " + e);
            }
            Platform.runLater(Platform::exit);
        }

        private void bringAllTo(Format format, int number) throws Exception {
            key(KeyCode.getKeyCode(String.valueOf(number)));
            await(() -> session().formatProperty().get().equals(format.id()));
            lead(Orientation.WIDE, "#carry-both");
            lead(Orientation.TALL, "#carry-lane");
            int left = notDone(format);
            while (left > 0) {
                key(KeyCode.ENTER);
                int before = left;
                await(() -> notDone(format) < before);
                left = notDone(format);
            }
        }

        /** Crops the first photo of an orientation well, and carries its crop. */
        private void lead(Orientation orientation, String whom) throws Exception {
            Photo lead = session().photos().stream()
                    .filter(photo -> isReady(photo) && photo.size().orientation() == orientation)
                    .findFirst()
                    .orElseThrow();
            if (!session().photo().equals(Optional.of(lead))) {
                // In the proof strip, where all first photos are seen.
                onScreen(() -> {
                    session().goTo(Optional.of(lead.file()));
                    return null;
                });
                gestures++;
            }
            await(() -> find("#handle-bottom_right").isPresent());
            settle();
            dragBy("#handle-bottom_right", -60, -45);
            settle();
            dragBy(".stage", 20, 12);
            settle();
            key(KeyCode.C);
            await(() -> find(whom).isPresent());
            settle();
            click(whom);
            await(() -> find("#carry-do").filter(node -> !node.isDisabled()).isPresent());
            settle();
            click("#carry-do");
            await(() -> find("#carry-do").isEmpty());
        }

        private int notDone(Format format) {
            return (int) session().photos().stream()
                    .filter(photo -> isReady(photo) && !photo.entry(format.id()).isDone())
                    .count();
        }

        private boolean isReady(Photo photo) {
            return session().isReady(photo);
        }

        private void tell(int formats) {
            long photos = session().photos().stream().filter(this::isReady).count();
            System.out.println(String.format(
                    Locale.ROOT,
                    "%d readable photos in %d formats: %d gestures, %.2f a photo and format",
                    photos,
                    formats,
                    gestures,
                    (double) gestures / (photos * formats)));
        }

        private ShootSession session() {
            return shell.session().orElseThrow();
        }

        private Optional<Node> find(String query) {
            return Optional.ofNullable(stage.getScene().lookup(query)).filter(Node::isVisible);
        }

        private void key(KeyCode code) throws Exception {
            gestures++;
            onScreen(() -> {
                robot.keyPress(code);
                robot.keyRelease(code);
                return null;
            });
        }

        private void click(String query) throws Exception {
            gestures++;
            onScreen(() -> {
                moveTo(query, 0, 0);
                robot.mousePress(MouseButton.PRIMARY);
                robot.mouseRelease(MouseButton.PRIMARY);
                return null;
            });
        }

        private void dragBy(String query, double x, double y) throws Exception {
            gestures++;
            onScreen(() -> {
                moveTo(query, 0, 0);
                robot.mousePress(MouseButton.PRIMARY);
                return null;
            });
            for (int step = 1; step <= 3; step++) {
                double share = step / 3.0;
                onScreen(() -> {
                    robot.mouseMove(robot.getMouseX() + x * share / 2, robot.getMouseY() + y * share / 2);
                    return null;
                });
                settle();
            }
            onScreen(() -> {
                robot.mouseRelease(MouseButton.PRIMARY);
                return null;
            });
        }

        private void moveTo(String query, double x, double y) {
            Node node = find(query).orElseThrow();
            Bounds place = node.localToScreen(node.getBoundsInLocal());
            robot.mouseMove(place.getCenterX() + x, place.getCenterY() + y);
        }

        /** Some frames, so that what was done is seen before the next thing is. */
        private void settle() throws Exception {
            for (int i = 0; i < 12; i++) {
                onScreen(() -> null);
                Thread.sleep(16);
            }
        }

        private void await(Callable<Boolean> condition) throws Exception {
            long until = System.currentTimeMillis() + PATIENCE_MILLIS;
            while (!onScreen(condition)) {
                if (System.currentTimeMillis() > until) {
                    throw new IllegalStateException(
                            "what was waited for did not come, after " + gestures + " gestures");
                }
                Thread.sleep(10);
            }
        }

        private static <T> T onScreen(Callable<T> work) throws Exception {
            FutureTask<T> task = new FutureTask<>(work);
            Platform.runLater(task);
            return task.get();
        }
    }

    private static Shoot untouched(Shoot shoot) {
        Shoot fresh = shoot;
        for (Photo photo : shoot.photos()) {
            fresh = StartAgain.photos(fresh, Set.of(photo.file()));
        }
        return fresh;
    }
}
