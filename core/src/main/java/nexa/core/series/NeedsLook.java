package nexa.core.series;

import java.util.EnumSet;
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
    /** Out of step with its lead. */
    OUT_OF_STEP,
    /** It was carried here and nobody has looked at it yet. */
    NOT_LOOKED_AT;

    /** All there is to say of a crop. */
    public static Set<NeedsLook> of(Crops crops, PhotoCrop crop) {
        return of(crop, follows(crop) ? StepFromLead.of(crops, crop.photo(), crop.format()) : Optional.empty());
    }

    private static boolean follows(PhotoCrop crop) {
        return crop.photo().entry(crop.format().id()).placement() instanceof Placement.Follow;
    }

    /** As {@link #of(Crops, PhotoCrop)}, with how near it is to its lead. */
    static Set<NeedsLook> of(PhotoCrop crop, Optional<StepFromLead> step) {
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
