package nexa.store.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import nexa.core.geometry.Angle;
import nexa.core.shape.Perspective;
import nexa.core.shape.SceneLines;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.store.Said;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ShootDocumentTest {
    private static final String EXAMPLE = """
            { "nexa": 1,
              "title": "Fernhill Pottery, spring firing",
              "order": "name",
              "weather": "mild",
              "formats": [
                { "id": "page", "name": "Catalogue page", "ratio": "4:3", "turn": "photo",
                  "size": { "width": 16, "height": 12, "unit": "cm", "ppi": 300 },
                  "leads": { "wide": "a.jpg" },
                  "tolerance": { "tightness": 0.1, "position": 0.02 },
                  "file": { "type": "jpeg", "quality": 88, "sampling": "4:2:0", "depth": 16, "colour": "srgb",
                            "enlarge": false, "folder": "catalogue", "name": "{shoot} {photo}", "varnish": true } },
                { "id": "free", "name": "Free", "ratio": "free", "goes": "waits", "reaches": true,
                  "paper": { "grain": "fine" } } ],
              "photos": [
                { "file": "a.jpg", "pixels": [6000, 4000], "turn": 90, "mirror": true, "mark": "select", "angle": -2.3,
                  "subject": { "at": [0.41, 0.52], "radius": 0.08, "by": "hand" }, "stars": 3,
                  "crops": {
                    "page": { "state": "own", "centre": [0.46, 0.5], "size": [0.61, 0.3050], "done": true, "note": "x" },
                    "gone": { "state": "else", "any": 1 } } },
                { "file": "b.jpg", "pixels": [4000, 6000],
                  "perspective": { "tilt": -4.5, "swing": 2.0, "strength": 80.0, "stretch": 1.1, "focal35": 28.0,
                                   "uprights": [[[0.2, 0.1], [0.25, 0.9]], [[0.8, 0.1], [0.75, 0.9]]], "by": "hand" },
                  "crops": {
                    "page": { "state": "follow", "turn": "wide", "tune": { "dx": 0.02, "dy": 0.01, "zoom": 1.04 },
                              "carry": ["tightness"], "centre": [0.4, 0.4], "size": [0.5, 0.5], "accepted": true },
                    "free": { "done": true, "reaches": false,
                              "beyond": { "fill": "colour", "colour": "#f4f1ea", "method": 1, "why": "sky",
                                          "protect": { "x": 0.4, "y": 0.5, "r": 0.1 } } } } } ] }
            """;

    @TempDir
    Path folder;

    @ParameterizedTest
    @ValueSource(strings = {"{ \"nexa\": 1 }", "{ \"nexa\": 1, \"formats\": [] }"})
    void withoutFormatsAShootHasThoseItBeginsWith(String document) throws Exception {
        assertThat(read(document).shoot().formats()).isEqualTo(StandardFormats.list());
    }

    @Test
    void whatIsReadIsWrittenAgainWithAllThatIsNotKnown() throws Exception {
        ShootDocument read = read(EXAMPLE);
        JsonNode written = new ObjectMapper().readTree(read.bytes());
        JsonNode original = new ObjectMapper().readTree(EXAMPLE);
        assertThat(written.get("weather").asText()).isEqualTo("mild");
        assertThat(written.at("/formats/0/file")).isEqualTo(original.at("/formats/0/file"));
        assertThat(written.at("/formats/1/paper/grain").asText()).isEqualTo("fine");
        assertThat(written.at("/formats/0/goes").asBoolean()).isTrue();
        assertThat(written.at("/formats/1/goes").asText()).isEqualTo("waits");
        assertThat(written.get("photos")).isEqualTo(original.get("photos"));

        ShootDocument again = read(new String(read.bytes(), StandardCharsets.UTF_8));
        assertThat(again.shoot()).isEqualTo(read.shoot());
        assertThat(again.bytes()).isEqualTo(read.bytes());
    }

    @Test
    void anEditChangesOnlyItsOwnField() throws Exception {
        ShootDocument read = read(EXAMPLE);
        Shoot turned = read.shoot().with("b.jpg", photo -> photo.withAngle(new Angle(1.25)));
        JsonNode written = new ObjectMapper().readTree(read.with(turned).bytes());
        assertThat(written.at("/photos/1/angle").asDouble()).isEqualTo(1.25);
        assertThat(written.at("/photos/0"))
                .isEqualTo(new ObjectMapper().readTree(EXAMPLE).at("/photos/0"));
    }

    @Test
    void writtenDocumentsFitTheSchema() throws Exception {
        JsonSchema schema = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                .getSchema(Files.readString(Path.of("..", "docs", "nexa-shoot.schema.json")));
        JsonNode example = new ObjectMapper().readTree(EXAMPLE);
        ((ObjectNode) example.at("/photos/0/crops")).remove("gone");
        JsonNode written = new ObjectMapper().readTree(read(example.toString()).bytes());
        assertThat(schema.validate(written)).isEmpty();
        ((ObjectNode) written.at("/photos/0")).put("angle", 46);
        assertThat(schema.validate(written)).isNotEmpty();
    }

    @Test
    void onlyTheRequiredFieldsAreNeeded() throws Exception {
        Shoot shoot = read("{\"nexa\":1,\"formats\":[{\"id\":\"p\",\"name\":\"P\",\"ratio\":\"1:1\"}],"
                        + "\"photos\":[{\"file\":\"über \\\"42\\\" 🏺.jpg\"}]}")
                .shoot();
        assertThat(shoot.photos()).containsExactly(Photo.untouched("über \"42\" 🏺.jpg"));
        assertThat(shoot.title()).isEqualTo("folder");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    "angle": -2.3             | "angle": 45.1              | photos[0].angle
                    "angle": -2.3             | "angle": "2"               | photos[0].angle
                    "angle": -2.3             | "angle": NaN               | not JSON
                    "angle": -2.3             | "angle": 1e999             | photos[0].angle
                    "nexa": 1                 | "nexa": 2                  | version 2
                    "nexa": 1                 | "next": 1                  | lacks "nexa"
                    "nexa": 1                 | "nexa": 1, "nexa": 1       | not JSON
                    "file": "a.jpg"           | "file": "../a.jpg"         | photos[0].file
                    "file": "a.jpg"           | "file": "/etc/passwd"      | photos[0].file
                    "file": "a.jpg"           | "file": "x/../../a.jpg"    | photos[0].file
                    "file": "b.jpg"           | "file": "a.jpg"            | photos[1].file is listed twice
                    "goes": "waits"           | "goes": "maybe"            | formats[1].goes
                    "reaches": false          | "reaches": "no"            | photos[1].crops.free.reaches
                    "colour": "#f4f1ea"       | "colour": "cream"          | cream is no colour
                    "colour": "#f4f1ea"       | "colour": "#f4f1e"         | photos[1].crops.free.beyond.colour
                    "fill": "colour"          | "fill": "magic"            | photos[1].crops.free.beyond.fill
                    "method": 1               | "method": 2                | photos[1].crops.free.beyond.method
                    "r": 0.1                  | "r": -1                    | photos[1].crops.free.beyond.protect
                    "id": "free"              | "id": "page"               | formats[1].id is used twice
                    "dx": 0.02                | "dx": 1e308                | photos[1].crops.page.tune
                    "zoom": 1.04              | "zoom": 1e308              | photos[1].crops.page.tune
                    "size": [0.61, 0.3050]    | "size": [0.61, 1e-300]     | photos[0].crops.page
                    "radius": 0.08            | "radius": 1e-300           | photos[0].subject
                    "nexa": 1                 | "nexa": 1, "edit": -1      | edit must be
                    "nexa": 1                 | "nexa": 1, "edit": 1.5     | edit must be
                    "radius": 0.08            | "radius": 0                | photos[0].subject
                    "radius": 0.08            | "extent": [0.1, -0.1, 0.2, 0.1] | photos[0].subject.extent
                    "radius": 0.08            | "extent": [-0.1, -0.1, 0.2] | photos[0].subject.extent
                    "radius": 0.08            | "extent": [0, 0, 0, 0]     | photos[0].subject.extent
                    "radius": 0.08            | "eyes": [[0, 0]]           | photos[0].subject.eyes
                    "radius": 0.08            | "eyes": [[0, 0], [2, 0]]   | photos[0].subject
                    "turn": 90                | "turn": 45                 | photos[0].turn
                    "mirror": true            | "mirror": "yes"            | photos[0].mirror
                    "tilt": -4.5              | "tilt": -60.5              | photos[1].perspective
                    "swing": 2.0              | "swing": 59.9              | photos[1].perspective
                    "strength": 80.0          | "strength": 101            | photos[1].perspective
                    "stretch": 1.1            | "stretch": 2.1             | photos[1].perspective
                    "focal35": 28.0           | "focal35": 7               | photos[1].perspective
                    "focal35": 28.0           | "focal35": "28"            | photos[1].perspective.focal35
                    [0.25, 0.9]               | [0.25, 1.1]                | photos[1].perspective
                    [0.25, 0.9]]              | [0.25, 0.9], [0, 0]]       | photos[1].perspective.uprights[0]
                    [6000, 4000]              | [6000, 0]                  | photos[0].pixels
                    [6000, 4000]              | [6000.5, 4000]             | photos[0].pixels[0]
                    "size": [0.61, 0.3050]    | "size": [0.61]             | photos[0].crops.page.size
                    "size": [0.61, 0.3050]    | "size": [4.5, 0.3]         | photos[0].crops.page
                    "size": [0.61, 0.3050]    | "sides": [0.5, 0.3]        | lacks "size"
                    "state": "own"            | "state": "lead"            | photos[0].crops.page.state
                    "zoom": 1.04              | "zoom": 0                  | photos[1].crops.page.tune
                    "leads": { "wide": "a.jpg" } | "leads": { "wide": "b.jpg" } | formats[0].leads.wide must have a crop of its own
                    "leads": { "wide": "a.jpg" } | "leads": { "wide": "c.jpg" } | formats[0].leads.wide is not a photo of this shoot
                    "leads": { "wide": "a.jpg" } | "leads": { }            | photos[1].crops.page follows
                    "ratio": "4:3"            | "ratio": "4:0"             | formats[0].ratio
                    "width": 16               | "width": 18                | 0.5 %
                    "unit": "cm"              | "unit": "feet"             | formats[0].size.unit
                    "quality": 88             | "quality": 101             | formats[0].file
                    "sampling": "4:2:0"       | "sampling": "4:1:1"        | formats[0].file.sampling
                    "depth": 16               | "depth": 12                | formats[0].file.depth
                    "enlarge": false          | "enlarge": 0               | formats[0].file.enlarge
                    "folder": "catalogue"     | "folder": "../out"         | leads out
                    "{shoot} {photo}"         | "{shot} {photo}"           | {shot}
                    """)
    void whatDoesNotFitIsRefusedWithItsPlaceAndLeftAsItIs(String right, String wrong, String said) throws Exception {
        String broken = EXAMPLE.replace(right, wrong);
        assertThat(broken).isNotEqualTo(EXAMPLE);
        assertThatExceptionOfType(ShootProblem.class)
                .isThrownBy(() -> read(broken))
                .satisfies(Said.saying(said))
                .satisfies(Said.saying(ShootDocument.NAME));
        assertThat(folder.resolve(ShootDocument.NAME)).hasContent(broken);
    }

    @Test
    void aDocumentCutAnywhereIsRefused() throws Exception {
        String whole = EXAMPLE.strip();
        for (int length = 0; length < whole.length(); length += 37) {
            String cut = whole.substring(0, length);
            assertThatExceptionOfType(ShootProblem.class).isThrownBy(() -> read(cut));
        }
    }

    private ShootDocument read(String json) throws ShootProblem, IOException {
        Path file = folder.resolve(ShootDocument.NAME);
        Files.writeString(file, json);
        return ShootDocument.read(file, "folder");
    }

    @Test
    void aPerspectivePutRightAndTakenAwayLeavesTheDocumentAsItWas() throws Exception {
        ShootDocument read = read(EXAMPLE);
        Perspective perspective = new Perspective(6, 0, 100, 1, 35, SceneLines.NONE);
        Shoot put = read.shoot().with("a.jpg", photo -> photo.withPerspective(Optional.of(perspective)));
        ShootDocument written = read.with(put);
        assertThat(new ObjectMapper()
                        .readTree(written.bytes())
                        .at("/photos/0/perspective/tilt")
                        .asDouble())
                .isEqualTo(6);
        Shoot again = put.with("a.jpg", photo -> photo.withPerspective(Optional.empty()));
        JsonNode without = new ObjectMapper().readTree(written.with(again).bytes());
        assertThat(without.get("photos"))
                .isEqualTo(new ObjectMapper().readTree(EXAMPLE).get("photos"));
    }

    @Test
    void whatIsNoSubjectByHandStaysNone() throws Exception {
        Shoot shoot = read("{\"nexa\":1,\"photos\":[{\"file\":\"a.jpg\",\"subject\":null},{\"file\":\"b.jpg\"}]}")
                .shoot();
        assertThat(shoot.photo("a.jpg").hasNoSubject()).isTrue();
        assertThat(shoot.photo("b.jpg").hasNoSubject()).isFalse();
        JsonNode written =
                new ObjectMapper().readTree(ShootDocument.of(shoot).bytes()).get("photos");
        assertThat(written.get(0).get("subject").isNull()).isTrue();
        assertThat(written.get(1).has("subject")).isFalse();
    }

    @Test
    void moreThanAnyShootIsRefusedBeforeItIsBuilt() {
        String photo = "{\"file\":\"a\"}";
        String many = "{\"nexa\":1,\"photos\":[" + (photo + ",").repeat(60_000) + photo + "]}";
        assertThatExceptionOfType(ShootProblem.class)
                .isThrownBy(() -> read(many))
                .satisfies(Said.saying("photos has more than 50"));
        String formats = "{\"nexa\":1,\"formats\":[" + "{},".repeat(600) + "{}]}";
        assertThatExceptionOfType(ShootProblem.class)
                .isThrownBy(() -> read(formats))
                .satisfies(Said.saying("formats has more than 500 entries"));
    }

    @Test
    void whatIsNotUtf8IsNamedWithItsPlace() throws Exception {
        byte[] bytes = "{ \"nexa\": 1, \"title\": \"?\" }".getBytes(StandardCharsets.US_ASCII);
        bytes[24] = (byte) 0xE4;
        Path file = Files.write(folder.resolve(ShootDocument.NAME), bytes);
        assertThatExceptionOfType(ShootProblem.class)
                .isThrownBy(() -> ShootDocument.read(file, "folder"))
                .satisfies(Said.saying("not UTF-8 (byte 24)"));
    }
}
