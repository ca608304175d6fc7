package nexa.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.ImageIO;
import nexa.store.document.ShootDocument;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.DisabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;

class NexaCommandTest {
    private static final String DOCUMENT = """
            { "nexa": 1, "title": "Firing",
              "formats": [ { "id": "page", "name": "Page", "ratio": "4:3",
                             "size": { "width": 16, "height": 12, "unit": "cm", "ppi": 100 } },
                           { "id": "free", "name": "Free", "ratio": "free", "goes": false } ],
              "photos": [ { "file": "a 1.jpg", "angle": 2,
                            "crops": { "page": { "state": "own", "centre": [0.5, 0.5], "size": [0.5, 0.5625] } } } ] }
            """;

    @TempDir
    Path folder;

    private final ByteArrayOutputStream out = new ByteArrayOutputStream();

    @BeforeEach
    void makePhotos() throws Exception {
        for (String name : List.of("a 1.jpg", "über 🏺.jpg")) {
            ImageIO.write(
                    new BufferedImage(1200, 800, BufferedImage.TYPE_INT_RGB),
                    "jpg",
                    folder.resolve(name).toFile());
        }
    }

    @Test
    void cropsAreToldForEveryPhotoAndFormatAndNothingIsWritten() throws Exception {
        document(DOCUMENT);
        assertThat(run("crops", folder.toString(), "--json")).isZero();
        JsonNode crops = new ObjectMapper().readTree(out.toString(StandardCharsets.UTF_8));
        assertThat(crops).hasSize(4);
        JsonNode own = crops.get(0);
        assertThat(own.get("file").asText()).isEqualTo("a 1.jpg");
        assertThat(own.get("state").asText()).isEqualTo("own");
        assertThat(own.get("photo")).hasToString("[1200,800]");
        assertThat(own.get("centre")).hasToString("[600.0,400.0]");
        assertThat(own.get("size")).hasToString("[600.0,450.0]");
        assertThat(own.get("corners")).hasSize(4);
        assertThat(own.get("kept").asDouble()).isEqualTo(600 * 450 / 960_000.0);
        assertThat(own.get("output")).hasToString("[630,472]");
        assertThat(own.get("ppi").asDouble()).isEqualTo(600 / (16 / 2.54));
        assertThat(own.get("warnings")).hasToString("[\"too-few-pixels\"]");
        JsonNode untouched = crops.get(3);
        assertThat(untouched.get("file").asText()).isEqualTo("über 🏺.jpg");
        assertThat(untouched.get("state").asText()).isEqualTo("untouched");
        assertThat(untouched.get("size")).hasToString("[1200.0,800.0]");
        assertThat(untouched.get("ppi").isNull()).isTrue();
        assertThat(folder.resolve(ShootDocument.NAME)).hasContent(DOCUMENT);
    }

    @Test
    void whatIsNotPhotoIsToldOfACropThatReachesBeyondAndOnlyOfThat() throws Exception {
        document(DOCUMENT.replace("\"size\": [0.5, 0.5625]", "\"size\": [1.25, 1.40625], \"reaches\": true")
                .replace("\"angle\": 2", "\"angle\": 0"));
        assertThat(run("crops", folder.toString(), "--json")).isZero();
        JsonNode crops = new ObjectMapper().readTree(out.toString(StandardCharsets.UTF_8));
        JsonNode beyond = crops.get(0).get("beyond");
        assertThat(beyond.get("share").asDouble()).isCloseTo(1 - 1 / (1.25 * 1.40625), within(1e-9));
        assertThat(beyond.get("fill").asText()).isEqualTo("picture");
        assertThat(beyond.get("passing").asText()).isEqualTo("passes");
        assertThat(crops.get(0).get("kept").asDouble()).isCloseTo(1, within(1e-9));
        assertThat(crops.get(3).has("beyond")).isFalse();
    }

    /** Centre, size, corners and ppi are told where the perspective is put right; how that lies in the photo too. */
    @Test
    void aCropWithItsPerspectivePutRightIsToldInThePlaneAndInThePhoto() throws Exception {
        String perspective = "\"perspective\": { \"tilt\": 25, \"focal35\": 24 }, \"crops\"";
        document(DOCUMENT.replaceFirst("\"crops\"", perspective));
        assertThat(run("crops", folder.toString(), "--json")).isZero();
        JsonNode crops = new ObjectMapper().readTree(out.toString(StandardCharsets.UTF_8));
        JsonNode tilted = crops.get(0);
        assertThat(tilted.get("centre").get(0).asDouble()).isCloseTo(600, within(1e-6));
        double above = tilted.get("photoCorners").get(1).get(0).asDouble()
                - tilted.get("photoCorners").get(0).get(0).asDouble();
        double below = tilted.get("photoCorners").get(2).get(0).asDouble()
                - tilted.get("photoCorners").get(3).get(0).asDouble();
        assertThat(above).isLessThan(below - 20);
        assertThat(tilted.get("effective").get(0).asDouble())
                .isLessThan(tilted.get("size").get(0).asDouble() - 20);
        JsonNode plain = crops.get(3);
        assertThat(plain.get("photoCorners")).isEqualTo(plain.get("corners"));
        assertThat(plain.get("effective")).isEqualTo(plain.get("size"));
    }

    @Test
    void aPhotoOfWhichNothingIsLeftKeepsItsNumbersAndTheOthersGo() throws Exception {
        String added = "\"trim\": [0.9, 0, 0, 0.9], \"perspective\": { \"swing\": 60, \"focal35\": 24 }, \"crops\"";
        document(DOCUMENT.replaceFirst("\"crops\"", added));
        String before = Files.readString(folder.resolve(ShootDocument.NAME));

        assertThat(run("crops", folder.toString(), "--json")).isEqualTo(1);
        JsonNode crops = new ObjectMapper().readTree(out.toString(StandardCharsets.UTF_8));
        out.reset();
        assertThat(crops).hasSize(4);
        assertThat(crops.get(0).get("warnings")).hasToString("[\"nothing-left\"]");
        assertThat(crops.get(2).get("state").asText()).isEqualTo("untouched");

        assertThat(run("check", folder.toString(), "--json")).isEqualTo(1);
        JsonNode findings = new ObjectMapper().readTree(out.toString(StandardCharsets.UTF_8));
        assertThat(findings.get(0)).hasToString("{\"file\":\"a 1.jpg\",\"format\":\"\",\"finding\":\"nothing-left\"}");

        Path to = folder.resolve("out");
        Said said = runAside("C.UTF-8", "deliver", folder.toString(), "--to", to.toString());
        assertThat(said.code()).isEqualTo(1);
        assertThat(said.err()).contains("a 1.jpg", "photos[0].trim").doesNotContain("\tat ");
        assertThat(to.resolve("page")).isDirectoryContaining(file -> file.endsWith("über 🏺.jpg"));
        assertThat(to.resolve("page/a 1.jpg")).doesNotExist();
        assertThat(run("find", folder.toString(), "--what", "level", "--take")).isEqualTo(1);
        assertThat(folder.resolve(ShootDocument.NAME)).hasContent(before);
    }

    @Test
    void theCheckListsWhatNeedsALook() throws Exception {
        document(DOCUMENT);
        assertThat(run("check", folder.toString(), "--json")).isEqualTo(1);
        JsonNode findings = new ObjectMapper().readTree(out.toString(StandardCharsets.UTF_8));
        assertThat(findings).hasSize(2);
        assertThat(findings.get(0))
                .hasToString("{\"file\":\"a 1.jpg\",\"format\":\"page\",\"finding\":\"too-few-pixels\"}");
        assertThat(findings.get(1).get("finding").asText()).isEqualTo("untouched");
        assertThat(folder.resolve(ShootDocument.NAME)).hasContent(DOCUMENT);
    }

    @Test
    void whatIsNotAsAskedIsToldWithItsNumbersEverywhere() throws Exception {
        document(DOCUMENT.replace(
                        "\"ppi\": 100 }",
                        "\"ppi\": 100 }, \"asks\": { \"share\": [0.5, 0.7], \"level\": 0.5, \"allPhoto\": true }")
                .replace("\"angle\": 2,", "\"angle\": 2, \"subject\": { \"at\": [0.5, 0.5], \"radius\": 0.1 },"));
        assertThat(run("check", folder.toString(), "--json")).isEqualTo(1);
        List<String> asked = new ArrayList<>();
        new ObjectMapper().readTree(out.toString(StandardCharsets.UTF_8)).forEach(finding -> {
            if (finding.has("ask")) {
                asked.add(finding.toString());
            }
        });
        assertThat(asked)
                .as("there is nothing in these photos to be level by, so that is not asked")
                .containsExactly(
                        "{\"file\":\"a 1.jpg\",\"format\":\"page\",\"finding\":\"not-as-asked\",\"ask\":\"share\","
                                + "\"asked\":[0.5,0.7],\"is\":[0.35555555555555557],\"met\":false}",
                        "{\"file\":\"über 🏺.jpg\",\"format\":\"page\",\"finding\":\"ask-not-known\",\"ask\":\"share\","
                                + "\"asked\":[0.5,0.7],\"why\":\"no-subject\"}");
        out.reset();
        assertThat(run("check", folder.toString())).isEqualTo(1);
        assertThat(out.toString(StandardCharsets.UTF_8))
                .contains("a 1.jpg\tpage\tnot-as-asked\tshare 0.356, asked 0.500 0.700");
        out.reset();
        assertThat(run("crops", folder.toString(), "--json")).isZero();
        JsonNode crops = new ObjectMapper().readTree(out.toString(StandardCharsets.UTF_8));
        assertThat(crops.get(0).get("asked"))
                .extracting(
                        check -> check.get("ask").asText() + check.path("met").asText())
                .containsExactly("sharefalse", "level", "all-phototrue");
        assertThat(crops.get(1).has("asked"))
                .as("of a format that asks nothing, nothing is told")
                .isFalse();
        Path to = folder.resolve("out");
        assertThat(run("deliver", folder.toString(), "--to", to.toString())).isZero();
        List<String> lines = Files.readAllLines(to.resolve("nexa-files.csv"));
        assertThat(lines.get(0)).endsWith(",look,asked");
        assertThat(lines.get(1)).endsWith(",share 0.356");
        assertThat(lines.get(2)).endsWith(",share no subject");
    }

    @Test
    void theCheckSaysWhatIsSeeThroughAndThatIsNotWhatOnlyMightBe() throws Exception {
        for (String name : List.of("clear.png", "opaque.png")) {
            BufferedImage image = new BufferedImage(60, 40, BufferedImage.TYPE_INT_ARGB);
            for (int i = 0; i < 60 * 40; i++) {
                boolean isClear = name.equals("clear.png") && i == 1234;
                image.setRGB(i % 60, i / 60, isClear ? 0x80336699 : 0xFF336699);
            }
            ImageIO.write(image, "png", folder.resolve(name).toFile());
        }
        assertThat(run("check", folder.toString(), "--json")).isEqualTo(1);
        JsonNode findings = new ObjectMapper().readTree(out.toString(StandardCharsets.UTF_8));
        assertThat(findings)
                .filteredOn(finding -> finding.get("finding").asText().equals("see-through"))
                .isNotEmpty()
                .allMatch(finding -> finding.get("file").asText().equals("clear.png"));
    }

    @Test
    void aLineThatNoFileHasRoomForIsRefused() throws Exception {
        document(DOCUMENT);
        String line = "x".repeat(70_000);
        Said said = runAside(
                "C.UTF-8",
                "deliver",
                folder.toString(),
                "--to",
                folder.resolve("out").toString(),
                "--copyright",
                line);
        assertThat(said.code()).isEqualTo(2);
        assertThat(said.err()).contains("may have 8,000 letters each").doesNotContain("\tat ");
        assertThat(folder.resolve("out")).doesNotExist();
    }

    @Test
    void aFolderWithoutADocumentHasTheStandardFormats() throws Exception {
        assertThat(run("crops", folder.toString(), "--json")).isZero();
        assertThat(out.toString(StandardCharsets.UTF_8)).contains("\"own\"", "\"free\"");
        assertThat(folder.resolve(ShootDocument.NAME)).doesNotExist();
    }

    @Test
    void aPhotoThatCannotBeReadIsToldAndTheRestGoesOn() throws Exception {
        Files.writeString(folder.resolve("broken.jpg"), "no photo");
        assertThat(run("crops", folder.toString(), "--json")).isEqualTo(1);
        assertThat(out.toString(StandardCharsets.UTF_8)).contains("unreadable", "a 1.jpg");
        String to = folder.resolve("out").toString();
        assertThat(run("deliver", folder.toString(), "--to", to, "--format", "post"))
                .isEqualTo(1);
        assertThat(folder.resolve("out/post/a 1.jpg")).exists();
        assertThat(folder.resolve("out/square")).doesNotExist();
    }

    @Test
    void whereEveryFormatWaitsDeliveringAsksForOneAndTheCheckLooksAtAll() throws Exception {
        Path to = folder.resolve("out");
        Said said = runAside("C.UTF-8", "deliver", folder.toString(), "--to", to.toString());
        assertThat(said.code()).isEqualTo(2);
        assertThat(said.err()).contains("--format", "post", "square");
        assertThat(to).doesNotExist();
        assertThat(run("check", folder.toString())).isEqualTo(1);
        assertThat(out.toString(StandardCharsets.UTF_8)).contains("post\tuntouched", "free\tuntouched");
    }

    @Test
    void deliversWhatGoes() throws Exception {
        document(DOCUMENT);
        Path to = folder.resolve("out");
        assertThat(run("deliver", folder.toString(), "--to", to.toString())).isZero();
        BufferedImage page = ImageIO.read(to.resolve("page/a 1.jpg").toFile());
        assertThat(page.getWidth()).isEqualTo(630);
        assertThat(page.getHeight()).isEqualTo(472);
        assertThat(to.resolve("free")).doesNotExist();
        assertThat(out.toString(StandardCharsets.UTF_8)).contains("über 🏺.jpg");
    }

    @Test
    void wrongUseAndUnreadableShootsAreToldApartFromFailures() throws Exception {
        document(DOCUMENT.replace("\"nexa\": 1", "\"nexa\": 9"));
        assertThat(run("crops", folder.toString())).isEqualTo(2);
        assertThat(run("crops", folder.resolve("gone").toString())).isEqualTo(2);
        assertThat(run("crops")).isEqualTo(2);
        document(DOCUMENT);
        assertThat(run("deliver", folder.toString(), "--to", "x", "--format", "nothing"))
                .isEqualTo(2);
    }

    @Test
    void aPhotoThatIsGoneKeepsItsCropsAsLongAsItsSizeIsKnown() throws Exception {
        document("{\"nexa\":1,\"formats\":[{\"id\":\"s\",\"name\":\"S\",\"ratio\":\"1:1\"}],"
                + "\"photos\":[{\"file\":\"gone.jpg\",\"pixels\":[600,400]},{\"file\":\"never.jpg\"}]}");
        assertThat(run("crops", folder.toString(), "--json")).isEqualTo(1);
        JsonNode crops = new ObjectMapper().readTree(out.toString(StandardCharsets.UTF_8));
        JsonNode gone = find(crops, "gone.jpg");
        assertThat(gone.get("size")).hasToString("[400.0,400.0]");
        assertThat(gone.get("warnings")).hasToString("[\"unreadable\"]");
        JsonNode never = find(crops, "never.jpg");
        assertThat(never.get("warnings")).hasToString("[\"unreadable\"]");
        assertThat(never.has("size")).isFalse();
    }

    private static JsonNode find(JsonNode crops, String file) {
        for (JsonNode crop : crops) {
            if (crop.get("file").asText().equals(file)) {
                return crop;
            }
        }
        throw new AssertionError("no crop of " + file);
    }

    @Test
    void theLinesGoIntoTheFilesAndTheListStaysAwayWhenAsked() throws Exception {
        document(DOCUMENT);
        Path to = folder.resolve("out");
        assertThat(run(
                        "deliver",
                        folder.toString(),
                        "--to",
                        to.toString(),
                        "--copyright",
                        "© Fernhill",
                        "--no-list",
                        "--json"))
                .isZero();
        JsonNode files = new ObjectMapper().readTree(out.toString(StandardCharsets.UTF_8));
        assertThat(files).isNotEmpty();
        for (JsonNode file : files) {
            assertThat(new String(Files.readAllBytes(Path.of(file.asText())), StandardCharsets.UTF_8))
                    .contains("© Fernhill");
        }
        assertThat(to.resolve("nexa-files.csv")).doesNotExist();
    }

    private void document(String json) throws Exception {
        Files.writeString(folder.resolve(ShootDocument.NAME), json);
    }

    private int run(String... arguments) {
        return NexaCommand.run(out, arguments);
    }

    @Test
    void whatCannotBeDeliveredIntoIsNamedWithoutTheUsage() throws Exception {
        document(DOCUMENT);
        Path file = Files.writeString(folder.resolve("out"), "a file");
        Said said = runAside("C.UTF-8", "deliver", folder.toString(), "--to", file.toString());
        assertThat(said.code()).isEqualTo(2);
        assertThat(said.err()).contains("is a file, not a folder").doesNotContain("Usage");
    }

    @Test
    @DisabledOnOs(OS.WINDOWS)
    void anyLettersInNamesWorkInEveryLocale() throws Exception {
        document(DOCUMENT);
        Said said = runAside("C", "crops", folder.toString(), "--json");
        assertThat(said.err()).isEmpty();
        assertThat(said.code()).isZero();
        assertThat(said.out()).contains("über 🏺.jpg");
        Path to = folder.resolve("ä");
        assertThat(runAside("POSIX", "deliver", folder.toString(), "--to", to.toString())
                        .code())
                .isZero();
        assertThat(to.resolve("page/über 🏺.jpg")).exists();
    }

    @Test
    @DisabledOnOs(OS.WINDOWS)
    void aNameThatIsNoTextIsThatFilesProblemAlone() throws Exception {
        Process copying = new ProcessBuilder("bash", "-c", "cp 'a 1.jpg' $'\\xe4.jpg'")
                .directory(folder.toFile())
                .start();
        assertThat(copying.waitFor()).isZero();
        Said said = runAside(
                "C.UTF-8",
                "deliver",
                folder.toString(),
                "--to",
                folder.resolve("out").toString(),
                "--format",
                "post");
        assertThat(said.code()).isEqualTo(1);
        assertThat(said.err()).contains("has a name that can't be read here");
        assertThat(folder.resolve("out/post/a 1.jpg")).exists();
    }

    /** What another program said. */
    private record Said(int code, String out, String err) {}

    /** Runs a command in a program of its own, started as the script starts it, in a locale. */
    private Said runAside(String locale, String... arguments) throws Exception {
        List<String> command = new ArrayList<>(List.of(
                "bash",
                "-c",
                ". ../nexa && speak_all_letters && exec java -XX:TieredStopAtLevel=1 -Djava.awt.headless=true \"$@\"",
                "nexa",
                "-cp",
                System.getProperty("surefire.test.class.path", System.getProperty("java.class.path")),
                "-Dnexa.data=" + folder.resolve(".data"),
                NexaCommand.class.getName()));
        command.addAll(List.of(arguments));
        Path err = folder.resolve(".err");
        ProcessBuilder aside = new ProcessBuilder(command).redirectError(err.toFile());
        aside.environment().remove("LANG");
        aside.environment().put("LC_ALL", locale);
        Process running = aside.start();
        String said = new String(running.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        return new Said(running.waitFor(), said, Files.readString(err));
    }
}
