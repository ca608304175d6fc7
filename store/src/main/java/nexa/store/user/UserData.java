package nexa.store.user;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import nexa.files.TemporaryFile;

/**
 * The user's data folder: what Nexa keeps for the photographer outside any shoot.
 *
 * @param folder may not exist yet
 */
public record UserData(Path folder) {
    /** The system property that puts the folder elsewhere. */
    public static final String PROPERTY = "nexa.data";

    /** Where the system keeps such data. */
    public static UserData ofThisUser() {
        String set = System.getProperty(PROPERTY);
        if (set != null) {
            return new UserData(Path.of(set));
        }
        String data = System.getenv("XDG_DATA_HOME");
        Path base = data != null && !data.isBlank()
                ? Path.of(data)
                : Path.of(System.getProperty("user.home"), ".local", "share");
        return new UserData(base.resolve("nexa"));
    }

    /** Where the sample shoot's copy lives. */
    public Path sample() {
        return folder.resolve("sample").resolve("Fernhill Pottery");
    }

    /**
     * A file that ships with the program, where whatever reads it needs a path. Written unless it is there just so.
     *
     * @param name without folders
     * @throws IOException if it cannot be written
     */
    public Path programFile(String name, byte[] contents) throws IOException {
        Path file = folder.resolve("program").resolve(name);
        if (!Files.isRegularFile(file) || !Arrays.equals(Files.readAllBytes(file), contents)) {
            Files.createDirectories(file.getParent());
            TemporaryFile.replace(file, contents);
        }
        return file;
    }

    /** Where shoots are kept whose folders cannot be written. */
    public Path shoots() {
        return folder.resolve("shoots");
    }

    /** What was found in photos. */
    Path found() {
        return folder.resolve("found");
    }

    /** Profiles of lenses that the photographer made. */
    public Path lenses() {
        return folder.resolve("lenses");
    }

    /** What was asked for, kept for other shoots. */
    Path briefs() {
        return folder.resolve("briefs");
    }

    Path preferences() {
        return folder.resolve("preferences.properties");
    }

    Path keptFormats() {
        return folder.resolve("formats.json");
    }

    Path recent() {
        return folder.resolve("recent.json");
    }
}
