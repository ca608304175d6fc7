package nexa.core.shoot;

import java.util.Locale;
import java.util.regex.Pattern;
import nexa.core.geometry.Require;
import nexa.core.message.Rejected;

/**
 * A colour of sRGB.
 *
 * @param red 0 … 255
 * @param green 0 … 255
 * @param blue 0 … 255
 */
public record Colour(int red, int green, int blue) {
    public static final Colour WHITE = new Colour(255, 255, 255);
    private static final Pattern WRITTEN = Pattern.compile("#[0-9a-fA-F]{6}");

    /** @throws IllegalArgumentException for values out of range */
    public Colour {
        Require.within("red", red, 0, 255);
        Require.within("green", green, 0, 255);
        Require.within("blue", blue, 0, 255);
    }

    /**
     * A colour as it is written.
     *
     * @param text # and two hexadecimal digits each for red, green and blue
     * @throws Rejected for anything else
     */
    public static Colour parse(String text) {
        if (!WRITTEN.matcher(text).matches()) {
            throw new Rejected("reject.colour", text);
        }
        int value = Integer.parseInt(text.substring(1), 16);
        return new Colour(value >> 16, value >> 8 & 255, value & 255);
    }

    /** As it is written. */
    @Override
    public String toString() {
        return String.format(Locale.ROOT, "#%02x%02x%02x", red, green, blue);
    }
}
