package nexa.core.crop;

import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;

/**
 * A crop drawn anew, from a corner or from its centre. Where the drag leads decides which corner grows and, with a ratio,
 * whether the crop lies wide or tall.
 */
public final class DrawCrop {
    private static final double SEED = 1e-3;

    private final Outline outline;
    private final Point start;
    private final Resize.Anchor anchor;
    private final OptionalDouble ratio;

    /**
     * @param start where the drag began, in the photo's pixels; outside the photo the nearest point in it is taken
     * @param anchor {@code OPPOSITE} when the drag began at a corner, {@code CENTRE} when at the centre
     * @param ratio either way round; empty to draw freely
     */
    public DrawCrop(Outline outline, Point start, Resize.Anchor anchor, OptionalDouble ratio) {
        this.outline = outline;
        this.start = outline.nearestCentre(start, new Size(2 * SEED, 2 * SEED));
        this.anchor = anchor;
        this.ratio = ratio;
    }

    /** The crop drawn up to a point in the photo's pixels; empty while it is too small to be meant. */
    public Optional<Crop> to(Point pointer) {
        Point way = outline.angle().toScreen(pointer.minus(start));
        Handle corner = Handle.corner(way.x() >= 0 ? 1 : -1, way.y() >= 0 ? 1 : -1);
        Orientation lying = Math.abs(way.x()) >= Math.abs(way.y()) ? Orientation.WIDE : Orientation.TALL;
        Size seed =
                ratio.isPresent() ? Size.ofArea(SEED * SEED, lying.turn(ratio.getAsDouble())) : new Size(SEED, SEED);
        Crop drawn = new Resize(outline, seedAt(seed, corner), corner, anchor, ratio.isPresent()).to(pointer);
        double least = Smallest.shortSide(outline, drawn.size().ratio());
        return drawn.size().shortSide() < least ? Optional.empty() : Optional.of(outline.settle(drawn));
    }

    private Crop seedAt(Size seed, Handle corner) {
        if (anchor == Resize.Anchor.CENTRE) {
            return new Crop(start, seed);
        }
        Point half = new Point(corner.x() * seed.width() / 2, corner.y() * seed.height() / 2);
        return new Crop(start.plus(outline.angle().toPhoto(half)), seed);
    }
}
