package nexa.imaging.pictures;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import nexa.core.format.Format;
import nexa.core.format.Ratio;
import nexa.core.series.Crops;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.TestPhotos;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.work.Ticket;
import nexa.imaging.work.Urgency;
import nexa.imaging.work.WorkQueue;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PictureLibraryTest {
    @TempDir
    Path folder;

    private final Deque<Runnable> waiting = new ArrayDeque<>();
    private final List<Photo> photos = new ArrayList<>();
    private final List<String> heard = new ArrayList<>();

    @BeforeEach
    void makePhotos() throws Exception {
        for (String name : List.of("a.jpg", "b.jpg", "c.jpg")) {
            photos.add(TestPhotos.photo(TestPhotos.write(TestPhotos.scene(600, 400), folder.resolve(name))));
        }
    }

    @Test
    void theUrgentComesFirstThenTheLatestAndTheCancelledNotAtAll() {
        try (PictureLibrary library = library(1 << 24)) {
            ask(library, photos.get(0), false, "first");
            Ticket unwanted = ask(library, photos.get(1), false, "unwanted");
            ask(library, photos.get(1), true, "urgent");
            ask(library, photos.get(2), false, "last");
            unwanted.cancel();
            runAll();
            assertThat(heard).containsExactly("urgent 400", "last 400", "first 400");
        }
    }

    @Test
    void memoryIsBoundedByBytes() {
        long onePicture = 400L * 267 * 4;
        try (PictureLibrary library = library(2 * onePicture + 1000)) {
            for (Photo photo : photos) {
                ask(library, photo, false, photo.file());
                runAll();
            }
            long ready = photos.stream()
                    .filter(photo ->
                            library.ifReady(photo, PictureLevel.THUMBNAIL).isPresent())
                    .count();
            assertThat(ready).isEqualTo(2);
        }
    }

    @Test
    void aPhotoThatIsGoneIsToldWhileTheRestGoesOn() throws Exception {
        Files.delete(folder.resolve("b.jpg"));
        try (PictureLibrary library = library(1 << 24)) {
            photos.forEach(photo -> ask(library, photo, false, photo.file()));
            runAll();
            assertThat(heard).containsExactly("c.jpg 400", "b.jpg is not in the folder any more", "a.jpg 400");
        }
    }

    @Test
    void aCropComesAsItWillLook() {
        Format square = Format.of("s", "Square", Ratio.of("1", "1"));
        Shoot shoot = Shoot.of("S", Shoot.Order.NAME, List.of(square), photos);
        try (PictureLibrary library = library(1 << 24)) {
            library.crop(new Crops(shoot).of(photos.get(0), square), 68, listener("crop"));
            runAll();
            assertThat(heard).containsExactly("crop 68");
        }
    }

    @Test
    void whatIsDoneWhenIdleWaitsForEverythingElse() {
        try (PictureLibrary library = library(1 << 24)) {
            library.whenIdle(() -> heard.add("idle"));
            library.readAhead(photos.get(2), PictureLevel.THUMBNAIL, () -> heard.add("ahead"));
            ask(library, photos.get(0), false, "seen");
            runAll();
            assertThat(heard).containsExactly("seen 400", "ahead", "idle");
            assertThat(library.ifReady(photos.get(2), PictureLevel.THUMBNAIL)).isPresent();
        }
    }

    @Test
    void theCamerasOwnSmallPictureComesUprightAndWithoutBars() throws Exception {
        Path file = TestPhotos.write(TestPhotos.scene(600, 400), folder.resolve("camera.jpg"));
        Path small = TestPhotos.write(TestPhotos.scene(160, 120), folder.resolve("small.jpg"));
        TestPhotos.addMetadata(file, TestPhotos.exifWithThumbnail(6, Files.readAllBytes(small)), null);
        try (PictureLibrary library = library(1 << 24)) {
            library.embedded(TestPhotos.photo(file), listener("embedded"));
            library.embedded(photos.get(0), listener("none"));
            runAll();
            assertThat(heard).as("as wide as the photo is high").containsExactly("embedded 106");
            ask(library, TestPhotos.photo(file), false, "thumbnail");
            runAll();
            assertThat(heard).contains("thumbnail 267");
        }
    }

    private PictureLibrary library(long bytes) {
        return new PictureLibrary(
                new PhotoFolder(folder), new WorkQueue(waiting::add, 1, 1 << 24), Runnable::run, bytes);
    }

    private Ticket ask(PictureLibrary library, Photo photo, boolean urgent, String name) {
        return library.photo(photo, PictureLevel.THUMBNAIL, urgent ? Urgency.NOW : Urgency.SOON, listener(name));
    }

    private PictureLibrary.Listener listener(String name) {
        return new PictureLibrary.Listener() {
            @Override
            public void ready(Picture picture) {
                heard.add(name + " " + picture.width());
            }

            @Override
            public void failed(PhotoProblem problem) {
                heard.add(TestPhotos.WORDS.say(problem));
            }
        };
    }

    private void runAll() {
        while (!waiting.isEmpty()) {
            waiting.poll().run();
        }
    }
}
