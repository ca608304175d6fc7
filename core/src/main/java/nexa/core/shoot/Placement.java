package nexa.core.shoot;

import java.util.Optional;
import java.util.Set;

/** Where a photo's crop in a format comes from. */
public sealed interface Placement {
    Placement UNTOUCHED = new Untouched();

    /** Nobody has said anything: the largest crop, centred. */
    record Untouched() implements Placement {}

    /** The photographer's own. */
    record Own(Wish wish) implements Placement {}

    /**
     * Worked out from the lead.
     *
     * @param carry what is taken from the lead
     * @param wish the photo's own, for what is not taken from the lead
     * @param isAccepted whether it is meant to be out of step
     */
    record Follow(Tune tune, Set<Carry> carry, Optional<Wish> wish, boolean isAccepted) implements Placement {
        public Follow {
            carry = Set.copyOf(carry);
        }

        public boolean isTuned() {
            return !tune.equals(Tune.NONE);
        }

        public Follow withAccepted(boolean nowAccepted) {
            return new Follow(tune, carry, wish, nowAccepted);
        }

        public Follow withTune(Tune newTune) {
            return new Follow(newTune, carry, wish, isAccepted);
        }
    }
}
