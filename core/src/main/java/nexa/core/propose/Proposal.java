package nexa.core.propose;

import java.util.List;
import java.util.Optional;
import nexa.core.find.Answer;
import nexa.core.find.Certainty;
import nexa.core.geometry.Crop;
import nexa.core.guide.GuideKind;

/**
 * A crop that is proposed.
 *
 * @param crop in the photo's plane, inside what counts of it, of the ratio asked for
 * @param reasons what speaks for it, the strongest first, at least one
 */
public record Proposal(Crop crop, List<Reason> reasons) implements Answer {
    public Proposal {
        reasons = List.copyOf(reasons);
    }

    /** The strongest. */
    @Override
    public Reason reason() {
        return reasons.get(0);
    }

    /** The guide its reasons name first, if they name one. */
    public Optional<GuideKind> guide() {
        return reasons.stream().flatMap(reason -> reason.guide().stream()).findFirst();
    }

    /** A matter of taste: it is only ever offered. */
    @Override
    public Certainty certainty() {
        return Certainty.LIKELY;
    }
}
