package nexa.desktop;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Application;
import javafx.geometry.Rectangle2D;
import javafx.scene.Scene;
import javafx.stage.Screen;
import javafx.stage.Stage;
import nexa.desktop.parts.TextSize;
import nexa.desktop.session.Background;
import nexa.desktop.shell.Shell;
import nexa.imaging.pictures.PictureLibrary;
import nexa.store.user.UserData;

/**
 * The application. Arguments: {@code --sample=FOLDER}, the sample shoot's photos; then nothing for the welcome page,
 * {@code --demo} for the sample shoot, or what is to be opened.
 */
public final class NexaApplication extends Application {
    private static final double WIDTH = 1280;
    private static final double HEIGHT = 800;
    /** Down to this everything can be reached and read; with large text, from a common laptop's screen on. */
    private static final double NARROWEST = 1024;

    private static final double LOWEST = 640;
    private static final double LOW = 720;
    /** What a window's title and edges take up at most. */
    private static final double EDGES = 60;

    private final UserData userData = UserData.ofThisUser();
    private Shell shell;

    /** Off the JavaFX thread, which is not to read files. */
    @Override
    public void init() {
        Theme.stylesheet();
        Typeface.load(userData);
    }

    @Override
    public void start(Stage stage) {
        Parameters given = getParameters();
        Optional<SampleShoot> sample = Optional.ofNullable(given.getNamed().get("sample"))
                .map(photos -> new SampleShoot(Path.of(photos), userData));
        shell = open(
                stage,
                userData,
                sample.map(shoot -> shoot::copy),
                folder -> getHostServices().showDocument(folder.toUri().toString()));
        List<Path> paths = given.getUnnamed().stream()
                .filter(argument -> !argument.startsWith("--"))
                .map(Path::of)
                .toList();
        stage.show();
        if (sample.isPresent() && given.getUnnamed().contains("--demo")) {
            shell.openSample();
        } else {
            shell.open(paths);
        }
    }

    /**
     * Fills a stage with the application, without showing it yet.
     *
     * @param sample makes the sample shoot's folder ready, if there is a sample; not on the JavaFX thread
     * @param openFolder shows a folder outside of this program
     */
    public static Shell open(
            Stage stage, UserData userData, Optional<Supplier<Path>> sample, Consumer<Path> openFolder) {
        Background background = new Background();
        PictureLibrary.warmUp(background.workers());
        setUserAgentStylesheet(Theme.stylesheet());
        Typeface.load(userData);
        Shell shell = new Shell(stage, userData, background, sample, openFolder);
        stage.setOnCloseRequest(event -> {
            if (!shell.mayClose()) {
                event.consume();
            }
        });
        Scene scene = new Scene(shell, WIDTH, HEIGHT);
        scene.getStylesheets().add(Theme.dataUrl(TextSize.styled(Theme.text("nexa.css"))));
        stage.setScene(scene);
        stage.setTitle("Nexa");
        fit(stage, Screen.getPrimary().getVisualBounds());
        return shell;
    }

    /**
     * Gives a window its size: the usual one, or where a screen has less room, all of that.
     *
     * @param room what of the screen a window may take up
     */
    static void fit(Stage stage, Rectangle2D room) {
        stage.setMinWidth(Math.min(room.getWidth(), Math.min(WIDTH, TextSize.scaled(NARROWEST))));
        stage.setMinHeight(Math.min(room.getHeight(), Math.min(LOW, TextSize.scaled(LOWEST))));
        // Its edges come to the scene's size, and are not known before it is shown.
        boolean isNarrow = room.getWidth() < WIDTH + EDGES;
        boolean isLow = room.getHeight() < HEIGHT + EDGES;
        if (isNarrow || isLow) {
            double width = Math.min(room.getWidth(), WIDTH);
            double height = Math.min(room.getHeight(), HEIGHT);
            stage.setWidth(width);
            stage.setHeight(height);
            stage.setX(room.getMinX() + (room.getWidth() - width) / 2);
            stage.setY(room.getMinY() + (room.getHeight() - height) / 2);
        }
    }

    @Override
    public void stop() {
        // Saving goes on on its own thread; the program ends when it is done.
        shell.close();
    }
}
