package nexa.desktop.session;

import com.google.common.collect.Sets;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import nexa.core.series.RawPairs;
import nexa.core.series.Renamed;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.work.LatestOnly;

/** What happens in the folder while the shoot is open: photos that come, go, change, and have other names now. */
public final class FolderChanges {
    private final PresentShoot shoot;
    private final PhotoReading reading;
    private final Selection selection;
    private final ShootEdits edits;
    private final ReadOnlyObjectWrapper<Set<String>> fresh = new ReadOnlyObjectWrapper<>(Set.of());
    private final ReadOnlyObjectWrapper<Map<String, String>> renamed = new ReadOnlyObjectWrapper<>(Map.of());
    private final LatestOnly<Map<String, String>> seeking;
    private final FolderWatch watch;

    /** Looks at the folder from now on. */
    FolderChanges(Path folder, PresentShoot shoot, PhotoReading reading, Selection selection, ShootEdits edits) {
        this.shoot = shoot;
        this.reading = reading;
        this.selection = selection;
        this.edits = edits;
        this.seeking = shoot.background().latest(renamed::set);
        this.watch = new FolderWatch(folder, files(shoot.get()), news -> Platform.runLater(() -> hear(news)));
        watch.begin();
    }

    private void hear(FolderNews news) {
        fresh.set(news.fresh());
        Map<String, PhotoProblem> gone = new HashMap<>();
        news.gone().stream()
                .filter(file -> shoot.get().find(file).isPresent())
                .forEach(file -> gone.put(file, new PhotoProblem(file, PhotoProblem.Reason.MISSING)));
        if (!gone.isEmpty()) {
            shoot.turns().now(() -> {
                reading.addProblems(gone);
                seekRenamed();
            });
        }
        Set<String> changed = new HashSet<>(news.changed());
        changed.addAll(withRawIn(Sets.union(news.changed(), news.gone())));
        reading.readAgain(changed);
    }

    /** All files of a shoot's photos. */
    private static Set<String> files(Shoot shoot) {
        Set<String> files = new HashSet<>();
        for (Photo photo : shoot.photos()) {
            files.add(photo.file());
            photo.raw().ifPresent(files::add);
        }
        return files;
    }

    /** The photos whose raw files are among these. */
    private Set<String> withRawIn(Set<String> files) {
        return shoot.get().photos().stream()
                .filter(photo -> photo.raw().filter(files::contains).isPresent())
                .map(Photo::file)
                .collect(Collectors.toSet());
    }

    /** The photos that have come into the folder since the shoot was opened and are not in it yet. */
    public ReadOnlyObjectProperty<Set<String>> freshProperty() {
        return fresh.getReadOnlyProperty();
    }

    /** Takes the photos that have come into the folder into the shoot. */
    public void addFresh() {
        shoot.turns().now(this::addFreshNow);
    }

    private void addFreshNow() {
        Shoot before = shoot.get();
        Set<String> there = Sets.union(there(before), fresh.get()).immutableCopy();
        watch.know(fresh.get());
        selection.showToo(fresh.get());
        fresh.set(Set.of());
        shoot.set(RawPairs.withFiles(before, there));
        readNew(before);
    }

    private Set<String> there(Shoot now) {
        return Sets.difference(files(now), reading.missing()).immutableCopy();
    }

    /** Makes raw files and JPEGs of the same name one photo, or two. It cannot be undone but by choosing again. */
    public void pair(Shoot.Pairs pairs) {
        if (pairs != shoot.get().pairs()) {
            edits.change(
                    () -> {
                        Set<String> there = there(shoot.get());
                        return now -> RawPairs.withFiles(now.withPairs(pairs), there);
                    },
                    this::readNew);
        }
    }

    /** Reads photos that were not of the shoot before, or had other files. */
    private void readNew(Shoot before) {
        Shoot now = shoot.get();
        if (before.photos().stream().anyMatch(photo -> now.find(photo.file()).isEmpty())) {
            edits.forgetSteps();
            selection.leaveMissing(now);
        }
        reading.read(now.photos().stream()
                .filter(photo -> before.find(photo.file())
                        .filter(was -> was.raw().equals(photo.raw()))
                        .isEmpty())
                .toList());
    }

    /** The new names of photos that have other names now, by their old ones. */
    public ReadOnlyObjectProperty<Map<String, String>> renamedProperty() {
        return renamed.getReadOnlyProperty();
    }

    /** Takes what was said of photos along to their new names, as one edit. */
    public void takeRenamedAlong() {
        Map<String, String> names = renamed.get();
        renamed.set(Map.of());
        edits.edit(Edit.Kind.RENAME, selection.formatProperty().get(), now -> Renamed.takeAlong(now, names));
    }

    /** Looks for photos that are missing under other names. */
    void seekRenamed() {
        Shoot now = shoot.get();
        Set<String> missing = reading.missing();
        if (missing.isEmpty()) {
            seeking.forget();
            renamed.set(Map.of());
        } else {
            seeking.ask(() -> Renamed.find(now, missing));
        }
    }

    void stop() {
        watch.stop();
    }
}
