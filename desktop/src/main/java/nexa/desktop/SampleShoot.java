package nexa.desktop;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import nexa.store.user.UserData;

/** The sample shoot, worked on in a copy so that the sample itself never changes. */
public final class SampleShoot {
    private final Path photos;
    private final Path folder;

    public SampleShoot(Path photos, UserData userData) {
        this.photos = photos;
        this.folder = userData.sample();
    }

    /**
     * Copies what is not there yet. Not for the JavaFX thread.
     *
     * @return its folder
     * @throws UncheckedIOException if that cannot be
     */
    public Path copy() {
        try (Stream<Path> files = Files.list(photos)) {
            Files.createDirectories(folder);
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                Path copy = folder.resolve(file.getFileName().toString());
                if (!Files.exists(copy)) {
                    Files.copy(file, copy);
                }
            }
            return folder;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
