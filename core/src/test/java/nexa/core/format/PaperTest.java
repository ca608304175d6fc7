package nexa.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.stream.Stream;
import nexa.core.Vectors;
import nexa.core.geometry.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class PaperTest {
    static Stream<JsonNode> papers() {
        return Vectors.cases("paper");
    }

    static Stream<JsonNode> viewing() {
        return Vectors.cases("viewing");
    }

    @ParameterizedTest
    @MethodSource("papers")
    void fillingLosesAndShowingAllLeavesBordersAsWorkedOutElsewhere(JsonNode given) {
        Size crop = Vectors.size(given.get("ratio"));
        Size sides = Vectors.size(given.get("paperCm"));
        Paper paper = new Paper("", sides.shortSide(), sides.longSide(), LengthUnit.CM);
        assertThat(paper.fillLoses(crop)).isCloseTo(given.get("fillLosesShare").asDouble(), within(1e-9));
        JsonNode borders = given.get("wholeLeavesBordersCm");
        assertThat(paper.borderAlongLongSide(crop)).isCloseTo(borders.get(0).asDouble(), within(1e-9));
        assertThat(paper.borderAlongShortSide(crop)).isCloseTo(borders.get(1).asDouble(), within(1e-9));
    }

    @ParameterizedTest
    @MethodSource("viewing")
    void onePixelAnArcMinuteIsEnough(JsonNode given) {
        double distance = given.get("distanceCm").asDouble();
        double needed = given.get("neededPpi").asDouble();
        assertThat(ViewingDistance.neededPpi(distance)).isCloseTo(needed, within(1e-9 * needed));
        assertThat(ViewingDistance.sharpFrom(needed)).isCloseTo(distance, within(1e-6));
    }

    @Test
    void everyPaperHasItsTrueMeasure() {
        assertThat(Paper.COMMON).allSatisfy(paper -> assertThat(paper.ratio()).isBetween(1.0, 2.0));
        Paper a4 = Paper.COMMON.stream()
                .filter(paper -> paper.name().equals("A4"))
                .findFirst()
                .orElseThrow();
        assertThat(a4.inches().width()).isCloseTo(8.2677, within(1e-4));
        assertThat(a4.ppi(new Size(3508, 2480))).isCloseTo(300, within(0.1));
    }

    @Test
    void ratiosThatAreEasilyMistakenAreTold() {
        assertThat(NearRatio.miss(297 / 210.0, 1.4).orElseThrow()).isCloseTo(0.0102, within(1e-4));
        assertThat(NearRatio.miss(0.75, 4 / 3.0)).isEmpty();
        assertThat(NearRatio.miss(1.5, 1.25)).isEmpty();
    }
}
