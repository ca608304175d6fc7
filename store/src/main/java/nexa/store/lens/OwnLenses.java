package nexa.store.lens;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import nexa.core.lens.OwnProfile;
import nexa.core.message.Message;
import nexa.core.message.Telling;
import nexa.files.Digest;
import nexa.files.TemporaryFile;
import nexa.store.document.ShootProblem;
import nexa.store.user.UserData;

/**
 * The profiles of one's own, in the user's data folder: a file a camera and lens, in the open lens data's XML. Other files of that
 * kind that are put there are read too.
 *
 * @param folder may not exist yet
 */
public record OwnLenses(Path folder) {
    public static OwnLenses of(UserData userData) {
        return new OwnLenses(userData.lenses());
    }

    /** All of them, but for files that cannot be read. Not for the JavaFX thread. */
    public ReadLenses read() {
        return LensData.read(folder);
    }

    /**
     * Keeps a profile, in place of the one of the same camera and lens. Not for the JavaFX thread.
     *
     * @throws ShootProblem if it cannot be written
     */
    public void keep(OwnProfile profile) throws ShootProblem {
        String key = profile.camera().model() + "\n" + profile.lens().model();
        String name = Digest.of(key.getBytes(StandardCharsets.UTF_8)).substring(0, 24);
        Path file = folder.resolve(name + ".xml");
        try {
            Files.createDirectories(folder);
            TemporaryFile.replace(file, LensXmlWriter.bytes(profile));
        } catch (IOException e) {
            throw new ShootProblem(Message.of("lens.cannotKeep", file, Telling.of(e)), e);
        }
    }
}
