package nexa.imaging.deliver;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
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
 * whole, so stopping leaves no half file. What an earlier delivery finished is recognised and kept if it would come out the
 * same; made of another crop it is replaced, or, if so asked, left with the new file numbered. Anything else that is there
 * is never replaced. A photo that fails is recorded and the rest goes on.
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
     * @param kept the files that were there from an earlier delivery, just as they would come out
     * @param wasStopped whether it was stopped before all files were there
     */
    public record Result(List<Path> written, List<Path> kept, List<Failure> failures, boolean wasStopped) {}

    private final DeliveryPlan plan;
    private final Path source;
    private final Path destination;
    private final Progress progress;
    private final boolean replacesOwn;
    private final List<Path> kept = Collections.synchronizedList(new ArrayList<>());
    private final List<DeliveryList.Line> lines = Collections.synchronizedList(new ArrayList<>());
    private final List<Path> written = Collections.synchronizedList(new ArrayList<>());
    private final List<Failure> failures = Collections.synchronizedList(new ArrayList<>());
    private final AtomicInteger finished = new AtomicInteger();
    private volatile boolean isStopped;
    private DeliveredFiles delivered;

    /**
     * A delivery that has not begun.
     *
     * @param source the folder of the photos
     * @param destination created if it is not there
     * @param replacesOwn whether files of an earlier delivery are replaced when their crop has changed
     */
    public Delivery(DeliveryPlan plan, Path source, Path destination, boolean replacesOwn, Progress progress) {
        this.plan = plan;
        this.replacesOwn = replacesOwn;
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
        clearLeftovers();
        delivered = DeliveredFiles.in(destination);
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
        boolean cutShort = lines.size() < plan.files().size();
        DeliveryList.write(destination, List.copyOf(lines));
        return new Result(List.copyOf(written), List.copyOf(kept), List.copyOf(failures), cutShort);
    }

    private void deliver(DeliveryPlan.Item item) {
        if (isStopped) {
            return;
        }
        try {
            String making = making(item);
            Optional<Path> finishedBefore = delivered.finished(item, making);
            if (finishedBefore.isPresent()) {
                kept.add(finishedBefore.get());
                list(item, finishedBefore.get(), "kept from before");
            } else {
                Path file = write(item, making, encoded(item));
                written.add(file);
                list(item, file, "written");
            }
        } catch (PhotoProblem | IOException e) {
            fail(item, e.getMessage());
        } catch (RuntimeException e) {
            fail(item, item.photo().file() + " could not be worked on: " + e.getMessage());
        }
        progress.advanced(finished.incrementAndGet(), plan.files().size(), item.name());
    }

    private void list(DeliveryPlan.Item item, Path file, String what) {
        lines.add(new DeliveryList.Line(item, destination.relativize(file).toString(), what));
    }

    private void fail(DeliveryPlan.Item item, String reason) {
        failures.add(new Failure(item, reason));
        lines.add(new DeliveryList.Line(item, item.name(), reason));
    }

    /** What a file is made of, in a few letters: when this is the same, the file comes out the same. */
    private String making(DeliveryPlan.Item item) throws PhotoProblem {
        Path file = source.resolve(item.photo().file());
        try {
            BasicFileAttributes attributes = Files.readAttributes(file, BasicFileAttributes.class);
            Photo photo = item.photo();
            String all = String.join(
                    "|",
                    photo.file(),
                    String.valueOf(attributes.size()),
                    attributes.lastModifiedTime().toString(),
                    photo.turn() + " " + photo.isMirrored() + " " + photo.angle(),
                    item.crop().crop().toString(),
                    item.crop().output().toString(),
                    item.format().file().toString(),
                    paperPpi(item).toString());
            return UUID.nameUUIDFromBytes(all.getBytes(StandardCharsets.UTF_8)).toString();
        } catch (NoSuchFileException e) {
            throw new PhotoProblem(item.photo().file(), PhotoProblem.Reason.MISSING, e);
        } catch (IOException e) {
            throw new PhotoProblem(item.photo().file(), PhotoProblem.Reason.NO_ACCESS, e);
        }
    }

    private byte[] encoded(DeliveryPlan.Item item) throws PhotoProblem {
        Photo photo = item.photo();
        FileSpec spec = item.format().file();
        Path file = source.resolve(photo.file());
        PhotoPixels pixels = new PhotoPixels(file, photo);
        if (!photo.pixels().equals(Optional.of(pixels.facts().pixels()))) {
            throw new PhotoProblem(photo.file(), PhotoProblem.Reason.CHANGED);
        }
        SourceMetadata metadata = SourceMetadata.read(file, pixels.facts().kind());
        boolean keepsDepth = spec.type() != FileSpec.Type.JPEG && spec.colour() == FileSpec.Colour.KEEP;
        try (Mat full = pixels.full(keepsDepth);
                Mat result = CropRenderer.render(
                        full, item.crop().crop(), photo.angle(), item.crop().output())) {
            Optional<ColourProfile> profile = metadata.profile();
            if (spec.colour() == FileSpec.Colour.SRGB && profile.isPresent()) {
                profile.get().toSrgb(result);
                profile = Optional.of(ColourProfile.srgb());
            }
            Optional<byte[]> icc = profile.map(ColourProfile::bytes);
            return switch (spec.type()) {
                case JPEG -> JpegFile.encode(result, spec.quality(), icc, metadata, paperPpi(item));
                case PNG -> PngFile.encode(result, icc, metadata, paperPpi(item));
                case TIFF -> TiffFile.encode(result, icc, paperPpi(item));
            };
        }
    }

    private static OptionalDouble paperPpi(DeliveryPlan.Item item) {
        return item.format().size() instanceof OutputSize.Print print
                ? OptionalDouble.of(print.ppi())
                : OptionalDouble.empty();
    }

    private Path write(DeliveryPlan.Item item, String making, byte[] bytes) throws IOException {
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
            Optional<Path> earlier = delivered.own(item);
            if (replacesOwn && earlier.isPresent() && !isSource(earlier.get())) {
                delivered.note(item, earlier.get(), making, bytes.length);
                return Files.move(temporary, earlier.get(), StandardCopyOption.REPLACE_EXISTING);
            }
            return moveToFreeName(item, making, bytes.length, temporary, target);
        } finally {
            Files.deleteIfExists(temporary);
        }
    }

    private boolean isSource(Path file) {
        return file.toAbsolutePath()
                        .normalize()
                        .startsWith(source.toAbsolutePath().normalize())
                && plan.files().stream()
                        .anyMatch(item -> source.resolve(item.photo().file())
                                .toAbsolutePath()
                                .normalize()
                                .equals(file.toAbsolutePath().normalize()));
    }

    /** What a crash left half written is of no use to anybody. */
    private void clearLeftovers() throws IOException {
        Set<Path> folders = plan.files().stream()
                .map(item -> destination.resolve(item.name()).getParent())
                .filter(Files::isDirectory)
                .collect(Collectors.toSet());
        for (Path folder : folders) {
            try (DirectoryStream<Path> left = Files.newDirectoryStream(folder, ".nexa-*.part")) {
                for (Path file : left) {
                    Files.deleteIfExists(file);
                }
            }
        }
    }

    /** Gives a finished file its name; where that is taken, by a source photo or anything else, a numbered one. */
    private Path moveToFreeName(DeliveryPlan.Item item, String making, long length, Path finished, Path target)
            throws IOException {
        String name = target.getFileName().toString();
        int dot = name.lastIndexOf('.');
        Path free = target;
        for (int i = 2; ; i++) {
            try {
                if (!Files.exists(free)) {
                    delivered.note(item, free, making, length);
                    // Not ATOMIC_MOVE: that would replace what is there.
                    return Files.move(finished, free);
                }
            } catch (FileAlreadyExistsException e) {
                // Somebody else was quicker: the next number.
                Thread.onSpinWait();
            }
            free = target.resolveSibling(name.substring(0, dot) + "-" + i + name.substring(dot));
        }
    }
}
