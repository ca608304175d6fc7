package nexa.desktop.session;

import com.google.common.util.concurrent.ThreadFactoryBuilder;
import java.io.IOException;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import nexa.files.FileStamp;
import nexa.store.shoot.PhotoFiles;

/**
 * Looks at a shoot's folder again and again for photos that come, go or change. Looking works on every disk and share, where
 * being told of changes does not; a slow disk is looked at less often.
 */
final class FolderWatch {
    private static final long BETWEEN = 1500;
    /** So much longer than looking takes is waited for the next look. */
    private static final long SLOWNESS = 50;

    private final Path folder;
    private final Consumer<FolderNews> told;
    private final ScheduledExecutorService clock;
    private volatile Set<String> known;
    private Map<String, FileStamp> before = Map.of();
    private Set<String> toldFresh = Set.of();
    private boolean isFirst = true;

    /**
     * A watch that has not begun.
     *
     * @param known the photos of the shoot
     * @param told hears of news, on a background thread
     */
    FolderWatch(Path folder, Set<String> known, Consumer<FolderNews> told) {
        this(
                folder,
                known,
                told,
                Executors.newSingleThreadScheduledExecutor(new ThreadFactoryBuilder()
                        .setNameFormat("folder watch")
                        .setDaemon(true)
                        .build()));
    }

    FolderWatch(Path folder, Set<String> known, Consumer<FolderNews> told, ScheduledExecutorService clock) {
        this.folder = folder;
        this.known = Set.copyOf(known);
        this.told = told;
        this.clock = clock;
    }

    void begin() {
        clock.execute(this::look);
    }

    void stop() {
        clock.shutdownNow();
    }

    /** Photos that have become the shoot's. */
    void know(Set<String> files) {
        Set<String> all = new HashSet<>(known);
        all.addAll(files);
        known = Set.copyOf(all);
    }

    private void look() {
        long began = System.nanoTime();
        Map<String, FileStamp> now = stamps();
        if (!isFirst) {
            FolderNews news = FolderNews.between(before, now, known);
            boolean isNews = !news.gone().isEmpty()
                    || !news.changed().isEmpty()
                    || !news.fresh().equals(toldFresh);
            toldFresh = news.fresh();
            if (isNews) {
                told.accept(news);
            }
        }
        isFirst = false;
        before = now;
        long took = TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - began);
        if (!clock.isShutdown()) {
            clock.schedule(this::look, Math.max(BETWEEN, SLOWNESS * took), TimeUnit.MILLISECONDS);
        }
    }

    /** A folder that is away, with its drive perhaps, has no photos just now. */
    private Map<String, FileStamp> stamps() {
        try {
            return PhotoFiles.stamps(folder);
        } catch (IOException e) {
            return Map.of();
        }
    }
}
