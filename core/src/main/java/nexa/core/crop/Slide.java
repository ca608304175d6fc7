package nexa.core.crop;

import nexa.core.geometry.Crop;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;

/** Moves a crop over its photo without changing its size. It stops at the photo's edges and slides along them. */
public final class Slide {
    private Slide() {}

    /** @param way as seen on screen, in the photo's pixels */
    public static Crop by(Outline outline, Crop crop, Point way) {
        Point centre = crop.centre().plus(outline.angle().toPhoto(way));
        return crop.withCentre(outline.nearestCentre(centre, crop.size()));
    }
}
