package nexa.core.crop;

import nexa.core.geometry.Crop;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;

/** Slides a crop so that something in the photo comes to lie on a guide, as far as the photo's edges let it. */
public final class PutOnGuide {
    private static final double THIRD = 1.0 / 3;
    private static final double GOLDEN = (3 - Math.sqrt(5)) / 2;
    private static final double[] THIRDS = {THIRD, 1 - THIRD};
    private static final double[] THIRDS_AND_SECTIONS = {THIRD, GOLDEN, 1 - GOLDEN, 1 - THIRD};

    private PutOnGuide() {}

    /** A line that is nearly level or upright on screen, by its middle, onto the nearest third or golden section. */
    public static Crop line(Outline outline, Crop crop, Segment line) {
        Point way = outline.angle().toScreen(line.to().minus(line.from()));
        Point place = crop.placeOf(line.middle(), outline.angle());
        boolean isLevel = Math.abs(way.x()) >= Math.abs(way.y());
        Point shares = isLevel
                ? new Point(0, place.y() - nearest(place.y(), THIRDS_AND_SECTIONS))
                : new Point(place.x() - nearest(place.x(), THIRDS_AND_SECTIONS), 0);
        return slide(outline, crop, shares);
    }

    /** A point of the photo onto the nearest crossing of thirds. */
    public static Crop point(Outline outline, Crop crop, Point inPhoto) {
        Point place = crop.placeOf(inPhoto, outline.angle());
        return slide(
                outline,
                crop,
                new Point(place.x() - nearest(place.x(), THIRDS), place.y() - nearest(place.y(), THIRDS)));
    }

    /** A point of the photo, such as the middle between eyes, onto the line of the upper third; it stays where it is across. */
    public static Crop upperThird(Outline outline, Crop crop, Point inPhoto) {
        Point place = crop.placeOf(inPhoto, outline.angle());
        return slide(outline, crop, new Point(0, place.y() - THIRD));
    }

    private static Crop slide(Outline outline, Crop crop, Point shares) {
        return Slide.by(
                outline,
                crop,
                new Point(
                        shares.x() * crop.size().width(),
                        shares.y() * crop.size().height()));
    }

    private static double nearest(double place, double[] shares) {
        double best = shares[0];
        for (double share : shares) {
            if (Math.abs(share - place) < Math.abs(best - place)) {
                best = share;
            }
        }
        return best;
    }
}
