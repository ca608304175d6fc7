package nexa.core.find;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What a picture answers, asked again and again turned by odd angles: by an accident of its pixels a picture may answer
 * wrongly once, and hardly thrice alike.
 */
public final class LevelClaim {
    /** By how many degrees a picture is turned clockwise each time it is asked. */
    public static final List<Double> TURNS = List.of(0.0, 1.3, -1.3, 0.6, -2.1);

    private static final int AT_FIRST = 3;
    private static final int LEAST = 3;
    private static final double ALIKE = 0.25;
    /** Offers that lie further apart are different ones. */
    private static final double ONE_OFFER = 0.3;

    private static final double LEANS_FAR = 5;
    private static final double LEAST_UNCERTAINTY = 0.02;

    private LevelClaim() {}

    /** Whether asking once more may change what follows. */
    public static boolean needsAsking(List<LevelAsking> askings) {
        int asked = askings.size();
        long claims =
                askings.stream().filter(asking -> asking.claim().isPresent()).count();
        boolean isSettled = claims >= LEAST || asked >= AT_FIRST && claims + TURNS.size() - asked < LEAST;
        // What says nothing twice is not asked on: it would have to claim three times in a row then.
        boolean saysNothing = asked >= 2 && claims == 0;
        return asked < TURNS.size() && !isSettled && !saysNothing;
    }

    /**
     * What follows.
     *
     * @param askings of the picture as it is and turned, told as of the picture as it is
     */
    public static FoundLevel of(List<LevelAsking> askings) {
        List<LevelAsking.Answer> claims =
                askings.stream().flatMap(asking -> asking.claim().stream()).toList();
        double[] leans =
                claims.stream().mapToDouble(LevelAsking.Answer::lean).sorted().toArray();
        if (leans.length >= LEAST && leans[leans.length - 1] - leans[0] <= ALIKE) {
            return claimed(claims, leans);
        }
        return offered(askings).orElseGet(() -> FoundLevel.notSure(why(askings)));
    }

    private static FoundLevel claimed(List<LevelAsking.Answer> claims, double[] leans) {
        double lean = Convergence.median(leans);
        double sigma = Convergence.median(
                claims.stream().mapToDouble(LevelAsking.Answer::sigma).toArray());
        double uncertainty = Math.max(LEAST_UNCERTAINTY, Math.max(sigma, leans[leans.length - 1] - leans[0]));
        LevelAsking.Answer shown = claims.get(0);
        return new FoundLevel(
                Math.abs(lean) > LEANS_FAR ? Certainty.LIKELY : Certainty.SURE,
                shown.by(),
                lean,
                uncertainty,
                shown.lines());
    }

    /** What most askings offer, and what says most of that. */
    private static Optional<FoundLevel> offered(List<LevelAsking> askings) {
        List<LevelAsking.Answer> offers = askings.stream()
                .flatMap(asking -> Stream.concat(asking.claim().stream(), asking.offers().stream()))
                .toList();
        return offers.stream()
                .filter(offer -> backers(askings, offer).size() >= 2)
                .max(Comparator.comparingDouble((LevelAsking.Answer offer) ->
                                backers(askings, offer).size())
                        .thenComparingDouble(LevelAsking.Answer::weight))
                .map(best -> {
                    double[] leans = backers(askings, best).stream()
                            .mapToDouble(LevelAsking.Answer::lean)
                            .sorted()
                            .toArray();
                    return new FoundLevel(
                            Certainty.LIKELY,
                            best.by(),
                            Convergence.median(leans),
                            Math.max(LEAST_UNCERTAINTY, Math.max(best.sigma(), leans[leans.length - 1] - leans[0])),
                            best.lines());
                });
    }

    /** Of each asking that offers the same, the nearest offer. */
    private static List<LevelAsking.Answer> backers(List<LevelAsking> askings, LevelAsking.Answer offer) {
        List<LevelAsking.Answer> backers = new ArrayList<>();
        for (LevelAsking asking : askings) {
            Stream.concat(asking.claim().stream(), asking.offers().stream())
                    .filter(other -> Math.abs(other.lean() - offer.lean()) <= ONE_OFFER)
                    .min(Comparator.comparingDouble(other -> Math.abs(other.lean() - offer.lean())))
                    .ifPresent(backers::add);
        }
        return backers;
    }

    /** The reason most askings give. */
    private static FoundLevel.Reason why(List<LevelAsking> askings) {
        return Arrays.stream(FoundLevel.Reason.values())
                .filter(FoundLevel.Reason::isDoubt)
                .max(Comparator.comparingLong(reason -> askings.stream()
                        .filter(asking -> asking.why() == reason)
                        .count()))
                .filter(reason -> askings.stream().anyMatch(asking -> asking.why() == reason))
                .orElse(FoundLevel.Reason.LINES_DISAGREE);
    }
}
