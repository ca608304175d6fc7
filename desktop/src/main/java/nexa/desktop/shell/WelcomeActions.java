package nexa.desktop.shell;

import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.stage.DirectoryChooser;
import javafx.stage.FileChooser;
import javafx.stage.Stage;
import nexa.desktop.parts.Words;
import nexa.store.shoot.PhotoFiles;

/** What the welcome page asks for. */
final class WelcomeActions implements Welcome.Actions {
    private final Stage stage;
    private final ShootOpening opening;
    private final Optional<Runnable> sample;

    /** @param sample opens the sample shoot, if there is one */
    WelcomeActions(Stage stage, ShootOpening opening, Optional<Runnable> sample) {
        this.stage = stage;
        this.opening = opening;
        this.sample = sample;
    }

    @Override
    public void chooseFolder() {
        DirectoryChooser chooser = new DirectoryChooser();
        chooser.setTitle(Words.get("welcome.folder"));
        Optional.ofNullable(chooser.showDialog(stage)).ifPresent(chosen -> open(List.of(chosen.toPath())));
    }

    @Override
    public void choosePhotos() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(Words.get("welcome.photos"));
        List<String> endings =
                PhotoFiles.ENDINGS.stream().map(ending -> "*." + ending).toList();
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter(Words.get("welcome.photos.kind"), endings));
        List<File> chosen = chooser.showOpenMultipleDialog(stage);
        if (chosen != null) {
            open(chosen.stream().map(File::toPath).toList());
        }
    }

    @Override
    public void open(List<Path> paths) {
        opening.open(paths);
    }

    @Override
    public Optional<Runnable> sample() {
        return sample;
    }
}
