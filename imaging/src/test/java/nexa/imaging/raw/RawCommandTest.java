package nexa.imaging.raw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Duration;
import java.util.stream.Stream;
import nexa.core.format.PixelSize;
import nexa.imaging.decode.PhotoProblem;
import org.bytedeco.javacpp.indexer.UShortRawIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.DisabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Whatever the command does that makes pictures of raw files, here it comes to a picture or to a reason. */
@DisabledOnOs(OS.WINDOWS)
class RawCommandTest {
    private static final PixelSize SMALL = new PixelSize(4, 3);

    @TempDir
    Path folder;

    private RawCommand standIn(String script, Duration most) throws Exception {
        Path command = folder.resolve("command");
        Files.writeString(command, "#!/bin/sh\n" + script + "\n");
        Files.setPosixFilePermissions(command, PosixFilePermissions.fromString("rwxr-xr-x"));
        return new RawCommand(command, most);
    }

    @AfterEach
    void forgetStandIn() {
        System.clearProperty(RawCommand.PROPERTY);
    }

    @Test
    void thePictureIsReadAsTheCommandGivesIt() throws Exception {
        RawCommand command = standIn(
                "printf 'P6\\n2 1\\n65535\\n\\001\\002\\003\\004\\005\\006\\377\\377\\200\\000\\000\\001'",
                Duration.ofSeconds(60));
        try (Mat picture = command.develop(folder.resolve("a.dng"), SMALL, false);
                UShortRawIndexer pixels = picture.createIndexer()) {
            assertThat(new int[] {pixels.get(0, 0, 2), pixels.get(0, 0, 1), pixels.get(0, 0, 0)})
                    .as("red, green, blue")
                    .containsExactly(0x0102, 0x0304, 0x0506);
            assertThat(new int[] {pixels.get(0, 1, 2), pixels.get(0, 1, 1), pixels.get(0, 1, 0)})
                    .containsExactly(0xFFFF, 0x8000, 0x0001);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "echo what is this; sleep 600, NOT_DEVELOPED",
        "exit 0, NOT_DEVELOPED",
        "printf 'P6\\n30000 30000\\n65535\\n'; cat /dev/zero, NOT_DEVELOPED",
        "printf 'P6\\n4 3\\n255\\n'; cat /dev/zero, NOT_DEVELOPED",
        "printf 'P6\\n99999999999999999999 3\\n65535\\n', NOT_DEVELOPED",
        "printf 'P6\\n4 3\\n65535\\nabc', NOT_DEVELOPED",
        "kill -ABRT $$, DEVELOPER_BROKE",
        "printf 'P6\\n4 3\\n65535\\nabc'; kill -SEGV $$, DEVELOPER_BROKE"
    })
    void garbageAndBreakingDownAreThePhotosProblem(String script, PhotoProblem.Reason reason) throws Exception {
        RawCommand command = standIn(script, Duration.ofSeconds(60));
        PhotoProblem problem =
                catchThrowableOfType(PhotoProblem.class, () -> command.develop(folder.resolve("a.dng"), SMALL, false));
        assertThat(problem.reason()).isEqualTo(reason);
        assertThat(problem.told().toString()).contains("a.dng");
    }

    @Test
    void aCommandThatDoesNotEndIsEndedWithAllItBegan() throws Exception {
        Path began = folder.resolve("began");
        RawCommand command = standIn("sleep 600 & echo $! > '" + began + "'; wait", Duration.ofSeconds(1));
        PhotoProblem problem =
                catchThrowableOfType(PhotoProblem.class, () -> command.develop(folder.resolve("a.dng"), SMALL, false));
        assertThat(problem.reason()).isEqualTo(PhotoProblem.Reason.DEVELOPER_HANGS);
        long child = Long.parseLong(Files.readString(began).strip());
        Stream<ProcessHandle> left = ProcessHandle.of(child).stream();
        assertThat(left.map(handle -> handle.onExit().join())).allMatch(handle -> !handle.isAlive());
    }

    /** What it began has left it, so that it is not ended with it, and still holds its output. */
    @Test
    void aCommandWhoseOutputSomethingElseHoldsOpenIsNotWaitedFor() throws Exception {
        Path began = folder.resolve("began");
        RawCommand command =
                standIn("(setsid sleep 600 & echo $! > '" + began + "'); sleep 600", Duration.ofSeconds(1));
        PhotoProblem problem =
                catchThrowableOfType(PhotoProblem.class, () -> command.develop(folder.resolve("a.dng"), SMALL, false));
        assertThat(problem.reason()).isEqualTo(PhotoProblem.Reason.DEVELOPER_HANGS);
        ProcessHandle.of(Long.parseLong(Files.readString(began).strip())).ifPresent(ProcessHandle::destroyForcibly);
    }

    @Test
    void whereTheCommandIsNotInstalledNoneIsFound() throws Exception {
        System.setProperty(RawCommand.PROPERTY, folder.resolve("nowhere").toString());
        assertThat(RawCommand.found()).isEmpty();
        standIn("exit 0", Duration.ZERO);
        System.setProperty(RawCommand.PROPERTY, folder.resolve("command").toString());
        assertThat(RawCommand.found()).isPresent();
    }
}
