package nexa.desktop.session;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.util.Duration;
import nexa.core.format.Format;
import nexa.core.series.Crops;
import nexa.core.series.PhotoCrop;
import nexa.core.series.Renamed;
import nexa.core.series.StepFromLead;
import nexa.core.shoot.Edit;
import nexa.core.shoot.History;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.facts.ShootReading;
import nexa.imaging.pictures.PictureLibrary;
import nexa.imaging.pictures.PixelMemory;
import nexa.imaging.work.Latest;
import nexa.imaging.work.WorkQueue;
import nexa.store.ShootFolder;

/**
 * A shoot being worked on. It holds the present state, which views observe and never copy; what the photographer does
 * comes in as the next state and becomes one {@link Edit}, which is saved at once in the background.
 */
public final class ShootSession {
    /** So many photos are gone over in the background. */
    private static final int MANY = 200;

    private static final long PICTURE_BYTES = 400L * 1024 * 1024;

    private final ShootFolder folder;
    private final PictureLibrary pictures;
    private final Autosave autosave;
    private final ReadOnlyObjectWrapper<Shoot> shoot;
    private final ReadOnlyObjectWrapper<History> history = new ReadOnlyObjectWrapper<>(History.EMPTY);
    private final ReadOnlyObjectWrapper<ShootReading> reading = new ReadOnlyObjectWrapper<>(ShootReading.none());
    private final ObjectProperty<Optional<String>> photo = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<Set<String>> chosen = new SimpleObjectProperty<>(Set.of());
    private final ObjectProperty<String> format;
    private final ReadOnlyObjectWrapper<Set<String>> fresh = new ReadOnlyObjectWrapper<>(Set.of());
    private final ReadOnlyObjectWrapper<Map<String, String>> renamed = new ReadOnlyObjectWrapper<>(Map.of());
    private final ReadOnlyObjectWrapper<Standing> standing = new ReadOnlyObjectWrapper<>(Standing.NONE);
    private final Latest<Standing> counting = Background.latest(standing::set);
    private final Latest<Map<String, String>> seeking = Background.latest(renamed::set);
    private final Turns turns = new Turns();
    private final FolderWatch watch;
    private final List<FactsReader> readers = new ArrayList<>();
    private Set<String> leftNames = Set.of();
    private Optional<Set<String>> only = Optional.empty();
    private Crops crops;
    private Runnable refused = () -> {};
    /** Whether what was read tells photos apart that their document does not tell apart yet. */
    private boolean unsavedIdentities;
    /** Whether another photo than the first was gone to. */
    private boolean hasMoved;
    /** The photos of a gesture that goes on, of which something was recorded. */
    private Set<String> drafted = Set.of();

    /** Begins to work on an opened folder: its photos are read in the background from now on. */
    public ShootSession(ShootFolder folder, Autosave.Listener saving) {
        this.folder = folder;
        this.shoot = new ReadOnlyObjectWrapper<>(folder.shoot());
        this.crops = new Crops(folder.shoot());
        this.format = new SimpleObjectProperty<>(
                folder.shoot().formats().isEmpty()
                        ? ""
                        : folder.shoot().formats().get(0).id());
        int threads = Math.max(2, Runtime.getRuntime().availableProcessors());
        this.pictures = new PictureLibrary(
                folder.path(),
                WorkQueue.withThreads("pictures", threads, PixelMemory.AT_ONCE),
                Platform::runLater,
                PICTURE_BYTES);
        this.autosave = new Autosave(folder, saving);
        pictures.onFailure(this::learn);
        shoot.addListener((observed, before, now) -> {
            crops = new Crops(now);
            Set<String> missing = missing();
            leftNames = missing.isEmpty() ? Set.of() : Renamed.leftNames(now, missing);
            count();
        });
        reading.addListener((observed, before, now) -> count());
        format.addListener((observed, before, now) -> count());
        goTo(folder.shoot().photos().stream().map(Photo::file).findFirst());
        photo.addListener((observed, before, now) -> hasMoved = true);
        watch = new FolderWatch(
                folder.path(),
                folder.shoot().photos().stream().map(Photo::file).collect(Collectors.toSet()),
                news -> Platform.runLater(() -> hear(news)));
        watch.begin();
        count();
        read(folder.shoot().photos());
    }

    private void count() {
        ShootNow now = now();
        counting.ask(() -> Standing.of(now));
    }

    /** Where the work stands; a little behind what was done last, since it is counted in the background. */
    public ReadOnlyObjectProperty<Standing> standingProperty() {
        return standing.getReadOnlyProperty();
    }

    /** The shoot as it stands, for what is worked out over all of it in the background. */
    public ShootNow now() {
        return new ShootNow(shoot.get(), photos(), reading.get(), format());
    }

    private void read(List<Photo> photos) {
        FactsReader reader = new FactsReader(
                folder.path(),
                photos,
                pictures::whenIdle,
                (part, isLast, goOn) -> Platform.runLater(() -> {
                    learn(part, isLast, () -> afterShowing(goOn));
                }));
        readers.add(reader);
        reader.begin();
    }

    private void hear(FolderNews news) {
        fresh.set(news.fresh());
        news.changed().forEach(pictures::forget);
        Map<String, PhotoProblem> gone = new HashMap<>();
        news.gone().forEach(file -> gone.put(file, new PhotoProblem(file, PhotoProblem.Reason.MISSING)));
        if (!gone.isEmpty()) {
            turns.now(() -> {
                reading.set(reading.get().plus(new ShootReading(Map.of(), gone)));
                seekRenamed();
            });
        }
        readAgain(news.changed());
    }

    /** Reads photos again, since what kept them from being read may have passed, or their files have changed. */
    public void readAgain(Set<String> files) {
        List<Photo> photos = shoot.get().photos().stream()
                .filter(photo -> files.contains(photo.file()))
                .toList();
        files.forEach(pictures::forget);
        if (!photos.isEmpty()) {
            read(photos);
        }
    }

    /** The photos that have come into the folder since the shoot was opened and are not in it yet. */
    public ReadOnlyObjectProperty<Set<String>> freshProperty() {
        return fresh.getReadOnlyProperty();
    }

    /** Takes the photos that have come into the folder into the shoot. */
    public void addFresh() {
        turns.now(this::addFreshNow);
    }

    private void addFreshNow() {
        List<Photo> all = new ArrayList<>(shoot.get().photos());
        List<Photo> added = fresh.get().stream()
                .filter(file -> shoot.get().find(file).isEmpty())
                .map(Photo::untouched)
                .toList();
        all.addAll(added);
        watch.know(fresh.get());
        only = only.map(
                files -> Stream.concat(files.stream(), fresh.get().stream()).collect(Collectors.toSet()));
        fresh.set(Set.of());
        shoot.set(shoot.get().withPhotos(all));
        read(added);
    }

    /** The new names of photos that have other names now, by their old ones. */
    public ReadOnlyObjectProperty<Map<String, String>> renamedProperty() {
        return renamed.getReadOnlyProperty();
    }

    /** Takes what was said of photos along to their new names, as one edit. */
    public void takeRenamedAlong() {
        Map<String, String> names = renamed.get();
        renamed.set(Map.of());
        edit(Edit.Kind.RENAME, now -> Renamed.takeAlong(now, names));
    }

    /**
     * A state of the shoot that was set aside because the document was changed outside.
     *
     * @see #goOnWithSetAside
     */
    public Optional<Shoot> setAside() {
        return folder.setAside().flatMap(shoot.get()::saying);
    }

    /** Makes the state that was set aside the present one, as one edit, with what was done as it was then. */
    public void goOnWithSetAside() {
        if (isReadOnly()) {
            refused.run();
        } else {
            setAside()
                    .ifPresent(then -> turns.now(
                            () -> make(Changed.between(Edit.Kind.GO_ON_WITH, format.get(), shoot.get(), then))));
        }
    }

    /** Saved once they are read, without an edit: a photo may be renamed before the next one. */
    private void saveIdentities() {
        if (unsavedIdentities) {
            unsavedIdentities = false;
            saveAsItIs();
        }
    }

    private void seekRenamed() {
        Shoot now = shoot.get();
        Set<String> missing = missing();
        if (missing.isEmpty()) {
            seeking.forget();
            renamed.set(Map.of());
        } else {
            seeking.ask(() -> Renamed.find(now, missing));
        }
    }

    private Set<String> missing() {
        return reading.get().problems().entrySet().stream()
                .filter(problem -> problem.getValue().reason() == PhotoProblem.Reason.MISSING)
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
    }

    /** Takes in what was read of photos elsewhere. */
    public void learn(ShootReading read) {
        learn(read, true, () -> {});
    }

    /** A moment counted in frames, so it begins when the frame being worked on is done. */
    private static void afterShowing(Runnable action) {
        PauseTransition shown = new PauseTransition(Duration.millis(120));
        shown.setOnFinished(event -> action.run());
        shown.play();
    }

    /** What was read, and the shoot with it. */
    private record Learned(ShootReading reading, Shoot shoot, boolean identifies) {}

    private void learn(ShootReading part, boolean isLast, Runnable then) {
        turns.take(
                () -> {
                    ShootReading before = reading.get();
                    Shoot now = shoot.get();
                    return () -> {
                        ShootReading all = before.plus(part);
                        Shoot learned = isLast ? all.appliedTo(now) : part.sized(now);
                        return new Learned(all, learned, part.identifies(now));
                    };
                },
                learned -> {
                    reading.set(learned.reading());
                    unsavedIdentities |= !isReadOnly() && !folder.isKeptApart() && learned.identifies();
                    shoot.set(learned.shoot());
                    if (isLast) {
                        seekRenamed();
                        saveIdentities();
                    }
                    then.run();
                });
    }

    /** What only shows when the pixels are read. */
    private void learn(Photo broken, PhotoProblem problem) {
        ShootReading told = new ShootReading(Map.of(), Map.of(broken.file(), problem));
        turns.now(() -> reading.set(reading.get().plus(told)));
    }

    public ReadOnlyObjectProperty<Shoot> shootProperty() {
        return shoot.getReadOnlyProperty();
    }

    public Shoot shoot() {
        return shoot.get();
    }

    public ReadOnlyObjectProperty<History> historyProperty() {
        return history.getReadOnlyProperty();
    }

    /** What has been read of the photos so far. */
    public ReadOnlyObjectProperty<ShootReading> readingProperty() {
        return reading.getReadOnlyProperty();
    }

    public PictureLibrary pictures() {
        return pictures;
    }

    /** What happens when something is to be changed in a shoot that is read-only. */
    public void onRefused(Runnable action) {
        refused = action;
    }

    /** The folders in that of the photos, which may hold photos of their own. */
    public List<Path> foldersBelow() {
        return folder.below();
    }

    /** The folder of the photos. */
    public Path path() {
        return folder.path();
    }

    /** The file of the photo worked on. */
    public ObjectProperty<Optional<String>> photoProperty() {
        return photo;
    }

    /** The files of the photos that the next action on the sheet is for. */
    public ObjectProperty<Set<String>> chosenProperty() {
        return chosen;
    }

    /** Shows only these photos of the shoot; the others stay in it, as they are. */
    public void showOnly(Set<String> files) {
        only = Optional.of(Set.copyOf(files));
    }

    /** The photos that were opened alone, if not the whole shoot. */
    public Optional<Set<String>> only() {
        return only;
    }

    /** The photos that are shown, in the shoot's order. */
    public List<Photo> photos() {
        List<Photo> all = shoot.get().photos();
        if (only.isEmpty() && leftNames.isEmpty()) {
            return all;
        }
        return all.stream()
                .filter(photo -> only.map(files -> files.contains(photo.file())).orElse(true))
                .filter(photo -> !leftNames.contains(photo.file()))
                .toList();
    }

    /** The photo worked on. */
    public Optional<Photo> photo() {
        return photo.get().flatMap(file -> shoot.get().find(file));
    }

    /** The id of the format worked in. */
    public ObjectProperty<String> formatProperty() {
        return format;
    }

    /** The format worked in. */
    public Format format() {
        return shoot.get().format(format.get());
    }

    /** Whether another photo has been gone to since the shoot was opened. */
    public boolean hasMoved() {
        return hasMoved;
    }

    /** Works on a photo from now on. */
    public void goTo(Optional<String> file) {
        photo.set(file);
    }

    /** Goes to the photo some places further on, or stays at the end. Photos that cannot be read are passed over. */
    public void step(int places) {
        List<String> files = photos().stream().map(Photo::file).toList();
        int way = Integer.signum(places);
        int found = photo.get().map(files::indexOf).orElse(-1);
        int left = Math.abs(places);
        for (int i = found + way; left > 0 && i >= 0 && i < files.size(); i += way) {
            if (!reading.get().problems().containsKey(files.get(i))) {
                found = i;
                left--;
            }
        }
        if (found >= 0) {
            goTo(Optional.of(files.get(found)));
        }
    }

    /** Whether a photo's size is known and it can be worked on. */
    public boolean isReady(Photo asked) {
        return asked.pixels().isPresent() && !reading.get().problems().containsKey(asked.file());
    }

    /** Whether a photo was found unreadable. */
    public boolean hasProblem(Photo asked) {
        return reading.get().problems().containsKey(asked.file());
    }

    /** The crop of a photo that is {@linkplain #isReady ready}, in a format. */
    public PhotoCrop crop(Photo asked, Format in) {
        return crops.of(asked, in);
    }

    /** How near a photo's crop is to its lead's, if it listens to one. */
    public Optional<StepFromLead> step(Photo asked, Format in) {
        return isReady(asked) ? StepFromLead.of(crops, asked, in) : Optional.empty();
    }

    /** The crop worked on, if the photo is ready. */
    public Optional<PhotoCrop> crop() {
        return photo().filter(this::isReady).map(ready -> crop(ready, format()));
    }

    /** Whether nothing can be changed because another window works on this shoot. */
    public boolean isReadOnly() {
        return folder.isReadOnly();
    }

    /** Makes the next state of the shoot the present one, as one step that can be undone. A read-only shoot stays. */
    public void edit(Edit.Kind kind, UnaryOperator<Shoot> change) {
        edit(kind, format.get(), change);
    }

    /** As {@link #edit(Edit.Kind, UnaryOperator)}, in a format that need not be the one worked in any more. */
    public void edit(Edit.Kind kind, String where, UnaryOperator<Shoot> change) {
        if (isReadOnly()) {
            refused.run();
        } else {
            turns.now(() -> make(Changed.by(kind, where, shoot.get(), change)));
        }
    }

    /**
     * As {@link #edit}, for a change that goes over many photos: it is worked out in the background, and what is done meanwhile
     * waits for it.
     */
    public void editMany(Edit.Kind kind, String where, UnaryOperator<Shoot> change) {
        if (isReadOnly()) {
            refused.run();
        } else {
            turns.take(
                    () -> {
                        Shoot before = shoot.get();
                        return () -> Changed.by(kind, where, before, change);
                    },
                    this::make);
        }
    }

    private void make(Changed changed) {
        if (!changed.edit().isIdentity()) {
            drafted = Set.of();
            history.set(history.get().with(changed.edit()));
            take(changed);
        } else {
            dropDraft();
        }
    }

    /** A gesture came to nothing: what was recorded of it must not come back after a crash. */
    public void dropDraft() {
        if (!drafted.isEmpty()) {
            List<Photo> present = drafted.stream().map(shoot.get()::photo).toList();
            drafted = Set.of();
            autosave.record(present, Optional.empty());
        }
    }

    /**
     * Records what a gesture that goes on would give if it ended now, so that a crash takes no more than a moment of it. The
     * shoot stays as it is until the gesture's end makes an edit of it.
     */
    public void recordDraft(UnaryOperator<Shoot> change) {
        if (!isReadOnly()) {
            Edit draft = Edit.between(Edit.Kind.SLIDE, Optional.empty(), shoot.get(), change.apply(shoot.get()));
            if (!draft.isIdentity()) {
                drafted = draft.after().stream().map(Photo::file).collect(Collectors.toSet());
                autosave.record(draft.after(), draft.formatsAfter());
            }
        }
    }

    /** Takes the last step back, and goes to what it changed. */
    public void undo() {
        turns.now(() -> history.get().undoable().ifPresent(edit -> {
            history.set(history.get().undone());
            again(edit.inverse(), edit);
        }));
    }

    /** Does again what was undone last, and goes to what it changed. */
    public void redo() {
        turns.now(() -> history.get().redoable().ifPresent(edit -> {
            history.set(history.get().redone());
            again(edit, edit);
        }));
    }

    /** What was worked out once goes back or forth in the background too where it goes over many photos. */
    private void again(Edit edit, Edit seen) {
        turns.takeNext(
                edit.after().size() > MANY,
                () -> {
                    Shoot before = shoot.get();
                    return () -> new Changed(edit, edit.applyTo(before));
                },
                changed -> {
                    take(changed);
                    goToChange(seen);
                });
    }

    /** Orders the photos another way. The order is how the shoot is looked at, so it is saved but not undone. */
    public void reorder(Shoot.Order order) {
        if (isReadOnly()) {
            refused.run();
        } else if (order != shoot.get().order()) {
            turns.take(
                    () -> {
                        Shoot before = shoot.get();
                        ShootReading read = reading.get();
                        return () -> read.appliedTo(before.withOrder(order));
                    },
                    ordered -> {
                        shoot.set(ordered);
                        saveAsItIs();
                    });
        }
    }

    private void saveAsItIs() {
        Shoot now = shoot.get();
        autosave.save(Edit.between(Edit.Kind.MARK, Optional.empty(), now, now), now);
    }

    private void take(Changed changed) {
        leaveMissingFormat(changed.shoot());
        shoot.set(changed.shoot());
        autosave.save(changed.edit(), changed.shoot());
    }

    /** Views always find the format worked in: one that goes is left before it does. */
    private void leaveMissingFormat(Shoot next) {
        List<String> ids = next.formats().stream().map(Format::id).toList();
        if (!ids.contains(format.get())) {
            shoot.get().formats().stream()
                    .map(Format::id)
                    .filter(ids::contains)
                    .findFirst()
                    .ifPresent(format::set);
        }
    }

    private void goToChange(Edit edit) {
        edit.where()
                .filter(id -> shoot.get().formats().stream()
                        .anyMatch(known -> known.id().equals(id)))
                .ifPresent(format::set);
        edit.after().stream().findFirst().ifPresent(changed -> goTo(Optional.of(changed.file())));
    }

    /** Ends the work: done when everything is saved. */
    public CompletableFuture<Void> close() {
        turns.settle();
        counting.forget();
        watch.stop();
        readers.forEach(FactsReader::stop);
        pictures.close();
        return autosave.close();
    }
}
