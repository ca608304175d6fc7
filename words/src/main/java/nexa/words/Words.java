package nexa.words;

import java.text.MessageFormat;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.MissingResourceException;
import java.util.ResourceBundle;
import java.util.stream.Stream;
import nexa.core.message.EnumName;
import nexa.core.message.Message;
import nexa.core.message.Telling;

/** The words of a language, from resource bundles, and its numbers and dates. */
public final class Words {
    private static final String PROBLEMS = "nexa.words.problems";
    private static final char THIN_SPACE = '\u2009';

    private final Locale locale;
    private final List<ResourceBundle> bundles;

    /**
     * The words of a language.
     *
     * @param bundles the names of bundles that are looked into first; after them comes the one of the problems that shoots,
     *     photos and deliveries have
     */
    public Words(Locale locale, String... bundles) {
        this.locale = locale;
        this.bundles = Stream.concat(Stream.of(bundles), Stream.of(PROBLEMS))
                .map(name -> ResourceBundle.getBundle(name, locale))
                .toList();
    }

    /**
     * The words for a key, with values filled in as {@link MessageFormat} does.
     *
     * @throws MissingResourceException if no bundle has them
     */
    public String get(String key, Object... values) {
        return new MessageFormat(find(key), locale).format(values);
    }

    private String find(String key) {
        return bundles.stream()
                .filter(bundle -> bundle.containsKey(key))
                .findFirst()
                .orElseThrow(() -> new MissingResourceException("no words for " + key, "Words", key))
                .getString(key);
    }

    /** The words for one of an enum's values: the key is the prefix, a dot and the value's name in small letters. */
    public String of(String prefix, Enum<?> value) {
        return get(prefix + "." + EnumName.of(value));
    }

    /** A message in words. */
    public String say(Message message) {
        Object[] values = message.values().stream()
                .map(value -> value instanceof Message part ? say(part) : value)
                .toArray();
        return get(message.key(), values);
    }

    /** What something thrown tells, in words. */
    public String say(Throwable thrown) {
        return say(Telling.of(thrown));
    }

    /** A number with as many decimals as asked for, a real minus sign, and no minus before nought. */
    public String number(double value, int decimals) {
        String text = String.format(Locale.ROOT, "%,." + decimals + "f", value).replace(',', THIN_SPACE);
        boolean isNought = text.chars().noneMatch(c -> c >= '1' && c <= '9');
        return isNought ? text.replace("-", "") : text.replace('-', '−');
    }

    /** A number as short as it is, as lengths on paper and sides in pixels are told. */
    public String plain(double value) {
        return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
    }

    /** A moment by the pattern that a key has, as {@link DateTimeFormatter} reads it. */
    public String time(String key, LocalDateTime moment) {
        return DateTimeFormatter.ofPattern(find(key), locale).format(moment);
    }
}
