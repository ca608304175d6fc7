package nexa.imaging.deliver;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.stream.Stream;
import nexa.core.format.DeliveredFile;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.FileSpec;
import nexa.core.format.Format;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.TestPhotos;
import nexa.imaging.facts.ShootReading;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.DisabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;

/** Several shoots, several deliveries, the photographer's own files and the photos themselves, all in one folder. */
class SharedDestinationTest {
    private static final Format FORMAT =
            Format.of("f", "F", Ratio.parse("1:1")).withFile(FileSpec.usual("").withName("{photo}"));

    @TempDir
    Path temporary;

    private Path out;
    private Path first;
    private Path second;

    @BeforeEach
    void makeShoots() throws Exception {
        out = temporary.resolve("out");
        first = Files.createDirectory(temporary.resolve("first"));
        second = Files.createDirectory(temporary.resolve("second"));
        TestPhotos.write(TestPhotos.scene(90, 60), first.resolve("a.jpg"));
        TestPhotos.write(TestPhotos.scene(60, 90), second.resolve("a.jpg"));
    }

    private static DeliveryPlan plan(Path folder, double angle) throws IOException {
        List<Photo> photos;
        try (Stream<Path> files = Files.list(folder)) {
            photos = files.map(file -> file.getFileName().toString())
                    .filter(name -> name.equals("a.jpg"))
                    .map(Photo::untouched)
                    .toList();
        }
        Shoot plain = Shoot.of("S", Shoot.Order.NAME, List.of(FORMAT), photos);
        ShootReading reading = ShootReading.of(plain, folder);
        Shoot shoot = reading.appliedTo(plain).with("a.jpg", photo -> photo.withAngle(new Angle(angle)));
        return DeliveryPlan.of(shoot, reading, new DeliveryPlan.Choice(Set.of("f"), false, false));
    }

    private Delivery.Result deliver(Path folder, double angle) throws IOException {
        return TestDeliveries.of(plan(folder, angle), folder, out, DeliveryTerms.USUAL)
                .run(2);
    }

    private Path file(String name) throws IOException {
        return out.toRealPath().resolve(name);
    }

    private List<String> names() throws IOException {
        try (Stream<Path> files = Files.list(out)) {
            return files.map(file -> file.getFileName().toString())
                    .filter(name -> !name.startsWith("."))
                    .sorted()
                    .toList();
        }
    }

    @Test
    void anotherShootsFileIsTakenAndNeverReplaced() throws Exception {
        deliver(first, 0);
        byte[] ofFirst = Files.readAllBytes(out.resolve("a.jpg"));
        deliver(second, 0);
        assertThat(Files.readAllBytes(out.resolve("a.jpg"))).isEqualTo(ofFirst);
        assertThat(names()).containsExactly("a-2.jpg", "a.jpg", "nexa-files-2.csv", "nexa-files.csv");
        assertThat(deliver(second, 0).kept()).containsExactly(file("a-2.jpg"));

        deliver(first, 4);
        assertThat(Files.readAllBytes(out.resolve("a.jpg"))).as("its own").isNotEqualTo(ofFirst);
        assertThat(names()).hasSize(4);
    }

    @Test
    void aShootMovedTogetherWithItsDeliveriesKnowsThem() throws Exception {
        out = first.resolve("delivery");
        deliver(first, 0);
        Path moved = Files.move(first, temporary.resolve("moved"));
        out = moved.resolve("delivery");
        assertThat(deliver(moved, 0).kept()).hasSize(1);
    }

    /** Leaves a list as an earlier version wrote it, which did not say whose the files are. */
    private void deliverAsAnEarlierVersionDid() throws IOException {
        deliver(first, 0);
        Path list = out.resolve(DeliveredFile.LIST);
        String line = Files.readAllLines(list).get(0);
        Files.writeString(list, String.join("\t", List.of(line.split("\t")).subList(0, 4)) + "\n");
    }

    @Test
    void aLineOfAnEarlierVersionIsOursFromThenOnIfTheFileWouldComeOutTheSame() throws Exception {
        deliverAsAnEarlierVersionDid();
        byte[] before = Files.readAllBytes(out.resolve("a.jpg"));
        deliver(second, 0);
        assertThat(Files.readAllBytes(out.resolve("a.jpg"))).isEqualTo(before);
        assertThat(deliver(first, 0).kept()).containsExactly(file("a.jpg"));
        assertThat(deliver(first, 3).written()).containsExactly(file("a.jpg"));
    }

    @Test
    void aLineOfAnEarlierVersionIsAnothersIfTheFileWouldComeOutOtherwise() throws Exception {
        deliverAsAnEarlierVersionDid();
        assertThat(deliver(first, 3).written()).containsExactly(file("a-2.jpg"));
    }

    @Test
    void thePhotographersOwnListIsLeft() throws Exception {
        Files.createDirectories(out);
        Files.writeString(out.resolve(DeliveryList.NAME), "mine");
        deliver(first, 0);
        assertThat(out.resolve(DeliveryList.NAME)).hasContent("mine");
        Path listed = out.resolve("nexa-files-2.csv");
        byte[] before = Files.readAllBytes(listed);
        deliver(first, 2);
        assertThat(Files.readAllBytes(listed))
                .as("the one of its own is replaced")
                .isNotEqualTo(before);
        Files.writeString(listed, "X", StandardOpenOption.WRITE);
        deliver(first, 2);
        assertThat(Files.readString(listed)).as("written into, it is theirs").startsWith("X");
    }

    @Test
    @DisabledOnOs(OS.WINDOWS)
    void throughALinkedDestinationNoPhotoIsReplaced() throws Exception {
        byte[] photo = Files.readAllBytes(first.resolve("a.jpg"));
        out = Files.createSymbolicLink(temporary.resolve("link"), first);
        deliver(first, 0);
        // The delivered file takes the photo's place, as if somebody had renamed them.
        Files.move(first.resolve("a-2.jpg"), first.resolve("a.jpg"), StandardCopyOption.REPLACE_EXISTING);
        Path list = first.resolve(DeliveredFile.LIST);
        Files.writeString(list, Files.readString(list).replace("a-2.jpg", "a.jpg"));
        byte[] renamed = Files.readAllBytes(first.resolve("a.jpg"));
        assertThat(renamed).isNotEqualTo(photo);
        deliver(first, 5);
        assertThat(Files.readAllBytes(first.resolve("a.jpg"))).isEqualTo(renamed);
    }

    @Test
    @DisabledOnOs(OS.WINDOWS)
    void nothingIsWrittenThroughALink() throws Exception {
        Path precious = Files.writeString(temporary.resolve("precious.jpg"), "precious");
        Files.createDirectories(out);
        for (String name : List.of(".nexa-list.part", "a.jpg", "nexa-files.csv")) {
            Files.createSymbolicLink(out.resolve(name), precious);
        }
        deliver(first, 0);
        deliver(first, 2);
        assertThat(precious).hasContent("precious");
        Files.delete(out.resolve(DeliveredFile.LIST));
        Files.createSymbolicLink(out.resolve(DeliveredFile.LIST), precious);
        assertThatExceptionOfType(DeliveryProblem.class)
                .isThrownBy(() -> deliver(first, 0))
                .satisfies(problem ->
                        assertThat(TestPhotos.WORDS.say(problem)).contains(DeliveredFile.LIST, "not a regular file"));
        assertThat(precious).hasContent("precious");
    }

    @Test
    void twoDeliveriesAtOnceWaitForEachOther() throws Exception {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch waits = new CountDownLatch(1);
        Delivery one = TestDeliveries.of(plan(first, 0), first, out, DeliveryTerms.USUAL, (done, total, name) -> {
            begun.countDown();
            await(waits);
        });
        Delivery other = TestDeliveries.of(plan(first, 0), first, out, DeliveryTerms.USUAL, new Delivery.Progress() {
            @Override
            public void advanced(int finished, int total, String name) {}

            @Override
            public void waits() {
                waits.countDown();
            }
        });
        CompletableFuture<Delivery.Result> running = CompletableFuture.supplyAsync(() -> run(one));
        begun.await();
        assertThat(run(other).kept()).hasSize(1);
        assertThat(running.get().written()).hasSize(1);
        assertThat(names()).containsExactly("a.jpg", "nexa-files.csv");
    }

    private static Delivery.Result run(Delivery delivery) {
        try {
            return delivery.run(1);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void await(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @Test
    void aFileInTheDestinationsPlaceIsNamed() throws Exception {
        Files.writeString(out, "a file");
        assertThatExceptionOfType(DeliveryProblem.class)
                .isThrownBy(() -> deliver(first, 0))
                .satisfies(problem -> assertThat(TestPhotos.WORDS.say(problem)).contains("is a file, not a folder"));
    }

    @Test
    void aListOfOtherLettersStopsNothing() throws Exception {
        deliver(first, 0);
        Path list = out.resolve(DeliveredFile.LIST);
        byte[] bytes = Files.readAllBytes(list);
        byte[] more = Arrays.copyOf(bytes, bytes.length + 3);
        Arrays.fill(more, bytes.length, more.length, (byte) 0xE4);
        Files.write(list, more);
        assertThat(deliver(first, 0).kept()).hasSize(1);
        assertThat(deliver(first, 1).written()).hasSize(1);
        assertThat(deliver(first, 1).kept()).hasSize(1);
    }
}
