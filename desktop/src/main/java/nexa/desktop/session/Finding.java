package nexa.desktop.session;

import com.google.common.base.Supplier;
import com.google.common.base.Suppliers;
import com.google.common.cache.Cache;
import com.google.common.cache.CacheBuilder;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.UnaryOperator;
import javafx.application.Platform;
import nexa.core.find.Found;
import nexa.core.geometry.Point;
import nexa.core.propose.CropProposer;
import nexa.core.propose.Proposal;
import nexa.core.propose.Scene;
import nexa.core.shoot.FileIdentity;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Preparation;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.find.PhotoFinder;
import nexa.imaging.work.Ticket;
import nexa.imaging.work.Urgency;
import nexa.imaging.work.WorkQueue;
import nexa.store.shoot.ShootFolder;
import nexa.store.user.KeptFindings;

/** Finds levels, borders and subjects of a shoot's photos in the background; what was found before is known at once. */
public final class Finding implements AutoCloseable {
    private static final int AT_ONCE = 2;
    private static final int SAVED_AFTER = 50;
    private static final int MOST_SCENES = 40;

    /** A photo as it was looked at. */
    private record SceneOf(String file, Optional<FileIdentity> identity, Preparation preparation) {}

    /** Hears what came of it, on the JavaFX thread; nothing once it is cancelled. */
    public interface Listener<T> {
        void found(T found);

        void failed(PhotoProblem problem);
    }

    private final PhotoFolder folder;
    private final Supplier<KeptFindings> kept;
    private final WorkQueue queue = WorkQueue.withThreads("finding", AT_ONCE, Long.MAX_VALUE);
    private final Cache<SceneOf, Scene> scenes =
            CacheBuilder.newBuilder().maximumSize(MOST_SCENES).build();
    private final AtomicInteger unsaved = new AtomicInteger();

    /** @param folder of the shoot's photos */
    Finding(ShootFolder shoot, PhotoFolder folder) {
        this.folder = folder;
        // Read by whichever thread first looks for something.
        this.kept = Suppliers.memoize(shoot::findings);
    }

    /**
     * Finds something in a photo.
     *
     * @param what what is to be found
     * @param photo one that is ready
     */
    public <T extends Found> Ticket find(Class<T> what, Photo photo, Urgency urgency, Listener<T> listener) {
        return look(photo, urgency, listener, ticket -> {
            Optional<T> found =
                    kept.get().find(what, photo, () -> PhotoFinder.find(what, folder, photo, ticket::isCancelled));
            if (unsaved.incrementAndGet() >= SAVED_AFTER || urgency == Urgency.NOW) {
                save();
            }
            return found;
        });
    }

    /**
     * Proposes crops of a photo.
     *
     * @param photo one that is ready
     * @param ratio of the crops, width over height
     * @param most how many at most
     */
    public Ticket propose(Photo photo, double ratio, int most, Urgency urgency, Listener<List<Proposal>> listener) {
        return look(
                photo,
                urgency,
                listener,
                ticket -> scene(photo, ticket)
                        .filter(scene -> !ticket.isCancelled())
                        .map(scene -> new CropProposer(scene, photo).propose(ratio, most)));
    }

    /**
     * Finds long edges that are straight but for what the lens bent of them; places along each, in the photo's pixels.
     *
     * @param photo one that is ready
     * @param choosing which of them are heard of
     */
    public Ticket bentLines(
            Photo photo, UnaryOperator<List<List<Point>>> choosing, Listener<List<List<Point>>> listener) {
        return look(
                photo,
                Urgency.NOW,
                listener,
                ticket -> PhotoFinder.bentLines(folder, photo, ticket::isCancelled)
                        .map(choosing));
    }

    /** Something that is looked for in a photo; empty if it was given up. */
    private interface Looking<T> {
        Optional<T> look(Ticket ticket) throws PhotoProblem;
    }

    private <T> Ticket look(Photo photo, Urgency urgency, Listener<T> listener, Looking<T> looking) {
        return queue.add(urgency, WorkQueue.LIGHT, ticket -> {
            try {
                looking.look(ticket).ifPresent(some -> hear(ticket, () -> listener.found(some)));
            } catch (PhotoProblem | RuntimeException | StackOverflowError | OutOfMemoryError e) {
                // Nothing that one photo does may end the thread that the others wait for.
                hear(ticket, () -> listener.failed(PhotoProblem.of(photo.file(), e)));
            }
        });
    }

    /** What is seen in a photo does not depend on its shape and its angle, its mark and the format: it is looked at once for all. */
    private Optional<Scene> scene(Photo photo, Ticket ticket) throws PhotoProblem {
        SceneOf key =
                new SceneOf(photo.file(), photo.identity(), photo.preparation().beforeShape());
        Scene known = scenes.getIfPresent(key);
        if (known != null) {
            return Optional.of(known);
        }
        Optional<Scene> seen = PhotoFinder.scene(folder, photo, ticket::isCancelled);
        seen.ifPresent(scene -> scenes.put(key, scene));
        return seen;
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
