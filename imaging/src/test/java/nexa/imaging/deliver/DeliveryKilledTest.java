package nexa.imaging.deliver;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import java.util.zip.CRC32;
import nexa.core.format.DeliveredFile;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.Format;
import nexa.core.format.OutputSize;
import nexa.core.format.Ratio;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.TestPhotos;
import nexa.imaging.facts.ShootReading;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A delivery killed again and again gives in the end the same files, byte for byte, as one that was not. */
class DeliveryKilledTest {
    private static final int PHOTOS = 6;
    private static final int KILLS = Boolean.getBoolean("nexa.thorough") ? 20 : 2;

    @TempDir
    Path temporary;

    /** The program that is killed: delivers, and tells each file that is finished. */
    public static final class Deliverer {
        private Deliverer() {}

        public static void main(String[] arguments) throws Exception {
            deliver(Path.of(arguments[0]), Path.of(arguments[1]), name -> System.out.println(name));
            System.out.println("all");
        }

        static Delivery.Result deliver(Path source, Path out, Consumer<String> told) throws Exception {
            List<Format> formats = List.of(
                    Format.of("small", "Small", Ratio.of("4", "5")).withSize(new OutputSize.Pixels(320, 400)),
                    Format.of("own", "Own", Ratio.PHOTO));
            Shoot plain = Shoot.of(
                    "Firing",
                    Shoot.Order.NAME,
                    formats,
                    IntStream.range(0, PHOTOS)
                            .mapToObj(i -> Photo.untouched("p" + i + ".png"))
                            .toList());
            ShootReading reading = ShootReading.of(plain, source);
            DeliveryPlan plan = DeliveryPlan.of(
                    reading.appliedTo(plain), reading, new DeliveryPlan.Choice(Set.of("small", "own"), false, false));
            return TestDeliveries.of(plan, source, out, DeliveryTerms.USUAL, (done, total, name) -> told.accept(name))
                    .run(2);
        }
    }

    @Test
    void killedAtRandomMomentsAndResumedItGivesTheSameFiles() throws Exception {
        Path source = Files.createDirectory(temporary.resolve("source"));
        for (int i = 0; i < PHOTOS; i++) {
            TestPhotos.write(TestPhotos.scene(900 + 10 * i, 600), source.resolve("p" + i + ".png"));
        }
        Path whole = temporary.resolve("whole");
        assertThat(Deliverer.deliver(source, whole, name -> {}).written()).hasSize(2 * PHOTOS);
        Path out = temporary.resolve("out");
        Random random = new Random(5);
        for (int kill = 0; kill < KILLS; kill++) {
            deliverUntilKilled(source, out, 1 + random.nextInt(2), random.nextInt(40));
            assertThat(halves(out)).as("under a final name").isEmpty();
        }
        Delivery.Result last = Deliverer.deliver(source, out, name -> {});
        assertThat(last.kept()).as("recognised as finished").isNotEmpty();
        assertThat(sums(out)).isEqualTo(sums(whole));
    }

    /** The files that are not the same as they would be in the end. */
    private List<Path> halves(Path out) throws Exception {
        Map<String, Long> whole = sums(temporary.resolve("whole"));
        return sums(out).entrySet().stream()
                .filter(entry -> !entry.getKey().contains(".nexa-"))
                .filter(entry -> !entry.getValue().equals(whole.get(entry.getKey())))
                .map(entry -> out.resolve(entry.getKey()))
                .toList();
    }

    private static void deliverUntilKilled(Path source, Path out, int files, int millisOn) throws Exception {
        Process deliverer = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-cp",
                        System.getProperty("surefire.test.class.path", System.getProperty("java.class.path")),
                        Deliverer.class.getName(),
                        source.toString(),
                        out.toString())
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        try (BufferedReader told =
                new BufferedReader(new InputStreamReader(deliverer.getInputStream(), StandardCharsets.UTF_8))) {
            for (int i = 0; i < files; i++) {
                assertThat(told.readLine()).isNotNull();
            }
            // Somewhere in the next files; it does not matter where.
            deliverer.waitFor(millisOn, TimeUnit.MILLISECONDS);
            deliverer.toHandle().destroyForcibly();
        }
        deliverer.waitFor();
    }

    private static Map<String, Long> sums(Path folder) throws Exception {
        Map<String, Long> sums = new TreeMap<>();
        try (Stream<Path> all = Files.walk(folder)) {
            for (Path file : all.filter(Files::isRegularFile).toList()) {
                CRC32 sum = new CRC32();
                sum.update(Files.readAllBytes(file));
                String name = folder.relativize(file).toString();
                if (!name.equals(DeliveredFile.LIST)) {
                    sums.put(name, sum.getValue());
                }
            }
        }
        return sums;
    }
}
