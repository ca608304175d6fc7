package nexa.desktop.stage;

import static nexa.desktop.session.SessionFixture.on;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import javafx.application.Platform;
import nexa.core.series.PhotoCrop;
import nexa.desktop.session.SessionFixture;
import nexa.desktop.session.ShootSession;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.pictures.PictureLevel;
import nexa.imaging.pictures.PictureLibrary;
import nexa.imaging.work.WorkQueue;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Stepping on leaves nothing behind that is still to be read. */
class PhotoStageTest {
    private static final long PLENTY = 100_000_000;

    @TempDir
    Path temporary;

    @Test
    void whatWasAskedForOfPhotosPassedIsNotReadAnyMore() throws Exception {
        Path folder = SessionFixture.photos(Files.createDirectory(temporary.resolve("shoot")));
        Deque<Runnable> asked = new ArrayDeque<>();
        PictureLibrary library = new PictureLibrary(
                new PhotoFolder(folder), new WorkQueue(asked::add, 1, PLENTY), Platform::runLater, PLENTY);
        try (SessionFixture fixture = SessionFixture.open(folder, temporary.resolve("data"))) {
            List<PhotoCrop> passed = on(() -> crops(fixture.session()));
            PhotoStage stage = on(() -> new PhotoStage(library));
            on(() -> {
                stage.resize(400, 300);
                for (int i = 0; i < passed.size() - 1; i++) {
                    stage.show(passed.get(i));
                    stage.prepare(passed.get(i + 1));
                }
                return null;
            });
            while (!asked.isEmpty()) {
                asked.poll().run();
            }
            List<String> read = passed.stream()
                    .map(PhotoCrop::photo)
                    .filter(photo ->
                            library.ifReady(photo, PictureLevel.PREVIEW).isPresent())
                    .map(photo -> photo.file())
                    .toList();
            int last = passed.size() - 1;
            assertThat(read)
                    .as("the photo it came to, and the next one")
                    .containsExactly(
                            passed.get(last - 1).photo().file(),
                            passed.get(last).photo().file());
            on(() -> {
                stage.dispose();
                return null;
            });
        }
    }

    private static List<PhotoCrop> crops(ShootSession session) {
        List<PhotoCrop> crops = new ArrayList<>();
        session.photos().forEach(photo -> crops.add(session.crop(photo, session.format())));
        return crops;
    }
}
