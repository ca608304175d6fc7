package nexa.core.message;

import java.util.Locale;

/** The names of enums' values where they are part of a key, of a document or of an output. */
public final class EnumName {
    private EnumName() {}

    /** In small letters, as in {@code too_few_pixels}. */
    public static String of(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT);
    }

    /** In small letters with something else between the words. */
    public static String of(Enum<?> value, String between) {
        return of(value).replace("_", between);
    }
}
