package nexa.store.json;

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
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.CoderResult;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import nexa.core.message.Message;
import nexa.core.message.Telling;

/**
 * Files of JSON in UTF-8, of which nobody knows who wrote them: nothing stands in them twice, nothing after their end, and no more
 * than they may hold.
 */
public final class StrictJson {
    private static final ObjectMapper JSON = JsonMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .disable(JsonReadFeature.ALLOW_NON_NUMERIC_NUMBERS)
            .enable(SerializationFeature.INDENT_OUTPUT)
            .build();
    private static final ObjectWriter WRITER = JSON.writerWithDefaultPrettyPrinter();

    /** Why a file is none that can be used. */
    public static final class Unusable extends Exception implements Telling {
        private static final long serialVersionUID = 1L;

        private final transient Message told;

        Unusable(Message told) {
            super(told.toString());
            this.told = told;
        }

        @Override
        public Message told() {
            return told;
        }
    }

    /**
     * How much a file may hold: a small one can hold more than memory does.
     *
     * @param entries of the lists in the outermost object, by their names
     * @param values in all
     */
    public record Bounds(Map<String, Integer> entries, int values) {}

    private StrictJson() {}

    /** @throws Unusable if the contents are no such file */
    public static JsonNode read(byte[] contents, Bounds bounds) throws Unusable {
        try {
            String text = text(contents);
            checkCounts(text, bounds);
            return JSON.readTree(text);
        } catch (JsonProcessingException e) {
            JsonLocation where = e.getLocation();
            throw new Unusable(
                    where == null
                            ? Message.of("document.notJson")
                            : Message.of("document.notJsonAt", where.getLineNr(), where.getColumnNr()));
        } catch (IOException e) {
            throw new IllegalStateException("what is in memory could not be read", e);
        }
    }

    /** As a file of its own is written, to be read by people too. */
    public static byte[] bytes(JsonNode tree) {
        try {
            return (WRITER.writeValueAsString(tree) + "\n").getBytes(StandardCharsets.UTF_8);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("a tree could not be written as JSON", e);
        }
    }

    private static String text(byte[] contents) throws Unusable {
        CharsetDecoder decoder = StandardCharsets.UTF_8.newDecoder();
        ByteBuffer in = ByteBuffer.wrap(contents);
        CharBuffer out = CharBuffer.allocate(contents.length);
        CoderResult result = decoder.decode(in, out, true);
        if (result.isError()) {
            throw new Unusable(Message.of("document.notUtf8", in.position()));
        }
        return out.flip().toString();
    }

    /** Counts before anything is built of it. */
    private static void checkCounts(String text, Bounds bounds) throws IOException, Unusable {
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
                int most = bounds.entries().getOrDefault(list, Integer.MAX_VALUE);
                if (inList > most) {
                    throw new Unusable(Message.of("document.tooManyIn", list, most));
                }
                if (++values > bounds.values()) {
                    throw new Unusable(Message.of("document.tooMany", bounds.values()));
                }
            }
        }
    }
}
