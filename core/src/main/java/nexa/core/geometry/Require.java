package nexa.core.geometry;

/** Checks that values make of their numbers. All reject, none clamp. */
public final class Require {
    private Require() {}

    /**
     * Rejects NaN and infinities.
     *
     * @throws IllegalArgumentException naming the value and its number
     */
    public static double finite(String name, double value) {
        if (!Double.isFinite(value)) {
            throw new IllegalArgumentException(name + " must be a finite number, but is " + value);
        }
        return value;
    }

    /**
     * Rejects NaN, infinities, nought and less.
     *
     * @throws IllegalArgumentException naming the value and its number
     */
    public static double positive(String name, double value) {
        if (!(finite(name, value) > 0)) {
            throw new IllegalArgumentException(name + " must be above 0, but is " + value);
        }
        return value;
    }

    /**
     * Rejects NaN and what lies outside a closed range.
     *
     * @throws IllegalArgumentException naming the value, its number and the range
     */
    public static double within(String name, double value, double least, double most) {
        if (!(value >= least && value <= most)) {
            throw new IllegalArgumentException(name + " must be from " + least + " to " + most + ", but is " + value);
        }
        return value;
    }
}
