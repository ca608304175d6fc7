package nexa.core.series;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.format.Brief;
import nexa.core.format.Format;
import nexa.core.format.Going;
import nexa.core.shoot.Shoot;

/**
 * What comes of using a brief on a shoot: formats that are the same stay and get what is asked of their crops, and those of them
 * that wait go; the others are added, and none is removed.
 *
 * @param outcomes what becomes of each format of the brief, in its order
 * @param ids of the formats of the shoot that they are then, in the same order
 * @param shoot the shoot with all of them
 */
public record UseBrief(List<Outcome> outcomes, List<String> ids, Shoot shoot) {
    /** What becomes of a format of the brief. */
    public enum Outcome {
        /** The shoot has it, just so. */
        THERE,
        /** The shoot has it; from then on it goes, or something else is asked of its crops. */
        CHANGED,
        ADDED
    }

    public UseBrief {
        outcomes = List.copyOf(outcomes);
        ids = List.copyOf(ids);
    }

    /** What would come of it; nothing is changed yet. */
    public static UseBrief of(Shoot shoot, Brief brief) {
        List<Outcome> outcomes = new ArrayList<>();
        List<String> ids = new ArrayList<>();
        Shoot used = shoot;
        for (Format format : brief.formats()) {
            Optional<Format> same = used.formats().stream()
                    .filter(one -> one.isSameOrderAs(format))
                    .findFirst();
            Format asked = same.map(there -> asked(there, format)).orElse(format);
            if (same.isEmpty()) {
                asked = format.withId(Formats.freeId(used, format.name()));
                used = Formats.add(used, asked);
                outcomes.add(Outcome.ADDED);
            } else if (asked.equals(same.get())) {
                outcomes.add(Outcome.THERE);
            } else {
                used = used.withFormat(asked);
                outcomes.add(Outcome.CHANGED);
            }
            ids.add(asked.id());
        }
        return new UseBrief(outcomes, ids, used);
    }

    /** The shoot's format as the brief asks for it. */
    private static Format asked(Format there, Format format) {
        Format going = there.going() == Going.WAITS ? there.withGoing(Going.GOES) : there;
        return format.asks().isNone() ? going : going.withAsks(format.asks());
    }

    /** How many formats have an outcome. */
    public long count(Outcome outcome) {
        return outcomes.stream().filter(outcome::equals).count();
    }

    /** Whether the shoot would have more formats than any may have. */
    public boolean isTooMuch() {
        return shoot.formats().size() > Formats.MOST;
    }

    /** Whether the shoot stays as it is. */
    public boolean isNothing() {
        return count(Outcome.THERE) == outcomes.size();
    }
}
