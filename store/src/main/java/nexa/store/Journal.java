package nexa.store;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;

/**
 * What was done since the document was saved last, a line an edit. A line holds the photos an edit changed, as they are
 * after it, and the formats if it changed them, all written as in the document; so a line can be laid over a document
 * twice without harm. A last line that a crash cut off is no edit and is passed over.
 */
final class Journal {
    private static final ObjectMapper JSON = new ObjectMapper();

    private final Path file;

    Journal(Path file) {
        this.file = file;
    }

    /** Adds an edit and forces it to disk. */
    void append(Edit edit, DocumentWriter writer) throws IOException {
        ObjectNode line = JSON.createObjectNode();
        ArrayNode photos = line.putArray("photos");
        for (Photo photo : edit.after()) {
            photos.add(writer.photo(photo));
        }
        edit.formatsAfter().ifPresent(formats -> line.set("formats", writer.formats(formats)));
        byte[] bytes = (JSON.writeValueAsString(line) + "\n").getBytes(StandardCharsets.UTF_8);
        try (FileChannel channel = FileChannel.open(
                file, StandardOpenOption.CREATE, StandardOpenOption.WRITE, StandardOpenOption.APPEND)) {
            ByteBuffer rest = ByteBuffer.wrap(bytes);
            while (rest.hasRemaining()) {
                channel.write(rest);
            }
            channel.force(false);
        }
    }

    /** Forgets everything: the document holds it now. */
    void clear() throws IOException {
        Files.deleteIfExists(file);
    }

    boolean isEmpty() {
        return !Files.exists(file);
    }

    /** Lays the edits over a document, in place. */
    void replay(ObjectNode document) throws IOException {
        for (JsonNode line : lines()) {
            if (line.has("formats")) {
                document.set("formats", line.get("formats"));
            }
            line.path("photos").forEach(photo -> put(document.withArray("photos"), photo));
        }
    }

    private List<JsonNode> lines() throws IOException {
        List<JsonNode> lines = new ArrayList<>();
        if (isEmpty()) {
            return lines;
        }
        String text = new String(Files.readAllBytes(file), StandardCharsets.UTF_8);
        for (String line : text.split("\n")) {
            try {
                lines.add(JSON.readTree(line));
            } catch (JsonProcessingException e) {
                break;
            }
        }
        return lines;
    }

    private static void put(ArrayNode photos, JsonNode photo) {
        for (int i = 0; i < photos.size(); i++) {
            if (photos.get(i).path("file").equals(photo.path("file"))) {
                photos.set(i, photo);
                return;
            }
        }
        photos.add(photo);
    }
}
