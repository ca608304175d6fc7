package nexa.core.crop;

import nexa.core.geometry.Crop;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Require;

/**
 * Makes a crop tighter or looser about a point that keeps its place in the crop, as far as the photo's edges allow.
 * Tightening ends at {@link Smallest}, loosening at the largest crop of the shape.
 */
public final class Tighten {
    private Tighten() {}

    /**
     * @param about in the photo's pixels
     * @param factor above 1 keeps more of the photo, below 1 less
     */
    public static Crop about(Outline outline, Crop crop, Point about, double factor) {
        Require.positive("factor", factor);
        double least =
                Smallest.shortSide(outline, crop.size().ratio()) / crop.size().shortSide();
        double most = outline.growth(crop.size());
        double applied = Math.max(Math.min(least, 1), Math.min(Math.max(most, 1), factor));
        Point centre = about.plus(crop.centre().minus(about).times(applied));
        return outline.settle(new Crop(centre, crop.size().times(applied)));
    }
}
