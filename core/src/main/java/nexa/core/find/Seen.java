package nexa.core.find;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.BiPredicate;
import nexa.core.geometry.Bounds;

/** Something that a trained model sees in a picture. */
public interface Seen {
    /** Around it, as fractions of the picture. */
    Bounds box();

    /** How likely it is there, 0 … 1. */
    double score();

    /** How much of the picture its box is, 0 … 1. */
    default double area() {
        return box().area();
    }

    /**
     * Each once: the likeliest of those that are the same, the likeliest first.
     *
     * @param areSame whether two are, for all they tell, the same
     */
    static <T extends Seen> List<T> once(List<T> all, BiPredicate<T, T> areSame) {
        List<T> kept = new ArrayList<>();
        all.stream().sorted(Comparator.comparingDouble(one -> -one.score())).forEach(one -> {
            if (kept.stream().noneMatch(other -> areSame.test(one, other))) {
                kept.add(one);
            }
        });
        return kept;
    }
}
