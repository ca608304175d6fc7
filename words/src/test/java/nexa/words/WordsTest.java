package nexa.words;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.util.Locale;
import java.util.MissingResourceException;
import nexa.core.geometry.Angle;
import nexa.core.message.Message;
import org.junit.jupiter.api.Test;

class WordsTest {
    private final Words words = new Words(Locale.ENGLISH);

    @Test
    void aMessageInAMessageIsWordedFirst() {
        Message inner = Message.of("reject.outside", Message.of("value.angleInDegrees"), -45, 45.0, 97.25);
        Message outer = Message.of("misfit.at", "photos[3].angle", Message.of("misfit.rejected", inner));
        assertThat(words.say(outer))
                .isEqualTo("photos[3].angle is not right: angle in degrees must be from -45 to 45, but is 97.25");
    }

    @Test
    void whatAValueRejectsIsSaidAndAnythingElseAsTheSystemHasIt() {
        assertThatThrownBy(() -> new Angle(50))
                .satisfies(thrown -> assertThat(words.say(thrown)).startsWith("angle in degrees must be from"));
        assertThat(words.say(new IOException("Input/output error"))).isEqualTo("Input/output error");
    }

    @Test
    void bracesAndApostrophesAreWrittenAsTheyAre() {
        assertThat(words.say(Message.of("reject.unknownWord", "{shot}", "shot")))
                .isEqualTo("the file name \"{shot}\" has the word {shot}, which is not known");
        assertThat(words.say(Message.of("reject.emptyPhotoName"))).isEqualTo("a photo's file name must not be empty");
    }

    @Test
    void wordsThatAreMissingAreAFault() {
        assertThatThrownBy(() -> words.get("no.such.words")).isInstanceOf(MissingResourceException.class);
    }

    @Test
    void numbersHaveARealMinusAndNoneBeforeNought() {
        assertThat(words.number(-2.34, 1)).isEqualTo("−2.3");
        assertThat(words.number(-0.04, 1)).isEqualTo("0.0");
        assertThat(words.number(12345, 0)).isEqualTo("12\u2009345");
    }

    @Test
    void lengthsAreAsShortAsTheyAre() {
        assertThat(words.plain(16)).isEqualTo("16");
        assertThat(words.plain(8.5)).isEqualTo("8.5");
    }
}
