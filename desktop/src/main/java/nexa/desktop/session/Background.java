package nexa.desktop.session;

import com.google.common.util.concurrent.ThreadFactoryBuilder;
import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import javafx.application.Platform;
import nexa.imaging.work.LatestOnly;

/** The threads on which a window has things worked out: its own, and gone with it. */
public final class Background implements AutoCloseable {
    private final ExecutorService workers = Executors.newCachedThreadPool(new ThreadFactoryBuilder()
            .setNameFormat("background-%d")
            .setDaemon(true)
            .build());

    public Executor workers() {
        return workers;
    }

    /** Works things out for the JavaFX thread, on which they are asked for and heard. */
    public <T> LatestOnly<T> latest(Consumer<T> heard) {
        return new LatestOnly<>(workers, Platform::runLater, heard);
    }

    /** What was begun is finished, and nothing else begun. */
    @Override
    public void close() {
        workers.shutdown();
    }
}
