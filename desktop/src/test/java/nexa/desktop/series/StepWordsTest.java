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
        "0.14,   0,     0,     SUBJECT,  14 % tighter",
        "-0.2,   0,     0,     SUBJECT,  20 % looser",
        "0,      0,     0.09,  SUBJECT,  subject 9 % lower",
        "0,      0,    -0.06,  EYES,  eyes 6 % higher",
        "0,      0,    -0.06,  SUBJECT,  subject 6 % higher",
        "0.01,  -0.07,  0.06,  SUBJECT,  subject 7 % further left",
        "0.09,   0.3,   0.1,   CROP, crop 30 % further right",
        "0.07,   0.04, -0.04,  SUBJECT,  in step"
    })
    void theFurthestDifferenceIsSaidInPlainWords(
            double tightness, double right, double down, StepFromLead.Place place, String words) {
        StepFromLead step = new StepFromLead(tightness, false, new Point(right, down), place, false, TOLERANCE);
        assertThat(StepWords.of(step)).isEqualTo(words);
    }

    @Test
    void whatIsMeantToBeSoIsLeftAsItIs() {
        StepFromLead accepted = new StepFromLead(0.3, false, Point.ORIGIN, StepFromLead.Place.SUBJECT, true, TOLERANCE);
        assertThat(StepWords.of(accepted)).isEqualTo("left as it is");
        assertThat(StepWords.of(
                        new StepFromLead(0.01, false, Point.ORIGIN, StepFromLead.Place.SUBJECT, true, TOLERANCE)))
                .isEqualTo("in step");
    }

    @Test
    void whatWasOnlySeenIsSaidToBe() {
        StepFromLead seen = new StepFromLead(0, false, new Point(0, 0.2), StepFromLead.Place.SEEN, false, TOLERANCE);
        assertThat(StepWords.of(seen)).isEqualTo("seen 20 % lower");
        StepFromLead in = new StepFromLead(0, false, Point.ORIGIN, StepFromLead.Place.SEEN, false, TOLERANCE);
        assertThat(StepWords.of(in)).isEqualTo("in step, as seen");
    }
}
