package nexa.store;

import java.io.IOException;
import java.nio.file.Path;

/** A disk on which there is no room in one folder, for lines, for whole files, or both, as long as a test wants it. */
final class FullDisk extends Disk {
    private final Path full;
    boolean hasNoRoomForLines;
    boolean hasNoRoomForFiles;

    FullDisk(Path full) {
        this.full = full;
    }

    @Override
    void replace(Path file, byte[] contents) throws IOException {
        requireRoom(file, hasNoRoomForFiles);
        super.replace(file, contents);
    }

    @Override
    void appendLine(Path file, byte[] contents) throws IOException {
        requireRoom(file, hasNoRoomForLines);
        super.appendLine(file, contents);
    }

    private void requireRoom(Path file, boolean hasNone) throws IOException {
        if (hasNone && file.startsWith(full)) {
            throw new IOException("No space left on device");
        }
    }
}
