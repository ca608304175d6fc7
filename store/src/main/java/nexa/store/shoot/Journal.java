package nexa.store.shoot;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import nexa.core.format.Format;
import nexa.core.shoot.Photo;
import nexa.files.Disk;
import nexa.files.RegularFile;
import nexa.store.document.DocumentCodec;
import nexa.store.document.ShootDocument;
import nexa.store.document.Stand;
import nexa.store.json.ValidationError;

/**
 * What was done since the document was saved last, a line an edit. A line holds the photos an edit changed, as they are
 * after it, and the formats if it changed them, all written as in the document; so a line can be laid over a document
 * twice without harm. It also says which edit it is and which document beside the photos it continues.
 */
final class Journal {
    /** The journal's name. */
    static final String NAME = ".nexa-shoot.journal";

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final int LARGEST = 256 * 1024 * 1024;

    private final Path file;
    private final Disk disk;

    Journal(Path file, Disk disk) {
        this.file = file;
        this.disk = disk;
    }

    /**
     * One edit.
     *
     * @param edit its number; 0 in a line of an earlier version, which had none
     * @param continues the digest of the document beside the photos when it was made; empty in such a line
     */
    record Line(JsonNode node, long edit, Optional<String> continues) {
        static Line of(JsonNode node) {
            return new Line(
                    node,
                    node.path(DocumentCodec.EDIT).asLong(0),
                    Optional.ofNullable(node.get(DocumentCodec.CONTINUES)).map(JsonNode::asText));
        }
    }

    /**
     * What a journal holds.
     *
     * @param broken how many lines could not be read, without a last one that a crash cut off
     */
    record Contents(List<Line> lines, int broken) {}

    Path file() {
        return file;
    }

    /** Adds an edit and forces it to disk. */
    void append(Stand stand, List<Photo> photos, Optional<List<Format>> formats, ShootDocument document)
            throws IOException {
        ObjectNode line = JSON.createObjectNode();
        line.put(DocumentCodec.EDIT, stand.edit());
        line.put(DocumentCodec.CONTINUES, stand.continues());
        document.writeChange(photos, formats, line);
        disk.appendLine(file, JSON.writeValueAsString(line));
    }

    /** Forgets everything: a document holds it now. */
    void clear() throws IOException {
        if (Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS)) {
            Files.delete(file);
        }
    }

    boolean isEmpty() {
        return !Files.exists(file, LinkOption.NOFOLLOW_LINKS);
    }

    /**
     * Reads it. A line that is no edit is passed over and counted; the others stand for themselves.
     *
     * @throws RegularFile.Refused if it is no regular file or too large
     */
    Contents read() throws IOException {
        List<Line> lines = new ArrayList<>();
        int broken = 0;
        String text;
        try {
            text = new String(RegularFile.read(file, LARGEST), StandardCharsets.UTF_8);
        } catch (NoSuchFileException e) {
            return new Contents(lines, broken);
        }
        String[] parts = text.split("\n", -1);
        for (int i = 0; i < parts.length; i++) {
            Optional<Line> line = line(parts[i]);
            line.ifPresent(lines::add);
            boolean isCutOff = i == parts.length - 1;
            if (line.isEmpty() && !parts[i].isBlank() && !isCutOff) {
                broken++;
            }
        }
        return new Contents(lines, broken);
    }

    private static Optional<Line> line(String text) {
        try {
            JsonNode node = JSON.readTree(text);
            DocumentCodec.checkChange(node);
            return Optional.of(Line.of(node));
        } catch (IOException | ValidationError e) {
            return Optional.empty();
        }
    }

    /** Lays edits over a document that has been read without complaint, in place. */
    static void replay(List<Line> lines, ObjectNode document) {
        ArrayNode photos = document.withArray("photos");
        Map<String, Integer> places = new HashMap<>();
        for (int i = 0; i < photos.size(); i++) {
            places.put(photos.get(i).path("file").asText(), i);
        }
        for (Line line : lines) {
            if (line.node().has("formats")) {
                document.set("formats", line.node().get("formats"));
            }
            for (JsonNode photo : line.node().path("photos")) {
                Integer place = places.putIfAbsent(photo.path("file").asText(), photos.size());
                if (place == null) {
                    photos.add(photo);
                } else {
                    photos.set(place, photo);
                }
            }
        }
    }
}
