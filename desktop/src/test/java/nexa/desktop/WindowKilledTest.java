package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.application.Application;
import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import javafx.util.Duration;
import nexa.desktop.shell.Shell;
import nexa.store.document.ShootDocument;
import nexa.store.shoot.ShootFolder;
import nexa.store.user.UserData;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Kills the window while a key that turns the photo is held down, and looks at what is left: all but the last moment. */
class WindowKilledTest {
    private static final int KILLS = Integer.getInteger("nexa.windowKills", 1);
    private static final String PHOTO = "fern-0138.jpg";
    private static final String JOURNAL = ".nexa-shoot.journal";

    @TempDir
    Path temporary;

    /** The program that is killed: a window in which the key is held, and which tells what it shows. */
    public static final class Held extends Application {
        @Override
        public void start(Stage stage) {
            Path folder = Path.of(getParameters().getRaw().get(0));
            UserData userData = new UserData(Path.of(getParameters().getRaw().get(1)));
            Shell shell = NexaApplication.open(stage, userData, Optional.empty(), outside -> {});
            stage.show();
            shell.open(List.of(folder.resolve(PHOTO)));
            Timeline held = new Timeline(new KeyFrame(Duration.millis(40), event -> press(shell)));
            held.setCycleCount(Animation.INDEFINITE);
            held.play();
        }

        private static void press(Shell shell) {
            Node angle = shell.lookup("#angle");
            if (angle instanceof TextField field && !field.getText().isEmpty()) {
                System.out.println(field.getText());
                KeyEvent key = new KeyEvent(KeyEvent.KEY_PRESSED, ".", ".", KeyCode.PERIOD, false, false, false, false);
                Event.fireEvent(shell.lookup(".stage"), key);
            }
        }

        public static void main(String[] arguments) {
            launch(Held.class, arguments);
        }
    }

    @Test
    void whatIsShownIsRecordedAgainAndAgainHoweverLongTheKeyIsHeld() throws Exception {
        Path folder = Files.createDirectory(temporary.resolve("shoot"));
        UserData data = new UserData(temporary.resolve("data"));
        Files.copy(Path.of("..", "sample", "photos", PHOTO), folder.resolve(PHOTO));
        for (int kill = 0; kill < KILLS; kill++) {
            Files.deleteIfExists(folder.resolve(ShootDocument.NAME));
            Files.deleteIfExists(folder.resolve(JOURNAL));
            List<Double> recorded = recordedUntilKilled(folder, data, 3 + kill % 3);
            assertThat(recorded).as("recorded before kill %d", kill).isSorted().doesNotHaveDuplicates();
            assertThat(angle(folder, data))
                    .as("after kill %d", kill)
                    .isPositive()
                    .isGreaterThanOrEqualTo(recorded.get(recorded.size() - 1));
        }
    }

    private static double angle(Path folder, UserData data) throws Exception {
        return ShootFolder.look(folder, data).shoot().photo(PHOTO).angle().degrees();
    }

    /** Lets the window go on until it has recorded so many times what it shows, kills it, and tells what that was. */
    private static List<Double> recordedUntilKilled(Path folder, UserData data, int records) throws Exception {
        Process window = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-Dprism.order=sw",
                        "-cp",
                        System.getProperty("surefire.test.class.path", System.getProperty("java.class.path")),
                        Start.class.getName(),
                        folder.toString(),
                        data.folder().toString())
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        List<Double> recorded = new ArrayList<>();
        long length = 0;
        try (BufferedReader told =
                new BufferedReader(new InputStreamReader(window.getInputStream(), StandardCharsets.UTF_8))) {
            while (told.readLine() != null) {
                long now = length(folder.resolve(JOURNAL));
                if (now > length && recorded.size() < records) {
                    length = now;
                    recorded.add(angle(folder, data));
                }
                if (recorded.size() == records) {
                    // SIGKILL
                    window.toHandle().destroyForcibly();
                }
            }
        }
        assertThat(window.waitFor(180, TimeUnit.SECONDS)).isTrue();
        return recorded;
    }

    private static long length(Path file) throws IOException {
        return Files.exists(file) ? Files.size(file) : 0;
    }

    /** JavaFX on the class path wants a main class that is not the application itself. */
    public static final class Start {
        private Start() {}

        public static void main(String[] arguments) {
            Held.main(arguments);
        }
    }
}
