package nexa.core.crop;

import nexa.core.geometry.Crop;
import nexa.core.geometry.HalfPlane;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;

/**
 * Lets a side of a crop that may reach beyond its photo catch on the photo's edge, so that it does not leave it by accident. A
 * side of a crop that lies aslant to the edge catches with the corner that lies furthest out.
 */
public final class CatchEdge {
    /** An edge that lies further aslant than 45° to a side is another side's. */
    private static final double FACING = Math.sqrt(0.5);

    private final Outline outline;
    private final double within;

    /** @param within how near to the edge a side has to be, in the photo's pixels */
    public CatchEdge(Outline outline, double within) {
        this.outline = outline;
        this.within = within;
    }

    /** A crop that was slid, moved so that the sides that are near an edge lie on it. */
    public Crop slid(Crop crop) {
        Crop across = crop.withCentre(crop.centre().minus(nearer(crop, new Point(1, 0))));
        return across.withCentre(across.centre().minus(nearer(across, new Point(0, 1))));
    }

    /** The way by which the nearer to its edge of two opposite sides lies off it; none where neither is near one. */
    private Point nearer(Crop crop, Point side) {
        double one = off(crop, side);
        double other = off(crop, side.times(-1));
        boolean isOne = other == 0 || one != 0 && Math.abs(one) <= Math.abs(other);
        return outline.angle().toPhoto(side.times(isOne ? one : -other));
    }

    /**
     * How far a side lies beyond the edge it faces, in the photo's pixels, below 0 inside; 0 where that is not near.
     *
     * @param side the way on screen from the crop's centre to it, of length 1
     */
    double off(Crop crop, Point side) {
        Point outwards = outline.angle().toPhoto(side);
        double most = Double.NEGATIVE_INFINITY;
        for (HalfPlane edge : outline.edges()) {
            double facing = edge.along(outwards);
            if (facing > FACING) {
                for (int end = 0; end <= 1; end++) {
                    Point corner = crop.at(
                            side.x() == 0 ? end : (1 + side.x()) / 2,
                            side.y() == 0 ? end : (1 + side.y()) / 2,
                            outline.angle());
                    most = Math.max(most, edge.beyond(corner) / facing);
                }
            }
        }
        return Math.abs(most) <= within ? most : 0;
    }
}
