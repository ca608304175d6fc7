package nexa.store.document;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Random;
import nexa.core.format.Format;
import nexa.core.geometry.Point;
import nexa.core.series.Crops;
import nexa.core.series.NeedsLook;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Documents that the schema allows, at the ends of every range: each is read, and every crop of it is a crop. */
class ExtremesTest {
    private static final int DOCUMENTS = 400;
    private static final String TEMPLATE = """
            { "nexa": 1, "edit": $edit, "continues": "",
              "formats": [
                { "id": "a", "name": "", "ratio": "$ratio", "turn": "$turn", "leads": { "wide": "w.jpg", "tall": "t.jpg" },
                  "tolerance": { "tightness": $share, "position": $share } },
                { "id": "b", "name": "B", "ratio": "free", "leads": { "wide": "w.jpg" },
                  "size": { "longEdge": $side, "unit": "px" } } ],
              "photos": [
                { "file": "w.jpg", "pixels": [$pixels, $pixels], "angle": $angle, "subject": $subject,
                  "crops": { "a": $own, "b": $own } },
                { "file": "t.jpg", "pixels": [$pixels, $pixels], "angle": $angle, "turn": $quarter, "subject": $subject,
                  "identity": { "bytes": 0, "digest": "x" }, "crops": { "a": $own, "b": $follow } },
                { "file": "f.jpg", "pixels": [$pixels, $pixels], "angle": $angle, "mirror": true, "subject": $subject,
                  "crops": { "a": $follow, "b": $follow } },
                { "file": "u.jpg", "pixels": [$pixels, $pixels] } ] }
            """;

    private static final Map<String, String[]> VALUES = Map.ofEntries(
            Map.entry("$edit", new String[] {"0", "1", "9007199254740992"}),
            Map.entry("$ratio", new String[] {"1:100", "100:1", "1:1", "photo", "free", "999999999.5:999999999"}),
            Map.entry("$turn", new String[] {"photo", "wide", "tall"}),
            Map.entry("$share", new String[] {"1", "5e-324", "0.1"}),
            Map.entry("$side", new String[] {"1", "60000"}),
            Map.entry("$pixels", new String[] {"1", "6000", "60000", "2147483647"}),
            Map.entry("$angle", new String[] {"-45", "45", "0", "5e-324", "1.5"}),
            Map.entry("$quarter", new String[] {"0", "90", "270"}),
            Map.entry("$subject", new String[] {
                "null",
                "{ \"at\": [0, 1] }",
                "{ \"at\": [1, 0.5], \"radius\": 1 }",
                "{ \"at\": [0, 0], \"radius\": 1e-6 }"
            }),
            Map.entry("$own", new String[] {
                "{ \"state\": \"own\", \"centre\": [0, 1], \"size\": [1e-6, 2] }",
                "{ \"state\": \"own\", \"centre\": [1, 5e-324], \"size\": [2, 1e-6] }",
                "{ \"state\": \"own\", \"centre\": [0.5, 0.5], \"size\": [1e-6, 1e-6], \"turn\": \"tall\" }",
                "{ \"state\": \"own\", \"centre\": [0.5, 0.5], \"size\": [2, 2] }"
            }),
            Map.entry("$follow", new String[] {
                "{ \"state\": \"follow\", \"tune\": { \"dx\": 1e6, \"dy\": -1e6, \"zoom\": 1e6 } }",
                "{ \"state\": \"follow\", \"tune\": { \"dx\": -1e6, \"zoom\": 1e-6 }, \"carry\": [] }",
                "{ \"state\": \"follow\", \"turn\": \"wide\", \"carry\": [\"tightness\"], \"centre\": [0, 0],"
                        + " \"size\": [2, 1e-6] }"
            }));

    @TempDir
    Path folder;

    @Test
    void everyCropOfThemIsOne() throws Exception {
        JsonSchema schema = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                .getSchema(Files.readString(Path.of("..", "docs", "nexa-shoot.schema.json")));
        for (int seed = 0; seed < DOCUMENTS; seed++) {
            String text = filled(new Random(seed));
            JsonNode tree = new ObjectMapper().readTree(text);
            assertThat(schema.validate(tree)).as(text).isEmpty();
            Path file = Files.writeString(folder.resolve(ShootDocument.NAME), text);
            Shoot shoot = ShootDocument.read(file, "folder").shoot();
            Crops crops = new Crops(shoot);
            for (Photo photo : shoot.photos()) {
                for (Format format : shoot.formats()) {
                    check(crops, photo, format, text);
                }
            }
        }
    }

    private static String filled(Random random) {
        String text = TEMPLATE;
        for (Map.Entry<String, String[]> entry : VALUES.entrySet()) {
            while (text.contains(entry.getKey())) {
                String value = entry.getValue()[random.nextInt(entry.getValue().length)];
                text = text.replaceFirst("\\" + entry.getKey(), value);
            }
        }
        return text;
    }

    private static void check(Crops crops, Photo photo, Format format, String text) {
        PhotoCrop crop = crops.of(photo, format);
        for (Point corner : crop.crop().corners(photo.angle())) {
            assertThat(Double.isFinite(corner.x()) && Double.isFinite(corner.y()))
                    .as(text)
                    .isTrue();
        }
        assertThat(crop.kept()).as(text).isPositive();
        assertThat(crop.output().width()).as(text).isPositive();
        assertThat(NeedsLook.of(crops, crop)).as(text).isNotNull();
    }
}
