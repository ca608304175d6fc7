package nexa.desktop.parts;

import java.util.Locale;

/** Reads a typed number, with or without its unit: "2.3", "−2,3°", "7 %", "250 ppi". */
public final class TypedNumber {
    private TypedNumber() {}

    /** @throws NumberFormatException for what is no number */
    public static double read(String typed) {
        String plain = typed.toLowerCase(Locale.ROOT)
                .replace('−', '-')
                .replace(',', '.')
                .replaceAll("[°%\\s\\u2009\\u00A0]|mm|[a-z]+$", "");
        return Double.parseDouble(plain);
    }
}
