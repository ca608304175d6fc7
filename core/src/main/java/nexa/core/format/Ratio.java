package nexa.core.format;

import java.math.BigDecimal;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import nexa.core.geometry.Require;
import nexa.core.message.Rejected;

/**
 * The ratio a format asks for: a fixed one, each photo's own, or free.
 *
 * @param kind what rules the ratio
 * @param across the first number of a fixed ratio, else 1
 * @param down the second number of a fixed ratio, else 1
 */
public record Ratio(Kind kind, BigDecimal across, BigDecimal down) {
    /** What rules a ratio. */
    public enum Kind {
        FIXED,
        PHOTO,
        FREE
    }

    /** Each photo's own. */
    public static final Ratio PHOTO = new Ratio(Kind.PHOTO, BigDecimal.ONE, BigDecimal.ONE);

    /** Any. */
    public static final Ratio FREE = new Ratio(Kind.FREE, BigDecimal.ONE, BigDecimal.ONE);

    private static final Pattern FIXED =
            Pattern.compile("\\s*(\\d{1,9}(?:\\.\\d{1,9})?)\\s*:\\s*(\\d{1,9}(?:\\.\\d{1,9})?)\\s*");
    private static final double STEEPEST = 100;

    /** @throws IllegalArgumentException for numbers of 0 or less and ratios steeper than 100:1 */
    public Ratio {
        Require.positive("firstNumberOfTheRatio", across.doubleValue());
        Require.positive("secondNumberOfTheRatio", down.doubleValue());
        Require.within("ratio", across.doubleValue() / down.doubleValue(), 1 / STEEPEST, STEEPEST);
    }

    public static Ratio of(String across, String down) {
        return new Ratio(Kind.FIXED, new BigDecimal(across), new BigDecimal(down));
    }

    /**
     * Reads "a:b" with whole or decimal numbers, "photo" or "free".
     *
     * @throws Rejected for anything else, with the text
     */
    public static Ratio parse(String text) {
        if (text.equals("photo")) {
            return PHOTO;
        }
        if (text.equals("free")) {
            return FREE;
        }
        Matcher numbers = FIXED.matcher(text);
        if (!numbers.matches()) {
            throw new Rejected("reject.noRatio", text);
        }
        return of(numbers.group(1), numbers.group(2));
    }

    public boolean isFixed() {
        return kind == Kind.FIXED;
    }

    public boolean isFree() {
        return kind == Kind.FREE;
    }

    /**
     * Width over height of a fixed ratio.
     *
     * @throws IllegalStateException if it is not fixed
     */
    public double value() {
        if (!isFixed()) {
            throw new IllegalStateException(this + " has no fixed value");
        }
        return across.doubleValue() / down.doubleValue();
    }

    /** As {@link #parse} reads it. */
    @Override
    public String toString() {
        return switch (kind) {
            case FIXED -> across.toPlainString() + ":" + down.toPlainString();
            case PHOTO -> "photo";
            case FREE -> "free";
        };
    }
}
