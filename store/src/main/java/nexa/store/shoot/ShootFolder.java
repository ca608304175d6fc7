package nexa.store.shoot;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import nexa.core.format.Format;
import nexa.core.message.Message;
import nexa.core.series.RawPairs;
import nexa.core.series.Renamed;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.files.Disk;
import nexa.store.document.ShootProblem;
import nexa.store.lens.OwnLenses;
import nexa.store.user.KeptFindings;
import nexa.store.user.UserData;

/**
 * A folder of photos and the shoot document kept with it. Where the folder cannot be written, the document is kept in the
 * user's data folder, under a name made from the folder's real path; {@link Opening} tells which of two counts.
 *
 * <p>Nothing is lost on the way: every edit is {@linkplain #record recorded} in a journal before the document is saved,
 * and the journal is replayed at the next opening. Only one window writes; another one opens the shoot read-only. A
 * document that something else has changed meanwhile is never overwritten: the shoot is then kept aside.
 *
 * <p>Recording and saving are meant for one thread.
 */
public final class ShootFolder implements AutoCloseable {
    private static final int TRIES = 3;

    private final Path folder;
    private final TwoPlaces places;
    private final Disk disk;
    private final List<Journal> journals;
    private final List<Message> notices = new ArrayList<>();
    private final Set<String> missing = new HashSet<>();
    private ShootSaving saving;
    private List<Path> below = List.of();
    /** What was found at opening and belongs to another document than the present one. */
    private Optional<Shoot> setAside = Optional.empty();

    private ShootFolder(Path folder, UserData userData, Disk disk) {
        this.folder = folder;
        this.places = new TwoPlaces(folder, userData);
        this.disk = disk;
        this.journals = places.journals(disk);
    }

    /**
     * Opens a folder to work in: reads its document and journal, if there are any, and adds the photos that are not in
     * it yet.
     *
     * @throws ShootProblem if there is no such folder, or its document does not fit
     */
    public static ShootFolder open(Path folder, UserData userData) throws ShootProblem {
        return open(folder, userData, new Disk());
    }

    static ShootFolder open(Path folder, UserData userData, Disk disk) throws ShootProblem {
        ShootFolder opened = at(folder, userData, disk);
        opened.places.takeLock();
        opened.readOrLetGo();
        return opened;
    }

    /**
     * Opens a folder for looking only: takes no lock and writes nothing.
     *
     * @throws ShootProblem as {@link #open} does
     */
    public static ShootFolder look(Path folder, UserData userData) throws ShootProblem {
        ShootFolder opened = at(folder, userData, new Disk());
        opened.readOrLetGo();
        return opened;
    }

    private static ShootFolder at(Path folder, UserData userData, Disk disk) throws ShootProblem {
        if (!Files.isDirectory(folder)) {
            throw new ShootProblem(Message.of(Files.exists(folder) ? "shoot.notAFolder" : "shoot.notThere", folder));
        }
        try {
            return new ShootFolder(folder.toRealPath(), userData, disk);
        } catch (IOException e) {
            throw ShootProblem.unreadable(folder, e);
        }
    }

    private void readOrLetGo() throws ShootProblem {
        try {
            read();
        } catch (IOException e) {
            close();
            throw ShootProblem.unreadable(folder, e);
        } catch (ShootProblem e) {
            close();
            throw e;
        }
    }

    private void read() throws IOException, ShootProblem {
        List<String> files = PhotoFiles.in(folder);
        below = PhotoFiles.foldersIn(folder);
        Opening opening = opening();
        saving = new ShootSaving(places, disk, journals, opening.opened());
        if (isReadOnly()) {
            notices.addAll(opening.notices());
            notices.addAll(opening.leftovers().outlook());
        } else {
            saving.makeOrder(opening.isScattered(), opening.leftovers()).ifPresent(notices::add);
            setAside = opening.leftovers().setAside();
            notices.addAll(opening.notices());
            notices.addAll(opening.leftovers().notices());
        }
        saving.set(withPhotos(saving.shoot(), files));
    }

    /** Another window may be saving just now: then what was read does not belong together, and is read again. */
    private Opening opening() throws IOException, ShootProblem {
        String name = folder.getFileName() == null
                ? folder.toString()
                : folder.getFileName().toString();
        Opening opening = Opening.of(places, journals, name);
        for (int i = 1; i < TRIES && !opening.opened().besideDigest().equals(places.digestBeside()); i++) {
            opening = Opening.of(places, journals, name);
        }
        return opening;
    }

    private Shoot withPhotos(Shoot shoot, List<String> files) {
        Set<String> there = new HashSet<>(files);
        for (Photo photo : shoot.photos()) {
            if (!there.contains(photo.file()) && !PhotoFiles.isThere(folder, photo.file())) {
                missing.add(photo.file());
            }
        }
        Set<String> left = Renamed.leftNames(shoot, missing);
        List<Photo> photos = shoot.photos().stream()
                .filter(photo -> !left.contains(photo.file()))
                .toList();
        return RawPairs.withFiles(shoot.withPhotos(photos), files);
    }

    /** The folder's real path. */
    public Path path() {
        return folder;
    }

    /** What was found in its photos before; read from the disk, so not for the JavaFX thread. */
    public KeptFindings findings() {
        return KeptFindings.of(folder, places.userData());
    }

    /** The user's own lens profiles. */
    public OwnLenses ownLenses() {
        return OwnLenses.of(places.userData());
    }

    /** The shoot as it was opened or saved last. */
    public Shoot shoot() {
        return saving.shoot();
    }

    /** Whether nothing can be changed here, because another window works on this shoot or it was opened for looking. */
    public boolean isReadOnly() {
        return places.isReadOnly();
    }

    /**
     * Sees to it that something can be changed here.
     *
     * @throws ShootProblem if nothing can be
     */
    public void requireWritable() throws ShootProblem {
        places.requireWritable();
    }

    /** Whether what was done last is kept away from the photos because their folder cannot be written. */
    public boolean isKeptApart() {
        return places.isKeptApart();
    }

    /** The folders in this one when it was opened. They may hold photos of their own, which are not of this shoot. */
    public List<Path> below() {
        return below;
    }

    /** The photos of the shoot whose files were not there when it was opened. */
    public Set<String> missing() {
        return Set.copyOf(missing);
    }

    /** A state of this shoot that was done here and that the document as it is now knows nothing of. */
    public Optional<Shoot> setAside() {
        return setAside;
    }

    /** What there is to know of how the shoot was found, as whole sentences. */
    public List<Message> notices() {
        return List.copyOf(notices);
    }

    /**
     * Records an edit so that it outlives a crash, before the shoot is saved.
     *
     * @throws ShootProblem if it can be recorded neither beside the photos nor in the user's data folder
     */
    public void record(Edit done) throws ShootProblem {
        record(done.after(), done.formatsAfter());
    }

    /**
     * Records how photos and formats are now; see {@link #record(Edit)}.
     *
     * @param formats empty if they are as they were
     */
    public void record(List<Photo> photos, Optional<List<Format>> formats) throws ShootProblem {
        places.requireWritable();
        saving.record(photos, formats);
    }

    /**
     * Saves the shoot: beside the photos, else in the user's data folder.
     *
     * @throws ShootProblem if it can be saved in neither, or if the document was changed by something else; the shoot is
     *     then saved beside it, and the message says where
     */
    public void save(Shoot shoot) throws ShootProblem {
        places.requireWritable();
        saving.save(shoot);
    }

    /** Lets another window write from now on. */
    @Override
    public void close() {
        places.close();
    }
}
