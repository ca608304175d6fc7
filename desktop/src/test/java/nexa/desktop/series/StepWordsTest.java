package nexa.desktop.series;

import static org.assertj.core.api.Assertions.assertThat;

import nexa.core.format.Format;
import nexa.core.geometry.Point;
import nexa.core.series.StepFromLead;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StepWordsTest {
    private static final Format.Tolerance TOLERANCE = new Format.Tolerance(0.08, 0.05);

    @ParameterizedTest
    @CsvSource({
        "0.14,   0,     0,     true,  14 % tighter",
        "-0.2,   0,     0,     true,  20 % looser",
        "0,      0,     0.09,  true,  subject 9 % lower",
        "0,      0,    -0.06,  true,  subject 6 % higher",
        "0.01,  -0.07,  0.06,  true,  subject 7 % further left",
        "0.09,   0.3,   0.1,   false, crop 30 % further right",
        "0.07,   0.04, -0.04,  true,  in step"
    })
    void theFurthestDifferenceIsSaidInPlainWords(
            double tightness, double right, double down, boolean bySubject, String words) {
        StepFromLead step = new StepFromLead(tightness, new Point(right, down), bySubject, false, false, TOLERANCE);
        assertThat(StepWords.of(step)).isEqualTo(words);
    }

    @Test
    void whatIsMeantToBeSoIsLeftAsItIs() {
        StepFromLead accepted = new StepFromLead(0.3, Point.ORIGIN, true, false, true, TOLERANCE);
        assertThat(StepWords.of(accepted)).isEqualTo("left as it is");
        assertThat(StepWords.of(new StepFromLead(0.01, Point.ORIGIN, true, false, true, TOLERANCE)))
                .isEqualTo("in step");
    }

    @Test
    void whatWasOnlySeenIsSaidToBe() {
        StepFromLead seen = new StepFromLead(0, new Point(0, 0.2), true, true, false, TOLERANCE);
        assertThat(StepWords.of(seen)).isEqualTo("seen 20 % lower");
        StepFromLead in = new StepFromLead(0, Point.ORIGIN, true, true, false, TOLERANCE);
        assertThat(StepWords.of(in)).isEqualTo("in step, as seen");
    }
}
