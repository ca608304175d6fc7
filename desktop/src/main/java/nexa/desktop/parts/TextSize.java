package nexa.desktop.parts;

import com.google.common.primitives.Doubles;
import java.util.Locale;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import javafx.scene.text.Font;

/**
 * How large text is, as the system asks for it. What has to hold text grows with it: the lengths of the style sheet and those
 * given here are for text of the usual size.
 */
public final class TextSize {
    private static final double USUAL = 13;
    private static final double SMALLEST = 0.8;
    private static final double LARGEST = 2;
    private static final double FACTOR =
            Doubles.constrainToRange(Font.getDefault().getSize() / USUAL, SMALLEST, LARGEST);

    /** Sizes of text, and of what holds it; paddings, edges and marks stay as they are. */
    private static final Pattern LENGTH =
            Pattern.compile("(-fx-(?:font-size|(?:min|pref|max)-(?:width|height))): (\\d+(?:\\.\\d+)?)(px)?");

    private TextSize() {}

    /** A length that has to hold text, where it has another size than usual. */
    public static double scaled(double usual) {
        return Math.round(usual * FACTOR);
    }

    /** A style sheet for text of the system's size. */
    public static String styled(String css) {
        return LENGTH.matcher(css).replaceAll(TextSize::scaled);
    }

    private static String scaled(MatchResult length) {
        double value = Double.parseDouble(length.group(2)) * FACTOR;
        // A hairline stays one.
        double kept = Double.parseDouble(length.group(2)) <= 2 ? Double.parseDouble(length.group(2)) : value;
        String unit = length.group(3) == null ? "" : length.group(3);
        return length.group(1) + ": " + String.format(Locale.ROOT, "%.2f", kept) + unit;
    }
}
