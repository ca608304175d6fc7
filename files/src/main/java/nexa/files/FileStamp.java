package nexa.files;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.nio.file.attribute.FileTime;
import java.util.Optional;

/**
 * By what is told that a file was changed.
 *
 * @param length in bytes
 */
public record FileStamp(long length, FileTime modified) {
    /** A file's; empty if it cannot be looked at, which whoever reads it is told. */
    public static Optional<FileStamp> of(Path file) {
        try {
            BasicFileAttributes now = Files.readAttributes(file, BasicFileAttributes.class);
            return Optional.of(new FileStamp(now.size(), now.lastModifiedTime()));
        } catch (IOException e) {
            return Optional.empty();
        }
    }
}
