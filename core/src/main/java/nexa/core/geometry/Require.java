package nexa.core.geometry;

import nexa.core.message.Message;
import nexa.core.message.Rejected;

/** Checks that values make of their numbers, each told by a key for its name. All reject, none clamp. */
public final class Require {
    private Require() {}

    /**
     * Rejects NaN and infinities.
     *
     * @throws Rejected naming the value and its number
     */
    public static double finite(String name, double value) {
        if (!Double.isFinite(value)) {
            throw new Rejected("reject.notFinite", named(name), value);
        }
        return value;
    }

    /**
     * Rejects NaN, infinities, nought and less.
     *
     * @throws Rejected naming the value and its number
     */
    public static double positive(String name, double value) {
        if (!(finite(name, value) > 0)) {
            throw new Rejected("reject.notPositive", named(name), value);
        }
        return value;
    }

    /**
     * Rejects NaN and what lies outside a closed range.
     *
     * @throws Rejected naming the value, its number and the range
     */
    public static double within(String name, double value, double least, double most) {
        if (!(value >= least && value <= most)) {
            throw new Rejected("reject.outside", named(name), least, most, value);
        }
        return value;
    }

    private static Message named(String name) {
        return Message.of("value." + name);
    }
}
