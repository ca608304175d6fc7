package nexa.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatIOException;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Files are whole, ours alone, and never written through something else of their name. */
class FilesTest {
    @TempDir
    private Path folder;

    private Path file;

    @BeforeEach
    void name() {
        file = folder.resolve("notes.txt");
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    @Test
    void aLinkIsReplacedAndWhatItLeadsToStays() throws Exception {
        Path other = Files.writeString(folder.resolve("other.txt"), "theirs");
        Files.createSymbolicLink(file, other);
        TemporaryFile.replace(file, bytes("ours"));
        assertThat(file).hasContent("ours");
        assertThat(other).hasContent("theirs");
        assertThat(folder).isDirectoryNotContaining("glob:**.tmp");
    }

    @Test
    void whatIsNotMovedGoesAgain() throws Exception {
        try (TemporaryFile written = TemporaryFile.toDeliver(folder, bytes("a file"))) {
            assertThat(written.path()).hasContent("a file");
            assertThat(written.digest()).isEqualTo(Digest.of(bytes("a file")));
        }
        assertThat(folder).isEmptyDirectory();
    }

    @Test
    void aLineBeginsAnewWhereACrashCutTheLastOneOff() throws Exception {
        LineFile.add(file, "first", true);
        Files.writeString(file, Files.readString(file) + "cut o");
        LineFile.add(file, "second", false);
        assertThat(file).hasContent("first\ncut o\nsecond\n");
    }

    @Test
    void noLineIsAddedThroughALink() throws Exception {
        Path other = Files.writeString(folder.resolve("other.txt"), "theirs");
        Files.createSymbolicLink(file, other);
        assertThatIOException().isThrownBy(() -> LineFile.add(file, "ours", true));
        assertThatExceptionOfType(RegularFile.Refused.class).isThrownBy(() -> RegularFile.requireRegular(file));
        assertThat(other).hasContent("theirs");
    }

    @Test
    void aFileThatIsHeldIsNotTakenTwiceAndOneThatIsDeletedCanBeTakenAgain() throws Exception {
        Optional<LockFile> first = LockFile.take(file);
        assertThat(first).isPresent();
        assertThat(LockFile.take(
                        folder.resolve("..").resolve(folder.getFileName()).resolve("notes.txt")))
                .as("by another path to it")
                .isEmpty();
        first.get().delete();
        assertThat(file).doesNotExist();
        Optional<LockFile> again = LockFile.take(file);
        assertThat(again).isPresent();
        again.get().close();
        assertThat(file).exists();
    }

    @Test
    void noMoreIsReadThanIsAllowed() throws Exception {
        Files.writeString(file, "twelve bytes");
        assertThat(RegularFile.read(file, 12)).isEqualTo(bytes("twelve bytes"));
        assertThatExceptionOfType(RegularFile.Refused.class).isThrownBy(() -> RegularFile.read(file, 11));
        assertThatExceptionOfType(RegularFile.Refused.class).isThrownBy(() -> RegularFile.read(folder, 100));
    }

    @Test
    void aFileIsToldByItsStampAndOneThatIsNotThereHasNone() throws Exception {
        assertThat(FileStamp.of(file)).isEmpty();
        Files.writeString(file, "one");
        Optional<FileStamp> before = FileStamp.of(file);
        Files.writeString(file, "other");
        assertThat(FileStamp.of(file)).isPresent().isNotEqualTo(before);
    }
}
