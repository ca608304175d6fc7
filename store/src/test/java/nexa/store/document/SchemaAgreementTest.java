package nexa.store.document;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import nexa.core.message.Message;
import nexa.store.json.ValidationError;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What the schema lets through is read, and what is read the schema lets through; nothing that is not known is lost. */
class SchemaAgreementTest {
    private static final int DOCUMENTS = Boolean.getBoolean("nexa.thorough") ? 2_000 : 400;

    /** Every object that a document can have. */
    private static final String FULL = """
            { "nexa": 1, "title": "Fernhill", "order": "name", "pairs": "apart", "edit": 3, "continues": "x",
              "formats": [
                { "id": "page", "name": "Page", "ratio": "4:3", "turn": "photo",
                  "size": { "width": 16, "height": 12, "unit": "cm", "ppi": 300 },
                  "leads": { "wide": "a.jpg", "tall": "b.jpg" },
                  "tolerance": { "tightness": 0.1, "position": 0.02 }, "goes": true, "reaches": true,
                  "asks": { "share": [0.55, 0.7], "place": [0.5, 0.38], "eyes": 0.38, "within": 0.05, "room": 0.04,
                            "level": 0.5, "allPhoto": true, "leastPpi": 240 },
                  "file": { "type": "jpeg", "quality": 88, "sampling": "4:2:0", "depth": 16, "colour": "srgb",
                            "enlarge": false, "pixels": "raw", "folder": "a/b", "name": "{shoot} {photo}" } },
                { "id": "feed", "name": "Feed", "ratio": "free", "goes": "waits",
                  "size": { "longEdge": 1350, "unit": "px" }, "leads": { "wide": "a.jpg" } },
                { "id": "tile", "name": "Tile", "ratio": "photo", "turn": "tall", "goes": false,
                  "size": { "width": 800, "height": 600, "unit": "px" } } ],
              "photos": [
                { "file": "a.jpg", "raw": "a.dng", "pixels": [6000, 4000], "turn": 90, "mirror": true, "mark": "select",
                  "angle": -2.3, "trim": [0.1, 0, 0.05, 0.2], "subject": { "at": [0.41, 0.52], "radius": 0.08,
                    "extent": [-0.1, -0.2, 0.1, 0.2], "eyes": [[-0.02, -0.1], [0.02, -0.1]], "nose": [0, -0.08] },
                  "identity": { "bytes": 123, "digest": "abc" }, "edge": { "stops": -1, "middle": 0.7 },
                  "lens": { "cameraCrop": 1.5, "distortion": 1, "colour": 0.5, "vignetting": 1, "bulge": -3,
                            "profile": { "name": "Birch 24", "cropFactor": 1.5, "aspect": 1.5,
                                         "distortion": { "model": "ptlens", "terms": [0.01, -0.02, 0.003] },
                                         "colour": { "model": "poly3", "terms": [1, 1, 0, 0, 0.001, 0] },
                                         "vignetting": { "terms": [-0.3, 0.1, 0] } } },
                  "perspective": { "tilt": -4.5, "swing": 2, "strength": 80, "stretch": 1.1, "focal35": 28,
                                   "uprights": [[[0.2, 0.1], [0.25, 0.9]], [[0.8, 0.1], [0.75, 0.9]]],
                                   "levels": [[[0.1, 0.1], [0.9, 0.12]]] },
                  "crops": {
                    "page": { "state": "own", "centre": [0.46, 0.5], "size": [0.5, 0.3], "done": true, "turn": "wide",
                              "carry": ["subject"], "accepted": true, "tune": { "dx": 0.1 } },
                    "feed": { "state": "own", "centre": [0.46, 0.5], "size": [0.5, 0.3], "reaches": true,
                              "beyond": { "fill": "colour", "colour": "#f4f1ea", "method": 1,
                                          "protect": { "x": 0.4, "y": 0.5, "r": 0.1 } } } } },
                { "file": "b.jpg", "pixels": [4000, 6000], "subject": null,
                  "lens": { "bulge": 2, "profile": { "distortion": { "model": "poly5", "terms": [0.01, 0.02] },
                                                     "colour": { "model": "linear", "terms": [1, 1] } } },
                  "crops": {
                    "page": { "state": "own", "centre": [0.4, 0.4], "size": [0.5, 0.5] },
                    "feed": { "state": "follow", "turn": "wide", "tune": { "dx": 0.02, "dy": 0.01, "zoom": 1.04 },
                              "carry": ["tightness"], "centre": [0.4, 0.4], "size": [0.5, 0.5], "accepted": true },
                    "tile": { "done": true, "accepted": true } } },
                { "file": "c/d.jpg", "mark": "out", "crops": { "page": { "state": "follow" } } } ] }
            """;

    /** What no schema can say: what several values have to be together, and the names of other things in the document. */
    private static final Set<String> ONLY_READ = Set.of(
            "misfit.usedTwice",
            "misfit.listedTwice",
            "misfit.noPhoto",
            "misfit.leadWithoutCrop",
            "misfit.noLead",
            "reject.sizeOffRatio",
            "reject.leastAboveMost",
            "value.ratio",
            "value.longerSideInPixels",
            "value.trimAcross",
            "value.trimDown",
            "value.tiltAndSwingTogether",
            "value.sizeAtMiddle");

    private static final String[] VALUES = {
        "null",
        "true",
        "0",
        "1",
        "-1",
        "1.5",
        "0.5",
        "90",
        "46",
        "2147483648",
        "1e-9",
        "1e9",
        "60001",
        "\"\"",
        "\" \"",
        "\"own\"",
        "\"follow\"",
        "\"tall\"",
        "\"x\"",
        "\"../x\"",
        "\"a/../b\"",
        "\"..\\\\x\"",
        "\"a//b\"",
        "\"a\\u0000\"",
        "\"waits\"",
        "\"4:0\"",
        "\"0.0:3\"",
        "\"1:101\"",
        "\"1000:9.9\"",
        "\"1:5000\"",
        "\"16:9\"",
        "\"free\"",
        "\"in\"",
        "\"mm\"",
        "\"px\"",
        "\"linear\"",
        "\"poly3\"",
        "\"poly5\"",
        "\"#123\"",
        "\"edge\"",
        "\"{photo}\"",
        "\"{shot}\"",
        "\"a}\"",
        "\"con?\"",
        "[]",
        "[1]",
        "[0.5, 0.5]",
        "[0.5, 2]",
        "[0.7, 0.55]",
        "[0, 5]",
        "[0.5, 0.5, 0.5]",
        "[0, 0, 0, 0]",
        "[1, 1]",
        "[[[0, 0], [1, 1]]]",
        "[\"tightness\"]",
        "[\"size\"]",
        "{}",
        "{ \"x\": 1 }",
        "{ \"state\": \"own\" }"
    };

    private static final String[] NAMES = {
        "state",
        "centre",
        "size",
        "tune",
        "carry",
        "accepted",
        "turn",
        "done",
        "reaches",
        "beyond",
        "lens",
        "trim",
        "angle",
        "longEdge",
        "r",
        "radius",
        "colour",
        "terms",
        "model",
        "ppi",
        "raw",
        "subject",
        "edge",
        "perspective",
        "asks",
        "share",
        "within",
        "room",
        "leastPpi"
    };

    private static final ObjectMapper JSON = new ObjectMapper();

    @TempDir
    Path folder;

    private JsonSchema schema;
    private JsonNode full;

    @BeforeEach
    void readSchema() throws Exception {
        schema = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                .getSchema(Files.readString(Path.of("..", "docs", "nexa-shoot.schema.json")));
        full = JSON.readTree(FULL);
        assertThat(schema.validate(full)).isEmpty();
    }

    private ShootDocument read(JsonNode document) throws Exception {
        return ShootDocument.of(document, "folder");
    }

    @Test
    void anUnknownFieldInEveryObjectIsWrittenAgain() throws Exception {
        JsonNode marked = full.deepCopy();
        int count = 0;
        for (JsonNode object : nodes(marked)) {
            if (object instanceof ObjectNode node && !node.has("page") && !node.has("feed")) {
                node.put("glaze", ++count);
            }
        }
        assertThat(count).isGreaterThan(35);
        assertThat(schema.validate(marked)).isEmpty();
        JsonNode written = JSON.readTree(read(marked).bytes());
        List<Integer> kept = new ArrayList<>();
        for (JsonNode object : nodes(written)) {
            if (object.has("glaze")) {
                kept.add(object.get("glaze").asInt());
            }
        }
        assertThat(kept).doesNotHaveDuplicates().hasSize(count);
        assertThat(written.at("/photos/0/crops/page")).isEqualTo(marked.at("/photos/0/crops/page"));
        assertThat(written.at("/photos/1/crops/tile")).isEqualTo(marked.at("/photos/1/crops/tile"));
        assertThat(JSON.readTree(read(written).bytes())).isEqualTo(written);
    }

    /** Whatever was done before, what is written can be read. */
    @Test
    void whatOnlyFollowersHaveGoesWithFollowingAndNeverMakesADocumentUnreadable() throws Exception {
        JsonNode document = full.deepCopy();
        ((ObjectNode) document.at("/photos/1/crops/feed/tune")).put("glaze", 1);
        ShootDocument read = read(document);
        ShootDocument letGo = read.with(read.shoot()
                .with("a.jpg", photo -> photo.withEntry("tile", photo.entry("page")))
                .with("b.jpg", photo -> photo.withEntry("feed", photo.entry("tile"))));
        JsonNode written = JSON.readTree(letGo.bytes());
        assertThat(read(written).shoot()).isEqualTo(letGo.shoot());
        assertThat(written.at("/photos/1/crops/feed").has("carry")).isFalse();
        assertThat(schema.validate(written)).isEmpty();
    }

    @Test
    void theSchemaAndTheReaderAgree() throws Exception {
        TreeMap<String, Integer> refused = new TreeMap<>();
        for (int seed = 0; seed < DOCUMENTS; seed++) {
            JsonNode document = changed(new Random(seed));
            String text = document.toString();
            boolean isValid = schema.validate(document).isEmpty();
            try {
                ShootDocument shoot = read(document);
                assertThat(isValid || hasOtherCrops(document)).as(text).isTrue();
                JsonNode written = JSON.readTree(new String(shoot.bytes(), StandardCharsets.UTF_8));
                assertThat(schema.validate(written).isEmpty() || !isValid)
                        .as("written %s", text)
                        .isTrue();
            } catch (ValidationError e) {
                boolean isListed = keys(e.told()).stream().anyMatch(ONLY_READ::contains);
                assertThat(!isValid || isListed).as("%s %s", e.told(), text).isTrue();
                refused.merge(isValid ? "listed" : "both", 1, Integer::sum);
            }
        }
        assertThat(refused.get("both")).as("what both refuse").isGreaterThan(DOCUMENTS / 4);
    }

    private static List<String> keys(Message told) {
        List<String> keys = new ArrayList<>(List.of(told.key()));
        told.values().forEach(value -> {
            if (value instanceof Message inside) {
                keys.addAll(keys(inside));
            }
        });
        return keys;
    }

    /** Crops in formats that are not there are kept as they are, whatever they are. */
    private static boolean hasOtherCrops(JsonNode document) {
        List<String> formats = new ArrayList<>();
        document.path("formats").forEach(format -> formats.add(format.path("id").asText()));
        for (JsonNode photo : document.path("photos")) {
            List<String> names = new ArrayList<>();
            photo.path("crops").fieldNames().forEachRemaining(names::add);
            if (!formats.containsAll(names)) {
                return true;
            }
        }
        return false;
    }

    /** All objects and lists of a document. */
    private static List<JsonNode> nodes(JsonNode from) {
        List<JsonNode> nodes = new ArrayList<>();
        if (from.isContainerNode()) {
            nodes.add(from);
            from.forEach(below -> nodes.addAll(nodes(below)));
        }
        return nodes;
    }

    /** The full document with one or two of its values changed, taken out or added. */
    private JsonNode changed(Random random) throws Exception {
        JsonNode document = full.deepCopy();
        for (int i = 0; i <= random.nextInt(2); i++) {
            List<JsonNode> nodes = nodes(document);
            JsonNode at = nodes.get(random.nextInt(nodes.size()));
            JsonNode value = JSON.readTree(VALUES[random.nextInt(VALUES.length)]);
            if (at instanceof ArrayNode list && !list.isEmpty()) {
                list.set(random.nextInt(list.size()), value);
            } else if (at instanceof ObjectNode object) {
                List<String> names = new ArrayList<>();
                object.fieldNames().forEachRemaining(names::add);
                String name = names.isEmpty() || random.nextInt(5) == 0
                        ? NAMES[random.nextInt(NAMES.length)]
                        : names.get(random.nextInt(names.size()));
                if (random.nextInt(6) == 0) {
                    object.remove(name);
                } else {
                    object.set(name, value);
                }
            }
        }
        return document;
    }
}
