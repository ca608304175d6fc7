package nexa.desktop;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;
import nexa.store.UserData;

/** The sample shoot, worked on in a copy so that the sample itself never changes. */
final class SampleShoot {
    private final Path photos;
    private final Path folder;

    SampleShoot(Path photos, UserData userData) {
        this.photos = photos;
        this.folder = userData.sample();
    }

    /** Copies what is not there yet; or everything anew. */
    CompletableFuture<Path> copied(boolean anew) {
        return CompletableFuture.supplyAsync(() -> {
            try (Stream<Path> files = Files.list(photos)) {
                Files.createDirectories(folder);
                for (Path file : files.filter(Files::isRegularFile).toList()) {
                    Path copy = folder.resolve(file.getFileName().toString());
                    if (anew || !Files.exists(copy)) {
                        Files.copy(file, copy, StandardCopyOption.REPLACE_EXISTING);
                    }
                }
                return folder;
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
    }
}
