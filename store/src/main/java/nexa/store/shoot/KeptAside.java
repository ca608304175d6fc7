package nexa.store.shoot;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.files.Disk;
import nexa.store.document.ShootDocument;
import nexa.store.document.ShootProblem;
import nexa.store.json.ValidationError;

/** A document that is not the shoot's any more, kept under a name of its own so that nothing in it is lost. */
record KeptAside(Path file, ShootDocument document) {
    /** How the names of such documents begin, and end. */
    static final List<String> DOCUMENT = List.of("nexa-shoot kept aside ", ".json");

    /** How the names of such journals begin, and end. */
    static final List<String> JOURNAL = List.of("nexa-shoot journal kept aside ", ".txt");

    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("yyyy-MM-dd HHmmss");

    /** A name that nothing in a folder has. */
    static Path freeName(Path folder, List<String> kind) {
        String name = kind.get(0) + TIME.format(LocalDateTime.now(ZoneId.systemDefault()));
        Path free = folder.resolve(name + kind.get(1));
        for (int i = 2; Files.exists(free, LinkOption.NOFOLLOW_LINKS); i++) {
            free = folder.resolve(name + " " + i + kind.get(1));
        }
        return free;
    }

    /** Those in a folder that can be read. */
    static List<KeptAside> in(Path folder, String folderName) throws IOException {
        List<KeptAside> found = new ArrayList<>();
        if (!Files.isDirectory(folder)) {
            return found;
        }
        try (DirectoryStream<Path> files = Files.newDirectoryStream(folder, DOCUMENT.get(0) + "*" + DOCUMENT.get(1))) {
            for (Path file : files) {
                read(file, folderName).ifPresent(found::add);
            }
        }
        return found;
    }

    /** One that cannot be read is left as it is. */
    static Optional<KeptAside> read(Path file, String folderName) {
        try {
            return Optional.of(new KeptAside(file, ShootDocument.read(file, folderName)));
        } catch (ShootProblem e) {
            return Optional.empty();
        }
    }

    /** Takes lines in, if all of them continue what this document continues. */
    boolean takes(List<Journal.Line> lines, String folderName, Disk disk) {
        String continues = document.stand().continues();
        if (!lines.stream()
                .allMatch(line -> line.continues().filter(continues::equals).isPresent())) {
            return false;
        }
        List<Journal.Line> newer = lines.stream()
                .filter(line -> line.edit() > document.stand().edit())
                .toList();
        try {
            ObjectNode tree = document.written();
            Journal.replay(newer, tree);
            disk.replace(file, ShootDocument.of(tree, folderName).bytes());
            return true;
        } catch (IOException | ValidationError e) {
            return false;
        }
    }
}
