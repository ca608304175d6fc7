package nexa.desktop.session;

import com.google.common.util.concurrent.ThreadFactoryBuilder;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import nexa.core.format.Format;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.store.document.ShootProblem;
import nexa.store.shoot.ShootFolder;

/** Records every edit and saves the shoot in the background; while more edits wait, only the last state is saved. */
public final class Autosave {
    /** Hears how saving goes, on the saving thread. */
    public interface Listener {
        /** The shoot is saved; {@code apart} from its photos where their folder cannot be written. */
        void saved(boolean apart);

        void failed(ShootProblem problem);
    }

    private final ShootFolder folder;
    private final Listener listener;
    private final AtomicInteger waiting = new AtomicInteger();
    private final ExecutorService thread = Executors.newSingleThreadExecutor(
            new ThreadFactoryBuilder().setNameFormat("autosave").build());

    Autosave(ShootFolder folder, Listener listener) {
        this.folder = folder;
        this.listener = listener;
    }

    void save(Edit edit, Shoot shoot) {
        waiting.incrementAndGet();
        thread.execute(() -> recordAndSave(edit, shoot));
    }

    private void recordAndSave(Edit edit, Shoot shoot) {
        boolean isLatest = waiting.decrementAndGet() == 0;
        try {
            folder.record(edit);
            if (isLatest) {
                folder.save(shoot);
                listener.saved(folder.isKeptApart());
            }
        } catch (ShootProblem e) {
            listener.failed(e);
        }
    }

    /** Records how photos and formats are in a gesture that goes on, so that a crash takes no more than a moment of it. */
    void record(List<Photo> photos, Optional<List<Format>> formats) {
        thread.execute(() -> {
            try {
                folder.record(photos, formats);
            } catch (ShootProblem e) {
                listener.failed(e);
            }
        });
    }

    /** Done when everything is saved and another window may write. */
    CompletableFuture<Void> close() {
        CompletableFuture<Void> done = CompletableFuture.runAsync(folder::close, thread);
        thread.shutdown();
        return done;
    }
}
