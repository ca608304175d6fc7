package nexa.sample;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import nexa.core.format.PixelSize;
import nexa.core.series.RawPairs;
import nexa.core.shoot.Lane;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Subject;
import nexa.imaging.decode.PhotoKind;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.decode.SourceMetadata;
import nexa.imaging.facts.PhotoFacts;
import nexa.imaging.facts.ShootReading;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** The photos kept in the repository hold what tests and photographers expect of the sample shoot. */
class SampleShootTest {
    private static final Path PHOTOS = Path.of("photos");
    private static final Pattern LINE =
            Pattern.compile("\"file\": \"([^\"]+)\", \"pixels\": \\[(\\d+), (\\d+)].*?\"readable\": (true|false)"
                    + "(?:, \"subject\": \\[([\\d.]+), ([\\d.]+)], \"radius\": ([\\d.]+))?");

    private static List<String> files;
    private static ShootReading reading;

    @BeforeAll
    static void readAll() throws Exception {
        Shoot shoot;
        try (Stream<Path> all = Files.list(PHOTOS)) {
            List<String> there = all.map(file -> file.getFileName().toString())
                    .filter(name -> name.startsWith("fern-"))
                    .sorted()
                    .toList();
            shoot = RawPairs.withFiles(Shoot.of("", Shoot.Order.NAME, List.of(), List.of()), there);
        }
        files = shoot.photos().stream().map(Photo::file).toList();
        reading = ShootReading.of(shoot, PHOTOS);
    }

    @Test
    void fortyTwoPhotosWideTallAndSquareInLittleRoom() throws Exception {
        Map<Lane, Long> lanes = reading.facts().values().stream()
                .collect(Collectors.groupingBy(facts -> Lane.of(facts.pixels().size()), Collectors.counting()));
        assertThat(files).hasSize(42);
        assertThat(lanes).containsExactlyInAnyOrderEntriesOf(Map.of(Lane.WIDE, 25L, Lane.TALL, 16L, Lane.SQUARE, 1L));
        try (Stream<Path> all = Files.list(PHOTOS)) {
            assertThat(all.mapToLong(file -> file.toFile().length()).sum()).isLessThan(26_000_000);
        }
    }

    @Test
    void everyKindOfPhotoIsThereAndOneIsDamaged() throws Exception {
        Map<PhotoKind, Long> kinds = reading.facts().values().stream()
                .collect(Collectors.groupingBy(PhotoFacts::kind, Collectors.counting()));
        assertThat(kinds)
                .containsEntry(PhotoKind.PNG, 1L)
                .containsEntry(PhotoKind.TIFF, 1L)
                .containsEntry(PhotoKind.WEBP, 1L)
                .containsEntry(PhotoKind.RAW, 1L);
        assertThat(reading.problems()).containsOnlyKeys("fern-0171.jpg");
        assertThat(reading.problems().get("fern-0171.jpg").reason()).isEqualTo(PhotoProblem.Reason.CUT_OFF);
        assertThat(reading.facts().get("fern-0167.tif").pixels()).isEqualTo(new PixelSize(900, 600));
        List<String> withProfile = files.stream()
                .filter(file -> file.endsWith(".jpg"))
                .filter(SampleShootTest::hasProfile)
                .toList();
        assertThat(withProfile).containsExactly("fern-0165.jpg");
    }

    private static boolean hasProfile(String file) {
        try {
            return SourceMetadata.read(PHOTOS.resolve(file), PhotoKind.JPEG)
                    .profile()
                    .isPresent();
        } catch (PhotoProblem e) {
            return false;
        }
    }

    @Test
    void threeAreStoredSidewaysAndAllTellTimeCameraAndLens() {
        List<Integer> turned = reading.facts().values().stream()
                .map(facts -> facts.orientation().value())
                .filter(value -> value != 1)
                .sorted()
                .toList();
        assertThat(turned).containsExactly(3, 6, 8);
        Map<String, PhotoFacts> jpegs = new LinkedHashMap<>(reading.facts());
        jpegs.keySet().removeIf(file -> !file.endsWith(".jpg"));
        assertThat(jpegs.values()).allSatisfy(facts -> {
            assertThat(facts.capturedAt()).isPresent();
            assertThat(facts.camera().camera()).isPresent();
            assertThat(facts.camera().lens()).isPresent();
        });
    }

    @Test
    void theTruthNamesEveryPhotoAndTheCamerasMarksLieWhereItSays() throws Exception {
        Map<String, Matcher> truth = new LinkedHashMap<>();
        for (String line : Files.readAllLines(Path.of("truth.json"))) {
            Matcher told = LINE.matcher(line);
            if (told.find()) {
                truth.put(told.group(1), told);
            }
        }
        assertThat(truth.keySet()).containsExactlyInAnyOrderElementsOf(files);
        int marked = 0;
        for (String file : files) {
            Matcher told = truth.get(file);
            PhotoFacts facts = reading.facts().get(file);
            PixelSize drawn = new PixelSize(Integer.parseInt(told.group(2)), Integer.parseInt(told.group(3)));
            assertThat(facts.pixels()).as(file).isEqualTo(drawn);
            assertThat(reading.problems().containsKey(file)).isNotEqualTo(Boolean.parseBoolean(told.group(4)));
            if (facts.subject().isPresent() && told.group(5) != null) {
                Subject subject = facts.subject().get();
                assertThat(subject.at().x()).as(file).isCloseTo(Double.parseDouble(told.group(5)), within(0.02));
                assertThat(subject.at().y()).as(file).isCloseTo(Double.parseDouble(told.group(6)), within(0.02));
                marked++;
            }
        }
        assertThat(marked).as("photos whose camera marked the subject").isBetween(10, 14);
    }
}
