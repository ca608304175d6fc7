package nexa.desktop.session;

import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import javafx.application.Platform;
import nexa.imaging.work.Latest;

/** What views have worked out in the background. */
public final class Background {
    private Background() {}

    /** Works things out for the JavaFX thread, on which they are asked for and heard. */
    public static <T> Latest<T> latest(Consumer<T> heard) {
        return new Latest<>(CompletableFuture::runAsync, Platform::runLater, heard);
    }
}
