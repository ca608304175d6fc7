package nexa.desktop.session;

import com.google.common.base.Supplier;
import com.google.common.base.Suppliers;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import javafx.application.Platform;
import nexa.core.find.FoundLevel;
import nexa.core.shoot.Photo;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.find.PhotoLevel;
import nexa.imaging.work.Ticket;
import nexa.imaging.work.Urgency;
import nexa.imaging.work.WorkQueue;
import nexa.store.FoundLevels;
import nexa.store.ShootFolder;

/** Finds the levels of a shoot's photos in the background; what was found before is known at once. */
public final class LevelFinding implements AutoCloseable {
    private static final int AT_ONCE = 2;
    private static final int SAVED_AFTER = 50;

    /** Hears what came of it, on the JavaFX thread; nothing once it is cancelled. */
    public interface Listener {
        void found(FoundLevel level);

        void failed(PhotoProblem problem);
    }

    private final Path folder;
    private final Supplier<FoundLevels> kept;
    private final WorkQueue queue = WorkQueue.withThreads("finding", AT_ONCE, Long.MAX_VALUE);
    private final AtomicInteger unsaved = new AtomicInteger();

    LevelFinding(ShootFolder shoot) {
        this.folder = shoot.path();
        // Read by whichever thread first looks for something.
        this.kept = Suppliers.memoize(shoot::foundLevels);
    }

    /**
     * Finds a photo's level.
     *
     * @param photo one that is ready
     */
    public Ticket find(Photo photo, Urgency urgency, Listener listener) {
        return queue.add(urgency, WorkQueue.LIGHT, ticket -> {
            try {
                Optional<FoundLevel> found =
                        kept.get().find(photo, () -> PhotoLevel.of(folder, photo, ticket::isCancelled));
                found.ifPresent(level -> hear(ticket, () -> listener.found(level)));
                if (unsaved.incrementAndGet() >= SAVED_AFTER || urgency == Urgency.NOW) {
                    save();
                }
            } catch (PhotoProblem | RuntimeException | StackOverflowError | OutOfMemoryError e) {
                // Nothing that one photo does may end the thread that the others wait for.
                hear(ticket, () -> listener.failed(PhotoProblem.of(photo.file(), e)));
            }
        });
    }

    private static void hear(Ticket ticket, Runnable told) {
        Platform.runLater(() -> {
            if (!ticket.isCancelled()) {
                told.run();
            }
        });
    }

    /** Keeps what was found for the next time the shoot is opened, when nothing else is to be found. */
    public void saveSoon() {
        queue.add(Urgency.IDLE, WorkQueue.LIGHT, ticket -> save());
    }

    private void save() {
        unsaved.set(0);
        kept.get().save();
    }

    @Override
    public void close() {
        queue.close();
    }
}
