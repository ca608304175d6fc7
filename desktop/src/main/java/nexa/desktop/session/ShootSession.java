package nexa.desktop.session;

import java.nio.file.Path;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import nexa.core.format.Format;
import nexa.core.series.CropTable;
import nexa.core.series.PhotoCrop;
import nexa.core.series.Renamed;
import nexa.core.series.StepFromLead;
import nexa.core.series.SureLevels;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Subject;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.facts.ShootReading;
import nexa.imaging.pictures.PictureLibrary;
import nexa.imaging.pictures.PixelMemory;
import nexa.imaging.work.WorkQueue;
import nexa.store.shoot.ShootFolder;

/**
 * A shoot being worked on. It holds the present state, which views observe and never copy; what the photographer does
 * comes in as the next state and becomes one {@link Edit}, which is saved at once in the background.
 */
public final class ShootSession {
    private static final long PICTURE_BYTES = 400L * 1024 * 1024;

    private final ShootFolder folder;
    private final PhotoFolder photoFolder;
    private final PresentShoot shoot;
    private final PictureLibrary pictures;
    private final Selection selection;
    private final ShootEdits edits;
    private final PhotoReading reading;
    private final FolderChanges changes;
    private final Finding finding;
    private final Lenses lenses;
    private final Textures textures;
    private final PixelLooks looks;
    private final AskedLevels levels;

    /**
     * Begins to work on an opened folder: its photos are read in the background from now on.
     *
     * @param background works out what goes over all photos
     */
    public ShootSession(ShootFolder folder, Autosave.Listener saving, Background background) {
        this.folder = folder;
        this.photoFolder = new PhotoFolder(folder.path());
        this.shoot = new PresentShoot(folder.shoot(), background);
        this.selection = new Selection(folder.shoot());
        int threads = Math.max(2, Runtime.getRuntime().availableProcessors());
        WorkQueue queue = WorkQueue.withThreads("pictures", threads, PixelMemory.AT_ONCE);
        this.pictures = new PictureLibrary(photoFolder, queue, Platform::runLater, PICTURE_BYTES);
        this.edits = new ShootEdits(folder, shoot, selection, new Autosave(folder, saving));
        this.reading = new PhotoReading(photoFolder, shoot, pictures, this::readAll);
        this.changes = new FolderChanges(folder.path(), shoot, reading, selection, edits);
        this.finding = new Finding(folder, photoFolder);
        this.lenses = new Lenses(reading::now, folder.ownLenses(), background.workers());
        this.textures = new Textures(photoFolder, shoot, pictures, reading::isReady);
        this.looks = new PixelLooks(photoFolder, reading);
        this.levels = new AskedLevels(this, this::workOut);
        shoot.property().addListener((observed, before, now) -> changed(now));
        reading.property().addListener((observed, before, now) -> workOut());
        selection.formatProperty().addListener((observed, before, now) -> workOut());
        workOut();
        reading.read(folder.shoot().photos());
    }

    private void changed(Shoot now) {
        Set<String> missing = reading.missing();
        selection.leaveNames(missing.isEmpty() ? Set.of() : Renamed.leftNames(now, missing));
        workOut();
    }

    private void workOut() {
        levels.look(shoot.get());
        shoot.workOut(now());
    }

    /** Identities are saved once they are read, without an edit: a photo may be renamed before the next one. */
    private void readAll(boolean identifies) {
        changes.seekRenamed();
        if (identifies && !isReadOnly() && !folder.isKeptApart()) {
            edits.save();
        }
    }

    /** Looks, as soon as there is time, for what only the pixels of photos tell that may go in some formats. */
    public void lookAtPixels(Collection<Photo> photos, List<Format> formats) {
        looks.look(photos, formats);
    }

    /** How many photos there still are to be looked at so. */
    public ReadOnlyIntegerProperty looksLeftProperty() {
        return looks.leftProperty();
    }

    /** The shoot as it stands, for what is worked out over all of it in the background. */
    public ShootNow now() {
        return new ShootNow(shoot.get(), photos(), reading.now(), format(), levels.now());
    }

    /** What is worked out over all of it; a little behind what was done last, since that happens in the background. */
    public ReadOnlyObjectProperty<WorkedOut> workedOutProperty() {
        return shoot.workedOutProperty();
    }

    /** Works out what else there is. */
    public Background background() {
        return shoot.background();
    }

    public ReadOnlyObjectProperty<Shoot> shootProperty() {
        return shoot.property();
    }

    public Shoot shoot() {
        return shoot.get();
    }

    public PictureLibrary pictures() {
        return pictures;
    }

    /** The folder of the photos. */
    public Path path() {
        return folder.path();
    }

    /** The folder of the photos, with what has been read of them. */
    PhotoFolder photoFolder() {
        return photoFolder;
    }

    /** The folders in that of the photos, which may hold photos of their own. */
    public List<Path> foldersBelow() {
        return folder.below();
    }

    /** Whether nothing can be changed because another window works on this shoot. */
    public boolean isReadOnly() {
        return folder.isReadOnly();
    }

    /** What has been read of the photos so far. */
    public ReadOnlyObjectProperty<ShootReading> readingProperty() {
        return reading.property();
    }

    /** Takes in what was read of photos elsewhere. */
    public void learn(ShootReading read) {
        reading.learn(read);
    }

    /** Reads photos again, since what kept them from being read may have passed, or their files have changed. */
    public void readAgain(Set<String> files) {
        reading.readAgain(files);
    }

    /** Whether a photo's size is known and it can be worked on. */
    public boolean isReady(Photo asked) {
        return reading.isReady(asked);
    }

    /** Whether a photo was found unreadable, or nothing is left of it. */
    public boolean hasProblem(Photo asked) {
        return reading.hasProblem(asked);
    }

    /** Why a photo cannot be worked on. */
    public Optional<PhotoProblem> problem(Photo asked) {
        return reading.now().problem(asked, folder.shoot());
    }

    /** What happens in the folder meanwhile. */
    public FolderChanges changes() {
        return changes;
    }

    /** Finds things in its photos. */
    public Finding finding() {
        return finding;
    }

    /** The lenses that took its photos. */
    public Lenses lenses() {
        return lenses;
    }

    /** The file of the photo worked on. */
    public ObjectProperty<Optional<String>> photoProperty() {
        return selection.photoProperty();
    }

    /** The photo worked on. */
    public Optional<Photo> photo() {
        return photoProperty().get().flatMap(file -> shoot.get().find(file));
    }

    /** Works on a photo from now on. */
    public void goTo(Optional<String> file) {
        photoProperty().set(file);
    }

    /** Goes to the photo some places further on, or stays at the end. Photos that cannot be read are passed over. */
    public void step(int places) {
        selection.step(shoot.get(), places, photo -> !hasProblem(photo));
    }

    /** Works on a photo that nobody has gone to: the first there is to see. */
    public void beginAt(String file) {
        selection.beginAt(file);
    }

    /** Whether another photo has been gone to since the shoot was opened. */
    public boolean hasMoved() {
        return selection.hasMoved();
    }

    /** The id of the format worked in. */
    public ObjectProperty<String> formatProperty() {
        return selection.formatProperty();
    }

    /** The format worked in. */
    public Format format() {
        return shoot.get().format(formatProperty().get());
    }

    /** The id of the format with a number, from 1, if there is one. */
    public Optional<String> formatNumbered(int number) {
        Stream<String> from = shoot.get().formats().stream().map(Format::id).skip(Math.max(0, number - 1));
        return from.findFirst().filter(id -> number > 0);
    }

    /** The files of the photos that the next action on the sheet is for. */
    public ObjectProperty<Set<String>> chosenProperty() {
        return selection.chosenProperty();
    }

    /** Shows only these photos of the shoot; the others stay in it, as they are. */
    public void showOnly(Set<String> files) {
        selection.showOnly(files);
    }

    /** The photos that were opened alone, if not the whole shoot. */
    public Optional<Set<String>> only() {
        return selection.only();
    }

    /** The photos that are shown, in the shoot's order. */
    public List<Photo> photos() {
        return selection.photos(shoot.get());
    }

    /** The crop of a photo that is {@linkplain #isReady ready}, in a format. */
    public PhotoCrop crop(Photo asked, Format in) {
        return shoot.crops().of(asked, in);
    }

    /** The crop worked on, if the photo is ready. */
    public Optional<PhotoCrop> crop() {
        return photo().filter(this::isReady).map(ready -> crop(ready, format()));
    }

    /** What is known by now of how its photos lie level; looked for once a format asks for it. */
    public SureLevels levels() {
        return levels.now();
    }

    /** How near a photo's crop is to its lead's, if it listens to one. */
    public Optional<StepFromLead> step(Photo asked, Format in) {
        return isReady(asked) ? StepFromLead.of(shoot.crops(), asked, in) : Optional.empty();
    }

    /**
     * The crop of a photo that is {@linkplain #isReady ready}, with how near it is to its lead.
     *
     * @param seen subjects that were found, by file, to measure by where nothing is marked
     */
    public CropTable.Row row(Photo asked, Format in, Map<String, Subject> seen) {
        return CropTable.Row.of(shoot.crops(), asked, in, seen, levels.now());
    }

    /** What was done so far, to be undone. */
    public ShootEdits edits() {
        return edits;
    }

    /** Makes the next state of the shoot the present one, as one step that can be undone. A read-only shoot stays. */
    public void edit(Edit.Kind kind, UnaryOperator<Shoot> change) {
        edit(kind, formatProperty().get(), change);
    }

    /** As {@link #edit(Edit.Kind, UnaryOperator)}, in a format that need not be the one worked in any more. */
    public void edit(Edit.Kind kind, String where, UnaryOperator<Shoot> change) {
        edits.edit(kind, where, change);
    }

    /**
     * As {@link #edit(Edit.Kind, String, UnaryOperator)}, worked out in the background where there are many photos that may
     * have to go along.
     *
     * @param then happens once it is the present state
     */
    public void editSoon(Edit.Kind kind, String where, UnaryOperator<Shoot> change, Runnable then) {
        edits.editSoon(kind, where, change, then);
    }

    /** Waits until all that was done is the present state. */
    public void settle() {
        shoot.turns().settle();
    }

    /**
     * As {@link #edit}, for a change that goes over many photos: it is worked out in the background, and what is done meanwhile
     * waits for it.
     */
    public void editMany(Edit.Kind kind, String where, UnaryOperator<Shoot> change) {
        edits.editMany(kind, where, change);
    }

    /** Orders the photos another way. The order is how the shoot is looked at, so it is saved but not undone. */
    public void reorder(Shoot.Order order) {
        if (order != shoot.get().order()) {
            edits.change(() -> {
                ShootReading read = reading.now();
                return now -> read.appliedTo(now.withOrder(order));
            });
        }
    }

    /** Ends the work: done when everything is saved. */
    public CompletableFuture<Void> close() {
        shoot.settleForGood();
        textures.stop();
        changes.stop();
        reading.stop();
        looks.stop();
        levels.stop();
        pictures.close();
        finding.close();
        return edits.close();
    }
}
