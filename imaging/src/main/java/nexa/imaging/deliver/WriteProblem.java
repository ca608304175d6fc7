package nexa.imaging.deliver;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;

/** Says why a file could not be written, and what can be done. */
final class WriteProblem {
    private WriteProblem() {}

    static String words(Path file, IOException problem) {
        Path folder = file.getParent();
        if (problem instanceof AccessDeniedException) {
            return "nothing may be written into " + folder + ". Choose another destination, or allow it";
        }
        if (problem instanceof NoSuchFileException || !Files.isDirectory(folder)) {
            return folder + " is not there any more. Is its drive still connected?";
        }
        boolean hasReason = problem instanceof FileSystemException told && told.getReason() != null;
        String reason = hasReason ? ((FileSystemException) problem).getReason() : problem.getMessage();
        if (String.valueOf(reason).contains("No space left")) {
            return "there is no room left on the disk of " + folder;
        }
        if (String.valueOf(reason).contains("name too long")) {
            return "the name " + file.getFileName() + " is too long for the disk of " + folder;
        }
        return file + " could not be written: " + reason;
    }
}
