package nexa.core.format;

import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import nexa.core.message.Rejected;

/**
 * File names made of text and words in braces, such as "{shoot} {photo} page". What file systems cannot take is replaced
 * by "-", so that a name is always one plain file's name.
 */
public final class NamePattern {
    /** The words that can be used. */
    public static final Set<String> WORDS = Set.of("shoot", "photo", "format", "number", "date", "size");

    private static final Pattern WORD = Pattern.compile("\\{([^{}]*)}");
    private static final Pattern UNFIT = Pattern.compile("[\\p{Cntrl}/\\\\:*?\"<>|]");
    /** A name that begins with a dot is that of a hidden file. */
    private static final Pattern HIDDEN = Pattern.compile("^[. ]+");

    private static final Pattern ENDS_BADLY = Pattern.compile("[. ]+$");
    private static final Pattern RESERVED = Pattern.compile("(?i)(con|prn|aux|nul|com[1-9]|lpt[1-9])(\\..*)?");

    /** The most bytes of a name, in UTF-8: common file systems take 255, and a number and an ending come to it yet. */
    private static final int LONGEST = 200;

    private NamePattern() {}

    /** @throws Rejected if the pattern has a word that is not known, or a brace without its partner */
    public static void check(String pattern) {
        Matcher words = WORD.matcher(pattern);
        while (words.find()) {
            if (!WORDS.contains(words.group(1))) {
                throw new Rejected("reject.unknownWord", pattern, words.group(1));
            }
        }
        String rest = words.replaceAll("");
        if (rest.contains("{") || rest.contains("}")) {
            throw new Rejected("reject.loneBrace", pattern);
        }
    }

    /** What the pattern gives for these values of its words, without an ending; not every file system may take it. */
    public static String filled(String pattern, Map<String, String> values) {
        return WORD.matcher(pattern)
                .replaceAll(word -> Matcher.quoteReplacement(values.getOrDefault(word.group(1), "")));
    }

    /** The file name, without an ending, that the pattern gives for these values of its words. Never empty. */
    public static String fill(String pattern, Map<String, String> values) {
        return clean(filled(pattern, values));
    }

    /** A text made fit to be a file's name on all common file systems. */
    public static String clean(String text) {
        String shown =
                HIDDEN.matcher(UNFIT.matcher(text).replaceAll("-").strip()).replaceAll("");
        String fit = shortened(shown);
        fit = ENDS_BADLY.matcher(fit).replaceAll("");
        if (fit.isEmpty()) {
            return "photo";
        }
        return RESERVED.matcher(fit).matches() ? fit + "-" : fit;
    }

    private static String shortened(String text) {
        StringBuilder kept = new StringBuilder();
        int bytes = 0;
        for (int letter : text.codePoints().toArray()) {
            bytes += letter < 0x80 ? 1 : letter < 0x800 ? 2 : Character.charCount(letter) + 2;
            if (bytes > LONGEST) {
                break;
            }
            kept.appendCodePoint(letter);
        }
        return kept.toString();
    }

    /** Whether a relative folder, with / between its parts, is plain and stays inside the one it is resolved against. */
    public static boolean staysInside(String folder) {
        if (folder.isEmpty()) {
            return true;
        }
        for (String part : folder.split("/", -1)) {
            if (part.isBlank()
                    || part.equals(".")
                    || part.equals("..")
                    || UNFIT.matcher(part).find()) {
                return false;
            }
        }
        return true;
    }
}
