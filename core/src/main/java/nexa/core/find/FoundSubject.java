package nexa.core.find;

import java.util.Optional;
import nexa.core.shoot.Subject;

/**
 * What a photo seems to be about.
 *
 * @param subject with a radius, in fractions of the photo as it is seen; empty where not sure
 * @param confidence 0 … 1; what is below {@link #SURE} is likely at most
 */
public record FoundSubject(Reason reason, Optional<Subject> subject, double confidence) implements Found {
    /** By what a subject is known, or why there is none. */
    public enum Reason {
        FACE,
        /** Several faces; the subject is around all of them. */
        FACES,
        /** It differs from what is around it and is in focus. */
        STANDS_OUT,
        /** Several things stand out as much. */
        SEVERAL_ALIKE,
        /** What stands out takes up most of the picture. */
        FILLS_PICTURE,
        /** What stands out is cut by the picture's edge. */
        AT_EDGE,
        NOTHING_STANDS_OUT
    }

    /** @throws IllegalArgumentException for a confidence out of range */
    public FoundSubject {
        Found.requireConfidence(confidence);
    }

    @Override
    public Certainty certainty() {
        return Found.certainty(subject.isPresent(), confidence);
    }
}
