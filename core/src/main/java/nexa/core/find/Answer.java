package nexa.core.find;

/** What comes of looking at a photo: something, or nothing. */
public interface Answer {
    Certainty certainty();

    /** What it was found by, or why there is nothing. */
    Enum<?> reason();

    /** Whether there is something to take or to offer. */
    default boolean isSomething() {
        return certainty() != Certainty.NOT_SURE;
    }
}
