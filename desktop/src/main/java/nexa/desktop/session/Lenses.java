package nexa.desktop.session;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import nexa.core.lens.KnownLens;
import nexa.core.lens.LensBook;
import nexa.core.lens.OwnProfile;
import nexa.core.lens.Taken;
import nexa.core.shape.Lens;
import nexa.core.shoot.Photo;
import nexa.imaging.facts.ShootReading;
import nexa.store.LensData;
import nexa.store.OwnLenses;
import nexa.store.ShootProblem;

/** The lenses that are known, and which of them took the photos of a shoot. They are read when they are first asked for. */
public final class Lenses {
    private final Supplier<ShootReading> reading;
    private final OwnLenses own;
    private final ReadOnlyObjectWrapper<Optional<LensBook>> book = new ReadOnlyObjectWrapper<>(Optional.empty());
    private boolean isWanted;

    /** The data is the same for every shoot. */
    private static final class Data {
        static final CompletableFuture<LensBook> READ = CompletableFuture.supplyAsync(LensData::read);
    }

    Lenses(Supplier<ShootReading> reading, OwnLenses own) {
        this.reading = reading;
        this.own = own;
    }

    /** All of them; empty until they have been read, which this begins. */
    public ReadOnlyObjectProperty<Optional<LensBook>> bookProperty() {
        if (!isWanted) {
            isWanted = true;
            read();
        }
        return book.getReadOnlyProperty();
    }

    private void read() {
        Data.READ
                .thenApplyAsync(read -> read.withOwn(own.read()))
                .thenAccept(read -> Platform.runLater(() -> book.set(Optional.of(read))));
    }

    private LensBook book() {
        return bookProperty().get().orElse(LensBook.EMPTY);
    }

    /** Whether there is lens data, or a profile of one's own. */
    public boolean areAnyKnown() {
        LensBook known = book();
        return !known.lenses().isEmpty()
                || known.own().map(mine -> !mine.lenses().isEmpty()).orElse(false);
    }

    /** With what a photo says it was taken. */
    public Taken taken(String file) {
        return reading.get().taken(file);
    }

    /** The lens that took a photo, where that is known. */
    public Optional<KnownLens> of(String file) {
        return book().lens(taken(file));
    }

    /** The lenses to choose from for a photo, likely ones first. */
    public List<KnownLens> choices(String file) {
        return book().choices(taken(file));
    }

    /** How a photo is put right that was taken with a lens; empty where it says too little of how it was taken. */
    public Optional<Lens> putRight(KnownLens lens, String file) {
        return book().putRight(lens, taken(file));
    }

    /** How the lens of a photo is put right, where it is known. */
    public Optional<Lens> putRight(String file) {
        return of(file).flatMap(lens -> putRight(lens, file));
    }

    /** How the lenses of photos are put right, of those that are known. */
    public Map<String, Lens> putRight(List<String> files) {
        Map<String, Lens> lenses = new LinkedHashMap<>();
        files.forEach(file -> putRight(file).ifPresent(lens -> lenses.put(file, lens)));
        return lenses;
    }

    /**
     * How the lenses of photos are put right as one photo's is: each by its own profile, by the same amounts. What was chosen for
     * that photo is chosen for those that say they were taken with the same; those that are not known are left out.
     */
    public Map<String, Lens> likewise(Photo from, List<String> files) {
        Map<String, Lens> lenses = new LinkedHashMap<>();
        from.preparation().lens().ifPresent(lens -> {
            for (String file : files) {
                Optional<Lens> own = lens.profile().isEmpty()
                        ? Optional.of(lens)
                        : putRight(file)
                                .or(() -> chosenFor(from.file(), lens, file))
                                .map(lens::withProfileOf);
                own.ifPresent(known -> lenses.put(file, known));
            }
        });
        return lenses;
    }

    /** The crop factor of the camera that took a photo, where it is known. */
    public OptionalDouble cropFactor(String file) {
        return book().cropFactor(taken(file));
    }

    /** The focal length of a photo on 36 × 24 mm, as its file tells it or as it follows from its camera. */
    public OptionalDouble focalLength35(String file) {
        return book().focalLength35(taken(file));
    }

    /** A profile of one's own of what took a photo, to be added to; empty where the photo does not tell enough. */
    public Optional<OwnProfile> own(Photo photo) {
        return OwnProfile.begun(
                taken(photo.file()), photo.size().longSide() / photo.size().shortSide(), book());
    }

    /**
     * Keeps a profile of one's own, for other photos too.
     *
     * @param kept hears on the JavaFX thread that it is kept, or why it could not be
     */
    public void keep(OwnProfile profile, Consumer<Optional<ShootProblem>> kept) {
        CompletableFuture.runAsync(() -> {
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

    private Optional<Lens> chosenFor(String from, Lens lens, String file) {
        Taken chosen = taken(from);
        Taken other = taken(file);
        boolean isSame = chosen.camera().equals(other.camera()) && chosen.lens().equals(other.lens());
        return isSame ? named(lens).stream().findFirst().flatMap(known -> putRight(known, file)) : Optional.empty();
    }

    private List<KnownLens> named(Lens lens) {
        List<KnownLens> named = new ArrayList<>();
        lens.profile()
                .ifPresent(profile -> book().lenses().stream()
                        .filter(known ->
                                known.model().equals(profile.name()) && known.cropFactor() == profile.cropFactor())
                        .forEach(named::add));
        return named;
    }
}
