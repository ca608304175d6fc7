package nexa.desktop;

import java.io.IOException;
import java.io.InputStream;
import java.net.URL;
import java.nio.file.Path;
import java.util.Objects;
import javafx.scene.text.Font;
import nexa.store.user.UserData;
import org.kordamp.ikonli.feather.FeatherIkonHandler;

/**
 * The typefaces that ship with the application. JavaFX reads a font from a file; from anything else it makes itself a temporary
 * copy each time, which a program that is killed leaves behind. So each lies in the user's data, once.
 */
final class Typeface {
    private static final double ANY_SIZE = 13;

    private static UserData loadedFrom;

    private Typeface() {}

    /** Makes the typefaces known, for every style sheet from now on; once is enough. On any thread. */
    static synchronized void load(UserData userData) {
        if (userData.equals(loadedFrom)) {
            return;
        }
        loadedFrom = userData;
        load(userData, Typeface.class.getResource("fonts/HankenGrotesk-Regular.ttf"));
        load(userData, Typeface.class.getResource("fonts/HankenGrotesk-SemiBold.ttf"));
        load(userData, new FeatherIkonHandler().getFontResource());
    }

    private static void load(UserData userData, URL font) {
        String path = Objects.requireNonNull(font).getPath();
        String name = path.substring(path.lastIndexOf('/') + 1);
        try (InputStream in = font.openStream()) {
            Path file = userData.programFile(name, in.readAllBytes());
            Font.loadFont(file.toUri().toString(), ANY_SIZE);
        } catch (IOException e) {
            // Nothing can be written there: a temporary copy is better than another typeface.
            Font.loadFont(font.toExternalForm(), ANY_SIZE);
        }
    }
}
