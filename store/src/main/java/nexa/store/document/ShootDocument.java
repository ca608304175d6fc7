package nexa.store.document;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.MissingNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import nexa.core.format.Format;
import nexa.core.series.Formats;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.files.RegularFile;
import nexa.store.json.StrictJson;
import nexa.store.json.ValidationError;

/**
 * A shoot as it was read from its document, with the fields this version does not know.
 *
 * @param shoot the shoot
 * @param tree the document as read; a missing node for a shoot that has none yet
 * @param stand which of the shoot's states it is
 */
public record ShootDocument(Shoot shoot, JsonNode tree, Stand stand) {
    /** The document's name. */
    public static final String NAME = "nexa-shoot.json";

    /** Far more than the largest shoots need, and little enough to be read in a moment. */
    private static final int LARGEST = 128 * 1024 * 1024;

    private static final StrictJson.Bounds BOUNDS =
            new StrictJson.Bounds(Map.of("photos", 50_000, "formats", Formats.MOST), 6_000_000);

    public static ShootDocument of(Shoot shoot) {
        return new ShootDocument(shoot, MissingNode.getInstance(), Stand.FIRST);
    }

    /** @throws ShootProblem if the document cannot be read or does not fit */
    public static ShootDocument read(Path file, String folderName) throws ShootProblem {
        byte[] contents =
                find(file).orElseThrow(() -> ShootProblem.unreadable(file, new NoSuchFileException(file.toString())));
        return read(file, contents, folderName);
    }

    /**
     * What lies there, looked at once: another window may write a first document, or take one away, at any moment.
     *
     * @return the file's bytes; empty if there is no such file
     * @throws ShootProblem if it is no regular file, too large, or cannot be read
     */
    public static Optional<byte[]> find(Path file) throws ShootProblem {
        try {
            return Optional.of(RegularFile.read(file, LARGEST));
        } catch (RegularFile.Refused e) {
            throw ShootProblem.inDocument(file, e.told());
        } catch (IOException e) {
            // A link that leads nowhere is there all the same.
            if (Files.isSymbolicLink(file) || !(e instanceof NoSuchFileException)) {
                throw ShootProblem.unreadable(file, e);
            }
            return Optional.empty();
        }
    }

    /** As {@link #read(Path, String)}, of contents that have been read from the file. */
    public static ShootDocument read(Path file, byte[] contents, String folderName) throws ShootProblem {
        try {
            return of(StrictJson.read(contents, BOUNDS), folderName);
        } catch (StrictJson.Unusable | ValidationError e) {
            throw ShootProblem.inDocument(file, e.told());
        }
    }

    /** The document that a tree says, whether it was read or made by laying edits over one. */
    public static ShootDocument of(JsonNode tree, String folderName) throws ValidationError {
        DocumentCodec.Said said = DocumentCodec.read(tree, folderName);
        return new ShootDocument(said.shoot(), tree, said.stand());
    }

    /** The same document with another state of the shoot. */
    public ShootDocument with(Shoot newShoot) {
        return new ShootDocument(newShoot, tree, stand);
    }

    public ShootDocument with(Stand newStand) {
        return new ShootDocument(shoot, tree, newStand);
    }

    /** The tree it is written as. */
    public ObjectNode written() {
        return DocumentCodec.write(shoot, stand, tree);
    }

    /** Writes into a line of the journal how photos are, and formats if they are given. */
    public void writeChange(List<Photo> photos, Optional<List<Format>> formats, ObjectNode line) {
        DocumentCodec.writeChange(tree, photos, formats, line);
    }

    public byte[] bytes() {
        return StrictJson.bytes(written());
    }
}
