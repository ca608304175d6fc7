package nexa.store;

import java.util.List;
import nexa.core.format.Format;
import nexa.core.format.FormatTurn;
import nexa.core.format.Going;
import nexa.core.format.Ratio;

/** The formats a shoot starts with when nobody has said otherwise. */
public final class StandardFormats {
    private StandardFormats() {}

    public static List<Format> list() {
        return List.of(
                Format.of("own", "Photo's own", Ratio.PHOTO),
                Format.of("post", "Tall post", Ratio.of("4", "5")).withTurn(FormatTurn.TALL),
                Format.of("square", "Square", Ratio.of("1", "1")),
                Format.of("screen", "Wide screen", Ratio.of("16", "9")).withTurn(FormatTurn.WIDE),
                Format.of("print", "Print", Ratio.of("5", "4")),
                Format.of("free", "Free", Ratio.FREE));
    }

    /** Those of a shoot of which nothing was said yet: each waits until something is done in it. */
    public static List<Format> waiting() {
        return list().stream().map(format -> format.withGoing(Going.WAITS)).toList();
    }
}
