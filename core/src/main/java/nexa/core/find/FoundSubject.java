package nexa.core.find;

import java.util.Optional;
import nexa.core.shoot.Subject;

/**
 * What a photo seems to be about.
 *
 * @param named what it is called, or why there is none
 * @param subject with an extent, in fractions of the photo as it is seen; empty where not sure
 * @param confidence 0 … 1; what is below {@link #SURE} is likely at most
 */
public record FoundSubject(Named named, Optional<Subject> subject, double confidence) implements Found {
    /** What a subject is, or why there is none. */
    public enum Reason {
        PERSON,
        /** Several; the subject is around all of them. */
        PEOPLE,
        /** One or several. */
        ANIMAL,
        THING,
        /** Nobody can tell what it is: it differs from what is around it and is in focus, or has the shape of something. */
        STANDS_OUT,
        /** Several things stand out as much. */
        SEVERAL_ALIKE,
        /** What stands out takes up most of the picture. */
        FILLS_PICTURE,
        /** What stands out is cut by the picture's edge. */
        AT_EDGE,
        NOTHING_STANDS_OUT
    }

    /**
     * What it is called.
     *
     * @param count how many persons or animals it is
     * @param thing which thing it is
     */
    public record Named(Reason reason, int count, Optional<ThingKind> thing) {
        public static final Named STANDS_OUT = of(Reason.STANDS_OUT);

        /** One of a reason that says all. */
        public static Named of(Reason reason) {
            return new Named(reason, 1, Optional.empty());
        }

        /** @param count at least 1 */
        public static Named persons(int count) {
            return new Named(count == 1 ? Reason.PERSON : Reason.PEOPLE, count, Optional.empty());
        }

        /** @param count at least 1 */
        public static Named animals(int count) {
            return new Named(Reason.ANIMAL, count, Optional.empty());
        }

        public static Named thing(ThingKind kind) {
            return new Named(Reason.THING, 1, Optional.of(kind));
        }
    }

    /** @throws IllegalArgumentException for a confidence out of range, and for a subject without an extent */
    public FoundSubject {
        Found.requireConfidence(confidence);
        if (subject.isPresent() && subject.get().extent().isEmpty()) {
            throw new IllegalArgumentException("a subject that was found has an extent");
        }
    }

    /** None, and why. */
    public static FoundSubject none(Reason whyNot, double confidence) {
        return new FoundSubject(Named.of(whyNot), Optional.empty(), confidence);
    }

    @Override
    public Reason reason() {
        return named.reason();
    }

    /** Whether it is a person or several. */
    public boolean isOfPeople() {
        return reason() == Reason.PERSON || reason() == Reason.PEOPLE;
    }

    @Override
    public Certainty certainty() {
        return Found.certainty(subject.isPresent(), confidence);
    }
}
