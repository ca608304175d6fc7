package nexa.desktop;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.CompletableFuture;
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

    /** Its folder, once what was not there yet is copied. */
    public CompletableFuture<Path> copied() {
        return CompletableFuture.supplyAsync(() -> {
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
        });
    }
}
