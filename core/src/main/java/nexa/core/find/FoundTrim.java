package nexa.core.find;

import nexa.core.shoot.Trim;

/**
 * What was found of a photo's plain border.
 *
 * @param trim what it takes up, of the photo as it is seen; nothing where not sure
 * @param confidence 0 … 1; what is below {@link #SURE} is likely at most
 */
public record FoundTrim(Reason reason, Trim trim, double confidence) implements Found {
    public static final FoundTrim NONE = new FoundTrim(Reason.NO_BORDER, Trim.NONE, 0);

    /** By what a border is known, or that there is none. */
    public enum Reason {
        /** Plain sides of one colour. */
        PLAIN_SIDES,
        /** One plain side alone, which may be in the picture as well. */
        ONE_SIDE,
        /** Nothing can be seen there: it is transparent. */
        TRANSPARENT,
        /** No side is plain up to a straight edge. */
        NO_BORDER
    }

    /** @throws IllegalArgumentException for a confidence out of range */
    public FoundTrim {
        Found.requireConfidence(confidence);
    }

    @Override
    public Certainty certainty() {
        return Found.certainty(!trim.isNone(), confidence);
    }
}
