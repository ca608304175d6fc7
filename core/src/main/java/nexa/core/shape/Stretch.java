package nexa.core.shape;

import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;

/**
 * Makes room beyond a photo's sides by drawing out what lies between them and the part that is to stay as it is: a place u
 * pixels outside of that moves to u + E G(u / B), where B is how wide the drawn-out band was and E the room made. G′ rises evenly
 * from 0 over the first third of the band and stays from there on, so that nothing bends suddenly.
 */
public final class Stretch {
    /** Up to this nobody notices. */
    public static final double SILENT = 1.25;

    /** Beyond this it is not done. */
    public static final double MOST = 1.5;

    /** The share of the band over which it begins. */
    private static final double BEGINS = 1.0 / 3;

    /** What G′ rises to, so that G(1) = 1. */
    private static final double SLOPE = 1 / (1 - BEGINS / 2);

    /** One side: a band so wide is made longer by so much. */
    private record Side(double band, double room) {
        /** How far outside of what stays the place was that lies so far outside now; never outside the band. */
        double before(double now) {
            if (room == 0) {
                return now;
            }
            double begun = BEGINS * band + room * SLOPE * BEGINS / 2;
            double was;
            if (now < begun) {
                double bend = room * SLOPE / (2 * BEGINS * band * band);
                was = 2 * now / (1 + Math.sqrt(1 + 4 * bend * now));
            } else {
                was = (now + room * SLOPE * BEGINS / 2) / (1 + room * SLOPE / band);
            }
            return Math.min(band, was);
        }

        double most() {
            return room == 0 ? 1 : 1 + SLOPE * room / band;
        }
    }

    private final Bounds kept;
    private final Side left;
    private final Side top;
    private final Side right;
    private final Side bottom;

    /**
     * A stretch of a photo.
     *
     * @param part what counts of the photo, in its pixels
     * @param margins the room made beyond it
     * @param kept what stays as it is, inside the part
     */
    public Stretch(Bounds part, Margins margins, Bounds kept) {
        this.kept = kept;
        this.left = new Side(kept.least().x() - part.least().x(), margins.left());
        this.top = new Side(kept.least().y() - part.least().y(), margins.top());
        this.right = new Side(part.most().x() - kept.most().x(), margins.right());
        this.bottom = new Side(part.most().y() - kept.most().y(), margins.bottom());
    }

    /** How much anything is drawn out at the most; 1 is not at all. Infinite where there is no band to draw out. */
    public double most() {
        return Math.max(Math.max(left.most(), right.most()), Math.max(top.most(), bottom.most()));
    }

    /** The place of the photo that comes to lie at a place, both in its pixels. */
    public Point toPhoto(Point stretched) {
        return new Point(
                before(stretched.x(), kept.least().x(), kept.most().x(), left, right),
                before(stretched.y(), kept.least().y(), kept.most().y(), top, bottom));
    }

    private static double before(double now, double from, double to, Side low, Side high) {
        if (now < from) {
            return from - low.before(from - now);
        }
        return now > to ? to + high.before(now - to) : now;
    }
}
