package nexa.store;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;

/**
 * A folder of photos and the shoot document kept with it. Where the folder cannot be written, the document is kept in
 * the user's data folder, under a name made from the folder's real path; of two documents the newer one counts.
 *
 * <p>Nothing is lost on the way: every edit is {@linkplain #record recorded} in a journal before the document is saved,
 * and the journal is replayed at the next opening. Only one window writes; another one opens the shoot read-only. A
 * document that something else has changed meanwhile is never overwritten: the shoot is then kept beside it.
 *
 * <p>Recording and saving are meant for one thread.
 */
public final class ShootFolder implements AutoCloseable {
    /** The document's name. */
    public static final String DOCUMENT = "nexa-shoot.json";

    private static final String JOURNAL = ".nexa-shoot.journal";
    private static final String LOCK = ".nexa-shoot.lock";
    private static final byte[] NO_DOCUMENT = {};

    private final Path folder;
    private final UserData userData;
    private Optional<ShootLock> lock = Optional.empty();
    private boolean isReadOnly = true;
    private ShootDocument document;
    private List<Path> below = List.of();
    /** Where the document, its journal and its lock are kept. */
    private Path home;

    private Path savedIn;
    /** The document's contents as they were read or saved last, to notice when something else has changed them. */
    private byte[] known = NO_DOCUMENT;

    private ShootFolder(Path folder, UserData userData) {
        this.folder = folder;
        this.userData = userData;
        this.home = folder;
    }

    /**
     * Opens a folder to work in: reads its document and journal, if there are any, and adds the photos that are not in
     * it yet.
     *
     * @throws ShootProblem if there is no such folder, or its document does not fit
     */
    public static ShootFolder open(Path folder, UserData userData) throws ShootProblem {
        ShootFolder opened = at(folder, userData);
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
        ShootFolder opened = at(folder, userData);
        opened.readOrLetGo();
        return opened;
    }

    private static ShootFolder at(Path folder, UserData userData) throws ShootProblem {
        if (!Files.isDirectory(folder)) {
            throw new ShootProblem(
                    Files.exists(folder)
                            ? folder + " is not a folder. Open the folder that the photos are in."
                            : folder + " is not there. It may have been moved, or its drive is not connected.");
        }
        try {
            return new ShootFolder(folder.toRealPath(), userData);
        } catch (IOException e) {
            throw new ShootProblem(folder + " can't be read: " + e.getMessage(), e);
        }
    }

    private void takeLock() throws ShootProblem {
        try {
            lock = ShootLock.take(folder.resolve(LOCK));
        } catch (IOException e) {
            home = apart();
            try {
                lock = ShootLock.take(home.resolve(LOCK));
            } catch (IOException again) {
                again.addSuppressed(e);
                throw cannotSave(e, again);
            }
        }
        isReadOnly = lock.isEmpty();
    }

    private void readOrLetGo() throws ShootProblem {
        try {
            read();
        } catch (IOException e) {
            close();
            throw new ShootProblem(folder + " can't be read: " + e.getMessage(), e);
        } catch (ShootProblem e) {
            close();
            throw e;
        }
    }

    private void read() throws IOException, ShootProblem {
        List<String> files = PhotoFiles.in(folder);
        below = PhotoFiles.foldersIn(folder);
        Path beside = folder.resolve(DOCUMENT);
        Path apart = apart().resolve(DOCUMENT);
        savedIn = modified(apart).compareTo(modified(beside)) > 0 ? apart : beside;
        String name = folder.getFileName() == null
                ? folder.toString()
                : folder.getFileName().toString();
        Journal journal = journal();
        if (Files.exists(savedIn)) {
            known = Files.readAllBytes(savedIn);
            document = ShootDocument.read(savedIn, name, Optional.of(journal));
        } else {
            document = ShootDocument.of(Shoot.of(name, Shoot.Order.TIME, StandardFormats.list(), List.of()));
            if (!journal.isEmpty()) {
                document = document.with(journal, name);
            }
        }
        document = document.with(withPhotos(document.shoot(), files));
    }

    private Journal journal() {
        return new Journal(home.resolve(JOURNAL));
    }

    private static FileTime modified(Path file) throws IOException {
        return Files.exists(file) ? Files.getLastModifiedTime(file) : FileTime.fromMillis(Long.MIN_VALUE);
    }

    private static Shoot withPhotos(Shoot shoot, List<String> files) {
        Map<String, Photo> photos = new LinkedHashMap<>();
        shoot.photos().forEach(photo -> photos.put(photo.file(), photo));
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

    /** Whether the document is kept away from the photos because their folder cannot be written. */
    public boolean isKeptApart() {
        return !home.equals(folder);
    }

    /** The folders in this one when it was opened. They may hold photos of their own, which are not of this shoot. */
    public List<Path> below() {
        return below;
    }

    /**
     * Records an edit so that it outlives a crash, before the shoot is saved.
     *
     * @throws ShootProblem if it can be recorded neither beside the photos nor in the user's data folder
     */
    public void record(Edit edit) throws ShootProblem {
        requireWritable();
        try {
            journal().append(edit, document.writer());
        } catch (IOException e) {
            moveApart(e);
            try {
                Files.createDirectories(home);
                journal().append(edit, document.writer());
            } catch (IOException again) {
                throw cannotSave(e, again);
            }
        }
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
        byte[] bytes = document.bytes();
        if (Files.exists(savedIn) && !Arrays.equals(known, contents(savedIn))) {
            keepAside(bytes);
        }
        boolean isAside = !savedIn.getFileName().toString().equals(DOCUMENT);
        try {
            write(isAside ? savedIn : home.resolve(DOCUMENT), bytes);
        } catch (IOException e) {
            moveApart(e);
            try {
                Files.createDirectories(home);
                write(home.resolve(DOCUMENT), bytes);
            } catch (IOException again) {
                throw cannotSave(e, again);
            }
        }
    }

    private void write(Path file, byte[] bytes) throws IOException {
        AtomicFile.write(file, bytes);
        savedIn = file;
        known = bytes;
        journal().clear();
    }

    private void keepAside(byte[] bytes) throws ShootProblem {
        String time = DateTimeFormatter.ofPattern("yyyy-MM-dd HHmmss").format(LocalDateTime.now());
        Path aside = home.resolve("nexa-shoot kept aside " + time + ".json");
        Path changed = savedIn;
        try {
            write(aside, bytes);
        } catch (IOException e) {
            throw cannotSave(e, e);
        }
        throw new ShootProblem(
                changed + " was changed by something else and is left as it is. What you do here is kept in " + aside
                        + " from now on. Open the shoot again to go on with the changed one.");
    }

    private static byte[] contents(Path file) throws ShootProblem {
        try {
            return Files.readAllBytes(file);
        } catch (IOException e) {
            throw new ShootProblem(file + " can't be read: " + e.getMessage(), e);
        }
    }

    private void moveApart(IOException reason) throws ShootProblem {
        if (isKeptApart()) {
            throw cannotSave(reason, reason);
        }
        home = apart();
    }

    private void requireWritable() throws ShootProblem {
        if (isReadOnly) {
            throw new ShootProblem(folder + " is open in another window. Here it can be looked at, but not changed.");
        }
    }

    private ShootProblem cannotSave(IOException beside, IOException apart) {
        return new ShootProblem(
                "The shoot can't be saved in " + folder + " (" + beside.getMessage() + ") nor in " + userData.folder()
                        + " (" + apart.getMessage() + "). What you did is still here as long as this window is open.",
                apart);
    }

    private Path apart() {
        try {
            byte[] key = MessageDigest.getInstance("SHA-256")
                    .digest(folder.toString().getBytes(StandardCharsets.UTF_8));
            return userData.shoots().resolve(HexFormat.of().formatHex(key, 0, 12));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    /** Lets another window write from now on. */
    @Override
    public void close() {
        isReadOnly = true;
        lock.ifPresent(ShootLock::close);
    }
}
