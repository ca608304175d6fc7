package nexa.desktop.session;

import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import nexa.core.lens.OwnProfile;
import nexa.imaging.facts.ShootReading;
import nexa.store.document.ShootProblem;
import nexa.store.lens.LensData;
import nexa.store.lens.OwnLenses;
import nexa.store.lens.ReadLenses;

/** The lenses that are known, and which of them took the photos of a shoot. They are read when they are first asked for. */
public final class Lenses {
    private final Supplier<ShootReading> reading;
    private final OwnLenses own;
    private final Executor workers;
    private final ReadOnlyObjectWrapper<Optional<ReadLenses>> read = new ReadOnlyObjectWrapper<>(Optional.empty());
    private boolean isWanted;

    /** The data is the same for every shoot. */
    private static CompletableFuture<ReadLenses> data;

    /** @param workers read and write in the background */
    Lenses(Supplier<ShootReading> reading, OwnLenses own, Executor workers) {
        this.reading = reading;
        this.own = own;
        this.workers = workers;
    }

    private static synchronized CompletableFuture<ReadLenses> data(Executor workers) {
        if (data == null) {
            data = CompletableFuture.supplyAsync(LensData::read, workers);
        }
        return data;
    }

    /** All that is known of them; empty until that has been read, which this begins. */
    public ReadOnlyObjectProperty<Optional<ReadLenses>> readProperty() {
        if (!isWanted) {
            isWanted = true;
            read();
        }
        return read.getReadOnlyProperty();
    }

    private void read() {
        // Whatever goes wrong, nobody waits for ever.
        data(workers)
                .exceptionally(ReadLenses::failed)
                .thenApplyAsync(known -> known.withOwn(own.read()), workers)
                .exceptionally(ReadLenses::failed)
                .thenAccept(known -> Platform.runLater(() -> read.set(Optional.of(known))));
    }

    /** What is known now, for what is worked out of it, also in the background. */
    public LensesNow now() {
        ReadLenses known = readProperty().get().orElse(ReadLenses.NOTHING);
        return new LensesNow(known.book(), known.told(), reading.get());
    }

    /**
     * Keeps a profile of one's own, for other photos too.
     *
     * @param kept hears on the JavaFX thread that it is kept, or why it could not be
     */
    public void keep(OwnProfile profile, Consumer<Optional<ShootProblem>> kept) {
        workers.execute(() -> {
            Optional<ShootProblem> problem = Optional.empty();
            try {
                own.keep(profile);
            } catch (ShootProblem e) {
                problem = Optional.of(e);
            }
            Optional<ShootProblem> heard = problem;
            Platform.runLater(() -> kept.accept(heard));
            read();
        });
    }
}
