package nexa.desktop.lineup;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** A share typed in per cent: "8", "7.5", "7,5". */
final class TypedShare {
    private static final int DECIMALS = 2;

    private TypedShare() {}

    /**
     * The share that was typed.
     *
     * @throws IllegalArgumentException if it is no number
     */
    static double read(String text) {
        String number = text.replace("%", "").strip().replace(',', '.');
        return new BigDecimal(number).movePointLeft(2).doubleValue();
    }

    /** A share in per cent, as short as it is. */
    static String words(double share) {
        return BigDecimal.valueOf(100 * share)
                .setScale(DECIMALS, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }
}
