package nexa.store.document;

import java.util.List;
import java.util.Locale;
import java.util.ResourceBundle;
import nexa.core.format.Format;
import nexa.core.format.FormatTurn;
import nexa.core.format.Going;
import nexa.core.format.Ratio;

/** The formats a shoot starts with when nobody has said otherwise. Their names are in a resource bundle. */
public final class StandardFormats {
    private static final ResourceBundle NAMES = ResourceBundle.getBundle("nexa.store.document.formats", Locale.ENGLISH);

    private StandardFormats() {}

    static List<Format> list() {
        return List.of(
                named("own", Ratio.PHOTO),
                named("post", Ratio.of("4", "5")).withTurn(FormatTurn.TALL),
                named("square", Ratio.of("1", "1")),
                named("screen", Ratio.of("16", "9")).withTurn(FormatTurn.WIDE),
                named("print", Ratio.of("5", "4")),
                named("free", Ratio.FREE));
    }

    private static Format named(String id, Ratio ratio) {
        return Format.of(id, NAMES.getString(id), ratio);
    }

    /** Those of a shoot of which nothing was said yet: each waits until something is done in it. */
    public static List<Format> waiting() {
        return list().stream().map(format -> format.withGoing(Going.WAITS)).toList();
    }
}
