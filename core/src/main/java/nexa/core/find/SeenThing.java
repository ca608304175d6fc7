package nexa.core.find;

import nexa.core.geometry.Bounds;

/** A person, an animal or a thing that is seen in a picture. */
public record SeenThing(ThingKind kind, double score, Bounds box) implements Seen {
    /** Two boxes that share more are around the same. */
    public static final double SAME = 0.5;

    boolean isLiving() {
        return kind.sort().isLiving();
    }

    boolean isPerson() {
        return kind.sort() == ThingKind.Sort.PERSON;
    }
}
