package nexa.core.find;

/** Something that was found in a photo, or that nothing was. */
public sealed interface Found extends Answer permits FoundLevel, FoundTrim, FoundSubject, FoundPerspective {
    /** Rises when anything is found another way: what was found before does not count then. */
    int FINDER = 3;

    /** From this confidence on something is sure. */
    double SURE = 0.5;

    /** How sure something is that is there or not, by its confidence. */
    static Certainty certainty(boolean isThere, double confidence) {
        if (!isThere) {
            return Certainty.NOT_SURE;
        }
        return confidence >= SURE ? Certainty.SURE : Certainty.LIKELY;
    }

    /** @throws IllegalArgumentException for NaN and what is not within 0 … 1 */
    static void requireConfidence(double confidence) {
        if (!(confidence >= 0 && confidence <= 1)) {
            throw new IllegalArgumentException("a confidence of " + confidence + " is none");
        }
    }
}
