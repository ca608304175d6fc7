package nexa.core.series;

import java.util.List;
import nexa.core.format.Ask;
import nexa.core.format.Asks;

/**
 * How a crop meets one thing that is asked of it.
 *
 * @param asks all that its format asks
 * @param measured how it is: of a {@link Ask#PLACE} two numbers, across and down, of anything else one, in what is asked in; of
 *     {@link Ask#LEVEL} the degrees that the photo is turned too far clockwise, of {@link Ask#ALL_PHOTO} the share that is not
 *     photo. Nothing where it is not known, and where there is nothing to measure
 */
public record AskCheck(Ask ask, Asks asks, Outcome outcome, List<Double> measured) {
    /** What comes of it. */
    public enum Outcome {
        MET,
        MISSED,
        /** Nobody said what the photo is about, so it is not known. */
        NO_SUBJECT,
        /** Nobody said how large the subject is. */
        NO_SUBJECT_SIZE,
        /** The subject has no eyes, or nobody found them. */
        NO_EYES,
        /** Nobody looked how far the photo is off level. */
        NO_LEVEL;

        /** Whether it is known how the crop is. */
        public boolean isKnown() {
            return this == MET || this == MISSED;
        }
    }

    public AskCheck {
        measured = List.copyOf(measured);
    }

    /**
     * Checks all that is asked of a crop, in the order of {@link Ask}. What asks nothing of its photo is not there: the subject of
     * a photo that is said to have none, the level of one in which none was found surely, pixels an inch of what is not for paper.
     */
    public static List<AskCheck> of(PhotoCrop crop, SureLevels levels) {
        return crop.format().asks().equals(Asks.NONE) ? List.of() : new AskMeasuring(crop).all(levels);
    }
}
