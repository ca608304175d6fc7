package nexa.imaging.deliver;

import com.google.common.util.concurrent.Uninterruptibles;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import java.util.stream.Collectors;
import nexa.core.format.DeliveredFile;
import nexa.core.format.DeliveryTerms;
import nexa.core.message.Message;
import nexa.core.message.Telling;
import nexa.core.series.RawPairs;
import nexa.core.shoot.Photo;
import nexa.files.LockFile;
import nexa.imaging.decode.Memory;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.pictures.PixelMemory;
import nexa.imaging.pictures.WantedDepth;
import nexa.imaging.work.Urgency;
import nexa.imaging.work.WorkQueue;

/**
 * Delivers the files of a plan, several at a time. A file is written under a temporary name and renamed when it is
 * whole, so stopping leaves no half file. What an earlier delivery finished is recognised and kept if it would come out the
 * same; made of another crop it is replaced, or, if so asked, left with the new file numbered. Anything else that is there
 * is never replaced. A photo that fails is recorded and the rest goes on; only where nothing can be written any more does it
 * give up.
 */
public final class Delivery {
    /** Hears how the delivery gets on, on background threads. */
    public interface Progress {
        /** One more file is finished or has failed. */
        void advanced(int finished, int total, String name);

        /** Another delivery works on the destination, and this one waits for it. */
        default void waits() {}
    }

    /** A file that could not be delivered. */
    public record Failure(DeliveryPlan.Item item, Message reason) {}

    /**
     * What came of a delivery.
     *
     * @param written the files, in no order
     * @param kept the files that were there from an earlier delivery, just as they would come out
     * @param wasStopped whether it was stopped, or gave up, before all files were there
     * @param anew that files of an earlier version of Nexa were made anew, and why, if any were
     * @param gaveUp why it gave up, if it did: nothing could be written any more
     * @param unlisted why the list of the files could not be written, if it could not
     */
    public record Result(
            List<Path> written,
            List<Path> kept,
            List<Failure> failures,
            boolean wasStopped,
            Optional<Message> anew,
            Optional<Message> gaveUp,
            Optional<Message> unlisted) {}

    /** So many files in a row that could not be written mean that nothing can be. */
    private static final int GIVES_UP_AFTER = 3;

    private static final Message DELIVERED = Message.of("delivered");

    private final DeliveryPlan plan;
    private final PhotoFolder photos;
    private final Path given;
    private final Progress progress;
    private final DeliveryTerms terms;
    private final Function<Message, String> words;
    private final List<Path> kept = Collections.synchronizedList(new ArrayList<>());
    private final List<DeliveryList.Line> lines = Collections.synchronizedList(new ArrayList<>());
    private final List<Path> written = Collections.synchronizedList(new ArrayList<>());
    private final List<Failure> failures = Collections.synchronizedList(new ArrayList<>());
    private final MadeAnew anew = new MadeAnew();
    private final AtomicInteger finished = new AtomicInteger();
    private final AtomicInteger unwritten = new AtomicInteger();
    private final Pause pause = new Pause();
    private volatile boolean isStopped;
    private volatile Optional<Message> gaveUp = Optional.empty();
    /** A real path, so that a link cannot make one place look like two. */
    private Path destination;

    private DeliveredFiles delivered;
    private FileWriting writing;

    /**
     * A delivery that has not begun.
     *
     * @param destination created if it is not there
     * @param words for what the list of the files tells
     */
    public Delivery(
            DeliveryPlan plan,
            PhotoFolder photos,
            Path destination,
            DeliveryTerms terms,
            Function<Message, String> words,
            Progress progress) {
        this.plan = plan;
        this.words = words;
        this.terms = terms;
        this.photos = photos;
        this.given = destination;
        this.progress = progress;
    }

    /** Begins no further file. Those being written are finished. */
    public void stop() {
        isStopped = true;
        setPaused(false);
    }

    /** Begins no further file until it is to go on. Those being written are finished. */
    public void setPaused(boolean paused) {
        pause.set(paused);
    }

    /**
     * Delivers everything and waits for it. Where another delivery works on the destination, that one is waited for first.
     *
     * @param threads how many photos are worked on at once, if there is room for them
     * @throws DeliveryProblem if it cannot begin
     */
    public Result run(int threads) throws DeliveryProblem {
        try (WorkQueue queue = WorkQueue.withThreads("delivery", threads, PixelMemory.AT_ONCE)) {
            return run(queue);
        }
    }

    /** As {@link #run(int)}, with the work done by a queue. */
    Result run(WorkQueue queue) throws DeliveryProblem {
        Path source;
        try {
            Files.createDirectories(given);
            destination = given.toRealPath();
            source = photos.path().toRealPath();
        } catch (IOException e) {
            throw cannotBegin(e);
        }
        try (Closing lock = lock()) {
            if (lock.isGivenUp()) {
                return new Result(
                        List.of(), List.of(), List.of(), true, Optional.empty(), Optional.empty(), Optional.empty());
            }
            delivered = DeliveredFiles.in(destination, source);
            writing = new FileWriting(destination, source, plan.photos(), terms.replacesOwn(), delivered);
            writing.clearLeftovers(
                    plan.files().stream().map(DeliveryPlan.Item::name).toList());
            return runAll(queue);
        } catch (IOException e) {
            throw cannotBegin(e);
        }
    }

    private DeliveryProblem cannotBegin(IOException e) {
        if (e instanceof DeliveryProblem told) {
            return told;
        }
        return new DeliveryProblem(WriteProblem.ofDestination(given, e), e);
    }

    /** The destination's lock, or none where waiting for it was given up. */
    private record Closing(Optional<LockFile> lock) implements AutoCloseable {
        boolean isGivenUp() {
            return lock.isEmpty();
        }

        @Override
        public void close() throws IOException {
            if (lock.isPresent()) {
                lock.get().delete();
            }
        }
    }

    private Closing lock() throws IOException {
        return new Closing(DestinationLock.await(destination, () -> isStopped, progress::waits));
    }

    private Result runAll(WorkQueue queue) {
        Collection<List<DeliveryPlan.Item>> photosToGo = byPhoto();
        CountDownLatch left = new CountDownLatch(photosToGo.size());
        for (List<DeliveryPlan.Item> items : photosToGo) {
            queue.add(Urgency.IDLE, memory(items), ticket -> {
                try {
                    deliver(items);
                } finally {
                    left.countDown();
                }
            });
        }
        try {
            left.await();
        } catch (InterruptedException e) {
            stop();
            // What is being written is finished.
            Uninterruptibles.awaitUninterruptibly(left);
            Thread.currentThread().interrupt();
        }
        boolean cutShort = lines.size() < plan.files().size();
        Optional<Message> unlisted = Optional.empty();
        if (terms.list() && gaveUp.isEmpty()) {
            try {
                DeliveryList.write(destination, List.copyOf(lines), delivered);
            } catch (IOException e) {
                unlisted = Optional.of(WriteProblem.of(destination.resolve(DeliveryList.NAME), e));
            }
        }
        return new Result(
                asGiven(written), asGiven(kept), List.copyOf(failures), cutShort, anew.told(), gaveUp, unlisted);
    }

    private static long memory(List<DeliveryPlan.Item> items) {
        Photo photo = items.get(0).photo();
        boolean hasRaw = photo.raw().isPresent() || RawPairs.isRaw(photo.file());
        boolean mayBeRaw = hasRaw && items.stream().anyMatch(item -> photo.wantsRaw(item.format()));
        if (CropExport.depth(items) == WantedDepth.SIXTEEN) {
            return PixelMemory.ofFloats(photo);
        }
        return mayBeRaw ? PixelMemory.ofRaw(photo) : PixelMemory.of(photo);
    }

    private List<Path> asGiven(List<Path> files) {
        return files.stream()
                .map(file -> given.resolve(destination.relativize(file)))
                .toList();
    }

    /** The files of one photo together, so that it is decoded but once. */
    private Collection<List<DeliveryPlan.Item>> byPhoto() {
        return plan.files().stream()
                .collect(Collectors.groupingBy(item -> item.photo().file(), LinkedHashMap::new, Collectors.toList()))
                .values();
    }

    private void deliver(List<DeliveryPlan.Item> items) {
        try (CropExport contentKey = new CropExport(photos, items, terms)) {
            for (DeliveryPlan.Item item : items) {
                pause.await();
                if (isStopped) {
                    return;
                }
                deliver(item, contentKey.file(item));
                progress.advanced(finished.incrementAndGet(), plan.files().size(), item.name());
            }
        }
    }

    private void deliver(DeliveryPlan.Item item, DeliveryItem file) {
        try {
            String contentKey = file.contentKey();
            Optional<DeliveredFiles.Delivered> before =
                    delivered.own(file.name(), contentKey).filter(there -> there.isMadeOf(contentKey));
            Set<MakingStep> outdated = before.isPresent() ? outdated(before.get(), file) : Set.of();
            if (before.isPresent() && outdated.isEmpty()) {
                keep(item, before.get(), file.origin());
            } else {
                write(item, contentKey, file);
                anew.add(outdated);
                unwritten.set(0);
            }
        } catch (PhotoProblem e) {
            fail(item, e.told());
        } catch (IOException e) {
            Message reason = WriteProblem.of(destination.resolve(item.name()), e);
            fail(item, reason);
            if (unwritten.incrementAndGet() >= GIVES_UP_AFTER) {
                gaveUp = Optional.of(reason);
                stop();
            }
        } catch (RuntimeException | OutOfMemoryError | StackOverflowError e) {
            String photo = item.photo().file();
            fail(
                    item,
                    Memory.isShort(e)
                            ? Message.of("delivery.memory", photo)
                            : Message.of("delivery.fault", photo, Telling.of(e)));
        }
    }

    /** The steps that had a part in a file and would make other bytes now. */
    private static Set<MakingStep> outdated(DeliveredFiles.Delivered before, DeliveryItem file) throws PhotoProblem {
        Set<MakingStep> outdated = EnumSet.noneOf(MakingStep.class);
        for (MakingStep step : MakingStep.otherThan(before.steps())) {
            if (file.uses(step)) {
                outdated.add(step);
            }
        }
        return outdated;
    }

    /** What is said of a file that is kept is what was said when it was made. */
    private void keep(DeliveryPlan.Item item, DeliveredFiles.Delivered before, PixelOrigin origin) throws IOException {
        delivered.settle(before, origin);
        kept.add(before.path());
        Optional<DeliveredFile.Contents> known = before.line().contents();
        lines.add(new DeliveryList.Line(
                item,
                before.line().file(),
                words.apply(DELIVERED),
                known.map(DeliveredFile.Contents::pixels).orElse(origin.words()),
                known.map(DeliveredFile.Contents::look).orElse("")));
    }

    private void write(DeliveryPlan.Item item, String contentKey, DeliveryItem file) throws IOException, PhotoProblem {
        Made made = file.made();
        PixelOrigin origin = file.origin();
        Path path = writing.write(file.name(), contentKey, made.contents(), origin);
        written.add(path);
        Message what =
                made.left().map(left -> Message.of("delivered.without", left)).orElse(DELIVERED);
        lines.add(new DeliveryList.Line(
                item,
                destination.relativize(path).toString(),
                words.apply(what),
                origin.words(),
                origin.differenceWords()));
    }

    private void fail(DeliveryPlan.Item item, Message reason) {
        failures.add(new Failure(item, reason));
        lines.add(new DeliveryList.Line(item, item.name(), words.apply(reason), PixelOrigin.UNKNOWN.words(), ""));
    }
}
