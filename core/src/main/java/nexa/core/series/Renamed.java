package nexa.core.series;

import java.util.ArrayDeque;
import java.util.Comparator;
import java.util.Deque;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import nexa.core.format.Format;
import nexa.core.geometry.Orientation;
import nexa.core.shoot.FileIdentity;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.ShootDraft;

/** Finds photos whose files got other names outside, and takes along what was said of them. */
public final class Renamed {
    private Renamed() {}

    /**
     * The new name of each photo that is gone but for another, untouched one that is just the same file. Of several files
     * that are the same, the first by name stands for the first.
     *
     * @param missing the names of the photos whose files are gone
     * @return new names by old names, by old name
     */
    public static Map<String, String> find(Shoot shoot, Set<String> missing) {
        Map<FileIdentity, Deque<String>> fresh = new HashMap<>();
        List<Photo> byName = shoot.photos().stream()
                .sorted(Comparator.comparing(Photo::file))
                .toList();
        for (Photo photo : byName) {
            Optional<FileIdentity> identity = photo.identity();
            if (identity.isPresent() && photo.isUntouchedByHand() && !missing.contains(photo.file())) {
                fresh.computeIfAbsent(identity.get(), key -> new ArrayDeque<>()).add(photo.file());
            }
        }
        Map<String, String> names = new LinkedHashMap<>();
        for (Photo photo : byName) {
            boolean isGone = missing.contains(photo.file()) && !photo.isUntouched();
            Optional<String> name =
                    photo.identity().filter(identity -> isGone).map(fresh::get).map(Deque::poll);
            name.ifPresent(found -> names.put(photo.file(), found));
        }
        return names;
    }

    /** The shoot in which the new names have what was said of the old ones, and the old ones are untouched. */
    public static Shoot takeAlong(Shoot shoot, Map<String, String> names) {
        ShootDraft draft = shoot.draft();
        names.forEach((from, to) -> {
            Photo old = shoot.photo(from);
            draft.change(to, photo -> photo.saying(old)).put(old.saying(Photo.untouched(from)));
        });
        return draft.withFormats(shoot.formats().stream()
                        .map(format -> led(format, names))
                        .toList())
                .shoot();
    }

    /**
     * The names that photos had before what was said of them was taken along: gone, untouched, and of a file that is there
     * under another name.
     */
    public static Set<String> leftNames(Shoot shoot, Set<String> missing) {
        Set<FileIdentity> there = shoot.photos().stream()
                .filter(photo -> !missing.contains(photo.file()))
                .flatMap(photo -> photo.identity().stream())
                .collect(Collectors.toSet());
        return shoot.photos().stream()
                .filter(photo -> missing.contains(photo.file()) && photo.isUntouched())
                .filter(photo -> photo.identity().map(there::contains).orElse(false))
                .map(Photo::file)
                .collect(Collectors.toSet());
    }

    private static Format led(Format format, Map<String, String> names) {
        if (format.leads().values().stream().noneMatch(names::containsKey)) {
            return format;
        }
        Map<Orientation, String> leads = new EnumMap<>(Orientation.class);
        format.leads().forEach((orientation, lead) -> leads.put(orientation, names.getOrDefault(lead, lead)));
        return format.withLeads(leads);
    }
}
