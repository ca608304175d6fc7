package nexa.store.user;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.Properties;
import nexa.files.RegularFile;

/**
 * What the photographer prefers, as names and values; no part of any shoot. Read once, written in the background. A file
 * that cannot be read counts as empty.
 */
public final class Preferences implements AutoCloseable {
    private static final int LARGEST = 1024 * 1024;

    private final Properties values = new Properties();
    private final BackgroundWriter writer;

    private Preferences(UserData userData) {
        this.writer = new BackgroundWriter(userData.preferences());
    }

    /** Reads the preferences of a user. */
    public static Preferences load(UserData userData) {
        Preferences preferences = new Preferences(userData);
        try {
            byte[] bytes = RegularFile.read(userData.preferences(), LARGEST);
            preferences.values.load(new StringReader(new String(bytes, StandardCharsets.UTF_8)));
        } catch (IOException | IllegalArgumentException e) {
            preferences.values.clear();
        }
        return preferences;
    }

    public Optional<String> get(String name) {
        return Optional.ofNullable(values.getProperty(name));
    }

    /** Sets a value, for this run and the next ones. */
    public void set(String name, String value) {
        if (!value.equals(values.setProperty(name, value))) {
            StringWriter text = new StringWriter();
            try {
                values.store(text, null);
            } catch (IOException e) {
                throw new UncheckedIOException("text in memory can always be written", e);
            }
            writer.write(text.toString().getBytes(StandardCharsets.UTF_8));
        }
    }

    /** Waits until all is written. */
    @Override
    public void close() {
        writer.close();
    }
}
