package nexa.files;

import java.io.IOException;
import java.nio.file.Path;

/** How files are written that must not be lost; tests stand in one that fails. */
public class Disk {
    /** Puts contents in a file's place, whole or not at all. */
    public void replace(Path file, byte[] contents) throws IOException {
        TemporaryFile.replace(file, contents);
    }

    /** Adds a line to a file and forces it to disk. What could not be added whole is taken away again. */
    public void appendLine(Path file, String line) throws IOException {
        RegularFile.requireRegular(file);
        LineFile.add(file, line, true);
    }
}
