package nexa.core.format;

import java.util.List;
import nexa.core.geometry.Size;

/**
 * A common paper, upright.
 *
 * @param name by which it is known, "" where that is just its measure
 * @param shortSide in its unit
 * @param longSide in its unit
 * @param unit of its sides
 */
public record Paper(String name, double shortSide, double longSide, LengthUnit unit) {
    /** From small to large within each kind: ISO A (ISO 216), inches, centimetres. */
    public static final List<Paper> COMMON = List.of(
            new Paper("A6", 105, 148, LengthUnit.MM),
            new Paper("A5", 148, 210, LengthUnit.MM),
            new Paper("A4", 210, 297, LengthUnit.MM),
            new Paper("A3", 297, 420, LengthUnit.MM),
            new Paper("A2", 420, 594, LengthUnit.MM),
            new Paper("A1", 594, 841, LengthUnit.MM),
            new Paper("A0", 841, 1189, LengthUnit.MM),
            new Paper("Wallet", 2.5, 3.5, LengthUnit.IN),
            new Paper("", 3.5, 5, LengthUnit.IN),
            new Paper("", 4, 6, LengthUnit.IN),
            new Paper("", 5, 7, LengthUnit.IN),
            new Paper("", 8, 10, LengthUnit.IN),
            new Paper("Letter", 8.5, 11, LengthUnit.IN),
            new Paper("", 11, 14, LengthUnit.IN),
            new Paper("", 12, 18, LengthUnit.IN),
            new Paper("", 16, 20, LengthUnit.IN),
            new Paper("", 18, 24, LengthUnit.IN),
            new Paper("", 20, 30, LengthUnit.IN),
            new Paper("Poster", 24, 36, LengthUnit.IN),
            new Paper("", 9, 13, LengthUnit.CM),
            new Paper("", 10, 15, LengthUnit.CM),
            new Paper("", 13, 18, LengthUnit.CM),
            new Paper("", 20, 30, LengthUnit.CM),
            new Paper("", 30, 40, LengthUnit.CM),
            new Paper("", 40, 50, LengthUnit.CM),
            new Paper("", 50, 70, LengthUnit.CM));

    /** Long side over short side. */
    public double ratio() {
        return longSide / shortSide;
    }

    /** In inches, upright. */
    public Size inches() {
        return new Size(shortSide / unit.perInch(), longSide / unit.perInch());
    }

    /** What a crop of this size loses when it fills this paper: a share of the crop, 0 … 1. */
    public double fillLoses(Size crop) {
        double cropRatio = crop.longSide() / crop.shortSide();
        return 1 - Math.min(cropRatio / ratio(), ratio() / cropRatio);
    }

    /** What stays empty along the long side when all of a crop is shown, both edges together, in the paper's unit. */
    public double borderAlongLongSide(Size crop) {
        double cropRatio = crop.longSide() / crop.shortSide();
        return cropRatio > ratio() ? 0 : longSide - shortSide * cropRatio;
    }

    /** What stays empty along the short side when all of a crop is shown, both edges together, in the paper's unit. */
    public double borderAlongShortSide(Size crop) {
        double cropRatio = crop.longSide() / crop.shortSide();
        return cropRatio > ratio() ? shortSide - longSide / cropRatio : 0;
    }

    /** The pixels an inch of this paper gets when a crop, the same way round, fills it. */
    public double ppi(Size crop) {
        Size paper = inches();
        return Math.min(crop.longSide() / paper.height(), crop.shortSide() / paper.width());
    }
}
