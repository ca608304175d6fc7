package nexa.core.find;

/** Something that was found in a photo, or that nothing was. */
public interface Found {
    Certainty certainty();

    /** Whether there is something to take or to offer. */
    default boolean isSomething() {
        return certainty() != Certainty.NOT_SURE;
    }

    /** @throws IllegalArgumentException for NaN and what is not within 0 … 1 */
    static void requireConfidence(double confidence) {
        if (!(confidence >= 0 && confidence <= 1)) {
            throw new IllegalArgumentException("a confidence of " + confidence + " is none");
        }
    }
}
