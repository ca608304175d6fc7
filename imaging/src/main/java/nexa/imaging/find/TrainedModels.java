package nexa.imaging.find;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.function.LongSupplier;
import java.util.stream.Stream;
import nexa.core.find.SeenFace;
import nexa.core.find.SeenThing;
import org.bytedeco.javacpp.Pointer;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * The trained models, one picture at a time whoever asks: each is read when it is first asked, and all are let go when nobody
 * asked for a while, since they hold much memory. One that is missing sees nothing.
 */
public final class TrainedModels {
    /** The ones that come with the program. */
    public static final TrainedModels OWN =
            new TrainedModels(TrainedModels.class::getResourceAsStream, System::nanoTime);

    private static final long IDLE = TimeUnit.MINUTES.toNanos(2);

    private final ModelFile.Resources resources;
    private final LongSupplier clock;
    private final Map<ModelFile, Optional<TrainedNet>> nets = new EnumMap<>(ModelFile.class);
    private long lastAsked;
    private boolean isWatched;
    private volatile boolean hasFailed;

    /** @param clock in nanoseconds */
    TrainedModels(ModelFile.Resources resources, LongSupplier clock) {
        this.resources = resources;
        this.clock = clock;
    }

    /** Whether all of them are here, and could be run as far as they were asked. Reads files, but does not wait for a picture. */
    public boolean areComplete() {
        return !hasFailed && Stream.of(ModelFile.values()).allMatch(model -> model.isIn(resources));
    }

    /**
     * Persons, animals and things.
     *
     * @param bgr 8 bits, three colours
     */
    synchronized List<SeenThing> things(Mat bgr) {
        return net(ModelFile.THINGS).map(net -> ThingModel.of(net, bgr)).orElse(List.of());
    }

    /**
     * Faces, of any size, or those that fill much of the picture.
     *
     * @param bgr 8 bits, three colours
     */
    synchronized List<SeenFace> faces(FaceModel model, Mat bgr) {
        return net(model.file()).map(net -> model.of(net, bgr)).orElse(List.of());
    }

    private Optional<TrainedNet> net(ModelFile model) {
        lastAsked = clock.getAsLong();
        watch(IDLE);
        return nets.computeIfAbsent(model, this::read);
    }

    private Optional<TrainedNet> read(ModelFile model) {
        Optional<TrainedNet> net = model.read(resources).flatMap(contents -> TrainedNet.read(model, contents));
        hasFailed |= net.isEmpty();
        return net;
    }

    /** Looks in a while whether anybody asked meanwhile. */
    private void watch(long nanos) {
        if (!isWatched) {
            isWatched = true;
            CompletableFuture.delayedExecutor(nanos, TimeUnit.NANOSECONDS).execute(this::letGo);
        }
    }

    /** Lets all of them go that nobody asked for a while. */
    synchronized void letGo() {
        isWatched = false;
        long idle = clock.getAsLong() - lastAsked;
        if (idle < IDLE) {
            watch(IDLE - idle);
            return;
        }
        nets.values().forEach(net -> net.ifPresent(TrainedNet::close));
        nets.clear();
        // What was let go would else stay with the process, for whatever it asks for next.
        Pointer.trimMemory();
    }

    /** Whether any is in memory. */
    synchronized boolean isHeld() {
        return !nets.isEmpty();
    }
}
