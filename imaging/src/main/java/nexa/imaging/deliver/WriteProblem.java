package nexa.imaging.deliver;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;

/** Says why a file could not be written, and what can be done. */
final class WriteProblem {
    private WriteProblem() {}

    /** Why nothing can be delivered into a destination at all. */
    static String ofDestination(Path destination, IOException problem) {
        if (problem instanceof FileAlreadyExistsException || Files.isRegularFile(destination)) {
            return destination + " is a file, not a folder. Choose another destination.";
        }
        boolean isDenied = problem instanceof AccessDeniedException || isReadOnly(problem);
        if (isDenied) {
            String folder = Files.isDirectory(destination) ? destination.toString() : "the folder of " + destination;
            return "Nothing may be written into " + folder + ". Choose another destination, or allow it.";
        }
        if (Files.isDirectory(destination)) {
            return "Nothing can be delivered into " + destination + ": " + problem.getMessage() + ".";
        }
        return "The folder " + destination + " can't be made: " + problem.getMessage() + ".";
    }

    private static boolean isReadOnly(IOException problem) {
        return problem instanceof FileSystemException told
                && String.valueOf(told.getReason()).contains("Read-only");
    }

    static String words(Path file, IOException problem) {
        Path folder = file.getParent();
        if (problem instanceof AccessDeniedException || isReadOnly(problem)) {
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
