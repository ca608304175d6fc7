package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
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
import nexa.core.shoot.Shoot;
import nexa.desktop.shell.Shell;
import nexa.store.ShootFolder;
import nexa.store.UserData;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Kills the window while a key that turns the photo is held down, and looks at what is left: all but the last second. */
class WindowKilledTest {
    private static final int KILLS = Integer.getInteger("nexa.windowKills", 1);
    private static final String PHOTO = "fern-0138.jpg";
    private static final long A_SECOND = 1000;

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
                System.out.println(System.currentTimeMillis() + " " + field.getText());
                KeyEvent key = new KeyEvent(KeyEvent.KEY_PRESSED, ".", ".", KeyCode.PERIOD, false, false, false, false);
                Event.fireEvent(shell.lookup(".stage"), key);
            }
        }

        public static void main(String[] arguments) {
            launch(Held.class, arguments);
        }
    }

    @Test
    void noMoreThanASecondIsLostHoweverLongTheKeyIsHeld() throws Exception {
        Path folder = Files.createDirectory(temporary.resolve("shoot"));
        Path data = temporary.resolve("data");
        Files.copy(Path.of("..", "sample", "photos", PHOTO), folder.resolve(PHOTO));
        Random random = new Random(17);
        for (int kill = 0; kill < KILLS; kill++) {
            Files.deleteIfExists(folder.resolve(ShootFolder.DOCUMENT));
            Files.deleteIfExists(folder.resolve(".nexa-shoot.journal"));
            double shown = shownASecondBefore(folder, data, 1500 + random.nextInt(3000));
            Shoot left = ShootFolder.look(folder, new UserData(data)).shoot();
            assertThat(left.photo(PHOTO).angle().degrees())
                    .as("after kill %d", kill)
                    .isGreaterThanOrEqualTo(shown - 0.001);
            assertThat(shown).as("shown a second before kill %d", kill).isPositive();
        }
    }

    /** Lets the window go on for a while, kills it, and tells the angle that it had shown a second before. */
    private static double shownASecondBefore(Path folder, Path data, long after) throws Exception {
        Process window = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-Dprism.order=sw",
                        "-cp",
                        System.getProperty("surefire.test.class.path", System.getProperty("java.class.path")),
                        Start.class.getName(),
                        folder.toString(),
                        data.toString())
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        List<String> lines = new ArrayList<>();
        long killedAt = 0;
        try (BufferedReader told =
                new BufferedReader(new InputStreamReader(window.getInputStream(), StandardCharsets.UTF_8))) {
            String line = told.readLine();
            long began = line == null ? 0 : time(line);
            while (line != null) {
                lines.add(line);
                if (killedAt == 0 && time(line) - began > after) {
                    killedAt = System.currentTimeMillis();
                    // SIGKILL
                    window.toHandle().destroyForcibly();
                }
                line = told.readLine();
            }
        }
        assertThat(window.waitFor(180, TimeUnit.SECONDS)).isTrue();
        long before = killedAt - A_SECOND;
        return lines.stream()
                .filter(line -> time(line) <= before)
                .mapToDouble(line -> Double.parseDouble(line.split(" ")[1].replaceAll("[^0-9.]", "")))
                .max()
                .orElse(0);
    }

    /** JavaFX on the class path wants a main class that is not the application itself. */
    public static final class Start {
        private Start() {}

        public static void main(String[] arguments) {
            Held.main(arguments);
        }
    }

    private static long time(String line) {
        return Long.parseLong(line.split(" ")[0]);
    }
}
