package nexa.store.shoot;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import nexa.store.user.UserData;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;

/** A folder with photos, and a user. */
abstract class ShootFolderFixture {
    @TempDir
    Path temporary;

    Path folder;
    UserData userData;

    @BeforeEach
    void makeFolder() throws IOException {
        folder = Files.createDirectory(temporary.resolve("spring firing"));
        userData = new UserData(temporary.resolve("data"));
        for (String name : List.of("b.JPG", "a.jpg", "über \"x\" 🏺.png", "notes.txt", ".hidden.jpg")) {
            Files.createFile(folder.resolve(name));
        }
        Files.createDirectory(folder.resolve("below.jpg"));
    }
}
