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
        return box().extent().x() * box().extent().y();
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

    /** What two boxes share of what they cover together, 0 … 1. */
    static double overlap(Bounds one, Bounds other) {
        double both = shared(one, other);
        return both / (area(one) + area(other) - both);
    }

    /** What two boxes share of the smaller one, 0 … 1. */
    static double nested(Bounds one, Bounds other) {
        return shared(one, other) / Math.min(area(one), area(other));
    }

    private static double area(Bounds box) {
        return Math.max(Double.MIN_NORMAL, box.extent().x() * box.extent().y());
    }

    private static double shared(Bounds one, Bounds other) {
        double across = Math.min(one.most().x(), other.most().x())
                - Math.max(one.least().x(), other.least().x());
        double down = Math.min(one.most().y(), other.most().y())
                - Math.max(one.least().y(), other.least().y());
        return Math.max(0, across) * Math.max(0, down);
    }
}
