package nexa.imaging.deliver;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import nexa.imaging.TestPhotos;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Why a file could not be written, in words that say what can be done. */
class WriteProblemTest {
    @TempDir
    Path folder;

    private String words(IOException problem) {
        return TestPhotos.WORDS.say(WriteProblem.of(folder.resolve("a.jpg"), problem));
    }

    @Test
    void aFullDiskIsCalledFull() {
        assertThat(words(new IOException("No space left on device")))
                .isEqualTo("there is no room left on the disk of " + folder);
        assertThat(words(new FileSystemException("x", null, "No space left on device")))
                .contains("no room left");
    }

    @Test
    void aFolderThatMayNotBeWrittenSaysWhatToDo() {
        assertThat(words(new AccessDeniedException("x"))).contains(folder.toString(), "Choose another destination");
    }

    @Test
    void aDestinationThatIsGoneAsksForItsDrive() {
        assertThat(words(new NoSuchFileException("x"))).contains("Is its drive still connected?");
        assertThat(TestPhotos.WORDS.say(
                        WriteProblem.of(folder.resolve("gone").resolve("a.jpg"), new IOException("broken pipe"))))
                .contains(folder.resolve("gone").toString(), "not there any more");
    }

    @Test
    void aNameTooLongNamesTheName() {
        assertThat(words(new FileSystemException("x", null, "File name too long")))
                .contains("a.jpg", "too long");
    }

    @Test
    void whateverElseIsSaidAsTheSystemSaysIt() {
        assertThat(words(new IOException("Input/output error")))
                .isEqualTo(folder.resolve("a.jpg") + " could not be written: Input/output error");
        assertThat(words(new IOException())).contains("could not be written");
    }

    @Test
    void aFileThatCannotBeReplacedMayBeOpenElsewhere() throws IOException {
        Files.writeString(folder.resolve("a.jpg"), "held");
        assertThat(words(new FileSystemException("x", null, "Operation not permitted")))
                .startsWith(folder.resolve("a.jpg") + " could not be replaced: Operation not permitted")
                .contains("Close it where it is open");
    }
}
