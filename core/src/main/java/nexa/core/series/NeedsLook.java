package nexa.core.series;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import nexa.core.shoot.Placement;

/** Why a crop needs a look. */
public enum NeedsLook {
    /** The photo's edges keep it from what its lead asks for. */
    LIMITED,
    /** The subject lies outside the crop, or is cut by its edge. */
    SUBJECT_CUT,
    /** The result needs more pixels than the crop has. */
    TOO_FEW_PIXELS,
    /** What is filled beyond the photo may not pass for photo. */
    FILL_SHOWS,
    /** It is not as its format asks. */
    NOT_AS_ASKED,
    /** Whether it is as its format asks is not known. */
    ASK_NOT_KNOWN,
    /** Out of step with its lead. */
    OUT_OF_STEP,
    /** It was carried here and nobody has looked at it yet. */
    NOT_LOOKED_AT;

    /** Whether it is about what a format asks; {@link AskCheck} tells what of that. */
    public boolean isOfAsks() {
        return this == NOT_AS_ASKED || this == ASK_NOT_KNOWN;
    }

    /** All there is to say of a crop, but for what its format asks. */
    public static Set<NeedsLook> of(Crops crops, PhotoCrop crop) {
        Optional<StepFromLead> step =
                follows(crop) ? StepFromLead.of(crops, crop.photo(), crop.format()) : Optional.empty();
        return of(crop, step, List.of());
    }

    private static boolean follows(PhotoCrop crop) {
        return crop.photo().entry(crop.format().id()).placement() instanceof Placement.Follow;
    }

    /** All there is to say of a crop, by how near it is to its lead and how it meets what its format asks. */
    static Set<NeedsLook> of(PhotoCrop crop, Optional<StepFromLead> step, List<AskCheck> asked) {
        Set<NeedsLook> looks = EnumSet.noneOf(NeedsLook.class);
        if (crop.isLimited()) {
            looks.add(LIMITED);
        }
        if (crop.warnings().contains(PhotoCrop.Warning.SUBJECT_CUT)) {
            looks.add(SUBJECT_CUT);
        }
        if (crop.hasTooFewPixels()) {
            looks.add(TOO_FEW_PIXELS);
        }
        if (crop.passing().filter(passing -> passing != Passing.PASSES).isPresent()) {
            looks.add(FILL_SHOWS);
        }
        if (asked.stream().anyMatch(check -> check.outcome() == AskCheck.Outcome.MISSED)) {
            looks.add(NOT_AS_ASKED);
        }
        if (asked.stream().anyMatch(check -> !check.outcome().isKnown())) {
            looks.add(ASK_NOT_KNOWN);
        }
        boolean follows = follows(crop);
        if (follows && step.map(StepFromLead::isOut).orElse(false)) {
            looks.add(OUT_OF_STEP);
        }
        if (follows && !crop.isDone()) {
            looks.add(NOT_LOOKED_AT);
        }
        return looks;
    }
}
