package nexa.store.document;

import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
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
import java.nio.CharBuffer;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.CoderResult;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import nexa.core.format.Format;
import nexa.core.message.Message;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.files.RegularFile;
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

    private static final ObjectMapper JSON = JsonMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .disable(JsonReadFeature.ALLOW_NON_NUMERIC_NUMBERS)
            .enable(SerializationFeature.INDENT_OUTPUT)
            .build();
    private static final ObjectWriter WRITER = JSON.writerWithDefaultPrettyPrinter();

    /** Far more than the largest shoots need, and little enough to be read in a moment. */
    private static final int LARGEST = 128 * 1024 * 1024;

    private static final int MOST_PHOTOS = 50_000;
    private static final int MOST_FORMATS = 500;
    private static final int MOST_VALUES = 6_000_000;

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
            String text = text(file, contents);
            checkCounts(file, text);
            JsonNode tree = JSON.readTree(text);
            return of(tree, folderName);
        } catch (JsonProcessingException e) {
            JsonLocation where = e.getLocation();
            throw ShootProblem.inDocument(
                    file,
                    where == null
                            ? Message.of("document.notJson")
                            : Message.of("document.notJsonAt", where.getLineNr(), where.getColumnNr()));
        } catch (IOException e) {
            throw ShootProblem.unreadable(file, e);
        } catch (ValidationError e) {
            throw ShootProblem.inDocument(file, e.told());
        }
    }

    private static String text(Path file, byte[] contents) throws ShootProblem {
        CharsetDecoder decoder = StandardCharsets.UTF_8.newDecoder();
        ByteBuffer in = ByteBuffer.wrap(contents);
        CharBuffer out = CharBuffer.allocate(contents.length);
        CoderResult result = decoder.decode(in, out, true);
        if (result.isError()) {
            throw ShootProblem.inDocument(file, Message.of("document.notUtf8", in.position()));
        }
        return out.flip().toString();
    }

    /** Counts before anything is built of it: a small file can hold more than memory does. */
    private static void checkCounts(Path file, String text) throws IOException, ShootProblem {
        try (JsonParser parser = JSON.createParser(text)) {
            int values = 0;
            int depth = 0;
            int inList = 0;
            String list = "";
            for (JsonToken token = parser.nextToken(); token != null; token = parser.nextToken()) {
                if (depth == 1 && token == JsonToken.FIELD_NAME) {
                    list = parser.currentName();
                    inList = 0;
                }
                inList += depth == 2 && token.isStructStart() ? 1 : 0;
                depth += token.isStructStart() ? 1 : token.isStructEnd() ? -1 : 0;
                boolean isTooMany = (list.equals("photos") && inList > MOST_PHOTOS)
                        || (list.equals("formats") && inList > MOST_FORMATS)
                        || ++values > MOST_VALUES;
                if (isTooMany) {
                    throw ShootProblem.inDocument(
                            file,
                            Message.of(
                                    "document.tooMany",
                                    inList > 0 ? list : Message.of("misfit.document"),
                                    MOST_PHOTOS,
                                    MOST_FORMATS));
                }
            }
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
        try {
            return (WRITER.writeValueAsString(written()) + "\n").getBytes(StandardCharsets.UTF_8);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("a shoot could not be written as JSON", e);
        }
    }
}
