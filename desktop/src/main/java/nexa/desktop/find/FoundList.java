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
        /** The head of a group. */
        record Heading(FoundPhoto.Group group, int count) implements Row {}

        /** Some photos side by side. */
        record Photos(List<FoundPhoto> photos) implements Row {}
    }

    private final Map<String, FoundPhoto> found = new LinkedHashMap<>();
    private final Set<String> ticked = new HashSet<>();

    void add(FoundPhoto photo) {
        String file = photo.photo().file();
        found.put(file, photo);
        if (photo.isUsual()) {
            ticked.add(file);
        }
    }

    boolean has(String file) {
        return found.containsKey(file);
    }

    Optional<FoundPhoto> get(String file) {
        return Optional.ofNullable(found.get(file));
    }

    boolean isTicked(String file) {
        return ticked.contains(file);
    }

    /** Ticks what can be taken, or takes the tick away. */
    void toggle(String file) {
        if (!ticked.remove(file) && get(file).filter(FoundPhoto::canBeTaken).isPresent()) {
            ticked.add(file);
        }
    }

    /** How many of some files are looked at. */
    long count(Collection<String> files) {
        return files.stream().filter(found::containsKey).count();
    }

    /** The photos of some files by group, in the files' order. */
    private Map<FoundPhoto.Group, List<FoundPhoto>> groups(Collection<String> files) {
        Map<FoundPhoto.Group, List<FoundPhoto>> groups = new LinkedHashMap<>();
        for (FoundPhoto.Group group : FoundPhoto.Group.values()) {
            groups.put(group, new ArrayList<>());
        }
        for (String file : files) {
            get(file).ifPresent(photo -> groups.get(photo.group()).add(photo));
        }
        groups.values().removeIf(List::isEmpty);
        return groups;
    }

    /** The files as they are shown. */
    List<String> order(Collection<String> files) {
        return groups(files).values().stream()
                .flatMap(List::stream)
                .map(photo -> photo.photo().file())
                .toList();
    }

    /**
     * What is shown of some files: sure ones first, then likely ones, then what was levelled already, and then why not.
     *
     * @param across how many photos a row has
     */
    List<Row> rows(Collection<String> files, int across) {
        List<Row> rows = new ArrayList<>();
        groups(files).forEach((group, photos) -> {
            rows.add(new Row.Heading(group, photos.size()));
            for (int from = 0; from < photos.size(); from += across) {
                rows.add(new Row.Photos(List.copyOf(photos.subList(from, Math.min(photos.size(), from + across)))));
            }
        });
        return rows;
    }

    /** What is taken of some files: all that is ticked, but of photos that look otherwise meanwhile. */
    Map<String, Answer> toTake(Collection<String> files, Shoot now) {
        Map<String, Answer> taken = new LinkedHashMap<>();
        for (String file : files) {
            get(file)
                    .filter(photo -> isTicked(file))
                    .filter(photo -> now.find(file)
                            .filter(photo.photo()::hasSamePictureAs)
                            .isPresent())
                    .flatMap(FoundPhoto::found)
                    .ifPresent(some -> taken.put(file, some));
        }
        return taken;
    }
}
