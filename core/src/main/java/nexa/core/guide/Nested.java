package nexa.core.guide;

import nexa.core.geometry.Point;
import nexa.core.geometry.Size;

/**
 * The outline of another ratio inside a crop, as large as fits, in the middle.
 *
 * @param label what it is the outline of
 * @param corner its top-left corner, from the crop's
 * @param size its size
 */
public record Nested(String label, Point corner, Size size) {
    /** The outline of a ratio (width over height), turned the way the crop lies. */
    public static Nested in(Size crop, String label, double ratio) {
        double lying = crop.orientation().turn(ratio);
        double height = Math.min(crop.height(), crop.width() / lying);
        Size size = new Size(lying * height, height);
        return new Nested(label, new Point((crop.width() - size.width()) / 2, (crop.height() - height) / 2), size);
    }
}
