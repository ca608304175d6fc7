package nexa.store.user;

import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import nexa.files.RegularFile;
import nexa.files.TemporaryFile;

/** The folders of the shoots opened lately, the newest first. A list that cannot be read counts as empty. */
public final class RecentShoots {
    private static final int MOST = 8;
    private static final int LARGEST = 1024 * 1024;
    private static final ObjectMapper JSON = new ObjectMapper();

    private final Path file;
    private final Path folder;

    public RecentShoots(UserData userData) {
        this.file = userData.recent();
        this.folder = userData.folder();
    }

    /** Those that are still there. */
    public List<Path> list() {
        return read().stream().map(Path::of).filter(Files::isDirectory).toList();
    }

    /** Puts a folder first. */
    public void add(Path shoot) throws IOException {
        List<String> paths = new ArrayList<>(read());
        paths.remove(shoot.toString());
        paths.add(0, shoot.toString());
        Files.createDirectories(folder);
        byte[] json = JSON.writeValueAsString(paths.subList(0, Math.min(MOST, paths.size())))
                .getBytes(StandardCharsets.UTF_8);
        TemporaryFile.replace(file, json);
    }

    private List<String> read() {
        try {
            return JSON.readValue(RegularFile.read(file, LARGEST), new TypeReference<List<String>>() {});
        } catch (IOException e) {
            return List.of();
        }
    }
}
