package nexa.store.shoot;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import nexa.core.format.DeliveredFile;
import nexa.store.document.StandardFormats;
import nexa.store.user.KeptFormats;
import nexa.store.user.RecentShoots;
import nexa.store.user.UserData;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Photos in a folder are told by their names, without being opened. */
class PhotoFilesTest {
    @TempDir
    Path folder;

    @ParameterizedTest
    @ValueSource(strings = {"a.jpg", "A.JPEG", "über 1.Tif", "x.y.webp", "p.png", "q.tiff"})
    void theseArePhotos(String name) {
        assertThat(PhotoFiles.isPhoto(name)).isTrue();
    }

    @ParameterizedTest
    @ValueSource(strings = {"a", "a.txt", ".jpg", ".hidden.jpg", "jpg", "a.jpg.xmp", "a.jpg~"})
    void theseAreNot(String name) {
        assertThat(PhotoFiles.isPhoto(name)).isFalse();
    }

    @Test
    void onlyFilesOfThisFolderAreListedByNameWhateverTheCase() throws Exception {
        for (String name : List.of("b.jpg", "A.jpg", "c.PNG", "notes.txt", ".c.jpg")) {
            Files.createFile(folder.resolve(name));
        }
        Files.createDirectory(folder.resolve("folder.jpg"));
        Path below = Files.createDirectory(folder.resolve("below"));
        Files.createFile(below.resolve("d.jpg"));
        Files.createDirectory(folder.resolve(".thumbnails"));
        assertThat(PhotoFiles.in(folder)).containsExactly("A.jpg", "b.jpg", "c.PNG");
        assertThat(PhotoFiles.foldersIn(folder)).containsExactly(below, folder.resolve("folder.jpg"));
    }

    @Test
    void whatWasDeliveredIntoTheFolderOfItsPhotosIsNoPhotoUntilSomebodyPutsAnotherFileThere() throws Exception {
        Files.writeString(folder.resolve("a.jpg"), "photo");
        Files.writeString(folder.resolve("a-2.jpg"), "result");
        Files.writeString(folder.resolve("b.jpg"), "of another shoot");
        List<String> lines = List.of(
                line("a-2.jpg", 6, DeliveredFile.SAME_FOLDER).line(),
                coming(line("a-2.jpg", 20, DeliveredFile.SAME_FOLDER)).line(),
                line("b.jpg", 16, "file:///other/").line());
        Files.write(folder.resolve(DeliveredFile.LIST), lines);
        assertThat(PhotoFiles.in(folder)).containsExactly("a.jpg", "b.jpg");
        Files.writeString(folder.resolve("a-2.jpg"), "another photo");
        assertThat(PhotoFiles.in(folder)).containsExactly("a-2.jpg", "a.jpg", "b.jpg");
    }

    private static DeliveredFile line(String file, long length, String source) {
        return new DeliveredFile("a.jpg", file, "m", length, Optional.of(source), Optional.empty());
    }

    /** Of a file that was to take the place of an earlier one. */
    private static DeliveredFile coming(DeliveredFile line) {
        DeliveredFile.Contents contents = new DeliveredFile.Contents(
                DeliveredFile.Phase.COMING, "TIFF 2", "00ff", "1970-01-01T00:00:01Z", "photo", "");
        return new DeliveredFile(
                line.name(), line.file(), line.contentKey(), line.length(), line.source(), Optional.of(contents));
    }

    @Test
    void aFolderThatIsGoneHasNoFoldersInIt() {
        assertThat(PhotoFiles.foldersIn(folder.resolve("gone"))).isEmpty();
    }

    @Test
    void aFormatKeptInAFileThatIsBrokenCountsAsNoneAndIsReplacedOnlyByKeepingOne() throws Exception {
        UserData data = new UserData(folder);
        Files.writeString(folder.resolve("formats.json"), "{ broken");
        try (KeptFormats kept = KeptFormats.load(data)) {
            assertThat(kept.list()).isEmpty();
        }
        assertThat(folder.resolve("formats.json")).hasContent("{ broken");
        try (KeptFormats kept = KeptFormats.load(data)) {
            kept.keep(StandardFormats.waiting().get(1));
        }
        try (KeptFormats kept = KeptFormats.load(data)) {
            assertThat(kept.find("Tall post")).isPresent();
        }
    }

    @Test
    void theShootsOpenedLatelyAreFewAndNoneTwice() throws Exception {
        RecentShoots recent = new RecentShoots(new UserData(folder.resolve("data")));
        for (int i = 0; i < 12; i++) {
            recent.add(Files.createDirectories(folder.resolve("shoot" + i % 10)));
        }
        List<Path> list = recent.list();
        assertThat(list).hasSize(8).doesNotHaveDuplicates();
        assertThat(list.get(0)).isEqualTo(folder.resolve("shoot1"));
        Files.writeString(folder.resolve("data").resolve("recent.json"), "[1, 2");
        assertThat(recent.list()).isEmpty();
    }
}
