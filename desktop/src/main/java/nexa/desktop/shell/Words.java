package nexa.desktop.shell;

import java.text.MessageFormat;
import java.util.Locale;
import java.util.ResourceBundle;

/** The words on screen, from the resource bundle. */
public final class Words {
    private static final ResourceBundle BUNDLE = ResourceBundle.getBundle("nexa.desktop.words", Locale.ENGLISH);

    private Words() {}

    /** The words for a key, with values filled in as {@link MessageFormat} does. */
    public static String get(String key, Object... values) {
        return new MessageFormat(BUNDLE.getString(key), Locale.ENGLISH).format(values);
    }

    /** The words for one of an enum's values: the key is the prefix, a dot and the value's name in small letters. */
    public static String of(String prefix, Enum<?> value) {
        return get(prefix + "." + value.name().toLowerCase(Locale.ROOT));
    }

    /** A number with as many decimals as asked for, a real minus sign, and no minus before nought. */
    public static String number(double value, int decimals) {
        String text = String.format(Locale.ROOT, "%,." + decimals + "f", value).replace(',', '\u2009');
        boolean isNought = text.chars().noneMatch(c -> c >= '1' && c <= '9');
        return isNought ? text.replace("-", "") : text.replace('-', '−');
    }
}
