package nexa.desktop.parts;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import nexa.core.format.Ask;
import nexa.core.format.Asks;
import nexa.core.geometry.Point;
import nexa.core.message.EnumName;
import nexa.core.series.AskCheck;

/** What is said of what is asked of crops, and of how they meet it. */
public final class AskWords {
    /** Nearer to what is asked than this, in what is shown, a number has a decimal more. */
    private static final double NEAR = 1;

    private AskWords() {}

    /** All that is asked, in a line: "subject 55 to 70 %, room 4 %"; "" for nothing. */
    public static String of(Asks asks) {
        List<String> said = new ArrayList<>();
        asks.asked().forEach(ask -> said.add(Words.get("ask.asks." + EnumName.of(ask), asked(ask, asks))));
        return String.join(", ", said);
    }

    /** How a crop is and what is asked: "48 %, asked 55 to 70 %"; or why it is not known. */
    public static String numbers(AskCheck check) {
        if (!check.outcome().isKnown()) {
            return Words.of("ask.outcome", check.outcome());
        }
        return Words.get("ask.numbers", measured(check), asked(check.ask(), check.asks()));
    }

    /** As {@link #numbers}, with what it is of: "subject 48 %, asked 55 to 70 %". */
    public static String said(AskCheck check) {
        return check.outcome().isKnown() ? said(check.ask(), numbers(check)) : numbers(check);
    }

    /** How a crop is in what it does not meet, in few words: "subject 48 %, room 2 %"; else what is not known. */
    public static String inShort(List<AskCheck> checks) {
        List<String> missed = checks.stream()
                .filter(check -> check.outcome() == AskCheck.Outcome.MISSED)
                .map(check -> Words.get("ask.short." + EnumName.of(check.ask()), inShort(check)))
                .toList();
        return missed.isEmpty() ? said(checks) : String.join(", ", missed);
    }

    /** All that a crop does not meet, and what of it is not known. */
    public static String said(List<AskCheck> checks) {
        return checks.stream()
                .filter(check -> check.outcome() != AskCheck.Outcome.MET)
                .map(check -> said(check))
                .distinct()
                .collect(Collectors.joining("; "));
    }

    private static String inShort(AskCheck check) {
        if (check.ask() != Ask.PLACE) {
            return measured(check);
        }
        Asks asks = check.asks();
        Point place = asks.place().orElseThrow();
        return Words.get(
                "ask.short.at",
                plainNear(check.measured().get(0), place.x(), asks.within()),
                plainNear(check.measured().get(1), place.y(), asks.within()));
    }

    private static String said(Ask ask, String numbers) {
        return Words.get("ask.said." + EnumName.of(ask), numbers);
    }

    private static String measured(AskCheck check) {
        Asks asks = check.asks();
        double is = check.measured().get(0);
        return switch (check.ask()) {
            case SHARE ->
                percent(
                        is,
                        asks.share().orElseThrow().least(),
                        asks.share().orElseThrow().most());
            case PLACE -> {
                Point place = asks.place().orElseThrow();
                double down = check.measured().get(1);
                yield Words.get("ask.place", near(is, place.x(), asks.within()), near(down, place.y(), asks.within()));
            }
            case EYES -> near(is, asks.eyes().orElseThrow(), asks.within());
            case ROOM -> percent(is, asks.room().orElseThrow());
            case LEVEL -> Words.get("ask.degrees", Words.number(is, 2));
            case ALL_PHOTO -> percent(is, 0);
            case LEAST_PPI -> Words.get("ask.ppi", decimals(is, asks.leastPpi().orElseThrow()));
        };
    }

    private static String asked(Ask ask, Asks asks) {
        return switch (ask) {
            case SHARE ->
                Words.get(
                        "ask.range",
                        plain(100 * asks.share().orElseThrow().least()),
                        plain(100 * asks.share().orElseThrow().most()));
            case PLACE ->
                Words.get(
                        "ask.within",
                        Words.get(
                                "ask.place",
                                plainPercent(asks.place().orElseThrow().x()),
                                plainPercent(asks.place().orElseThrow().y())),
                        plain(100 * asks.within()));
            case EYES -> Words.get("ask.within", plainPercent(asks.eyes().orElseThrow()), plain(100 * asks.within()));
            case ROOM -> Words.get("ask.least", plainPercent(asks.room().orElseThrow()));
            case LEVEL ->
                Words.get(
                        "ask.most", Words.get("ask.degrees", plain(asks.level().orElseThrow())));
            case ALL_PHOTO -> Words.get("ask.none");
            case LEAST_PPI ->
                Words.get(
                        "ask.least", Words.get("ask.ppi", plain(asks.leastPpi().orElseThrow())));
        };
    }

    private static String near(double is, double asked, double within) {
        return Words.get("ask.percent", plainNear(is, asked, within));
    }

    private static String plainNear(double is, double asked, double within) {
        return decimals(100 * is, 100 * (asked - within), 100 * (asked + within));
    }

    private static String percent(double is, double... bounds) {
        return Words.get(
                "ask.percent",
                decimals(
                        100 * is,
                        Arrays.stream(bounds).map(bound -> 100 * bound).toArray()));
    }

    /** A number with so many decimals that it does not read as the bound that it passes. */
    private static String decimals(double is, double... bounds) {
        for (double bound : bounds) {
            if (Math.abs(Math.abs(is) - bound) < NEAR) {
                return Words.number(is, Math.abs(Math.abs(is) - bound) < NEAR / 10 ? 2 : 1);
            }
        }
        return Words.number(is, 0);
    }

    private static String plainPercent(double share) {
        return Words.get("ask.percent", plain(100 * share));
    }

    /** What was typed, as it was typed, but for what rounding leaves of it. */
    private static String plain(double value) {
        return Words.plain(Math.round(value * 1e4) / 1e4);
    }
}
