package nexa.core.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import nexa.core.format.DeliveredFile.Phase;
import org.junit.jupiter.api.Test;

class DeliveredLinesTest {
    private static DeliveredFile line(String file, long length, Phase phase) {
        return new DeliveredFile(
                "a.jpg",
                file,
                "making",
                length,
                Optional.of("."),
                Optional.of(new DeliveredFile.Contents(
                        phase, "JPEG 1, TIFF 2", "00ff", "2026-04-18T09:30:00.123456789Z", "raw", "1.93")));
    }

    @Test
    void aLineIsReadAsItWasWrittenAndOneThatWasCutOffIsNone() {
        DeliveredFile line = line("a-2.jpg", 7, Phase.DONE);
        assertThat(DeliveredFile.parse(line.line())).contains(line);
        for (int length = 0; length < line.line().length(); length++) {
            String cut = line.line().substring(0, length);
            DeliveredFile.parse(cut)
                    .ifPresent(read -> assertThat(read.contents())
                            .as("only as much as an earlier version wrote is a line: %s", cut)
                            .isEmpty());
        }
        assertThat(DeliveredFile.parse("a.jpg\ta.jpg\tmaking\t12"))
                .contains(new DeliveredFile("a.jpg", "a.jpg", "making", 12, Optional.empty(), Optional.empty()));
        assertThat(DeliveredFile.parse("a.jpg\ta.jpg\tmaking\t99999999999999999999"))
                .isEmpty();
        assertThat(DeliveredFile.parse(line.line().replace("DONE", "GONE"))).isEmpty();
        assertThat(DeliveredFile.parse(line.line().replace("a-2", "a\0"))).isEmpty();
    }

    @Test
    void whatIsToComeCountsBesideWhatLiesThereUntilItHasItsName() {
        DeliveredLines lines = new DeliveredLines();
        lines.add(line("a.jpg", 5, Phase.DONE));
        lines.add(line("a.jpg", 6, Phase.COMING));
        assertThat(lines.ofFile("a.jpg")).extracting(DeliveredFile::length).containsExactly(6L, 5L);
        assertThat(lines.ofLength("a.jpg", 5)).isPresent();
        lines.add(line("a.jpg", 6, Phase.DONE));
        assertThat(lines.ofFile("a.jpg")).extracting(DeliveredFile::length).containsExactly(6L);
        assertThat(lines.ofLength("a.jpg", 5)).isEmpty();
    }

    @Test
    void linesOfAnEarlierVersionSayNotWhetherTheFileGotItsNameSoAllOfThemCount() {
        DeliveredLines lines = DeliveredLines.of(List.of(
                "a.jpg\ta.jpg\tone\t5\t.", "no line", "a.jpg\ta.jpg\ttwo\t6\t.", "a.jpg\ta-2.jpg\tthree\t7\t."));
        assertThat(lines.ofFile("a.jpg")).extracting(DeliveredFile::contentKey).containsExactly("two", "one");
        assertThat(lines.filesOf("a.jpg")).containsExactly("a-2.jpg", "a.jpg");
        assertThat(lines.filesOf("b.jpg")).isEmpty();
    }
}
