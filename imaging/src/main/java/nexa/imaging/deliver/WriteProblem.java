package nexa.imaging.deliver;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import nexa.core.message.Message;
import nexa.core.message.Telling;

/** Says why a file could not be written, and what can be done. */
final class WriteProblem {
    private WriteProblem() {}

    /** Why nothing can be delivered into a destination at all. */
    static Message ofDestination(Path destination, IOException problem) {
        if (problem instanceof FileAlreadyExistsException || Files.isRegularFile(destination)) {
            return Message.of("destination.isAFile", destination);
        }
        boolean isDenied = problem instanceof AccessDeniedException || isReadOnly(problem);
        if (isDenied) {
            return Message.of(
                    "destination.denied",
                    Files.isDirectory(destination) ? destination : Message.of("destination.folderOf", destination));
        }
        if (Files.isDirectory(destination)) {
            return Message.of("destination.unusable", destination, Telling.of(problem));
        }
        return Message.of("destination.cannotMake", destination, Telling.of(problem));
    }

    private static boolean isReadOnly(IOException problem) {
        return problem instanceof FileSystemException told
                && String.valueOf(told.getReason()).contains("Read-only");
    }

    static Message of(Path file, IOException problem) {
        Path folder = file.getParent();
        if (problem instanceof AccessDeniedException || isReadOnly(problem)) {
            return Message.of("write.denied", folder);
        }
        if (problem instanceof NoSuchFileException || !Files.isDirectory(folder)) {
            return Message.of("write.gone", folder);
        }
        boolean hasReason = problem instanceof FileSystemException told && told.getReason() != null;
        String reason = String.valueOf(hasReason ? ((FileSystemException) problem).getReason() : problem.getMessage());
        if (reason.contains("No space left")) {
            return Message.of("write.full", folder);
        }
        if (reason.contains("name too long")) {
            return Message.of("write.nameTooLong", file.getFileName(), folder);
        }
        Object told = hasReason ? reason : Telling.of(problem);
        return Files.exists(file) ? Message.of("write.held", file, told) : Message.of("write.failed", file, told);
    }
}
