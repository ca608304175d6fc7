package nexa.store.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

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
import java.util.List;
import java.util.Map;
import java.util.Optional;
import nexa.core.format.Asks;
import nexa.core.format.Brief;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.Format;
import nexa.core.format.Going;
import nexa.core.format.Ratio;
import nexa.core.geometry.Orientation;
import nexa.store.Said;
import nexa.store.user.KeptBriefs;
import nexa.store.user.UserData;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A brief as its file, and the folder in which briefs are kept. */
class BriefDocumentTest {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final Path SAMPLE = Path.of("..", "sample", "photos", "Fernhill shop.nexa-brief.json");

    @TempDir
    Path folder;

    private Path write(String name, String text) throws IOException {
        return Files.writeString(folder.resolve(name + BriefDocument.ENDING), text);
    }

    private static Brief brief(String name) {
        Format tile = Format.of("tile", "Tile", Ratio.parse("1:1"))
                .withLeads(Map.of(Orientation.WIDE, "a.jpg"))
                .withGoing(Going.WAITS)
                .withAsks(Asks.NONE.withShare(Optional.of(new Asks.Share(0.5, 0.7))));
        return new Brief(name, List.of(tile), Optional.of(DeliveryTerms.USUAL.withLines("© Fernhill", "")));
    }

    @Test
    void theSamplesBriefFitsTheSchemaAndIsWrittenAsItWasRead() throws Exception {
        Map<String, String> schemas = Map.of(
                "urn:nexa:shoot:1", Files.readString(Path.of("..", "docs", "nexa-shoot.schema.json")),
                "urn:nexa:brief:1", Files.readString(Path.of("..", "docs", "nexa-brief.schema.json")));
        JsonSchema schema = JsonSchemaFactory.getInstance(
                        SpecVersion.VersionFlag.V202012,
                        builder -> builder.schemaLoaders(loaders -> loaders.schemas(schemas)))
                .getSchema(schemas.get("urn:nexa:brief:1"));
        BriefDocument read = BriefDocument.read(SAMPLE);
        assertThat(read.brief().name()).isEqualTo("Fernhill shop");
        assertThat(read.brief().formats()).hasSize(5);
        assertThat(schema.validate(JSON.readTree(read.bytes()))).isEmpty();
        assertThat(JSON.readTree(read.bytes())).isEqualTo(JSON.readTree(SAMPLE.toFile()));
        JsonNode wrong = JSON.readTree(SAMPLE.toFile());
        ((ObjectNode) wrong.at("/formats/0/asks")).put("room", 0.6);
        assertThat(schema.validate(wrong)).isNotEmpty();
    }

    @Test
    void whatIsKeptIsReadAgainWithoutWhatBelongsToItsShoot() throws Exception {
        KeptBriefs kept = KeptBriefs.of(new UserData(folder.resolve("data")));
        assertThat(kept.list()).isEmpty();
        kept.keep(BriefDocument.of(brief("Spring / summer")));
        kept.keep(BriefDocument.of(brief("Spring : summer")));
        kept.keep(BriefDocument.of(brief("Spring / summer")));
        List<KeptBriefs.Kept> list = kept.list();
        assertThat(list)
                .as("two names that make one file name, and one kept twice")
                .extracting(KeptBriefs.Kept::name)
                .containsExactly("Spring / summer", "Spring : summer");
        Brief read = list.get(0).document().orElseThrow().brief();
        assertThat(read).isEqualTo(brief("Spring / summer"));
        assertThat(read.formats().get(0).leads()).isEmpty();
        assertThat(read.formats().get(0).goes()).isTrue();
        kept.forget(list.get(0));
        assertThat(kept.list()).extracting(KeptBriefs.Kept::name).containsExactly("Spring : summer");
    }

    @Test
    void aBriefThatCameFromElsewhereTakesTheNameOfNone() throws Exception {
        KeptBriefs kept = new KeptBriefs(folder);
        kept.keepBeside(BriefDocument.of(brief("Shop")));
        Brief other = new Brief("Shop", brief("x").formats(), Optional.empty());
        assertThat(kept.keepBeside(BriefDocument.of(other)).brief().name()).isEqualTo("Shop 2");
        assertThat(kept.keepBeside(BriefDocument.of(other)).brief().name())
                .as("the same again")
                .isEqualTo("Shop 2");
        assertThat(kept.keepBeside(BriefDocument.of(brief("Shop"))).brief().name())
                .isEqualTo("Shop");
        assertThat(kept.list()).extracting(KeptBriefs.Kept::name).containsExactly("Shop", "Shop 2");
    }

    @Test
    void aKeptFileThatCannotBeReadIsNeverReplaced() throws Exception {
        Path newer = write("Shop", "{ \"nexaBrief\": 7, \"name\": \"Shop\" }");
        KeptBriefs kept = new KeptBriefs(folder);
        kept.keep(BriefDocument.of(brief("Shop")));
        kept.keepBeside(BriefDocument.of(brief("Shop")));
        assertThat(newer).hasContent("{ \"nexaBrief\": 7, \"name\": \"Shop\" }");
        assertThat(kept.list().stream().filter(each -> each.document().isPresent()))
                .extracting(KeptBriefs.Kept::name)
                .containsExactly("Shop");
        assertThat(folder.resolve("Shop-2" + BriefDocument.ENDING)).exists();
    }

    @Test
    void whatIsNotKnownOfABriefStaysInItsFile() throws Exception {
        Path file = write("new", """
                { "nexaBrief": 1, "name": "New", "glaze": 1, "terms": { "glaze": 2 },
                  "formats": [ { "id": "a", "name": "A", "ratio": "1:1", "glaze": 3, "asks": { "glaze": 4 } } ] }
                """);
        BriefDocument read = BriefDocument.read(file);
        JsonNode written = JSON.readTree(read.with(read.brief()).bytes());
        assertThat(written.findValuesAsText("glaze")).containsExactlyInAnyOrder("1", "2", "3", "4");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            { "nexa": 1, "formats": [] }                                              | lacks "nexaBrief"
            { "nexaBrief": 2, "name": "A", "formats": [] }                            | a newer Nexa may read it
            { "nexaBrief": 1, "name": "A", "formats": [] }                            | must have a format
            { "nexaBrief": 1, "name": " ", "formats": [{"id":"a","name":"A","ratio":"1:1"}] } | must have a name
            { "nexaBrief": 1, "name": "A", "formats": [{"id":"a","name":"A","ratio":"1:1","asks":{"share":[0.7,0.5]}}] } | formats[0].asks.share
            { "nexaBrief": 1, "name": "A", "formats": [{"id":"a","name":"A","ratio":"1:1","asks":{"level":1e9}}] } | degrees asked of the level
            { "nexaBrief": 1, "name": "A", "formats": [{"id":"a","name":"A","ratio":"1:1","file":{"folder":"../x"}}] } | formats[0].file
            { "nexaBrief": 1, "name": "A", "formats": [{"id":"a","name":"A","ratio":"1:1"},{"id":"a","name":"B","ratio":"1:1"}] } | formats[1].id
            { "nexaBrief": 1, "name": "A", "formats": 3 }                             | formats
            { "nexaBrief": 1, "name": "A"                                             | not JSON
            """)
    void whatIsNoBriefIsRefusedAsAWholeWithThePlace(String text, String said) throws Exception {
        Path file = write("odd", text);
        assertThatThrownBy(() -> BriefDocument.read(file))
                .isInstanceOf(ShootProblem.class)
                .satisfies(Said.saying(file.toString()))
                .satisfies(Said.saying(said))
                .satisfies(Said.saying("Nothing of it was taken"));
        KeptBriefs.Kept told = new KeptBriefs(folder).list().get(0);
        assertThat(told.document()).isEmpty();
        assertThat(told.name()).isEqualTo("odd");
    }

    @Test
    void aFileWithMoreThanAnyBriefHasIsRefusedBeforeAnythingIsMadeOfIt() throws Exception {
        String formats = "{},".repeat(600);
        Path many = write("many", "{ \"nexaBrief\": 1, \"formats\": [" + formats + "{}] }");
        assertThatThrownBy(() -> BriefDocument.read(many)).satisfies(Said.saying("formats has more than 500 entries"));
        Path deep = write("deep", "[".repeat(100_000));
        assertThatThrownBy(() -> BriefDocument.read(deep)).isInstanceOf(ShootProblem.class);
        Path pipe = Files.createDirectory(folder.resolve("dir" + BriefDocument.ENDING));
        assertThatThrownBy(() -> BriefDocument.read(pipe)).isInstanceOf(ShootProblem.class);
    }

    @Test
    void whereNothingCanBeWrittenThatIsSaidAndNothingIsLost() throws Exception {
        Path inTheWay = Files.writeString(folder.resolve("briefs"), "a file");
        KeptBriefs kept = new KeptBriefs(inTheWay);
        assertThatThrownBy(() -> kept.keep(BriefDocument.of(brief("A"))))
                .isInstanceOf(ShootProblem.class)
                .satisfies(Said.saying(inTheWay.toString()));
        assertThat(inTheWay).hasContent("a file");
    }

    @Test
    void aFileThatIsThereIsReplacedOnlyWhereThatIsMeant() throws Exception {
        Path there = write("sent", "somebody's");
        assertThatThrownBy(() -> KeptBriefs.write(BriefDocument.of(brief("A")), there, false))
                .satisfies(Said.saying("is there already"));
        assertThat(there).hasContent("somebody's");
        KeptBriefs.write(BriefDocument.of(brief("A")), there, true);
        assertThat(BriefDocument.read(there).brief().name()).isEqualTo("A");
    }

    @Test
    void aDocumentThatAsksNothingSaysNothingOfIt() throws Exception {
        Path shoot = Files.writeString(
                folder.resolve("nexa-shoot.json"),
                "{ \"nexa\": 1, \"formats\": [ { \"id\": \"a\", \"name\": \"A\", \"ratio\": \"1:1\" } ] }");
        ShootDocument read = ShootDocument.read(shoot, "x");
        assertThat(read.shoot().format("a").asks()).isEqualTo(Asks.NONE);
        assertThat(new String(read.bytes(), StandardCharsets.UTF_8)).doesNotContain("asks");
    }
}
