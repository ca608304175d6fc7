package nexa.imaging.pictures;

import com.google.common.cache.Cache;
import com.google.common.cache.CacheBuilder;
import com.google.common.util.concurrent.ExecutionError;
import com.google.common.util.concurrent.UncheckedExecutionException;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Executor;
import java.util.function.BiConsumer;
import nexa.core.series.FillPlan;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Photo;
import nexa.core.shoot.PhotoOrientation;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.work.Ticket;
import nexa.imaging.work.Urgency;
import nexa.imaging.work.WorkQueue;
import org.bytedeco.javacpp.Loader;
import org.bytedeco.opencv.global.opencv_imgcodecs;

/**
 * The pictures of a shoot's photos, read in the background and kept as far as memory allows.
 *
 * <p>Reading is work for a queue; the more urgent comes first. The memory that is kept is bounded by bytes.
 */
public final class PictureLibrary implements AutoCloseable {
    /** Hears what came of a request, where the library is heard, and nothing once it is cancelled. */
    public interface Listener {
        void ready(Picture picture);

        void failed(PhotoProblem problem);
    }

    private record Key(String file, PhotoOrientation orientation, PictureLevel level) {
        static Key of(Photo photo, PictureLevel level) {
            return new Key(photo.file(), photo.preparation().orientation(), level);
        }
    }

    /** Something that makes a picture. */
    private interface Making {
        Optional<Picture> make() throws PhotoProblem;
    }

    private final PhotoFolder folder;
    private final WorkQueue queue;
    private final Executor hearing;
    private final Cache<Key, Picture> pictures;
    private final FillMemory fills = new FillMemory();
    private volatile BiConsumer<Photo, PhotoProblem> failures = (photo, problem) -> {};

    /**
     * A library that has read nothing yet.
     *
     * @param queue does the reading; closed with the library
     * @param hearing where listeners hear
     * @param bytes the most that is kept in memory
     */
    public PictureLibrary(PhotoFolder folder, WorkQueue queue, Executor hearing, long bytes) {
        this.folder = folder;
        this.queue = queue;
        this.hearing = hearing;
        // Least recently used goes first: a cache that weighs how often a picture was used would not let in the next
        // one.
        this.pictures = CacheBuilder.newBuilder()
                .concurrencyLevel(1)
                .maximumWeight(bytes)
                .weigher((Key key, Picture picture) -> (int) Math.min(Integer.MAX_VALUE, picture.bytes()))
                .build();
    }

    /** Loads the decoder in the background, so that the first picture need not wait for it. */
    public static void warmUp(Executor workers) {
        workers.execute(Decoder::load);
    }

    /** The native decoder. One thread loads it and all others wait: two at once may fail. */
    private static final class Decoder {
        private static boolean isLoaded;

        static synchronized void load() {
            if (!isLoaded) {
                Loader.load(opencv_imgcodecs.class);
                isLoaded = true;
            }
        }
    }

    /** Hears of every photo whose pixels could not be read, whoever asked for them. */
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
    public Ticket photo(Photo photo, PictureLevel level, Urgency urgency, Listener listener) {
        return add(
                urgency, PixelMemory.of(photo, level), photo.file(), () -> Optional.of(load(photo, level)), listener);
    }

    /** Asks for the small picture that the camera put into a photo. Where there is none, nothing is heard. */
    public Ticket embedded(Photo photo, Listener listener) {
        return add(Urgency.NOW, WorkQueue.LIGHT, photo.file(), () -> loadEmbedded(photo), listener);
    }

    private Optional<Picture> loadEmbedded(Photo photo) {
        Decoder.load();
        Optional<Picture> finer = finestReady(photo);
        if (finer.isPresent()) {
            return finer;
        }
        try {
            Optional<Picture> embedded = new PhotoPixels(folder, photo).embedded();
            embedded.ifPresent(picture -> pictures.put(Key.of(photo, PictureLevel.EMBEDDED), picture));
            return embedded;
        } catch (PhotoProblem e) {
            // Whoever reads the photo itself is told.
            return Optional.empty();
        }
    }

    /** Does something when there is nothing else to do. */
    public void whenIdle(Runnable task) {
        queue.add(Urgency.IDLE, WorkQueue.LIGHT, ticket -> task.run());
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
     * @param done hears when it is there, and nothing if it cannot be read
     */
    public Ticket readAhead(Photo photo, PictureLevel level, Runnable done) {
        return photo(photo, level, Urgency.AHEAD, new Unheard(done));
    }

    /** Asks for a photo's crop as it will look, this many pixels high. */
    public Ticket crop(PhotoCrop crop, int height, Listener listener) {
        Photo photo = crop.photo();
        double wanted = photo.size().longSide() * height / crop.crop().size().height();
        PictureLevel level = PictureLevel.forPixels(wanted);
        return add(
                Urgency.SOON,
                PixelMemory.of(photo, level),
                photo.file(),
                () -> Optional.of(cropped(crop, level, height)),
                listener);
    }

    private Picture cropped(PhotoCrop crop, PictureLevel level, int height) throws PhotoProblem {
        int width = (int) Math.max(1, Math.round(crop.crop().size().ratio() * height));
        Optional<FillPlan> plan = FillPlan.of(crop);
        Optional<OutsidePicture> around = plan.isPresent() ? Optional.of(around(plan.get(), level)) : Optional.empty();
        Picture source = load(crop.photo(), level);
        return ScreenRenderer.render(source, crop.photo(), crop.crop(), crop.crop(), around, width, height);
    }

    /** Hears what was made of what lies beyond a photo, where the library is heard, and nothing once it is cancelled. */
    public interface AroundListener {
        void ready(OutsidePicture around);
    }

    /** Asks for what lies beyond a photo, for the easel at fit. Who reads the photo itself is told what is wrong with it. */
    public Ticket around(FillPlan plan, AroundListener listener) {
        Photo photo = plan.photo();
        return queue.add(Urgency.NOW, PixelMemory.of(photo, PictureLevel.PREVIEW), ticket -> {
            try {
                OutsidePicture around = around(plan, PictureLevel.PREVIEW);
                hear(ticket, () -> listener.ready(around));
            } catch (PhotoProblem | OutOfMemoryError e) {
                // Who cannot be read was told when it was read; without memory for its surroundings the photo is still
                // fine.
                return;
            }
        });
    }

    private OutsidePicture around(FillPlan plan, PictureLevel level) throws PhotoProblem {
        PictureLevel fine = level == PictureLevel.FULL ? PictureLevel.PREVIEW : level;
        Picture small = load(plan.photo(), PictureLevel.THUMBNAIL);
        return fills.around(plan, small, fine, load(plan.photo(), fine));
    }

    /** Reads a picture, or waits for the thread that is reading it already. */
    private Picture load(Photo photo, PictureLevel level) throws PhotoProblem {
        Decoder.load();
        try {
            return pictures.get(Key.of(photo, level), () -> new PhotoPixels(folder, photo).picture(level.longSide()));
        } catch (ExecutionException | UncheckedExecutionException | ExecutionError e) {
            PhotoProblem problem = PhotoProblem.of(photo.file(), e.getCause());
            hearing.execute(() -> failures.accept(photo, problem));
            throw problem;
        }
    }

    /** Forgets the pictures of a photo: its file is another one now, or is to be read again. */
    public void forget(String file) {
        pictures.asMap().keySet().removeIf(key -> key.file().equals(file));
        fills.forget(file);
    }

    private Ticket add(Urgency urgency, long bytes, String file, Making making, Listener listener) {
        return queue.add(urgency, bytes, ticket -> {
            try {
                making.make().ifPresent(picture -> hear(ticket, () -> listener.ready(picture)));
            } catch (PhotoProblem | RuntimeException | StackOverflowError | OutOfMemoryError e) {
                // Nothing that one photo does may end the thread that the others wait for.
                hear(ticket, () -> listener.failed(PhotoProblem.of(file, e)));
            }
        });
    }

    private void hear(Ticket ticket, Runnable told) {
        hearing.execute(() -> {
            if (!ticket.isCancelled()) {
                told.run();
            }
        });
    }

    @Override
    public void close() {
        queue.close();
    }
}
