package nexa.core.crop;

import nexa.core.geometry.Crop;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Size;

/**
 * Makes a wished crop one that lies in the photo: shrinks it about its centre only as far as it could never fit, then
 * slides it by the least amount. What already lies in the photo stays exactly as it is.
 */
public final class Settle {
    private Settle() {}

    public static Crop settle(Outline outline, Crop wish) {
        double growth = outline.growth(wish.size());
        Size size = growth < 1 ? wish.size().times(growth) : wish.size();
        return new Crop(outline.nearestCentre(wish.centre(), size), size);
    }
}
