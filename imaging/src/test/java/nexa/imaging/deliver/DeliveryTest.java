package nexa.imaging.deliver;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.zip.CRC32;
import nexa.core.format.DeliveredFile;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.FileSpec;
import nexa.core.format.Format;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Angle;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.TestPhotos;
import nexa.imaging.facts.ShootReading;
import org.junit.jupiter.api.Test;

/** How a delivery goes. */
class DeliveryTest extends DeliveredShoot {
    @Test
    void nothingThatIsThereIsReplaced() throws Exception {
        Files.createDirectories(out.resolve("print"));
        Files.writeString(out.resolve("print/a.jpg"), "somebody's");
        deliver(Set.of("print"));
        assertThat(out.resolve("print/a.jpg")).hasContent("somebody's");
        assertThat(files()).contains("print/a-2.jpg");

        byte[] before = Files.readAllBytes(source.resolve("a.jpg"));
        shoot = shoot.withFormats(List.of(PRINT.withFile(FileSpec.usual("").withName("{photo}"))));
        out = source;
        deliver(Set.of("print"));
        assertThat(Files.readAllBytes(source.resolve("a.jpg"))).isEqualTo(before);
        assertThat(source.resolve("a-2.jpg")).exists();
    }

    @Test
    void aPhotoThatIsGoneIsListedAndTheRestGoesOn() throws Exception {
        DeliveryPlan plan = plan(Set.of("print"));
        Files.delete(source.resolve("a.jpg"));
        Delivery.Result result =
                TestDeliveries.of(plan, source, out, DeliveryTerms.USUAL).run(2);
        assertThat(result.failures()).hasSize(1);
        assertThat(TestPhotos.WORDS.say(result.failures().get(0).reason()))
                .contains("a.jpg is not in the folder any more");
        assertThat(files()).hasSize(2);
    }

    @Test
    void stoppingKeepsWhatIsFinishedAndLeavesNoHalfFile() throws Exception {
        DeliveryPlan plan = plan(Set.of("print", "feed"));
        Delivery[] delivery = new Delivery[1];
        delivery[0] =
                TestDeliveries.of(plan, source, out, DeliveryTerms.USUAL, (done, total, name) -> delivery[0].stop());
        Delivery.Result result = delivery[0].run(1);
        assertThat(result.wasStopped()).isTrue();
        assertThat(result.written()).hasSize(1);
        assertThat(files()).containsExactly("print/a.jpg");
        assertThat(size("print/a.jpg")).isEqualTo(new PixelSize(450, 300));
    }

    @Test
    void aStoppedDeliveryGoesOnAndGivesTheSameFilesAsOneThatWasNot() throws Exception {
        deliver(Set.of("print", "feed"));
        Map<String, Long> whole = sums();
        out = temporary.resolve("resumed");
        DeliveryPlan plan = plan(Set.of("print", "feed"));
        Delivery[] stopped = new Delivery[1];
        stopped[0] =
                TestDeliveries.of(plan, source, out, DeliveryTerms.USUAL, (done, total, name) -> stopped[0].stop());
        stopped[0].run(1);
        Files.writeString(out.resolve("print").resolve(".nexa-left.part"), "half a file that a crash left");
        Delivery.Result resumed = deliver(Set.of("print", "feed"));
        assertThat(resumed.kept()).hasSize(1);
        assertThat(resumed.written()).hasSize(5);
        assertThat(sums()).isEqualTo(whole);
    }

    @Test
    void aChangedCropReplacesItsEarlierFileOrGetsANumberAsAsked() throws Exception {
        deliver(Set.of("print"));
        byte[] before = Files.readAllBytes(out.resolve("print/a.jpg"));
        shoot = shoot.with("a.jpg", photo -> photo.withAngle(new Angle(-8)));
        TestDeliveries.of(plan(Set.of("print")), source, out, DeliveryTerms.USUAL.withReplacesOwn(false))
                .run(2);
        assertThat(Files.readAllBytes(out.resolve("print/a.jpg"))).isEqualTo(before);
        assertThat(out.resolve("print/a-2.jpg")).exists();
        shoot = shoot.with("a.jpg", photo -> photo.withAngle(new Angle(5)));
        Delivery.Result again = deliver(Set.of("print"));
        assertThat(again.kept()).hasSize(2);
        assertThat(files()).as("the latest of its own is replaced").hasSize(4);
    }

    @Test
    void aListOfWhatWasDeliveredThatLeadsElsewhereIsNotFollowed() throws Exception {
        Files.createDirectories(out);
        Path other = Files.writeString(temporary.resolve("other.jpg"), "precious");
        Files.writeString(out.resolve(DeliveredFile.LIST), "print/a.jpg\t../other.jpg\tx\t8\n");
        deliver(Set.of("print"));
        assertThat(other).hasContent("precious");
        assertThat(out.resolve("print/a.jpg")).exists();
    }

    @Test
    void theListNamesEveryFileAndWhereItCameFrom() throws Exception {
        shoot = shoot.withFormats(List.of(PRINT, FEED.withName("=Feed, \"tall\"")));
        deliver(Set.of("print", "feed"));
        List<String> lines = Files.readAllLines(out.resolve(DeliveryList.NAME));
        assertThat(lines).hasSize(7);
        assertThat(lines.get(1)).startsWith("print/a.jpg,a.jpg,Print,delivered,");
        assertThat(lines).anySatisfy(line -> assertThat(line).contains("\"'=Feed, \"\"tall\"\"\""));
    }

    @Test
    void theCheckTellsWhatToKnowBeforeItGoes() throws Exception {
        Files.writeString(source.resolve("broken.jpg"), "no photo");
        List<Photo> photos = new ArrayList<>(shoot.photos());
        photos.add(Photo.untouched("broken.jpg"));
        Format same = FEED.withFile(FileSpec.usual("social").withName("same"));
        Shoot all = shoot.withPhotos(photos).withFormats(List.of(same));
        ShootReading reading = ShootReading.of(all, source);
        DeliveryPlan plan = DeliveryPlan.of(all, reading, new DeliveryPlan.Choice(Set.of("feed"), false, false));
        List<DeliveryCheck.Finding> findings = DeliveryCheck.of(all, reading, plan);
        assertThat(findings)
                .extracting(DeliveryCheck.Finding::kind)
                .containsOnly(
                        DeliveryCheck.Kind.UNREADABLE, DeliveryCheck.Kind.UNTOUCHED, DeliveryCheck.Kind.SAME_NAME);
        assertThat(findings).contains(new DeliveryCheck.Finding(DeliveryCheck.Kind.UNREADABLE, "broken.jpg", ""));
        assertThat(DeliveryCheck.room(out)).isPositive();
    }

    @Test
    void pausedItBeginsNoFurtherFileUntilItGoesOn() throws Exception {
        CountDownLatch paused = new CountDownLatch(1);
        Delivery[] delivery = new Delivery[1];
        delivery[0] = TestDeliveries.of(
                plan(Set.of("print", "feed")), source, out, DeliveryTerms.USUAL, (done, total, name) -> {
                    delivery[0].setPaused(done == 1);
                    paused.countDown();
                });
        CompletableFuture<Delivery.Result> running = CompletableFuture.supplyAsync(() -> {
            try {
                return delivery[0].run(1);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
        paused.await();
        assertThat(files()).hasSize(1);
        assertThat(running).isNotDone();
        delivery[0].setPaused(false);
        assertThat(running.get().written()).hasSize(6);
    }

    @Test
    void whereNothingCanBeWrittenItGivesUpAndSaysWhy() throws Exception {
        Files.createDirectories(out);
        Files.writeString(out.resolve("print"), "a file where the folder should be");
        Delivery.Result result = deliver(Set.of("print"));
        assertThat(TestPhotos.WORDS.say(result.gaveUp().orElseThrow()))
                .contains(out.resolve("print").toString());
        assertThat(result.failures()).hasSize(3);
        assertThat(out.resolve("print")).hasContent("a file where the folder should be");
    }

    @Test
    void aNameThatFileSystemsCannotTakeIsMendedAndToldBefore() throws Exception {
        String long300 = "x".repeat(300);
        shoot = shoot.withFormats(List.of(
                PRINT.withFile(FileSpec.usual("").withName("{photo} " + long300)),
                FEED.withFile(FileSpec.usual("social").withName("plain {number}"))));
        List<DeliveryCheck.Finding> findings =
                DeliveryCheck.of(shoot, ShootReading.of(shoot, source), plan(Set.of("print", "feed")));
        assertThat(findings)
                .filteredOn(finding -> finding.kind() == DeliveryCheck.Kind.NAME_MENDED)
                .extracting(DeliveryCheck.Finding::format)
                .containsOnly("print");
        assertThat(deliver(Set.of("print")).failures()).isEmpty();
    }

    @Test
    void marksAndDoneDecideWhatGoes() {
        Shoot marked = shoot.with("a.jpg", photo -> photo.withMark(Mark.OUT))
                .with("c.jpg", photo -> photo.withMark(Mark.SELECT))
                .with(
                        "c.jpg",
                        photo -> photo.withEntry("print", photo.entry("print").withDone(true)));
        ShootReading reading = ShootReading.of(shoot, source);
        assertThat(DeliveryPlan.of(marked, reading, new DeliveryPlan.Choice(Set.of("print"), false, false))
                        .files())
                .hasSize(2);
        assertThat(DeliveryPlan.of(marked, reading, new DeliveryPlan.Choice(Set.of("print", "feed"), true, false))
                        .files())
                .hasSize(2);
        assertThat(DeliveryPlan.of(marked, reading, new DeliveryPlan.Choice(Set.of("print", "feed"), false, true))
                        .files())
                .hasSize(1);
    }

    private Map<String, Long> sums() throws Exception {
        Map<String, Long> sums = new TreeMap<>();
        for (String name : files()) {
            CRC32 sum = new CRC32();
            sum.update(Files.readAllBytes(out.resolve(name)));
            sums.put(name, sum.getValue());
        }
        return sums;
    }
}
