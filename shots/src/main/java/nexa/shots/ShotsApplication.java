package nexa.shots;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.application.Application;
import javafx.stage.Stage;
import nexa.desktop.NexaApplication;
import nexa.desktop.SampleShoot;
import nexa.desktop.shell.Shell;
import nexa.store.user.UserData;

/** The window on the sample shoot, of which pictures are taken. Arguments: the sample's photos, the folder of the pictures. */
public final class ShotsApplication extends Application {
    private Shell shell;

    @Override
    public void start(Stage stage) {
        List<String> given = getParameters().getRaw();
        UserData userData = UserData.ofThisUser();
        SampleShoot sample = new SampleShoot(Path.of(given.get(0)), userData);
        shell = NexaApplication.open(stage, userData, Optional.of(sample::copy), folder -> {});
        stage.show();
        shell.open(List.of(sample.copy())).thenRun(() -> new Screenshots(stage, shell, Path.of(given.get(1))).take());
    }

    @Override
    public void stop() {
        shell.close();
    }

    /** JavaFX on the class path wants a main class that is not the application itself. */
    public static final class Launcher {
        private Launcher() {}

        public static void main(String[] arguments) {
            Application.launch(ShotsApplication.class, arguments);
        }
    }
}
