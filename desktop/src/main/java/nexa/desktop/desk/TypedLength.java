package nexa.desktop.desk;

import java.util.Locale;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import nexa.core.crop.TypedCrop.Field;
import nexa.core.format.LengthUnit;
import nexa.core.format.OutputSize;
import nexa.core.series.PhotoCrop;

/**
 * Reads a typed length: "1080", "1080 px", "25 %", and, where the format has pixels an inch, "20 cm", "200mm", "8in".
 *
 * @param isPercent whether a bare number is per cent of the photo's side
 */
public record TypedLength(PhotoCrop crop, Field field, boolean isPercent) {
    private static final Pattern TYPED = Pattern.compile("([-−]?[0-9]+(?:[.,][0-9]+)?)\\s*(px|%|cm|mm|in|\")?");

    /** In the photo's pixels; empty for what is no length, or needs pixels an inch that are not there. */
    public OptionalDouble pixels(String text) {
        String plain = text.toLowerCase(Locale.ROOT).replaceAll("[\\s\\u2009\\u00A0]", "");
        Matcher typed = TYPED.matcher(plain);
        if (!typed.matches()) {
            return OptionalDouble.empty();
        }
        double value = Double.parseDouble(typed.group(1).replace(',', '.').replace('−', '-'));
        String unit = typed.group(2) == null ? (isPercent ? "%" : "px") : typed.group(2);
        boolean isSide = field == Field.WIDTH || field == Field.HEIGHT;
        if (isSide && value <= 0) {
            return OptionalDouble.empty();
        }
        return switch (unit) {
            case "px" -> OptionalDouble.of(value);
            case "%" -> OptionalDouble.of(value / 100 * whole(crop, field));
            case "cm" -> onPaper(value, LengthUnit.CM);
            case "mm" -> onPaper(value, LengthUnit.MM);
            default -> onPaper(value, LengthUnit.IN);
        };
    }

    private OptionalDouble onPaper(double value, LengthUnit unit) {
        return crop.format().size() instanceof OutputSize.Print print
                ? OptionalDouble.of(value / unit.perInch() * print.ppi())
                : OptionalDouble.empty();
    }

    /** The side of the photo that a field is measured along, in its pixels. */
    public static double whole(PhotoCrop crop, Field field) {
        boolean isAcross = field == Field.WIDTH || field == Field.LEFT;
        return isAcross ? crop.photo().size().width() : crop.photo().size().height();
    }
}
