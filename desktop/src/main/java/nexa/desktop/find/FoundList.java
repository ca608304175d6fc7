package nexa.desktop.find;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import nexa.core.find.Answer;
import nexa.core.shoot.Shoot;

/** What was found in photos so far, and what of it is ticked. For one thread. */
final class FoundList {
    /** A row of what is shown. */
    sealed interface Row {
        /**
         * The head of a group.
         *
         * @param format the id of the format that it is of, "" where there is one group for all
         * @param count of all that is in it
         * @param takeable what of it can be taken
         */
        record Heading(String format, FoundPhoto.Group group, int count, List<FoundPhoto.Key> takeable)
                implements Row {}

        /** Some photos side by side. */
        record Photos(List<FoundPhoto> photos) implements Row {}
    }

    /** What is shown together. */
    private record Together(String format, FoundPhoto.Group group) {}

    private final Map<FoundPhoto.Key, FoundPhoto> found = new LinkedHashMap<>();
    private final Set<FoundPhoto.Key> ticked = new HashSet<>();

    void add(FoundPhoto photo) {
        found.put(photo.key(), photo);
        if (photo.isUsual()) {
            ticked.add(photo.key());
        }
    }

    boolean has(FoundPhoto.Key key) {
        return found.containsKey(key);
    }

    Optional<FoundPhoto> get(FoundPhoto.Key key) {
        return Optional.ofNullable(found.get(key));
    }

    boolean isTicked(FoundPhoto.Key key) {
        return ticked.contains(key);
    }

    /** Ticks what can be taken, or takes the tick away. */
    void toggle(FoundPhoto.Key key) {
        setTicked(List.of(key), !isTicked(key));
    }

    /** Ticks what of these can be taken, or takes the ticks away. */
    void setTicked(Collection<FoundPhoto.Key> keys, boolean isTicked) {
        keys.forEach(key -> {
            if (!isTicked) {
                ticked.remove(key);
            } else if (get(key).filter(FoundPhoto::canBeTaken).isPresent()) {
                ticked.add(key);
            }
        });
    }

    /** The photos by what is shown together: format by format, in the order of the groups. */
    private Map<Together, List<FoundPhoto>> groups(Collection<FoundPhoto.Key> keys) {
        Map<Together, List<FoundPhoto>> groups = new LinkedHashMap<>();
        List<String> formats =
                keys.stream().map(FoundPhoto.Key::format).distinct().toList();
        for (String format : formats) {
            for (FoundPhoto.Group group : FoundPhoto.Group.values()) {
                groups.put(new Together(format, group), new ArrayList<>());
            }
        }
        for (FoundPhoto.Key key : keys) {
            get(key).ifPresent(photo ->
                    groups.get(new Together(key.format(), photo.group())).add(photo));
        }
        groups.values().removeIf(List::isEmpty);
        return groups;
    }

    /** What was found, as it is shown. */
    List<FoundPhoto> order(Collection<FoundPhoto.Key> keys) {
        return groups(keys).values().stream().flatMap(List::stream).toList();
    }

    /**
     * What is shown: sure ones first, then likely ones, then what was levelled already, and then why not; of crops so for each
     * format.
     *
     * @param across how many photos a row has
     */
    List<Row> rows(Collection<FoundPhoto.Key> keys, int across) {
        List<Row> rows = new ArrayList<>();
        groups(keys).forEach((together, photos) -> {
            List<FoundPhoto.Key> takeable = photos.stream()
                    .filter(FoundPhoto::canBeTaken)
                    .map(FoundPhoto::key)
                    .toList();
            rows.add(new Row.Heading(together.format(), together.group(), photos.size(), takeable));
            for (int from = 0; from < photos.size(); from += across) {
                rows.add(new Row.Photos(List.copyOf(photos.subList(from, Math.min(photos.size(), from + across)))));
            }
        });
        return rows;
    }

    /** What is taken: all of these that is ticked, but of photos that look otherwise meanwhile. */
    Map<FoundPhoto.Key, Answer> toTake(Collection<FoundPhoto.Key> keys, Shoot now) {
        Map<FoundPhoto.Key, Answer> taken = new LinkedHashMap<>();
        for (FoundPhoto.Key key : keys) {
            get(key).filter(photo -> isTicked(key))
                    .filter(photo -> now.find(key.file())
                            .filter(photo.photo()::hasSamePictureAs)
                            .isPresent())
                    .flatMap(FoundPhoto::found)
                    .ifPresent(some -> taken.put(key, some));
        }
        return taken;
    }
}
