package nexa.desktop.session;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.lens.KnownLens;
import nexa.core.lens.LensBook;
import nexa.core.lens.OwnProfile;
import nexa.core.lens.Taken;
import nexa.core.message.Message;
import nexa.core.shape.Lens;
import nexa.core.shape.LensProfile;
import nexa.core.shoot.Photo;
import nexa.imaging.facts.ShootReading;

/**
 * Which lenses took the photos of a shoot, by what is known now.
 *
 * @param book none is known while it has not been read
 * @param told what of the lens data was passed over
 * @param reading what the photos say of themselves
 */
public record LensesNow(LensBook book, List<Message> told, ShootReading reading) {
    /** Whether there is lens data, or a profile of one's own. */
    public boolean areAnyKnown() {
        return !book.lenses().isEmpty()
                || book.own().map(mine -> !mine.lenses().isEmpty()).orElse(false);
    }

    /** With what a photo says it was taken. */
    public Taken taken(String file) {
        return reading.taken(file);
    }

    /** The lens that took a photo, where that is known. */
    public Optional<KnownLens> of(String file) {
        return book.lens(taken(file));
    }

    /** The lenses to choose from for a photo, likely ones first. */
    public List<KnownLens> choices(String file) {
        return book.choices(taken(file));
    }

    /** How a photo is put right that was taken with a lens; empty where it says too little of how it was taken. */
    public Optional<Lens> putRight(KnownLens lens, String file) {
        return book.putRight(lens, taken(file));
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
        return book.cropFactor(taken(file));
    }

    /** The focal length of a photo on 36 × 24 mm, as its file tells it or as it follows from its camera. */
    public OptionalDouble focalLength35(String file) {
        return book.focalLength35(taken(file));
    }

    /** A profile of one's own of what took a photo, to be added to; empty where the photo does not tell enough. */
    public Optional<OwnProfile> own(Photo photo) {
        return OwnProfile.begun(taken(photo.file()), LensProfile.aspectOf(photo.size()), book);
    }

    private Optional<Lens> chosenFor(String from, Lens lens, String file) {
        Taken chosen = taken(from);
        Taken other = taken(file);
        boolean isSame = chosen.camera().equals(other.camera()) && chosen.lens().equals(other.lens());
        return isSame ? lens.profile().flatMap(this::named).flatMap(known -> putRight(known, file)) : Optional.empty();
    }

    private Optional<KnownLens> named(LensProfile profile) {
        return book.lenses().stream()
                .filter(known -> known.model().equals(profile.name()) && known.cropFactor() == profile.cropFactor())
                .findFirst();
    }
}
