package nexa.store.user;

import com.google.common.util.concurrent.ThreadFactoryBuilder;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import nexa.files.TemporaryFile;

/**
 * Writes a small file of the photographer's in the background, whole each time. One that cannot be written is let be: the
 * next change tries again.
 */
final class BackgroundWriter implements AutoCloseable {
    private final Path file;
    private final ExecutorService thread = Executors.newSingleThreadExecutor(new ThreadFactoryBuilder()
            .setNameFormat("small-files")
            .setDaemon(true)
            .build());

    BackgroundWriter(Path file) {
        this.file = file;
    }

    void write(byte[] contents) {
        thread.execute(() -> {
            try {
                Files.createDirectories(file.getParent());
                TemporaryFile.replace(file, contents);
            } catch (IOException e) {
                // The next change tries again.
            }
        });
    }

    /** Waits until all is written. */
    @Override
    public void close() {
        thread.shutdown();
        try {
            thread.awaitTermination(10, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
