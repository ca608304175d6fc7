package nexa.desktop.lineup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TypedShareTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"8 | 0.08", "7.5 | 0.075", "7,5 % | 0.075", "0.25 | 0.0025", "100 | 1"})
    void whatIsTypedIsTakenAsItIs(String typed, double share) {
        assertThat(TypedShare.read(typed)).isEqualTo(share);
    }

    @ParameterizedTest
    @CsvSource({"0.08, 8", "0.075, 7.5", "0.1234, 12.34", "1, 100", "0.2, 20"})
    void aShareIsWrittenAsShortAsItIs(double share, String words) {
        assertThat(TypedShare.words(share)).isEqualTo(words);
    }

    @Test
    void whatIsNoNumberIsRefused() {
        assertThatIllegalArgumentException().isThrownBy(() -> TypedShare.read("much"));
        assertThatIllegalArgumentException().isThrownBy(() -> TypedShare.read(""));
    }
}
