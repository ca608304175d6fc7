package nexa.store;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.core.json.JsonReadFeature;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.ObjectWriter;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.MissingNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import nexa.core.shoot.Shoot;

/**
 * A shoot as it was read from its document, with the fields this version does not know.
 *
 * @param shoot the shoot
 * @param tree the document as read; a missing node for a shoot that has none yet
 */
record ShootDocument(Shoot shoot, JsonNode tree) {
    private static final ObjectMapper JSON = JsonMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .disable(JsonReadFeature.ALLOW_NON_NUMERIC_NUMBERS)
            .enable(SerializationFeature.INDENT_OUTPUT)
            .build();
    private static final ObjectWriter WRITER = JSON.writerWithDefaultPrettyPrinter();
    private static final long LARGEST = 256L * 1024 * 1024;

    static ShootDocument of(Shoot shoot) {
        return new ShootDocument(shoot, MissingNode.getInstance());
    }

    /** @throws ShootProblem if the document cannot be read or does not fit */
    static ShootDocument read(Path file, String folderName) throws ShootProblem {
        return read(file, folderName, Optional.empty());
    }

    /**
     * As {@link #read(Path, String)}, with what a journal has laid over it.
     *
     * @param journal what was done since the document was saved
     */
    static ShootDocument read(Path file, String folderName, Optional<Journal> journal) throws ShootProblem {
        try {
            if (Files.size(file) > LARGEST) {
                throw ShootProblem.inDocument(file, "it is larger than any shoot document");
            }
            String text = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(Files.readAllBytes(file)))
                    .toString();
            JsonNode tree = JSON.readTree(text);
            if (journal.isPresent() && tree instanceof ObjectNode document) {
                journal.get().replay(document);
            }
            return new ShootDocument(new DocumentReader(folderName).read(tree), tree);
        } catch (JsonProcessingException e) {
            String where = e.getLocation() == null
                    ? ""
                    : " (line " + e.getLocation().getLineNr() + ", column "
                            + e.getLocation().getColumnNr() + ")";
            throw ShootProblem.inDocument(file, "it is not whole, or not JSON" + where);
        } catch (CharacterCodingException e) {
            throw ShootProblem.inDocument(file, "it is not UTF-8");
        } catch (IOException e) {
            throw new ShootProblem(file + " can't be read: " + e.getMessage(), e);
        } catch (Place.Misfit e) {
            throw ShootProblem.inDocument(file, e.getMessage());
        }
    }

    /** The same document with another state of the shoot. */
    ShootDocument with(Shoot newShoot) {
        return new ShootDocument(newShoot, tree);
    }

    /** What was done since, laid over a shoot that has no document yet. */
    ShootDocument with(Journal journal, String folderName) throws IOException, ShootProblem {
        ObjectNode fresh = writer().write(shoot);
        journal.replay(fresh);
        try {
            return new ShootDocument(new DocumentReader(folderName).read(fresh), fresh);
        } catch (Place.Misfit e) {
            throw new ShootProblem("What was done to the shoot can't be read again: " + e.getMessage(), e);
        }
    }

    DocumentWriter writer() {
        return new DocumentWriter(tree);
    }

    byte[] bytes() {
        try {
            return (WRITER.writeValueAsString(writer().write(shoot)) + "\n").getBytes(StandardCharsets.UTF_8);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("a shoot could not be written as JSON", e);
        }
    }
}
