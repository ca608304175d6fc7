package nexa.desktop.parts;

import java.time.LocalDateTime;
import java.util.Locale;
import nexa.core.message.Message;
import nexa.core.message.Telling;

/** The words of the window, in the language it speaks. */
public final class Words {
    private static final nexa.words.Words SPOKEN = new nexa.words.Words(Locale.ENGLISH, "nexa.desktop.words");

    private Words() {}

    /** The words for a key, with values filled in as {@link java.text.MessageFormat} does. */
    public static String get(String key, Object... values) {
        return SPOKEN.get(key, values);
    }

    /** The words for one of an enum's values: the key is the prefix, a dot and the value's name in small letters. */
    public static String of(String prefix, Enum<?> value) {
        return SPOKEN.of(prefix, value);
    }

    /** A message in words. */
    public static String say(Message message) {
        return SPOKEN.say(message);
    }

    /** What something thrown tells, in words. */
    public static String say(Throwable thrown) {
        return SPOKEN.say(thrown);
    }

    /** What is wrong with something typed: what its value tells, or else that it is no number. */
    public static String wrong(RuntimeException thrown) {
        return thrown instanceof Telling ? say(thrown) : get("typed.noNumber");
    }

    /** A number with as many decimals as asked for, a real minus sign, and no minus before nought. */
    public static String number(double value, int decimals) {
        return SPOKEN.number(value, decimals);
    }

    /** A number as short as it is. */
    public static String plain(double value) {
        return SPOKEN.plain(value);
    }

    /** A moment by the pattern that a key has. */
    public static String time(String key, LocalDateTime moment) {
        return SPOKEN.time(key, moment);
    }
}
