package nexa.desktop.parts;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.format.Ask;
import nexa.core.format.Asks;
import nexa.core.geometry.Point;
import nexa.core.series.AskCheck;
import org.junit.jupiter.api.Test;

/** What is asked of a crop and how it is, in words. */
class AskWordsTest {
    private static final Asks ALL = Asks.NONE
            .withShare(Optional.of(new Asks.Share(0.55, 0.7)))
            .withPlace(Optional.of(new Point(0.5, 0.38)))
            .withEyes(OptionalDouble.of(0.38))
            .withRoom(OptionalDouble.of(0.04))
            .withLevel(OptionalDouble.of(0.5))
            .withAllPhoto(true)
            .withLeastPpi(OptionalDouble.of(240));

    private static AskCheck missed(Ask ask, Double... measured) {
        return new AskCheck(ask, ALL, AskCheck.Outcome.MISSED, List.of(measured));
    }

    @Test
    void aCropThatIsOffIsToldWithItsNumberAndWhatWasAsked() {
        assertThat(AskWords.said(missed(Ask.SHARE, 0.48))).isEqualTo("subject 48 %, asked 55 to 70 %");
        assertThat(AskWords.said(missed(Ask.PLACE, 0.2, 0.4)))
                .isEqualTo("subject at 20 % across, 40 % down, asked 50 % across, 38 % down ± 6");
        assertThat(AskWords.said(missed(Ask.ROOM, -0.06))).isEqualTo("room around it −6 %, asked 4 % at least");
        assertThat(AskWords.said(missed(Ask.LEVEL, -1.8))).isEqualTo("level −1.80°, asked 0.5°");
        assertThat(AskWords.said(missed(Ask.ALL_PHOTO, 0.12))).isEqualTo("beyond the photo 12 %, asked nothing");
        assertThat(AskWords.said(missed(Ask.LEAST_PPI, 180.0))).isEqualTo("180 ppi, asked 240 ppi at least");
    }

    @Test
    void aNumberJustPastABoundDoesNotReadAsThatBound() {
        assertThat(AskWords.numbers(missed(Ask.SHARE, 0.703))).startsWith("70.3 %");
        assertThat(AskWords.numbers(missed(Ask.SHARE, 0.5496))).startsWith("54.96 %");
        assertThat(AskWords.numbers(missed(Ask.LEAST_PPI, 239.97))).startsWith("239.97 ppi");
    }

    @Test
    void inShortOnlyWhatIsMissedCountsElseWhatIsNotKnown() {
        AskCheck met = new AskCheck(Ask.ROOM, ALL, AskCheck.Outcome.MET, List.of(0.1));
        AskCheck unknown = new AskCheck(Ask.EYES, ALL, AskCheck.Outcome.NO_EYES, List.of());
        assertThat(AskWords.inShort(List.of(missed(Ask.SHARE, 0.3), missed(Ask.PLACE, 0.18, 0.61), met, unknown)))
                .isEqualTo("subject 30 %, at 18 / 61 %");
        assertThat(AskWords.inShort(List.of(met, unknown))).isEqualTo("eyes not known");
        assertThat(AskWords.inShort(List.of(met))).isEmpty();
        assertThat(AskWords.of(ALL))
                .isEqualTo("subject 55 to 70 %, subject at 50 % across, 38 % down ± 6, eyes at 38 % ± 6 down, "
                        + "room around it 4 % at least, level to 0.5°, nothing beyond the photo, 240 ppi at least");
        assertThat(AskWords.of(Asks.NONE)).isEmpty();
    }
}
