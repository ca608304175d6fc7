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
import javafx.application.Application;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.image.ImageView;
import javafx.scene.input.MouseButton;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;
import nexa.core.find.FoundLevel;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.shape.Perspective;
import nexa.core.shape.SceneLines;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.desktop.NexaApplication;
import nexa.desktop.session.Finding;
import nexa.desktop.session.ShootSession;
import nexa.desktop.shell.Shell;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.pictures.PictureLevel;
import nexa.imaging.work.Urgency;
import nexa.store.user.UserData;

/**
 * The whole program on a shoot of 3,000 photos: how soon the first screen of thumbnails is there and what the heap holds;
 * how long a step to the next photo takes; and how long the JavaFX thread and the thread that draws work in each frame while a
 * handle is dragged, the photo slid and turned. The pointer is moved once a frame.
 */
public final class WindowBench {
    private static final int PHOTOS = 3000;
    private static final int FRAMES = 150;
    /** The first frames of a gesture are not like the others. */
    private static final int UNSETTLED = 10;

    private static final int STEPS = 40;

    private WindowBench() {}

    public static void main(String[] arguments) {
        Application.launch(Bench.class, arguments);
    }

    /** The application that is measured. */
    public static final class Bench extends Application {
        private final Deque<Runnable> script = new ArrayDeque<>();
        private Path folder;
        private Shell shell;
        private Stage stage;

        @Override
        public void init() throws Exception {
            folder = Files.createTempDirectory("nexa-bench");
            LargePhotos.shootOf(folder.resolve("shoot"), PHOTOS);
        }

        @Override
        public void start(Stage given) {
            stage = given;
            shell = NexaApplication.open(stage, new UserData(folder.resolve("data")), Optional.empty(), outside -> {});
            stage.setX(0);
            stage.setY(0);
            stage.show();
            script.add(this::open);
            script.add(this::step);
            script.add(() -> drag("handle dragged", "#handle-bottom_right", 0.5));
            script.add(() -> drag("photo slid", ".stage", 0.5));
            script.add(() -> drag("turned by the vernier", "#vernier", 0.5));
            script.add(() -> drag("turned by a drag outside", ".stage", 0.06));
            script.add(() -> press("#desk-shape"));
            script.add(() -> drag("perspective by the tilt's scale", "#tilt", 0.5));
            script.add(this::showLines);
            script.add(() -> drag("perspective by the end of a line", "#line-1-first", 0.5));
            script.add(() -> press("#desk-level"));
            script.add(this::find);
            script.add(() -> drag("photo slid while levels are found", ".stage", 0.5));
            script.add(() -> drag("turned while levels are found", "#vernier", 0.5));
            next();
        }

        private void press(String button) {
            stage.getScene().getRoot().lookupAll(button).stream()
                    .map(ToggleButton.class::cast)
                    .filter(ToggleButton::isVisible)
                    .findFirst()
                    .orElseThrow()
                    .fire();
            afterFrames(40, this::next);
        }

        /** Gives the photo two uprights that run together, and takes them to hand. */
        private void showLines() {
            ShootSession session = shell.session().orElseThrow();
            Photo photo = session.photo().orElseThrow();
            SceneLines lines = new SceneLines(
                    List.of(
                            new Segment(new Point(0.3, 0.3), new Point(0.33, 0.8)),
                            new Segment(new Point(0.7, 0.3), new Point(0.67, 0.8))),
                    List.of());
            Perspective perspective = new Perspective(-8, 0, 100, 1, 35, lines);
            session.edit(
                    Edit.Kind.PERSPECTIVE,
                    shoot -> shoot.with(photo.file(), before -> before.withPerspective(Optional.of(perspective))));
            press("#by-lines");
        }

        /** Has the levels of all photos found in the background from now on. */
        private void find() {
            ShootSession session = shell.session().orElseThrow();
            for (Photo photo : session.photos()) {
                session.finding().find(FoundLevel.class, photo, Urgency.IDLE, new Finding.Listener<>() {
                    @Override
                    public void found(FoundLevel level) {}

                    @Override
                    public void failed(PhotoProblem problem) {}
                });
            }
            next();
        }

        private void next() {
            if (script.isEmpty()) {
                Platform.exit();
            } else {
                Platform.runLater(script.poll());
            }
        }

        @Override
        public void stop() {
            shell.closeShoot().join();
            LargePhotos.delete(folder);
        }

        private void open() {
            long began = System.nanoTime();
            shell.open(List.of(folder.resolve("shoot")));
            when(this::hasFirstScreen, () -> {
                System.out.println(String.format(
                        Locale.ROOT, "3,000 photos: first screen of thumbnails after %.0f ms", since(began)));
                when(this::hasReadAll, () -> {
                    System.gc();
                    Runtime runtime = Runtime.getRuntime();
                    System.out.println(String.format(
                            Locale.ROOT,
                            "3,000 photos: all facts read after %.1f s, heap then %d MB",
                            since(began) / 1000,
                            (runtime.totalMemory() - runtime.freeMemory()) >> 20));
                    next();
                });
            });
        }

        private boolean hasFirstScreen() {
            List<Node> thumbs = stage.getScene().getRoot().lookupAll(".sheet .thumb").stream()
                    .filter(thumb -> thumb.getScene() != null && isOnScreen(thumb))
                    .toList();
            return thumbs.size() >= 18 && thumbs.stream().allMatch(Bench::hasImage);
        }

        private boolean isOnScreen(Node node) {
            for (Node part = node; part != null; part = part.getParent()) {
                // A list keeps a hidden cell for measuring.
                if (!part.isVisible()) {
                    return false;
                }
            }
            Bounds bounds = node.localToScene(node.getBoundsInLocal());
            return bounds.getMinY() < stage.getScene().getHeight() && bounds.getMaxY() > 0 && bounds.getHeight() > 20;
        }

        private static boolean hasImage(Node thumb) {
            return thumb.lookupAll("ImageView").stream()
                    .map(ImageView.class::cast)
                    .anyMatch(view -> view.getImage() != null);
        }

        private boolean hasReadAll() {
            return shell.session().orElseThrow().readingProperty().get().facts().size() == PHOTOS;
        }

        private ImageView picture() {
            return (ImageView) stage.getScene()
                    .getRoot()
                    .lookupAll(".stage > ImageView")
                    .iterator()
                    .next();
        }

        private void step() {
            shell.go("easel");
            Figures ahead = new Figures("step to the next photo, read ahead");
            Figures cold = new Figures("step to a photo far off, cold");
            when(() -> picture().getImage() != null, () -> stepOn(ahead, cold));
        }

        private void stepOn(Figures ahead, Figures cold) {
            if (ahead.count() + cold.count() == 2 * STEPS) {
                ahead.print();
                cold.print();
                next();
                return;
            }
            boolean isNext = ahead.count() <= cold.count();
            // Nobody steps on before having looked: some frames pass.
            int[] looked = {15};
            when(() -> (!isNext || isReadAhead()) && looked[0]-- <= 0, () -> {
                long began = System.nanoTime();
                shell.session().orElseThrow().step(isNext ? 1 : 61);
                when(() -> picture().getImage() != null, () -> {
                    (isNext ? ahead : cold).add(since(began));
                    stepOn(ahead, cold);
                });
            });
        }

        private boolean isReadAhead() {
            ShootSession session = shell.session().orElseThrow();
            List<Photo> photos = session.shoot().photos();
            int next = photos.indexOf(session.photo().orElseThrow()) + 1;
            return session.pictures()
                    .ifReady(photos.get(next), PictureLevel.PREVIEW)
                    .isPresent();
        }

        /** @param across where in the node the drag begins, as a share of its width */
        private void drag(String name, String query, double across) {
            Node node = stage.getScene().getRoot().lookup(query);
            Bounds place = node.localToScreen(node.getBoundsInLocal());
            Robot robot = new Robot();
            double startX = place.getMinX() + across * place.getWidth();
            robot.mouseMove(startX, place.getCenterY());
            robot.mousePress(MouseButton.PRIMARY);
            Figures working = new Figures(name + ": work");
            Figures drawing = new Figures(name + ": drawing");
            FrameWork work = new FrameWork(frame -> {
                working.add(frame.work());
                drawing.add(frame.rendering());
            });
            new AnimationTimer() {
                private int frame;

                @Override
                public void handle(long ignored) {
                    frame++;
                    if (frame == UNSETTLED) {
                        work.start();
                    }
                    double way = 90 * Math.sin(frame / 14.0);
                    robot.mouseMove(startX - Math.abs(way) / 3, place.getCenterY() - Math.abs(way) / 2);
                    if (frame > FRAMES) {
                        stop();
                        work.stop();
                        robot.mouseRelease(MouseButton.PRIMARY);
                        working.print();
                        drawing.print();
                        afterFrames(40, Bench.this::next);
                    }
                }
            }.start();
        }

        private static void afterFrames(int frames, Runnable action) {
            int[] left = {frames};
            when(() -> left[0]-- <= 0, action);
        }

        /** Looks once a frame whether something has come, then goes on. */
        private static void when(BooleanSupplier condition, Runnable action) {
            new AnimationTimer() {
                @Override
                public void handle(long now) {
                    if (condition.getAsBoolean()) {
                        stop();
                        action.run();
                    }
                }
            }.start();
        }

        private static double since(long began) {
            return (System.nanoTime() - began) / 1e6;
        }
    }
}
