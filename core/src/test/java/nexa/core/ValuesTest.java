package nexa.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.util.Map;
import nexa.core.format.Format;
import nexa.core.format.LengthUnit;
import nexa.core.format.NamePattern;
import nexa.core.format.OutputSize;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ValuesTest {
    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY, 0, -3})
    void aSizeRejectsWhatIsNoLength(double width) {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Size(width, 10))
                .withMessageContaining(String.valueOf(width));
    }

    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, Double.POSITIVE_INFINITY})
    void aPointRejectsWhatIsNoNumber(double x) {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Point(x, 10))
                .withMessageContaining(String.valueOf(x));
    }

    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, 45.001, -46})
    void anAngleRejectsWhatIsBeyondItsRange(double degrees) {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Angle(degrees))
                .withMessageContaining(String.valueOf(degrees));
    }

    @ParameterizedTest
    @CsvSource({"4:3,1.3333333333333333", "2.39:1,2.39", "8.5:11,0.7727272727272727", "1 : 1,1"})
    void aRatioIsReadAsWritten(String text, double value) {
        assertThat(Ratio.parse(text).value()).isEqualTo(value);
    }

    @ParameterizedTest
    @ValueSource(strings = {"4:0", "0:1", "4/3", "", "-4:3", "4:3:2", "NaN:1", "101:1"})
    void aRatioThatMakesNoSenseIsRefused(String text) {
        assertThatIllegalArgumentException().isThrownBy(() -> Ratio.parse(text));
    }

    @Test
    void aSizeThatDisagreesWithItsRatioIsRefusedSayingByHowMuch() {
        Format page = Format.of("page", "Page", Ratio.parse("4:3"));
        assertThat(page.withSize(new OutputSize.Pixels(1080, 1440)).size()).isNotNull();
        assertThatIllegalArgumentException()
                .isThrownBy(() -> page.withSize(new OutputSize.Pixels(1080, 1350)))
                .withMessageContaining("6.3");
    }

    @Test
    void sizesSwapWithTheCropAndPaperGivesPixels() {
        OutputSize paper = new OutputSize.Print(16, 12, LengthUnit.CM, 300);
        assertThat(paper.pixels(new Size(3660, 2745))).isEqualTo(new PixelSize(1890, 1417));
        assertThat(paper.pixels(new Size(2745, 3660))).isEqualTo(new PixelSize(1417, 1890));
        assertThat(new OutputSize.LongEdge(1920).pixels(new Size(2100, 900))).isEqualTo(new PixelSize(1920, 823));
    }

    @ParameterizedTest
    @CsvSource({
        "{photo} page,a/b:c,a-b-c page",
        "{photo},..,photo",
        "{photo},CON,CON-",
        "{photo} page,.hidden,hidden page",
        "{photo},'. .a.b',a.b",
        "../{photo},x,-x",
        "{photo},'über \"42\" 🏺','über -42- 🏺'"
    })
    void aFileNameIsAlwaysOnePlainName(String pattern, String photo, String name) {
        assertThat(NamePattern.fill(pattern, Map.of("photo", photo))).isEqualTo(name);
    }

    @ParameterizedTest
    @ValueSource(strings = {"..", "a/../b", "/abs", "C:/x", "a//b", "a/./b"})
    void aFolderThatLeavesTheDestinationIsRefused(String folder) {
        assertThat(NamePattern.staysInside(folder)).isFalse();
    }
}
