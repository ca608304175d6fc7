package nexa.imaging.raw;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import nexa.imaging.decode.RawFile;

/** Whether pixels can be had of a raw file, as far as that can be told without trying. */
public enum RawAvailability {
    READY,
    /** The command that makes pictures of raw files is not installed. */
    NO_COMMAND,
    /** Some of the sensor's samples are missing. */
    CUT_SHORT,
    /** The file is not there, or no raw file. */
    MISSING,
    /** Its pixels are not those of the photo: another picture, or one that was changed since. Known once they are looked at. */
    UNLIKE;

    /** How it stands with a raw file that was read. */
    public static RawAvailability of(RawFile raw) {
        if (!raw.isWhole()) {
            return CUT_SHORT;
        }
        return RawCommand.found().isPresent() ? READY : NO_COMMAND;
    }

    /** How it stands with a file. */
    public static RawAvailability of(Path file) {
        try {
            Optional<RawFile> raw = Files.isRegularFile(file) ? RawFile.read(file) : Optional.empty();
            return raw.map(RawAvailability::of).orElse(MISSING);
        } catch (IOException | RuntimeException e) {
            return MISSING;
        }
    }
}
