package nexa.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import java.util.function.Consumer;
import nexa.words.Words;

/** What is told, as people read it. */
public final class Said {
    public static final Words WORDS = new Words(Locale.ENGLISH);

    private Said() {}

    /** That something thrown tells this. */
    public static Consumer<Throwable> saying(String... parts) {
        return thrown -> assertThat(WORDS.say(thrown)).contains(parts);
    }
}
