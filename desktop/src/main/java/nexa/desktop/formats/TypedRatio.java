package nexa.desktop.formats;

import java.util.Locale;
import nexa.core.format.Ratio;
import nexa.desktop.parts.Words;

/** A ratio as people type it: "5:7", "2,39 : 1", "1.5", "8×10", "photo's own", "free". */
final class TypedRatio {
    private TypedRatio() {}

    /** @throws IllegalArgumentException if it is none, in words that can be shown */
    static Ratio read(String text) {
        String plain = text.strip()
                .toLowerCase(Locale.ROOT)
                .replace(" ", "")
                .replace(',', '.')
                .replace('×', ':')
                .replace('x', ':')
                .replace('/', ':');
        if (plain.equals(Words.get("ratio.photo").replace(" ", ""))) {
            return Ratio.PHOTO;
        }
        if (plain.equals(Words.get("ratio.free"))) {
            return Ratio.FREE;
        }
        return Ratio.parse(plain.contains(":") ? plain : plain + ":1");
    }
}
