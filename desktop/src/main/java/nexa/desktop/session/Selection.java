package nexa.desktop.session;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import nexa.core.format.Format;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;

/** What is worked on: a photo, a format, the photos chosen together, and which of the shoot's photos are shown at all. */
final class Selection {
    private final ObjectProperty<Optional<String>> photo = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<Set<String>> chosen = new SimpleObjectProperty<>(Set.of());
    private final ObjectProperty<String> format;
    private Optional<Set<String>> only = Optional.empty();
    /** Names that photos had before they were renamed. */
    private Set<String> leftNames = Set.of();
    /** Whether another photo than the first was gone to. */
    private boolean hasMoved;

    /** The first photo, in the first format. */
    Selection(Shoot shoot) {
        format = new SimpleObjectProperty<>(
                shoot.formats().stream().findFirst().map(Format::id).orElse(""));
        photo.set(shoot.photos().stream().findFirst().map(Photo::file));
        photo.addListener((observed, before, now) -> hasMoved = true);
    }

    ObjectProperty<Optional<String>> photoProperty() {
        return photo;
    }

    ObjectProperty<Set<String>> chosenProperty() {
        return chosen;
    }

    ObjectProperty<String> formatProperty() {
        return format;
    }

    /** The first photo is another one, and was not gone to. */
    void beginAt(String file) {
        boolean before = hasMoved;
        photo.set(Optional.of(file));
        hasMoved = before;
    }

    boolean hasMoved() {
        return hasMoved;
    }

    void showOnly(Set<String> files) {
        only = Optional.of(Set.copyOf(files));
    }

    Optional<Set<String>> only() {
        return only;
    }

    /** Shows more photos, if only some are shown. */
    void showToo(Set<String> files) {
        only = only.map(shown -> {
            Set<String> all = new HashSet<>(shown);
            all.addAll(files);
            return Set.copyOf(all);
        });
    }

    void leaveNames(Set<String> names) {
        leftNames = names;
    }

    /** The photos that are shown, in the shoot's order. */
    List<Photo> photos(Shoot shoot) {
        if (only.isEmpty() && leftNames.isEmpty()) {
            return shoot.photos();
        }
        return shoot.photos().stream()
                .filter(shown -> only.map(files -> files.contains(shown.file())).orElse(true))
                .filter(shown -> !leftNames.contains(shown.file()))
                .toList();
    }

    /** Goes some places further on in the photos shown, or stays at the end; those that are not wanted are passed over. */
    void step(Shoot shoot, int places, Predicate<Photo> isWanted) {
        List<Photo> photos = photos(shoot);
        List<String> files = photos.stream().map(Photo::file).toList();
        int way = Integer.signum(places);
        int found = photo.get().map(files::indexOf).orElse(-1);
        int left = Math.abs(places);
        for (int i = found + way; left > 0 && i >= 0 && i < files.size(); i += way) {
            if (isWanted.test(photos.get(i))) {
                found = i;
                left--;
            }
        }
        if (found >= 0) {
            photo.set(Optional.of(files.get(found)));
        }
    }

    /** Views always find the format worked in: one that goes is left before it does. */
    void leaveMissingFormat(Shoot before, Shoot next) {
        List<String> ids = next.formats().stream().map(Format::id).toList();
        if (!ids.contains(format.get())) {
            before.formats().stream()
                    .map(Format::id)
                    .filter(ids::contains)
                    .findFirst()
                    .ifPresent(format::set);
        }
    }

    /** Leaves photos that are not of the shoot any more. */
    void leaveMissing(Shoot shoot) {
        chosen.set(chosen.get().stream()
                .filter(file -> shoot.find(file).isPresent())
                .collect(Collectors.toUnmodifiableSet()));
        if (photo.get().flatMap(shoot::find).isEmpty()) {
            photo.set(photos(shoot).stream().findFirst().map(Photo::file));
        }
    }

    /** Goes to what an edit changed. */
    void goTo(Shoot shoot, List<Photo> changed, Optional<String> where) {
        where.filter(id -> shoot.formats().stream().anyMatch(known -> known.id().equals(id)))
                .ifPresent(format::set);
        changed.stream().findFirst().ifPresent(first -> photo.set(Optional.of(first.file())));
    }
}
