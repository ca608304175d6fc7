package nexa.shots;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.embed.swing.SwingFXUtils;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.CheckBox;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;
import javafx.util.Duration;
import javax.imageio.ImageIO;
import nexa.core.find.FoundSubject;
import nexa.core.find.TakeFound;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.shape.FromLines;
import nexa.core.shape.Perspective;
import nexa.core.shape.SceneLines;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.desktop.session.Finding;
import nexa.desktop.session.ShootSession;
import nexa.desktop.shell.Shell;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.work.Urgency;

/** Takes the pictures of the documentation: the real window, one main view after the other, then ends the program. */
final class Screenshots {
    private static final Duration TO_SETTLE = Duration.seconds(3);

    private static final double POLLED = 0.1;
    private static final int MOVES = 6;
    private static final Duration BETWEEN_MOVES = Duration.millis(60);

    private final Stage stage;
    private final Shell shell;
    private final Path folder;
    private final Robot robot = new Robot();
    private final Deque<Map.Entry<String, Runnable>> views = new ArrayDeque<>();
    /** What must be shown before the next picture is taken. */
    private Optional<String> awaited = Optional.empty();

    Screenshots(Stage stage, Shell shell, Path folder) {
        this.stage = stage;
        this.shell = shell;
        this.folder = folder;
        stage.setX(0);
        stage.setY(0);
        views.add(Map.entry("sheet", () -> shell.go("sheet")));
        views.add(Map.entry("easel", this::showEasel));
        views.add(Map.entry("easel-turning", this::holdVernier));
        views.add(Map.entry("format-editor", this::addFormat));
        views.add(Map.entry("print-help", this::showPrintHelp));
        views.add(Map.entry("carry", () -> {
            fire("#close-panel");
            fire("#carry");
        }));
        views.add(Map.entry("find-in-many", () -> {
            fire("#close-panel");
            shell.go("sheet");
            fire("#chosen-find");
        }));
        views.add(Map.entry("subjects", () -> fire("#find-what-subjects")));
        views.add(Map.entry("person", this::markPerson));
        views.add(Map.entry("line-up", () -> {
            shell.session().orElseThrow().edits().undo();
            shell.session().orElseThrow().goTo(Optional.of("fern-0147.jpg"));
            shell.go("lineup");
        }));
        views.add(Map.entry("proposals", this::propose));
        views.add(Map.entry("trim", this::trim));
        views.add(Map.entry("perspective", this::makeParallel));
        views.add(Map.entry("lens", this::putLensRight));
        views.add(Map.entry("beyond", this::reachBeyond));
        views.add(Map.entry("brief", () -> item("#add-format", "add-brief").fire()));
        views.add(Map.entry("not-as-asked", this::slideAgainstWhatIsAsked));
        views.add(Map.entry("hand-over", this::handOver));
        views.add(Map.entry("hand-over-running", this::deliver));
    }

    private void showEasel() {
        shell.session().orElseThrow().goTo(Optional.of("fern-0147.jpg"));
        shell.go("easel");
        fire("#guide-spiral");
    }

    private void addFormat() {
        robot.mouseRelease(MouseButton.PRIMARY);
        PauseTransition released = new PauseTransition(BETWEEN_MOVES.multiply(MOVES));
        released.setOnFinished(event -> lastOf((MenuButton) find("#add-format")).fire());
        released.play();
    }

    private void showPrintHelp() {
        fire("#close-panel");
        shell.session().orElseThrow().edits().undo();
        shell.session().orElseThrow().edits().undo();
        // Undoing went to what had changed.
        shell.session().orElseThrow().goTo(Optional.of("fern-0147.jpg"));
        fire("#print-help");
    }

    /** Takes what is found of one photo, with the tool for its sides in the hand. */
    private void markPerson() {
        fire("#close-panel");
        ShootSession session = shell.session().orElseThrow();
        Photo photo = session.shoot().photo("fern-0187.jpg");
        session.finding().find(FoundSubject.class, photo, Urgency.NOW, new Finding.Listener<>() {
            @Override
            public void found(FoundSubject found) {
                session.edit(Edit.Kind.SUBJECT, shoot -> TakeFound.of(shoot, Map.of(photo.file(), List.of(found))));
            }

            @Override
            public void failed(PhotoProblem problem) {
                throw new IllegalStateException(problem);
            }
        });
        session.goTo(Optional.of(photo.file()));
        shell.go("easel");
    }

    private void propose() {
        shell.session().orElseThrow().goTo(Optional.of("fern-0150.jpg"));
        shell.go("easel");
        later(1, () -> robot.keyType(KeyCode.K));
        whenShown("#proposals", () -> robot.keyType(KeyCode.RIGHT));
    }

    /** The border that is found is offered, taken, and shown with its sides. */
    private void trim() {
        robot.keyType(KeyCode.ESCAPE);
        shell.session().orElseThrow().goTo(Optional.of("fern-0170.jpg"));
        fire("#desk-shape");
        fire("#page-trim");
        later(1, () -> fire("#find-border"));
        later(2, () -> fire("#find-border"));
        later(2.5, () -> find("#trim-top").requestFocus());
    }

    /** Two lines along joints of the wall behind the vase, and what they make of it. */
    private void makeParallel() {
        find(".stage").requestFocus();
        ShootSession session = shell.session().orElseThrow();
        session.goTo(Optional.of("fern-0177.jpg"));
        fire("#page-perspective");
        SceneLines lines = new SceneLines(
                List.of(
                        new Segment(new Point(0.2344, 0.05), new Point(0.1384, 0.848)),
                        new Segment(new Point(0.8259, 0.05), new Point(0.904, 0.8557))),
                List.of());
        OptionalDouble focal35 = session.lenses().now().focalLength35("fern-0177.jpg");
        session.edit(
                Edit.Kind.PERSPECTIVE, shoot -> shoot.with("fern-0177.jpg", photo -> solved(photo, lines, focal35)));
        later(1, () -> fire("#by-lines"));
    }

    private static Photo solved(Photo photo, SceneLines lines, OptionalDouble focal35) {
        FromLines.Solved solved =
                (FromLines.Solved) new FromLines(photo.size(), Optional.empty(), focal35).solve(lines);
        Perspective perspective = Perspective.none(solved.focal35()).by(solved, lines);
        return photo.withPerspective(Optional.of(perspective)).withAngle(solved.angle());
    }

    /** The shelf whose banner takes in room at both sides. */
    private void reachBeyond() {
        ShootSession session = shell.session().orElseThrow();
        session.formatProperty().set("banner");
        fire("#desk-level");
        later(1, () -> session.goTo(Optional.of("fern-0180.jpg")));
    }

    /** A crop that is not as the brief asks, sliding. */
    private void slideAgainstWhatIsAsked() {
        ((CheckBox) find("#brief-terms")).setSelected(false);
        fire("#brief-use");
        ShootSession session = shell.session().orElseThrow();
        session.formatProperty().set("tile");
        session.goTo(Optional.of("fern-0160.jpg"));
        later(1.5, () -> {
            Bounds stage = find(".stage").localToScreen(find(".stage").getBoundsInLocal());
            drag(stage.getCenterX(), stage.getCenterY(), -6);
        });
    }

    private void handOver() {
        robot.mouseRelease(MouseButton.PRIMARY);
        later(0.4, () -> {
            shell.session().orElseThrow().formatProperty().set("page");
            for (int done = 0; done < 5; done++) {
                shell.session().orElseThrow().edits().undo();
            }
            shell.go("handover");
        });
    }

    /** The shelf that the lens bent. */
    private void putLensRight() {
        robot.keyType(KeyCode.ESCAPE);
        shell.session().orElseThrow().goTo(Optional.of("fern-0181.jpg"));
        fire("#page-lens");
        whenShown("#lens-put-right", () -> fire("#lens-put-right"));
    }

    /** Does something once a part of the window is shown; the picture is taken a while after that. */
    private void whenShown(String query, Runnable what) {
        awaited = Optional.of(query);
        Node part = stage.getScene().lookup(query);
        if (part != null && part.isVisible() && !part.isDisabled()) {
            later(1, what);
            later(2, () -> awaited = Optional.empty());
        } else {
            later(POLLED, () -> whenShown(query, what));
        }
    }

    private static void later(double seconds, Runnable what) {
        PauseTransition pause = new PauseTransition(Duration.seconds(seconds));
        pause.setOnFinished(event -> what.run());
        pause.play();
    }

    private void deliver() {
        fire("#deliver");
        // What is seen is a delivery on its way, however fast this machine is.
        PauseTransition onItsWay = new PauseTransition(TO_SETTLE.multiply(0.6));
        onItsWay.setOnFinished(event -> fire("#pause-delivery"));
        onItsWay.play();
    }

    private MenuItem item(String menu, String id) {
        return ((MenuButton) find(menu))
                .getItems().stream()
                        .filter(item -> id.equals(item.getId()))
                        .findFirst()
                        .orElseThrow();
    }

    private static MenuItem lastOf(MenuButton menu) {
        return menu.getItems().get(menu.getItems().size() - 1);
    }

    private Node find(String query) {
        return Objects.requireNonNull(stage.getScene().lookup(query), query);
    }

    private void fire(String query) {
        ((ButtonBase) find(query)).fire();
    }

    /** Turns the photo a little by the vernier, and keeps hold of it. */
    private void holdVernier() {
        Bounds vernier = find("#vernier").localToScreen(find("#vernier").getBoundsInLocal());
        drag(vernier.getCenterX(), vernier.getCenterY(), 10);
    }

    /** Moves to the right in steps of some pixels with the button held, and keeps hold. */
    private void drag(double x, double y, double step) {
        robot.mouseMove(x, y);
        robot.mousePress(MouseButton.PRIMARY);
        // Each move has to arrive before the next one, or none is seen.
        for (int i = 1; i <= MOVES; i++) {
            double to = x + i * step;
            PauseTransition later = new PauseTransition(BETWEEN_MOVES.multiply(i));
            later.setOnFinished(event -> robot.mouseMove(to, y));
            later.play();
        }
    }

    void take() {
        if (views.isEmpty()) {
            Platform.exit();
            return;
        }
        if (!isAllRead()) {
            PauseTransition wait = new PauseTransition(TO_SETTLE);
            wait.setOnFinished(event -> take());
            wait.play();
            return;
        }
        Map.Entry<String, Runnable> view = views.poll();
        view.getValue().run();
        PauseTransition settle = new PauseTransition(TO_SETTLE);
        settle.setOnFinished(event -> {
            if (isLooking() || awaited.isPresent()) {
                settle.playFromStart();
            } else {
                save(view.getKey());
                take();
            }
        });
        settle.play();
    }

    /** Whether photos are being looked at, which is seen by the button that stops it. */
    private boolean isLooking() {
        Node stop = stage.getScene().lookup("#find-stop");
        return stop != null && stop.isVisible();
    }

    private boolean isAllRead() {
        return shell.session()
                .map(session -> session.shoot().photos().size()
                        <= session.readingProperty().get().facts().size())
                .orElse(false);
    }

    private void save(String name) {
        WritableImage image = robot.getScreenCapture(
                null,
                stage.getX() + stage.getScene().getX(),
                stage.getY() + stage.getScene().getY(),
                stage.getScene().getWidth(),
                stage.getScene().getHeight());
        try {
            Files.createDirectories(folder);
            ImageIO.write(
                    SwingFXUtils.fromFXImage(image, null),
                    "png",
                    folder.resolve(name + ".png").toFile());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
