package nexa.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import nexa.core.shoot.Photo;
import nexa.store.document.ShootDocument;
import nexa.store.shoot.ShootFolder;
import nexa.store.user.UserData;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** {@code nexa find}, on photos of the sample shoot. */
class FindCommandTest {
    private static final String DOCUMENT = """
            { "nexa": 1,
              "formats": [ { "id": "page", "name": "Page", "ratio": "4:3" } ],
              "photos": [ { "file": "fern-0150.jpg", "angle": 2.5 } ] }
            """;

    @TempDir
    Path temporary;

    private Path folder;

    @BeforeEach
    void copyPhotos() throws Exception {
        System.setProperty(UserData.PROPERTY, temporary.resolve("data").toString());
        folder = Files.createDirectory(temporary.resolve("shoot"));
        for (String name :
                List.of("fern-0150.jpg", "fern-0153.jpg", "fern-0163.jpg", "fern-0171.jpg", "fern-0183.jpg")) {
            Files.copy(Path.of("..", "sample", "photos", name), folder.resolve(name));
        }
        Files.writeString(folder.resolve(ShootDocument.NAME), DOCUMENT);
    }

    @AfterEach
    void forgetData() {
        System.clearProperty(UserData.PROPERTY);
    }

    private Map<String, JsonNode> find(int code, String... more) throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        String[] arguments = new String[3 + more.length];
        arguments[0] = "find";
        arguments[1] = folder.toString();
        arguments[2] = "--json";
        System.arraycopy(more, 0, arguments, 3, more.length);
        assertThat(NexaCommand.run(out, arguments)).isEqualTo(code);
        Map<String, JsonNode> byFile = new LinkedHashMap<>();
        for (String line : out.toString(StandardCharsets.UTF_8).lines().toList()) {
            JsonNode told = new ObjectMapper().readTree(line);
            byFile.put(told.get("file").asText(), told);
        }
        return byFile;
    }

    @Test
    void everyPhotoHasALineAndNothingIsWritten() throws Exception {
        Map<String, JsonNode> told = find(NexaCommand.SOME_FAILED, "--what", "level");
        assertThat(told).hasSize(5);
        JsonNode sure = told.get("fern-0153.jpg");
        assertThat(sure.get("found").asDouble()).isCloseTo(1.1, within(0.05));
        assertThat(sure.get("likely").isNull()).isTrue();
        assertThat(sure.get("uncertainty").asDouble()).isBetween(0.02, 0.1);
        assertThat(sure.get("ms").isIntegralNumber()).isTrue();
        JsonNode likely = told.get("fern-0163.jpg");
        assertThat(likely.get("found").isNull()).isTrue();
        assertThat(likely.get("likely").asDouble()).isCloseTo(6, within(0.05));
        JsonNode hills = told.get("fern-0183.jpg");
        assertThat(hills.get("found").isNull() && hills.get("likely").isNull()).isTrue();
        assertThat(hills.get("uncertainty").isNull()).isTrue();
        assertThat(told.get("fern-0171.jpg").get("reason").asText()).isEqualTo("unreadable");
        assertThat(folder.resolve(ShootDocument.NAME)).hasContent(DOCUMENT);
    }

    @Test
    void whatIsSureIsTakenAndWhatWasSetByHandStays() throws Exception {
        find(NexaCommand.SOME_FAILED, "--take");
        try (ShootFolder opened = ShootFolder.open(folder, UserData.ofThisUser())) {
            assertThat(opened.shoot().photo("fern-0153.jpg").angle().degrees()).isCloseTo(-1.1, within(0.05));
            assertThat(opened.shoot().photo("fern-0150.jpg").angle().degrees()).isEqualTo(2.5);
            assertThat(opened.shoot().photo("fern-0163.jpg").angle().degrees()).isZero();
            assertThat(opened.shoot().photo("fern-0183.jpg").angle().degrees()).isZero();
        }
    }

    @Test
    void bordersAndSubjectsAreToldTogetherAndTaken() throws Exception {
        Files.copy(Path.of("..", "sample", "photos", "fern-0169.jpg"), folder.resolve("fern-0169.jpg"));
        Map<String, JsonNode> told = find(NexaCommand.SOME_FAILED, "--what", "trim,subject", "--take");
        JsonNode bars = told.get("fern-0169.jpg");
        assertThat(bars.get("trim")).hasSize(4);
        assertThat(bars.get("trim").get(0).asDouble()).isZero();
        assertThat(bars.get("trim").get(1).asDouble() * 1200).isCloseTo(134, within(2.0));
        assertThat(bars.get("reason").get("trim").asText()).isEqualTo("plain-sides");
        assertThat(bars.get("confidence").get("trim").asDouble()).isGreaterThanOrEqualTo(0.5);
        JsonNode bowl = told.get("fern-0153.jpg");
        assertThat(bowl.get("trim").isNull()).isTrue();
        assertThat(bowl.get("subject").get("at")).hasSize(2);
        assertThat(bowl.get("subject").get("radius").asDouble()).isBetween(0.05, 0.6);
        assertThat(told.get("fern-0171.jpg").get("subject").isNull()).isTrue();
        try (ShootFolder opened = ShootFolder.open(folder, UserData.ofThisUser())) {
            Photo taken = opened.shoot().photo("fern-0169.jpg");
            assertThat(taken.preparation().trim().top() * 1200).isCloseTo(134, within(2.0));
            assertThat(opened.shoot().photo("fern-0153.jpg").subject()).isPresent();
            assertThat(opened.shoot().photo("fern-0153.jpg").angle().degrees())
                    .as("not asked for")
                    .isZero();
        }
        JsonNode alone = find(NexaCommand.SOME_FAILED, "--what", "subject").get("fern-0153.jpg");
        assertThat(alone.get("reason").asText()).isEqualTo("thing");
        assertThat(alone.get("confidence").asDouble()).isBetween(0.3, 1.0);
        assertThat(alone.has("trim")).isFalse();
    }

    @Test
    void whileAWindowWorksOnTheShootNothingIsTaken() throws Exception {
        try (ShootFolder window = ShootFolder.open(folder, UserData.ofThisUser())) {
            assertThat(window.isReadOnly()).isFalse();
            assertThat(find(NexaCommand.WRONG_USE, "--take")).isEmpty();
        }
        assertThat(folder.resolve(ShootDocument.NAME)).hasContent(DOCUMENT);
    }
}
