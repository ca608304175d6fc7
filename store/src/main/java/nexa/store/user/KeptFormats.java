package nexa.store.user;

import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import nexa.core.format.Format;
import nexa.core.series.Formats;
import nexa.core.shoot.Shoot;
import nexa.store.document.ShootDocument;
import nexa.store.document.ShootProblem;

/**
 * The formats the photographer keeps for other shoots, by name. The file is a shoot document without photos. One that
 * cannot be read counts as empty and is replaced only when a format is kept.
 */
public final class KeptFormats implements AutoCloseable {
    private final List<Format> formats = new ArrayList<>();
    private final BackgroundWriter writer;

    private KeptFormats(UserData userData) {
        this.writer = new BackgroundWriter(userData.keptFormats());
    }

    /** Reads the kept formats of a user. */
    public static KeptFormats load(UserData userData) {
        KeptFormats kept = new KeptFormats(userData);
        if (Files.exists(userData.keptFormats())) {
            try {
                kept.formats.addAll(
                        ShootDocument.read(userData.keptFormats(), "").shoot().formats());
            } catch (ShootProblem e) {
                kept.formats.clear();
            }
        }
        return kept;
    }

    public List<Format> list() {
        return List.copyOf(formats);
    }

    public Optional<Format> find(String name) {
        return formats.stream().filter(format -> format.name().equals(name)).findFirst();
    }

    /** Keeps a format, without its leads, in place of one of the same name. */
    public void keep(Format format) {
        formats.removeIf(kept -> kept.name().equals(format.name()));
        String id = Formats.freeId(asShoot(), format.name());
        formats.add(format.withLeads(Map.of()).withId(id));
        write();
    }

    /** Forgets a format. */
    public void forget(String name) {
        formats.removeIf(kept -> kept.name().equals(name));
        write();
    }

    private void write() {
        writer.write(ShootDocument.of(asShoot()).bytes());
    }

    private Shoot asShoot() {
        return Shoot.of("", Shoot.Order.NAME, formats, List.of());
    }

    /** Waits until all is written. */
    @Override
    public void close() {
        writer.close();
    }
}
