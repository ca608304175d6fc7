package nexa.imaging.deliver;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import nexa.core.format.DeliveredFile;
import nexa.core.format.FileSpec;
import nexa.core.format.OutputSize;
import nexa.core.geometry.Angle;
import nexa.imaging.TestPhotos;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/**
 * What lies in a destination after a delivery ended between any two of its steps, or could not replace a file because another
 * program held it: the next one tells what is stale by its contents.
 */
class StaleFilesTest extends DeliveredShoot {
    private static final String NAME = "print/a.jpg";

    private byte[] before;
    private byte[] after;
    private FileTime timeBefore;

    /** Delivers a crop and then another one. */
    @BeforeEach
    void deliverTwice() throws Exception {
        deliver(Set.of("print"));
        before = Files.readAllBytes(out.resolve(NAME));
        timeBefore = Files.getLastModifiedTime(out.resolve(NAME));
        shoot = shoot.with("a.jpg", photo -> photo.withAngle(new Angle(-8)));
        deliver(Set.of("print"));
        after = Files.readAllBytes(out.resolve(NAME));
        assertThat(after).isNotEqualTo(before);
    }

    private List<String> lines() throws Exception {
        return Files.readAllLines(out.resolve(DeliveredFile.LIST));
    }

    /** Takes lines of a phase of the file back that were written last. */
    private void forget(DeliveredFile.Phase... phases) throws Exception {
        List<String> lines = new ArrayList<>(lines());
        for (DeliveredFile.Phase phase : phases) {
            int last = -1;
            for (int i = 0; i < lines.size(); i++) {
                if (lines.get(i).startsWith(NAME) && lines.get(i).endsWith(phase.name())) {
                    last = i;
                }
            }
            lines.remove(last);
        }
        Files.write(out.resolve(DeliveredFile.LIST), lines);
    }

    private void putBack(byte[] contents, FileTime time) throws Exception {
        Files.write(out.resolve(NAME), contents);
        Files.setLastModifiedTime(out.resolve(NAME), time);
    }

    private void assertAsUndisturbed() throws Exception {
        assertThat(Files.readAllBytes(out.resolve(NAME))).isEqualTo(after);
        assertThat(files()).hasSize(3);
        assertThat(Files.readString(out.resolve(DeliveryList.NAME))).contains(NAME + ",a.jpg,Print,delivered");
    }

    @Test
    void aLineIsWrittenBeforeTheFileHasItsNameAndOneAfter() throws Exception {
        assertThat(lines().stream().filter(line -> line.startsWith(NAME)))
                .extracting(line -> line.substring(line.lastIndexOf('\t') + 1))
                .containsExactly("COMING", "DONE", "COMING", "DONE");
    }

    @Test
    void aFileThatWasNotReplacedIsMadeAnewUnderItsOwnName() throws Exception {
        forget(DeliveredFile.Phase.DONE);
        putBack(before, timeBefore);
        Delivery.Result result = deliver(Set.of("print"));
        assertThat(result.written()).containsExactly(out.resolve(NAME));
        assertAsUndisturbed();
    }

    @Test
    void soItIsWhereEveryTimeWasLost() throws Exception {
        forget(DeliveredFile.Phase.DONE);
        putBack(before, FileTime.from(Instant.EPOCH));
        assertThat(deliver(Set.of("print")).written()).hasSize(1);
        assertAsUndisturbed();
    }

    @Test
    void aFileThatGotItsNameIsFinishedThoughNobodyHadTheTimeToSaySo() throws Exception {
        forget(DeliveredFile.Phase.DONE);
        assertThat(deliver(Set.of("print")).written()).isEmpty();
        assertAsUndisturbed();
        assertThat(lines().stream().filter(line -> line.startsWith(NAME)).toList())
                .last()
                .asString()
                .as("now it is said")
                .endsWith("DONE");
    }

    @Test
    void theCropAsItWasBeforeFindsTheFileThatWasNotReplacedFinished() throws Exception {
        forget(DeliveredFile.Phase.DONE);
        putBack(before, timeBefore);
        shoot = shoot.with("a.jpg", photo -> photo.withAngle(new Angle(3)));
        assertThat(deliver(Set.of("print")).kept()).contains(out.resolve(NAME));
        assertThat(Files.readAllBytes(out.resolve(NAME))).isEqualTo(before);
    }

    @Test
    void aFileOfTheSameLengthByAnotherHandIsLeftAndOneWithoutALineToo() throws Exception {
        byte[] theirs = after.clone();
        theirs[theirs.length / 2] ^= 1;
        putBack(theirs, timeBefore);
        assertThat(deliver(Set.of("print")).written()).containsExactly(out.resolve("print/a-2.jpg"));
        assertThat(Files.readAllBytes(out.resolve(NAME))).isEqualTo(theirs);

        Files.delete(out.resolve(DeliveredFile.LIST));
        deliver(Set.of("print"));
        assertThat(Files.readAllBytes(out.resolve(NAME))).isEqualTo(theirs);
        assertThat(out.resolve("print/a-3.jpg")).exists();
    }

    @Test
    void aCopiedDestinationIsKnownThoughItsFilesHaveOtherTimes() throws Exception {
        for (String name : files()) {
            Files.setLastModifiedTime(out.resolve(name), FileTime.from(Instant.EPOCH));
        }
        assertThat(deliver(Set.of("print")).kept()).hasSize(3);
        assertThat(deliver(Set.of("print")).kept()).hasSize(3);
    }

    /** Leaves a list as an earlier version wrote it. */
    private void asAnEarlierVersion() throws Exception {
        List<String> lines = lines().stream()
                .filter(line -> line.endsWith("DONE"))
                .map(line -> String.join("\t", List.of(line.split("\t")).subList(0, 5)))
                .toList();
        Files.write(out.resolve(DeliveredFile.LIST), lines);
    }

    @Test
    void whatAnEarlierVersionDeliveredIsKeptIfItsBytesWouldBeTheSame() throws Exception {
        shoot = shoot.withFormats(List.of(PRINT.withSize(new OutputSize.AsCropped())));
        deliver(Set.of("print"));
        asAnEarlierVersion();
        Delivery.Result result = deliver(Set.of("print"));
        assertThat(result.kept())
                .as("one as it was shot in which the camera noted nothing")
                .hasSize(1);
        assertThat(result.written())
                .as("one that is turned and one in which the camera noted something")
                .containsExactlyInAnyOrder(out.resolve("print/a.jpg"), out.resolve("print/c.jpg"));
        assertThat(TestPhotos.WORDS.say(result.anew().orElseThrow()))
                .isEqualTo(
                        "2 files are made anew: of what the camera noted only what is meant to leaves now, and no place"
                                + " hides in it; turned and reshaped pixels are worked out another way now.");
        assertThat(files()).as("under their own names").hasSize(3);
        Delivery.Result again = deliver(Set.of("print"));
        assertThat(again.kept()).hasSize(3);
        assertThat(again.anew()).isEmpty();
    }

    @Test
    void whatAnEarlierVersionNotedTooEarlyIsStaleToo() throws Exception {
        asAnEarlierVersion();
        putBack(before, FileTime.from(Instant.now()));
        deliver(Set.of("print"));
        assertAsUndisturbed();
    }

    @Test
    void tiffsOfAnEarlierVersionAreMadeAnew() throws Exception {
        shoot = shoot.withFormats(List.of(PRINT.withFile(FileSpec.usual("tiff").withType(FileSpec.Type.TIFF))));
        deliver(Set.of("print"));
        asAnEarlierVersion();
        Delivery.Result result = deliver(Set.of("print"));
        assertThat(result.written()).hasSize(3);
        assertThat(TestPhotos.WORDS.say(result.anew().orElseThrow()))
                .startsWith("3 files are made anew: an earlier Nexa could break parts of a TIFF;");
        try (Stream<Path> all = Files.list(out.resolve("tiff"))) {
            assertThat(all).hasSize(3);
        }
    }
}
