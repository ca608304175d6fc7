package nexa.imaging.deliver;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import nexa.core.format.FileSpec;
import nexa.core.format.OutputSize;
import nexa.core.shoot.Photo;
import nexa.imaging.read.ColourProfile;
import nexa.imaging.read.PhotoPixels;
import nexa.imaging.read.PhotoProblem;
import nexa.imaging.read.SourceMetadata;
import nexa.imaging.render.CropRenderer;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * Delivers the files of a plan, several at a time. A file is written under a temporary name and renamed when it is
 * whole, so stopping leaves no half file; nothing that is there already is ever replaced. A photo that fails is recorded
 * and the rest goes on.
 */
public final class Delivery {
    /** Hears how the delivery gets on, on background threads. */
    public interface Progress {
        /** One more file is finished or has failed. */
        void advanced(int finished, int total, String name);
    }

    /** A file that could not be delivered. */
    public record Failure(DeliveryPlan.Item item, String reason) {}

    /**
     * What came of a delivery.
     *
     * @param written the files, in no order
     * @param wasStopped whether it was stopped before all files were there
     */
    public record Result(List<Path> written, List<Failure> failures, boolean wasStopped) {}

    private final DeliveryPlan plan;
    private final Path source;
    private final Path destination;
    private final Progress progress;
    private final List<Path> written = Collections.synchronizedList(new ArrayList<>());
    private final List<Failure> failures = Collections.synchronizedList(new ArrayList<>());
    private final AtomicInteger finished = new AtomicInteger();
    private volatile boolean isStopped;

    /**
     * A delivery that has not begun.
     *
     * @param source the folder of the photos
     * @param destination created if it is not there
     */
    public Delivery(DeliveryPlan plan, Path source, Path destination, Progress progress) {
        this.plan = plan;
        this.source = source;
        this.destination = destination;
        this.progress = progress;
    }

    /** Begins no further file. Those being written are finished. */
    public void stop() {
        isStopped = true;
    }

    /**
     * Delivers everything and waits for it.
     *
     * @param threads how many files are worked on at once
     * @throws IOException if the destination cannot be made
     */
    public Result run(int threads) throws IOException {
        Files.createDirectories(destination);
        ExecutorService workers = Executors.newFixedThreadPool(threads, task -> {
            Thread thread = new Thread(task, "delivery");
            thread.setDaemon(true);
            return thread;
        });
        plan.files().forEach(item -> workers.execute(() -> deliver(item)));
        workers.shutdown();
        try {
            workers.awaitTermination(Long.MAX_VALUE, TimeUnit.DAYS);
        } catch (InterruptedException e) {
            stop();
            Thread.currentThread().interrupt();
        }
        boolean cutShort = written.size() + failures.size() < plan.files().size();
        return new Result(List.copyOf(written), List.copyOf(failures), cutShort);
    }

    private void deliver(DeliveryPlan.Item item) {
        if (isStopped) {
            return;
        }
        try {
            written.add(write(item, encoded(item)));
        } catch (PhotoProblem | IOException e) {
            failures.add(new Failure(item, e.getMessage()));
        } catch (RuntimeException e) {
            failures.add(new Failure(item, item.photo().file() + " could not be worked on: " + e.getMessage()));
        }
        progress.advanced(finished.incrementAndGet(), plan.files().size(), item.name());
    }

    private byte[] encoded(DeliveryPlan.Item item) throws PhotoProblem {
        Photo photo = item.photo();
        FileSpec spec = item.format().file();
        if (spec.type() != FileSpec.Type.JPEG) {
            throw new IllegalArgumentException("format \"" + item.format().name() + "\" asks for " + spec.type()
                    + " files; only JPEG can be written");
        }
        Path file = source.resolve(photo.file());
        PhotoPixels pixels = new PhotoPixels(file, photo);
        if (!photo.pixels().equals(Optional.of(pixels.facts().pixels()))) {
            throw new PhotoProblem(photo.file(), PhotoProblem.Reason.CHANGED);
        }
        SourceMetadata metadata = SourceMetadata.read(file, pixels.facts().kind());
        try (Mat full = pixels.full();
                Mat result = CropRenderer.render(
                        full, item.crop().crop(), photo.angle(), item.crop().output())) {
            Optional<ColourProfile> profile = metadata.profile();
            if (spec.colour() == FileSpec.Colour.SRGB && profile.isPresent()) {
                profile.get().toSrgb(result);
                profile = Optional.of(ColourProfile.srgb());
            }
            return JpegFile.encode(result, spec.quality(), profile.map(ColourProfile::bytes), metadata, paperPpi(item));
        }
    }

    private static OptionalDouble paperPpi(DeliveryPlan.Item item) {
        return item.format().size() instanceof OutputSize.Print print
                ? OptionalDouble.of(print.ppi())
                : OptionalDouble.empty();
    }

    private Path write(DeliveryPlan.Item item, byte[] bytes) throws IOException {
        Path target = destination.resolve(item.name());
        Files.createDirectories(target.getParent());
        Path temporary = target.resolveSibling(".nexa-" + UUID.randomUUID() + ".part");
        try {
            try (FileChannel channel =
                    FileChannel.open(temporary, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE)) {
                ByteBuffer rest = ByteBuffer.wrap(bytes);
                while (rest.hasRemaining()) {
                    channel.write(rest);
                }
            }
            return moveToFreeName(temporary, target);
        } finally {
            Files.deleteIfExists(temporary);
        }
    }

    /** Gives a finished file its name; where that is taken, by a source photo or anything else, a numbered one. */
    private static Path moveToFreeName(Path finished, Path target) throws IOException {
        String name = target.getFileName().toString();
        int dot = name.lastIndexOf('.');
        Path free = target;
        for (int i = 2; ; i++) {
            try {
                // Not ATOMIC_MOVE: that would replace what is there.
                return Files.move(finished, free);
            } catch (FileAlreadyExistsException e) {
                free = target.resolveSibling(name.substring(0, dot) + "-" + i + name.substring(dot));
            }
        }
    }
}
