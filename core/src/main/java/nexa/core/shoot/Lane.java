package nexa.core.shoot;

import nexa.core.geometry.Orientation;
import nexa.core.geometry.Size;

/** The lane of the sheet that a photo or crop lies in. Where nothing is said of lanes, a square counts as wide. */
public enum Lane {
    WIDE,
    TALL,
    SQUARE;

    public static Lane of(Size size) {
        if (size.width() == size.height()) {
            return SQUARE;
        }
        return size.orientation() == Orientation.WIDE ? WIDE : TALL;
    }
}
