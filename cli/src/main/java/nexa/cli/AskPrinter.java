package nexa.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import nexa.core.format.Asks;
import nexa.core.geometry.Point;
import nexa.core.message.EnumName;
import nexa.core.series.AskCheck;

/** Prints how a crop meets what is asked of it. */
final class AskPrinter {
    private AskPrinter() {}

    /** As JSON: what is asked, how it is and whether that is met; neither of the last two where it is not known. */
    static void put(ObjectNode node, AskCheck check) {
        node.put("ask", EnumName.of(check.ask(), "-"));
        put(node.putArray("asked"), asked(check));
        if (check.outcome().isKnown()) {
            put(node.putArray("is"), check.measured());
            node.put("met", check.outcome() == AskCheck.Outcome.MET);
        } else {
            node.put("why", EnumName.of(check.outcome(), "-"));
        }
    }

    private static void put(ArrayNode list, List<Double> numbers) {
        numbers.forEach(list::add);
    }

    /** As a line. */
    static String line(AskCheck check) {
        String is = check.outcome().isKnown() ? numbers(check.measured()) : EnumName.of(check.outcome(), " ");
        return EnumName.of(check.ask(), "-") + " " + is + ", asked " + numbers(asked(check));
    }

    private static String numbers(List<Double> numbers) {
        return numbers.stream()
                .map(number -> String.format(Locale.ROOT, "%.3f", number))
                .collect(Collectors.joining(" "));
    }

    /** What is asked, in what it is measured in: a least and a most, a place and how far off it may be, or one bound. */
    private static List<Double> asked(AskCheck check) {
        Asks asks = check.asks();
        return switch (check.ask()) {
            case SHARE ->
                asks.share().map(share -> List.of(share.least(), share.most())).orElseThrow();
            case PLACE -> placed(asks.place().orElseThrow(), asks.within());
            case EYES -> List.of(asks.eyes().orElseThrow(), asks.within());
            case ROOM -> List.of(asks.room().orElseThrow());
            case LEVEL -> List.of(asks.level().orElseThrow());
            case ALL_PHOTO -> List.of(0.0);
            case LEAST_PPI -> List.of(asks.leastPpi().orElseThrow());
        };
    }

    private static List<Double> placed(Point place, double within) {
        return List.of(place.x(), place.y(), within);
    }
}
