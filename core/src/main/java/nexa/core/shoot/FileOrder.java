package nexa.core.shoot;

import java.util.Arrays;
import java.util.Comparator;

/**
 * The order of files by name: runs of digits by their number, so that 2 comes before 10; all else without regard to case; where
 * that leaves two alike, by their code points. The same in every locale.
 */
public final class FileOrder implements Comparator<String> {
    public static final FileOrder BY_NAME = new FileOrder();

    private FileOrder() {}

    @Override
    public int compare(String one, String other) {
        int byPieces = comparePieces(one, other);
        return byPieces != 0 ? byPieces : compareCodePoints(one, other);
    }

    private static int comparePieces(String one, String other) {
        int i = 0;
        int j = 0;
        while (i < one.length() && j < other.length()) {
            if (isDigit(one.charAt(i)) && isDigit(other.charAt(j))) {
                int iEnd = endOfDigits(one, i);
                int jEnd = endOfDigits(other, j);
                int byNumber = compareNumbers(one.substring(i, iEnd), other.substring(j, jEnd));
                if (byNumber != 0) {
                    return byNumber;
                }
                i = iEnd;
                j = jEnd;
            } else {
                int inOne = one.codePointAt(i);
                int inOther = other.codePointAt(j);
                int byLetter = Integer.compare(withoutCase(inOne), withoutCase(inOther));
                if (byLetter != 0) {
                    return byLetter;
                }
                i += Character.charCount(inOne);
                j += Character.charCount(inOther);
            }
        }
        return Integer.compare(one.length() - i, other.length() - j);
    }

    private static boolean isDigit(char letter) {
        return letter >= '0' && letter <= '9';
    }

    private static int endOfDigits(String text, int from) {
        int end = from;
        while (end < text.length() && isDigit(text.charAt(end))) {
            end++;
        }
        return end;
    }

    /** Of any length: no number is too large. */
    private static int compareNumbers(String one, String other) {
        String first = withoutZeros(one);
        String second = withoutZeros(other);
        int byLength = Integer.compare(first.length(), second.length());
        return byLength != 0 ? byLength : first.compareTo(second);
    }

    private static String withoutZeros(String digits) {
        int from = 0;
        while (from < digits.length() - 1 && digits.charAt(from) == '0') {
            from++;
        }
        return digits.substring(from);
    }

    /** Both ways, since some letters have only one of the cases in common. */
    private static int withoutCase(int codePoint) {
        return Character.toLowerCase(Character.toUpperCase(codePoint));
    }

    private static int compareCodePoints(String one, String other) {
        int[] first = one.codePoints().toArray();
        int[] second = other.codePoints().toArray();
        return Arrays.compare(first, second);
    }
}
