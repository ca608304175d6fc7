package nexa.store;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import nexa.core.format.Format;
import nexa.core.message.Message;
import nexa.core.message.Telling;
import nexa.core.series.Renamed;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;

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
    /** The document's name. */
    public static final String DOCUMENT = "nexa-shoot.json";

    private static final String LOCK = ".nexa-shoot.lock";
    private static final int TRIES = 3;

    private final Path folder;
    private final UserData userData;
    private final Disk disk;
    private final List<Journal> journals;
    private final List<Message> notices = new ArrayList<>();
    private final Set<String> missing = new HashSet<>();
    private Optional<ShootLock> lock = Optional.empty();
    /** Whether the lock beside the photos is held, so that there is nobody else to write there. */
    private boolean writesBeside;

    private boolean isReadOnly = true;
    private boolean isKeptApart;
    private ShootDocument document;
    private List<Path> below = List.of();
    private long edit;
    /** What lies beside the photos, as it was read or saved last, to notice when something else has changed it. */
    private String besideDigest = Digest.NOTHING;
    /** The document beside the photos that what is done now continues: that one, or the last one there was. */
    private String lineage = Digest.NOTHING;
    /** Whether the document kept apart, if there is one, is a state of this shoot's that may be replaced. */
    private boolean ownsApart;
    /** What was found at opening, as long as it could not be put in order. */
    private Optional<Opening> unordered = Optional.empty();
    /** What was found at opening and belongs to another document than the present one. */
    private Optional<Shoot> setAside = Optional.empty();
    /** Where the shoot is kept once its document was changed by something else. */
    private Optional<Path> aside = Optional.empty();

    private ShootFolder(Path folder, UserData userData, Disk disk) {
        this.folder = folder;
        this.userData = userData;
        this.disk = disk;
        this.journals = List.of(
                new Journal(folder.resolve(Journal.NAME), disk), new Journal(apart().resolve(Journal.NAME), disk));
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
        opened.takeLock();
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

    private void takeLock() throws ShootProblem {
        try {
            lock = ShootLock.take(folder.resolve(LOCK));
            writesBeside = lock.isPresent();
        } catch (IOException e) {
            try {
                lock = ShootLock.take(Files.createDirectories(apart()).resolve(LOCK));
            } catch (IOException again) {
                again.addSuppressed(e);
                throw cannotSave(e, again);
            }
        }
        isReadOnly = lock.isEmpty();
        isKeptApart = !isReadOnly && !writesBeside;
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
        document = opening.present();
        besideDigest = opening.besideDigest();
        lineage = opening.lineage();
        ownsApart = opening.isApart();
        edit = document.stand().edit();
        if (isReadOnly) {
            notices.addAll(opening.outlook());
        } else {
            makeOrder(opening);
            setAside = opening.setAside();
            notices.addAll(opening.notices());
        }
        document = document.with(withPhotos(document.shoot(), files));
    }

    /** Another window may be saving just now: then what was read does not belong together, and is read again. */
    private Opening opening() throws IOException, ShootProblem {
        String name = folder.getFileName() == null
                ? folder.toString()
                : folder.getFileName().toString();
        Opening opening = Opening.of(folder.resolve(DOCUMENT), apart().resolve(DOCUMENT), journals, name);
        for (int i = 1; i < TRIES && !opening.besideDigest().equals(digestBeside()); i++) {
            opening = Opening.of(folder.resolve(DOCUMENT), apart().resolve(DOCUMENT), journals, name);
        }
        return opening;
    }

    private void makeOrder(Opening opening) {
        try {
            if (opening.isScattered()) {
                writeDocument();
            }
            opening.tidy(disk);
        } catch (IOException | ShootProblem e) {
            // Nothing is lost by that: it all lies where it was and is found again.
            notices.add(Telling.of(e));
            unordered = Optional.of(opening);
        }
    }

    private Shoot withPhotos(Shoot shoot, List<String> files) {
        Set<String> there = new HashSet<>(files);
        Map<String, Photo> photos = new LinkedHashMap<>();
        for (Photo photo : shoot.photos()) {
            photos.put(photo.file(), photo);
            if (!there.contains(photo.file()) && !PhotoFiles.isThere(folder, photo.file())) {
                missing.add(photo.file());
            }
        }
        photos.keySet().removeAll(Renamed.leftNames(shoot, missing));
        files.forEach(file -> photos.computeIfAbsent(file, Photo::untouched));
        return shoot.withPhotos(new ArrayList<>(photos.values()));
    }

    /** The folder's real path. */
    public Path path() {
        return folder;
    }

    /** The shoot as it was opened or saved last. */
    public Shoot shoot() {
        return document.shoot();
    }

    /** Whether nothing can be changed here, because another window works on this shoot or it was opened for looking. */
    public boolean isReadOnly() {
        return isReadOnly;
    }

    /** Whether what was done last is kept away from the photos because their folder cannot be written. */
    public boolean isKeptApart() {
        return isKeptApart;
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
        requireWritable();
        long number = edit + 1;
        write(isBeside -> journals.get(isBeside ? 0 : 1).append(number, lineage, photos, formats, document.writer()));
        edit = number;
    }

    /**
     * Saves the shoot: beside the photos, else in the user's data folder.
     *
     * @throws ShootProblem if it can be saved in neither, or if the document was changed by something else; the shoot is
     *     then saved beside it, and the message says where
     */
    public void save(Shoot shoot) throws ShootProblem {
        requireWritable();
        document = document.with(shoot);
        if (aside.isPresent()) {
            saveAside(aside.get());
        } else if (isChangedOutside()) {
            keepAside();
        } else {
            saveDocument();
        }
    }

    private void saveDocument() throws ShootProblem {
        writeDocument();
        try {
            if (!isKeptApart && ownsApart) {
                Files.deleteIfExists(apart().resolve(DOCUMENT));
            }
            if (unordered.isPresent()) {
                unordered.get().tidy(disk);
                unordered = Optional.empty();
            }
            clearJournals();
        } catch (IOException e) {
            // What is left is contained in what was saved: its number tells so when the shoot is opened.
        }
    }

    private void writeDocument() throws ShootProblem {
        byte[] bytes = stated().bytes();
        write(isBeside -> {
            Path file = home(isBeside).resolve(DOCUMENT);
            if (!isBeside && !ownsApart && Files.exists(file)) {
                Files.move(file, KeptAside.freeName(file.getParent(), KeptAside.DOCUMENT));
            }
            disk.replace(file, bytes);
        });
        if (isKeptApart) {
            ownsApart = true;
        } else {
            besideDigest = Digest.of(bytes);
            lineage = besideDigest;
        }
    }

    private ShootDocument stated() {
        return document.with(new ShootDocument.Stand(edit, lineage));
    }

    /** A document that is gone, with its drive perhaps, is not a changed one. */
    private boolean isChangedOutside() throws ShootProblem {
        return Files.exists(folder.resolve(DOCUMENT), LinkOption.NOFOLLOW_LINKS)
                && !besideDigest.equals(digestBeside());
    }

    private void clearJournals() throws IOException {
        for (Journal journal : journals) {
            journal.clear();
        }
    }

    private void keepAside() throws ShootProblem {
        List<Path> made = new ArrayList<>();
        write(isBeside -> {
            Path file = KeptAside.freeName(home(isBeside), KeptAside.DOCUMENT);
            disk.replace(file, stated().bytes());
            made.add(file);
        });
        aside = Optional.of(made.get(0));
        saveAside(made.get(0));
        throw new ShootProblem(Message.of("shoot.changedOutside", folder.resolve(DOCUMENT), made.get(0)));
    }

    private void saveAside(Path file) throws ShootProblem {
        try {
            disk.replace(file, stated().bytes());
            clearJournals();
        } catch (IOException e) {
            throw cannotSave(e, e);
        }
    }

    /** Something written in one of the two places. */
    private interface Writing {
        void to(boolean isBeside) throws IOException;
    }

    /** Beside the photos whenever that can be done, else apart. */
    private void write(Writing writing) throws ShootProblem {
        IOException reason;
        try {
            requireLockBeside();
            writing.to(true);
            isKeptApart = false;
            return;
        } catch (IOException e) {
            reason = e;
        }
        try {
            Files.createDirectories(apart());
            writing.to(false);
            isKeptApart = true;
        } catch (IOException again) {
            throw cannotSave(reason, again);
        }
    }

    /** A folder that could not be written may have become one that can. */
    private void requireLockBeside() throws IOException {
        if (!writesBeside) {
            Optional<ShootLock> now = ShootLock.take(folder.resolve(LOCK));
            if (now.isEmpty()) {
                throw new PlainFile.Refused("shoot.lockedElsewhere");
            }
            lock.ifPresent(ShootLock::close);
            lock = now;
            writesBeside = true;
        }
    }

    private Path home(boolean isBeside) {
        return isBeside ? folder : apart();
    }

    private String digestBeside() throws ShootProblem {
        Path file = folder.resolve(DOCUMENT);
        return Files.exists(file, LinkOption.NOFOLLOW_LINKS) ? Digest.of(ShootDocument.bytes(file)) : Digest.NOTHING;
    }

    private void requireWritable() throws ShootProblem {
        if (isReadOnly) {
            throw new ShootProblem(Message.of("shoot.openElsewhere", folder));
        }
    }

    private ShootProblem cannotSave(IOException beside, IOException apart) {
        return new ShootProblem(
                Message.of("shoot.cannotSave", folder, Telling.of(beside), userData.folder(), Telling.of(apart)),
                apart);
    }

    private Path apart() {
        String key = Digest.of(folder.toString().getBytes(StandardCharsets.UTF_8));
        return userData.shoots().resolve(key.substring(0, 24));
    }

    /** Lets another window write from now on. */
    @Override
    public void close() {
        isReadOnly = true;
        lock.ifPresent(ShootLock::close);
    }
}
