package nexa.core.lens;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import nexa.core.shape.Lens;

/**
 * All cameras and lenses of which something is known. Names count as the same where they differ by case and blanks alone, or by
 * the maker's name before the model; nothing is guessed.
 */
public final class LensBook {
    /** A lens measured on a sensor that is smaller than the photo's by more than this says nothing of the photo's edge. */
    private static final double SMALLER = 1.05;

    private static final Pattern BLANKS = Pattern.compile("\\s+");

    /** A book with nothing in it. */
    public static final LensBook EMPTY = new LensBook(List.of(), List.of());

    private final List<KnownCamera> cameras;
    private final List<KnownLens> lenses;
    private final Optional<LensBook> own;
    private final Map<String, List<KnownCamera>> camerasByName = new HashMap<>();
    private final Map<String, List<KnownLens>> lensesByName = new HashMap<>();
    private final Map<String, List<KnownLens>> lensesByMount = new HashMap<>();

    public LensBook(List<KnownCamera> cameras, List<KnownLens> lenses) {
        this(cameras, lenses, Optional.empty());
    }

    private LensBook(List<KnownCamera> cameras, List<KnownLens> lenses, Optional<LensBook> own) {
        this.own = own;
        this.cameras = List.copyOf(cameras);
        this.lenses = List.copyOf(lenses);
        for (KnownCamera camera : cameras) {
            names(camera.maker(), camera.model()).forEach(name -> add(camerasByName, name, camera));
        }
        for (KnownLens lens : lenses) {
            names(lens.maker(), lens.model()).forEach(name -> add(lensesByName, name, lens));
            lens.mounts().forEach(mount -> add(lensesByMount, mount, lens));
        }
    }

    /** The same with cameras and lenses of one's own, which count before those of the same name. */
    public LensBook withOwn(LensBook mine) {
        return new LensBook(cameras, lenses, Optional.of(mine));
    }

    private static <T> void add(Map<String, List<T>> index, String name, T one) {
        index.computeIfAbsent(name, any -> new ArrayList<>()).add(one);
    }

    /** All that may be said for a model. */
    private static Set<String> names(String maker, String model) {
        String known = letters(model);
        String before = letters(maker);
        String after = known.startsWith(before) ? known.substring(before.length()) : known;
        return Stream.of(known, before + known, after).collect(Collectors.toSet());
    }

    private static String letters(String name) {
        return BLANKS.matcher(name).replaceAll("").toLowerCase(Locale.ROOT);
    }

    /** What of it is one's own, if anything is. */
    public Optional<LensBook> own() {
        return own;
    }

    public List<KnownCamera> cameras() {
        return cameras;
    }

    public List<KnownLens> lenses() {
        return lenses;
    }

    /** The camera that took a photo. */
    public Optional<KnownCamera> camera(Taken taken) {
        Optional<KnownCamera> mine = own.flatMap(book -> book.camera(taken));
        return mine.isPresent()
                ? mine
                : taken.camera().stream()
                        .flatMap(name -> camerasByName.getOrDefault(letters(name), List.of()).stream())
                        .filter(camera -> taken.maker().isEmpty()
                                || letters(taken.maker().get()).equals(letters(camera.maker())))
                        .findFirst();
    }

    /** The crop factor of the camera that took a photo, where it is in the data or the photo's focal lengths tell it. */
    public OptionalDouble cropFactor(Taken taken) {
        Optional<KnownCamera> camera = camera(taken);
        return camera.isPresent() ? OptionalDouble.of(camera.get().cropFactor()) : taken.cropFactor();
    }

    /** The focal length on 36 × 24 mm that a photo tells, or that follows from its own and its camera's crop factor. */
    public OptionalDouble focalLength35(Taken taken) {
        if (taken.focal35().isPresent() || taken.focal().isEmpty()) {
            return taken.focal35();
        }
        OptionalDouble cropFactor = cropFactor(taken);
        return cropFactor.isPresent()
                ? OptionalDouble.of(cropFactor.getAsDouble() * taken.focal().getAsDouble())
                : cropFactor;
    }

    /** The one lens that took a photo; empty where none or several may have. */
    public Optional<KnownLens> lens(Taken taken) {
        List<KnownLens> fitting = fitting(taken);
        return fitting.size() == 1 ? Optional.of(fitting.get(0)) : Optional.empty();
    }

    /** The lenses that may have taken a photo by what it says of itself. */
    public List<KnownLens> fitting(Taken taken) {
        List<KnownLens> mine = own.map(book -> book.fitting(taken)).orElse(List.of());
        if (!mine.isEmpty()) {
            return mine;
        }
        Optional<KnownCamera> camera = camera(taken);
        List<KnownLens> named = taken.lens().isPresent()
                ? lensesByName.getOrDefault(letters(taken.lens().get()), List.of())
                : camera.filter(KnownCamera::hasOneLens)
                        .map(one -> lensesByMount.getOrDefault(one.mount(), List.of()))
                        .orElse(List.of());
        OptionalDouble cropFactor = cropFactor(taken);
        if (cropFactor.isEmpty()) {
            return List.copyOf(named);
        }
        List<KnownLens> large = named.stream()
                .filter(lens -> lens.cropFactor() <= SMALLER * cropFactor.getAsDouble())
                .toList();
        double nearest = large.stream().mapToDouble(KnownLens::cropFactor).max().orElse(0);
        List<KnownLens> near =
                large.stream().filter(lens -> lens.cropFactor() == nearest).toList();
        List<KnownLens> ofMount = near.stream()
                .filter(lens -> camera.isPresent()
                        && lens.mounts().contains(camera.get().mount()))
                .toList();
        return near.size() > 1 && ofMount.size() == 1 ? ofMount : near;
    }

    /** All lenses to choose from for a photo: those that may have taken it, then those for its camera, then the others. */
    public List<KnownLens> choices(Taken taken) {
        List<KnownLens> fitting = fitting(taken);
        Optional<String> mount = camera(taken).map(KnownCamera::mount);
        List<KnownLens> choices = new ArrayList<>(lenses);
        own.ifPresent(book -> choices.addAll(book.lenses()));
        choices.sort(Comparator.<KnownLens>comparingInt(lens -> fitting.contains(lens)
                        ? 0
                        : mount.isPresent() && lens.mounts().contains(mount.get()) ? 1 : 2)
                .thenComparing(KnownLens::model, String.CASE_INSENSITIVE_ORDER));
        return choices;
    }

    /** How a photo taken with a lens is put right wholly; empty where the photo says too little of how it was taken. */
    public Optional<Lens> putRight(KnownLens lens, Taken taken) {
        double cropFactor = cropFactor(taken).orElse(lens.cropFactor());
        return lens.profile(taken).map(profile -> Lens.of(profile, cropFactor));
    }
}
