package nexa.store.shoot;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import nexa.core.message.Message;
import nexa.core.message.Telling;
import nexa.files.Digest;
import nexa.files.Disk;
import nexa.files.LockFile;
import nexa.files.RegularFile;
import nexa.store.document.ShootDocument;
import nexa.store.document.ShootProblem;
import nexa.store.user.UserData;

/**
 * The two places a shoot can be kept in: beside its photos, or apart, in the user's data folder under a name made from the
 * folder's real path. Beside whenever that can be done; only one window writes.
 */
final class TwoPlaces implements AutoCloseable {
    private static final String LOCK = ".nexa-shoot.lock";

    private final Path folder;
    private final UserData userData;
    private Optional<LockFile> lock = Optional.empty();
    /** Whether the lock beside the photos is held, so that there is nobody else to write there. */
    private boolean writesBeside;

    private boolean isReadOnly = true;
    private boolean isKeptApart;

    /** @param folder the real path of the photos' folder */
    TwoPlaces(Path folder, UserData userData) {
        this.folder = folder;
        this.userData = userData;
    }

    Path beside() {
        return folder;
    }

    Path apart() {
        String key = Digest.of(folder.toString().getBytes(StandardCharsets.UTF_8));
        return userData.shoots().resolve(key.substring(0, 24));
    }

    /** Where the document lies in either place. */
    Path document(boolean isBeside) {
        return home(isBeside).resolve(ShootDocument.NAME);
    }

    /** The journals of both places, that beside the photos first. */
    List<Journal> journals(Disk disk) {
        return List.of(
                new Journal(beside().resolve(Journal.NAME), disk), new Journal(apart().resolve(Journal.NAME), disk));
    }

    /** The digest of the document beside the photos as it is now. */
    String digestBeside() throws ShootProblem {
        return ShootDocument.find(document(true)).map(Digest::of).orElse(Digest.NOTHING);
    }

    Path home(boolean isBeside) {
        return isBeside ? beside() : apart();
    }

    UserData userData() {
        return userData;
    }

    /** Whether nothing can be written, because another window does or no lock was taken. */
    boolean isReadOnly() {
        return isReadOnly;
    }

    /** Whether what was written last is apart. */
    boolean isKeptApart() {
        return isKeptApart;
    }

    void takeLock() throws ShootProblem {
        try {
            lock = LockFile.take(folder.resolve(LOCK));
            writesBeside = lock.isPresent();
        } catch (IOException e) {
            try {
                lock = LockFile.take(Files.createDirectories(apart()).resolve(LOCK));
            } catch (IOException again) {
                again.addSuppressed(e);
                throw cannotSave(e, again);
            }
        }
        isReadOnly = lock.isEmpty();
        isKeptApart = !isReadOnly && !writesBeside;
    }

    /** Something written in one of the two places. */
    interface Writing {
        void to(boolean isBeside) throws IOException;
    }

    /** Beside the photos whenever that can be done, else apart. */
    void write(Writing writing) throws ShootProblem {
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
            Optional<LockFile> now = LockFile.take(folder.resolve(LOCK));
            if (now.isEmpty()) {
                throw new RegularFile.Refused("shoot.lockedElsewhere");
            }
            lock.ifPresent(LockFile::close);
            lock = now;
            writesBeside = true;
        }
    }

    void requireWritable() throws ShootProblem {
        if (isReadOnly) {
            throw new ShootProblem(Message.of("shoot.openElsewhere", folder));
        }
    }

    ShootProblem cannotSave(IOException beside, IOException apart) {
        return new ShootProblem(
                Message.of("shoot.cannotSave", folder, Telling.of(beside), userData.folder(), Telling.of(apart)),
                apart);
    }

    /** Lets another window write from now on. */
    @Override
    public void close() {
        isReadOnly = true;
        lock.ifPresent(LockFile::close);
    }
}
