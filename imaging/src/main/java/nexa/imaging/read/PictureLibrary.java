package nexa.imaging.read;

import com.google.common.cache.Cache;
import com.google.common.cache.CacheBuilder;
import com.google.common.util.concurrent.ExecutionError;
import com.google.common.util.concurrent.UncheckedExecutionException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Executor;
import java.util.concurrent.PriorityBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BiConsumer;
import nexa.core.geometry.Crop;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Preparation;
import nexa.imaging.render.ScreenRenderer;
import org.bytedeco.javacpp.Loader;
import org.bytedeco.opencv.global.opencv_imgcodecs;

/**
 * The pictures of a shoot's photos, read in the background and kept as far as memory allows.
 *
 * <p>Requests are numbered: the more urgent come first, of equally urgent ones the latest, so that what is on the screen now
 * is read before what has scrolled by. A request that is cancelled before its turn costs nothing. The memory
 * is bounded by bytes.
 */
public final class PictureLibrary implements AutoCloseable {
    /** What happens with a request; called on a background thread, and not at all once it is cancelled. */
    public interface Listener {
        void ready(Picture picture);

        void failed(PhotoProblem problem);
    }

    private record Key(String file, Preparation inPixels, PictureLevel level) {
        static Key of(Photo photo, PictureLevel level) {
            return new Key(photo.file(), photo.preparation().inPixels(), level);
        }
    }

    /** Something that makes a picture. */
    private interface Making {
        Optional<Picture> make() throws PhotoProblem;
    }

    private final Path folder;
    private final Executor workers;
    private final AutoCloseable stop;
    private final Cache<Key, Picture> pictures;
    private final AtomicLong numbers = new AtomicLong();
    private volatile BiConsumer<Photo, PhotoProblem> failures = (photo, problem) -> {};

    /**
     * A library with its own background threads.
     *
     * @param bytes the most that is kept in memory
     */
    public PictureLibrary(Path folder, int threads, long bytes) {
        this(folder, pool(threads), bytes);
    }

    private PictureLibrary(Path folder, ThreadPoolExecutor pool, long bytes) {
        this(folder, pool, pool::shutdownNow, bytes);
    }

    /** A library whose requests an executor runs; it must take them in its own order. */
    public PictureLibrary(Path folder, Executor workers, AutoCloseable stop, long bytes) {
        this.folder = folder;
        this.workers = workers;
        this.stop = stop;
        // Least recently used goes first: a cache that weighs how often a picture was used would not let in the next
        // one.
        this.pictures = CacheBuilder.newBuilder()
                .concurrencyLevel(1)
                .maximumWeight(bytes)
                .weigher((Key key, Picture picture) -> (int) Math.min(Integer.MAX_VALUE, picture.bytes()))
                .build();
    }

    /** Loads the decoder in the background, so that the first picture need not wait for it. */
    public static void warmUp() {
        Decoder.LOADED.isDone();
    }

    /** The native decoder. One thread loads it and all others wait: two at once may fail. */
    private static final class Decoder {
        static final CompletableFuture<Void> LOADED =
                CompletableFuture.runAsync(() -> Loader.load(opencv_imgcodecs.class));
    }

    private static ThreadPoolExecutor pool(int threads) {
        ThreadPoolExecutor pool =
                new ThreadPoolExecutor(threads, threads, 1, TimeUnit.SECONDS, new PriorityBlockingQueue<>(), task -> {
                    Thread thread = new Thread(task, "pictures");
                    thread.setDaemon(true);
                    return thread;
                });
        // What is asked for after the shoot was put away is wanted by nobody.
        pool.setRejectedExecutionHandler(new ThreadPoolExecutor.DiscardPolicy());
        return pool;
    }

    /** Hears of every photo whose pixels could not be read, on a background thread, whoever asked for them. */
    public void onFailure(BiConsumer<Photo, PhotoProblem> listener) {
        failures = listener;
    }

    /** The picture, if it is there already. */
    public Optional<Picture> ifReady(Photo photo, PictureLevel level) {
        return Optional.ofNullable(pictures.getIfPresent(Key.of(photo, level)));
    }

    /** The finest picture that is there already. */
    public Optional<Picture> finestReady(Photo photo) {
        for (int i = PictureLevel.values().length - 1; i >= 0; i--) {
            Optional<Picture> picture = ifReady(photo, PictureLevel.values()[i]);
            if (picture.isPresent()) {
                return picture;
            }
        }
        return Optional.empty();
    }

    /** Asks for the whole photo. */
    public Request photo(Photo photo, PictureLevel level, Urgency urgency, Listener listener) {
        return run(urgency, photo.file(), () -> Optional.of(load(photo, level)), listener);
    }

    /** Asks for the small picture that the camera put into a photo. Where there is none, nothing is heard. */
    public Request embedded(Photo photo, Listener listener) {
        return run(Urgency.NOW, photo.file(), () -> loadEmbedded(photo), listener);
    }

    private Optional<Picture> loadEmbedded(Photo photo) {
        Decoder.LOADED.join();
        Optional<Picture> finer = finestReady(photo);
        if (finer.isPresent()) {
            return finer;
        }
        try {
            Optional<Picture> embedded = new PhotoPixels(PhotoFile.of(folder, photo.file()), photo).embedded();
            embedded.ifPresent(picture -> pictures.put(Key.of(photo, PictureLevel.EMBEDDED), picture));
            return embedded;
        } catch (PhotoProblem e) {
            // Whoever reads the photo itself is told.
            return Optional.empty();
        }
    }

    /** Does something when there is nothing else to do. */
    public void whenIdle(Runnable task) {
        workers.execute(new Request(
                numbers.incrementAndGet(),
                Urgency.IDLE,
                "",
                () -> {
                    task.run();
                    return Optional.empty();
                },
                new Unheard(() -> {})));
    }

    /** Only that it is done is of interest. */
    private record Unheard(Runnable done) implements Listener {
        @Override
        public void ready(Picture picture) {
            done.run();
        }

        @Override
        public void failed(PhotoProblem problem) {}
    }

    /**
     * Reads the whole photo into memory, since it is likely to be asked for.
     *
     * @param done called on a background thread when it is there, and not at all if it cannot be read
     */
    public Request readAhead(Photo photo, PictureLevel level, Runnable done) {
        return photo(photo, level, Urgency.AHEAD, new Unheard(done));
    }

    /** Asks for a photo's crop as it will look, this many pixels high. */
    public Request crop(PhotoCrop crop, int height, Listener listener) {
        return run(Urgency.SOON, crop.photo().file(), () -> Optional.of(cropped(crop, height)), listener);
    }

    private Picture cropped(PhotoCrop shown, int height) throws PhotoProblem {
        Crop crop = shown.crop();
        Photo photo = shown.photo();
        double wanted = photo.size().longSide() * height / crop.size().height();
        PictureLevel level = PictureLevel.forPixels(wanted);
        int width = (int) Math.max(1, Math.round(crop.size().ratio() * height));
        return ScreenRenderer.render(load(photo, level), photo.size(), crop, photo.angle(), width, height);
    }

    /** Reads a picture, or waits for the thread that is reading it already. */
    private Picture load(Photo photo, PictureLevel level) throws PhotoProblem {
        Decoder.LOADED.join();
        try {
            return pictures.get(
                    Key.of(photo, level),
                    () -> new PhotoPixels(PhotoFile.of(folder, photo.file()), photo).picture(level.longSide()));
        } catch (ExecutionException | UncheckedExecutionException | ExecutionError e) {
            PhotoProblem problem = PhotoProblem.of(photo.file(), e.getCause());
            failures.accept(photo, problem);
            throw problem;
        }
    }

    /** Forgets what was read of a photo, whose file is another one now. */
    public void forget(String file) {
        pictures.asMap().keySet().removeIf(key -> key.file().equals(file));
    }

    private Request run(Urgency urgency, String file, Making making, Listener listener) {
        Request request = new Request(numbers.incrementAndGet(), urgency, file, making, listener);
        workers.execute(request);
        return request;
    }

    @Override
    public void close() {
        try {
            stop.close();
        } catch (Exception e) {
            throw new IllegalStateException("the picture threads did not stop", e);
        }
    }

    /** Something asked for. */
    public static final class Request implements Runnable, Comparable<Request> {
        private final long number;
        private final Urgency urgency;
        private final String file;
        private final Making making;
        private final Listener listener;
        private volatile boolean isCancelled;

        private Request(long number, Urgency urgency, String file, Making making, Listener listener) {
            this.number = number;
            this.urgency = urgency;
            this.file = file;
            this.making = making;
            this.listener = listener;
        }

        /** Forgets the request. Its listener hears no more of it. */
        public void cancel() {
            isCancelled = true;
        }

        @Override
        public void run() {
            if (isCancelled) {
                return;
            }
            try {
                Optional<Picture> picture = making.make();
                if (!isCancelled) {
                    picture.ifPresent(listener::ready);
                }
            } catch (PhotoProblem | RuntimeException | StackOverflowError | OutOfMemoryError e) {
                // Nothing that one photo does may end the thread that the others wait for.
                if (!isCancelled) {
                    listener.failed(PhotoProblem.of(file, e));
                }
            }
        }

        @Override
        public int compareTo(Request other) {
            return urgency == other.urgency ? Long.compare(other.number, number) : urgency.compareTo(other.urgency);
        }

        @Override
        public boolean equals(Object other) {
            return this == other;
        }

        @Override
        public int hashCode() {
            return Long.hashCode(number);
        }
    }
}
